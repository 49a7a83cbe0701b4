import { example, inMain } from "../example.ts";
import { byChange, byEdit, byMessage, byText, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A value is too large for the type of its variable, and wraps or is refused. */
export const numberTypeTooSmall: Pattern = {
  id: "number-type-too-small",
  name: "A number too large for its type",
  says: "A value is too large for the type of its variable, and wraps or is refused.",
  mends: "Use a larger type.",
  cause: "Each type has a largest value; past it the number wraps or stops.",
  avoid: "Ask how large it can become.",
  fault: true,
  grounds: [
    byMessage("overflow", { more: sure }),
    byEdit("declaration", ({ after }) => /long|int64/i.test(after), 5),
    byChange(
      ({ lineBefore, lineAfter }) =>
        /\b(?:int|smallint|integer|short|byte)\b/i.test(lineBefore) &&
        /\b(?:long|int64|longint)\b/i.test(lineAfter) &&
        !/\b(?:long|int64|longint)\b/i.test(lineBefore),
      6,
    ),
    byText(({ outputs, class: of, changes, program }) => {
      if (of !== "logic" || !outputs || changes.some(({ family }) => family !== "declaration")) return null;
      const numbers = (text: string) => (text.match(/-?\d+(?:\.\d+)?/g) ?? []).map(Number);
      const [wanted, got] = [numbers(outputs.intended), numbers(outputs.printed)];
      // How many values the smallest type has that the program names: one beyond its range comes round by so many.
      const round = /\b(?:byte|sbyte|shortint|int8|int8_t)\b/i.test(program) ? 256 : 65_536;
      const wrapped = wanted.findIndex((each, at) => {
        const apart = Math.abs(each - (got[at] ?? each));
        return apart >= round && apart % round === 0 && Math.abs(each) >= round / 2;
      });
      return wrapped < 0
        ? null
        : { line: null, why: `${got[wrapped]} comes out where ${wanted[wrapped]} is meant: the number has wrapped.` };
    }, 6),
  ],
  examples: [
    inMain(
      "java",
      `«long¦int» metres = 3000000;
System.out.println(metres * 1000);
`,
    ),
    inMain(
      "csharp",
      `«long¦int» metres = 3000000;
Console.WriteLine(metres * 1000);
`,
    ),
    inMain(
      "c",
      `«long long¦int» metres = 3000000;
printf("%lld\\n", («long long¦int») (metres * 1000)«¦ + 0LL»);
`,
    ),
    example(
      "pascal",
      `var metres: «longint¦smallint»;
begin
  metres := 30000;
  metres := metres + 30000;
  writeln(metres);
end.
`,
    ),
    inMain(
      "basic-macro",
      `Dim metres As «Long¦Integer»
metres = 20000
metres = metres * 2
MsgBox metres
`,
    ),
    example(
      "sketch",
      `«long¦int» metres = 3000000;
println(metres * 1000);
`,
    ),
    inMain(
      "basic-forms",
      `Dim loads As «Integer¦Short» = 30000
loads += 9000
Console.WriteLine(loads)
`,
    ),
  ],
};
