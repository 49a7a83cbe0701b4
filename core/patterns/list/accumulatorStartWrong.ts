import { example, inMain } from "../example.ts";
import { byChange, byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isGathered } from "../shape.ts";

/** What grows over the passes begins with a value that does not fit. */
export const accumulatorStartWrong: Pattern = {
  id: "accumulator-start-wrong",
  name: "A sum or product that begins wrongly",
  says: "What grows over the passes begins with a value that does not fit.",
  mends: "Begin a sum with 0, a product with 1, a largest one with the first element.",
  cause: "A sum begins with nothing, a product with one, a largest one with the first element.",
  avoid: "Ask what must come out where there is no element at all.",
  fault: true,
  grounds: [
    byNotice("product-of-zero", 5),
    byEdit("start-value", () => true, 2),
    byEdit("accumulation", ({ lineBefore }) => /=\s*[-\d.]+\s*;?$/.test(lineBefore)),
    byChange(({ family, lineBefore }, evidence) => {
      const [, name] = /\b([A-Za-z_]\w*)\s*:?=\s*(?:-?[\d.]+|[A-Za-z_]\w*[[(]\w+[\])])\s*;?\s*$/.exec(lineBefore) ?? [];
      return (
        evidence.class === "logic" &&
        ["constant", "by-one", "start-value", "arithmetic"].includes(family) &&
        !/^\s*for\b/.test(lineBefore) &&
        name !== undefined &&
        isGathered(name, evidence)
      );
    }, 5),
  ],
  examples: [
    example(
      "python",
      `total = «0¦1»
for load in [12, 7]:
    total = total + load
print(total)
`,
    ),
    inMain(
      "java",
      `int ways = «1¦0»;
for (int step = 1; step <= 3; step++)
    ways = ways * step;
System.out.println(ways);
`,
    ),
    inMain(
      "c",
      `int lows[3] = {-5, -2, -9};
int most = «lows[0]¦0»;
for (int at = 0; at < 3; at++)
    if (lows[at] > most)
        most = lows[at];
printf("%d\\n", most);
`,
    ),
    inMain(
      "csharp",
      `int total = «0¦1»;
for (int load = 1; load <= 3; load++)
    total = total + load;
Console.WriteLine(total);
`,
    ),
    example(
      "pascal",
      `var total, load: integer;
begin
  total := «0¦1»;
  for load := 1 to 3 do
    total := total + load;
  writeln(total);
end.
`,
    ),
    example(
      "octave",
      `total = «0¦1»;
for load_now = [12, 7]
  total = total + load_now;
end
printf("%d\\n", total);
`,
    ),
    example(
      "pseudocode",
      `total <- «0¦1»
FOR EACH load IN [12, 7]
  total <- total + load
NEXT
OUTPUT total
`,
    ),
    inMain(
      "basic-macro",
      `total = «0¦1»
For Each weight In Array(12, 7)
  total = total + weight
Next weight
MsgBox total
`,
    ),
    example(
      "sketch",
      `int ways = «1¦0»;
for (int step = 1; step <= 3; step++)
    ways = ways * step;
println(ways);
`,
    ),
    inMain(
      "basic-forms",
      `Dim loads() As Integer = {4, 9, 7}
Dim total As Integer = «0¦4»
For Each load As Integer In loads
  total += load
Next
Console.WriteLine(total)
`,
    ),
  ],
};
