import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isTurned } from "../shape.ts";

/** A step is made before the one on which it rests. */
export const stepsInWrongOrder: Pattern = {
  id: "steps-in-wrong-order",
  name: "Steps in the wrong order",
  says: "A step is made before the one on which it rests.",
  mends: "Put the steps in order.",
  cause: "The machine does line after line; it does not look ahead.",
  avoid: "Number the steps on paper first.",
  fault: true,
  grounds: [
    byEdit("moved", () => true, 1),
    // Put in at the other end of a list.
    byEdit("counterpart", ({ before, after }) => /append|insert|add|push|offer/i.test(before + after), 5),
    byEdit("extra-statement", () => true, -5),
    byEdit("branch-order", () => true, 5),
    // A test that has to come before what it allows.
    byEdit("swapped", ({ before }) => /&&|\|\||\b(?:and|or)\b/i.test(before), 7),
    // A text grows at its other end.
    byEdit("accumulation", isTurned, 5),
    // Beside what a change says: the line may look copied as well.
    byNotice("exchange-lost", 6),
    byNotice(["linked-to-itself", "behind-the-end", "branch-covered"], 5),
  ],
  examples: [
    example(
      "python",
      `load = 0
«load = load + 12
print(load)¦print(load)
load = load + 12»
`,
    ),
    example(
      "pascal",
      `var load: integer;
begin
  load := 0;
«  load := load + 12;
  writeln(load);¦  writeln(load);
  load := load + 12;»
end.
`,
    ),
    inMain(
      "java",
      `int total = 0;
for (int load = 1; load <= 3; load++) {
«    total = total + load;
    System.out.println(total);¦    System.out.println(total);
    total = total + load;»
}
`,
    ),
    inMain(
      "c",
      `int a = 3, b = 5, kept;
«kept = a;
a = b;¦a = b;
kept = a;»
b = kept;
printf("%d %d\\n", a, b);
`,
    ),
    example(
      "pseudocode",
      `load <- 0
«load <- load + 12
OUTPUT load¦OUTPUT load
load <- load + 12»
`,
    ),
    inMain(
      "basic-macro",
      `«fare = 12
total = fare * 2
¦total = fare * 2
fare = 12
»MsgBox total
`,
    ),
    example(
      "sketch",
      `int total = 0;
for (int load = 1; load <= 3; load++) {
«    total = total + load;
    println(total);¦    println(total);
    total = total + load;»
}
`,
    ),
    example(
      "sketch",
      `void setup() {
  size(100, 80);
}
void draw() {
«  background(200);
  circle(50, 40, 30);
¦  circle(50, 40, 30);
  background(200);
»}
`,
    ),
    inMain(
      "basic-forms",
      `Dim cars As Integer = 0
«cars = 12
Console.WriteLine(cars * 4)
¦Console.WriteLine(cars * 4)
cars = 12
»`,
    ),
  ],
};
