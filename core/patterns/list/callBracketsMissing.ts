import { example, inMain } from "../example.ts";
import { byEdit, byMessage, byText, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { firstLineWith, namedLines } from "../shape.ts";

/** A function is named and not called, or a call's brackets are left off. */
export const callBracketsMissing: Pattern = {
  id: "call-brackets-missing",
  name: "A call without its brackets",
  says: "A function is named and not called, or a call's brackets are left off.",
  mends: "Put the brackets behind the name.",
  cause: "A name without brackets is the thing itself, not what it gives.",
  avoid: "Read a call as “do it with ...”, and write the brackets even where nothing is given.",
  fault: true,
  grounds: [
    byEdit("call-brackets", () => true, 8),
    byMessage("sign missing", { words: /missing parentheses in call/i, more: sure }),
    byMessage(["wrong arguments", "type mismatch"], { words: /method group/i, more: sure + 1 }),
    byText(
      (evidence) =>
        evidence.class === "syntax"
          ? firstLineWith(
              evidence,
              namedLines(evidence),
              /^\s*[\w.]*(?:print|println|printf|puts|write|writeln|WriteLine|disp)\s+["']/i,
              "What is to be printed stands there without the brackets of the call.",
            )
          : null,
      6,
    ),
    // What is named as a part of an object is one of its calls.
    byText((evidence) => {
      const { class: of, message, lines, language } = evidence;
      const library = language.writing?.library;
      if (of !== "syntax" || message?.kind !== "unknown name" || !library) return null;
      for (const line of namedLines(evidence))
        for (const [, name = ""] of (lines[line - 1] ?? "").matchAll(/\.([A-Za-z]\w*)\b(?!\s*[(.])/g))
          if (message.text.includes(name) && (library.reads(name) || library.gives(name) || library.changes(name)))
            return { line, why: `“${name}” is a call and stands here without its brackets.` };
      return null;
    }, 8),
  ],
  examples: [
    inMain(
      "java",
      `System.out.println«("Tern leaves")¦ "Tern leaves"»;
`,
    ),
    example(
      "python",
      `print«("Tern leaves")¦ "Tern leaves"»
`,
    ),
    example(
      "python",
      `ferry = "tern"
print(ferry.upper«()¦»)
`,
    ),
    inMain(
      "c",
      `printf«("Tern leaves\\n")¦ "Tern leaves\\n"»;
`,
    ),
    inMain(
      "csharp",
      `string ferry = "tern";
Console.WriteLine(ferry.ToUpper«()¦»);
`,
    ),
    example(
      "pascal",
      `begin
  writeln«('Tern leaves')¦ 'Tern leaves'»;
end.
`,
    ),
    example(
      "sketch",
      `println«("Tern leaves")¦ "Tern leaves"»;
`,
    ),
  ],
};
