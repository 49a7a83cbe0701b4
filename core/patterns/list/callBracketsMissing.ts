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
