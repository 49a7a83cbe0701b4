import { example, inMain } from "../example.ts";
import { byEdit, byMessage } from "../grounds.ts";
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
  grounds: [byMessage("overflow", { more: 3 }), byEdit("declaration", ({ after }) => /long|int64/i.test(after), 3)],
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
  ],
};
