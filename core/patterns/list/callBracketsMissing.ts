import { example, inMain } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A function is named and not called, or a call's brackets are left off. */
export const callBracketsMissing: Pattern = {
  id: "call-brackets-missing",
  name: "A call without its brackets",
  says: "A function is named and not called, or a call's brackets are left off.",
  mends: "Put the brackets behind the name.",
  cause: "A name without brackets is the thing itself, not what it gives.",
  avoid: "Read a call as “do it with ...”, and write the brackets even where nothing is given.",
  fault: true,
  grounds: [byEdit("call-brackets")],
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
  ],
};
