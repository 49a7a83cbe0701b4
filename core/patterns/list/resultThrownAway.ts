import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A call gives a new value back, and nobody keeps it. */
export const resultThrownAway: Pattern = {
  id: "result-thrown-away",
  name: "A result that is thrown away",
  says: "A call gives a new value back, and nobody keeps it.",
  mends: "Keep what it gives.",
  cause: "Texts never change; what is worked out of them is a new one.",
  avoid: "Ask of each call: does it change something or give something back?",
  fault: true,
  grounds: [byEdit("result-thrown-away", () => true, 3), byNotice("result-thrown-away", 3)],
  examples: [
    example(
      "python",
      `ferry = "tern"
«ferry = ¦»ferry.upper()
print(ferry)
`,
    ),
    inMain(
      "java",
      `String ferry = "tern";
«ferry = ¦»ferry.toUpperCase();
System.out.println(ferry);
`,
    ),
    inMain(
      "csharp",
      `string ferry = "tern";
«ferry = ¦»ferry.ToUpper();
Console.WriteLine(ferry);
`,
    ),
    example(
      "python",
      `def add(total, load):
    return total + load

total = 0
«total = ¦»add(total, 12)
print(total)
`,
    ),
    example(
      "sketch",
      `String ferry = "tern";
«ferry = ¦»ferry.toUpperCase();
println(ferry);
`,
    ),
    inMain(
      "basic-forms",
      `Dim name As String = "tern"
«name = name.ToUpper()¦name.ToUpper()»
Console.WriteLine(name)
`,
    ),
  ],
};
