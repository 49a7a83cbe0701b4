import { example, inMain } from "../example.ts";
import { byMessage, sure } from "../grounds.ts";
import type { Evidence, Pattern } from "../pattern.ts";
import { isLimitMoved } from "../shape.ts";

/** True unless shapes do not fit, or a limit that is moved by one mends it. */
function isAboutValue({ message, changes }: Evidence): boolean {
  const [change] = changes;
  const isLimit =
    change && ["comparison", "by-one"].includes(change.family) && isLimitMoved(change.lineBefore, change.lineAfter);
  return !/nonconformant/i.test(message?.text ?? "") && !isLimit;
}

/** A function is given a value for which it is not defined, such as the root of a negative number. */
export const argumentOutsideDomain: Pattern = {
  id: "argument-outside-domain",
  name: "A value outside of what a function takes",
  says: "A function is given a value for which it is not defined, such as the root of a negative number.",
  mends: "Look at the value before the call.",
  cause: "The value came out of a calculation and left the range that the function knows.",
  avoid: "Ask what the function cannot take, and look at the value before.",
  fault: true,
  grounds: [byMessage("value not allowed", { more: sure, test: isAboutValue })],
  examples: [
    example(
      "python",
      `import math
height = 3 - 4
print(math.sqrt(«abs(height)¦height»))
`,
    ),
    inMain(
      "java",
      `int level = 3 - 4;
String tide = "high";
System.out.println(tide.substring(«0¦level», 2));
`,
    ),
    inMain(
      "csharp",
      `int level = 3 - 4;
string tide = "high";
Console.WriteLine(tide.Substring(«0¦level», 2));
`,
    ),
    example(
      "pseudocode",
      `height <- 3 - 4
OUTPUT SQRT(«ABS(height)¦height»)
`,
    ),
    inMain(
      "basic-macro",
      `area = «9¦-9»
MsgBox Sqr(area)
`,
    ),
    example(
      "sketch",
      `int level = 3 - 4;
String tide = "high";
println(tide.substring(«0¦level», 2));
`,
    ),
    inMain(
      "basic-forms",
      `Dim name As String = "Tern"
Console.WriteLine(name.Substring(1, «2¦9»))
`,
    ),
  ],
};
