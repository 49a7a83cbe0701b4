import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** The condition of a loop asks for a variable that is not the one that moves. */
export const loopTestsWrongVariable: Pattern = {
  id: "loop-tests-wrong-variable",
  name: "A loop that asks another variable",
  says: "The condition of a loop asks for a variable that is not the one that moves.",
  mends: "Ask for the one that moves.",
  cause: "Two names of one loop were taken for each other.",
  avoid: "The name in the condition must be one that changes inside.",
  fault: true,
  grounds: [
    byEdit("other-name", ({ lineBefore }) => /^\s*(?:while|for|until)\b/i.test(lineBefore), 5),
    byNotice("loop-tests-wrong-variable"),
  ],
  examples: [
    inMain(
      "c",
      `int trip = 1, most = 3, seats = 9;
while («trip¦seats» <= most) {
    printf("Trip %d\\n", trip);
    trip++;
}
`,
    ),
    example(
      "python",
      `trip = 1
most = 3
seats = 2
while «trip¦seats» <= most:
    print("Trip", trip)
    trip = trip + 1
`,
    ),
    inMain(
      "java",
      `int trip = 1, most = 3, seats = 9;
while («trip¦seats» <= most) {
    System.out.println("Trip " + trip);
    trip++;
}
`,
    ),
    example(
      "pseudocode",
      `trip <- 1
most <- 3
seats <- 2
WHILE «trip¦seats» <= most
  OUTPUT "Trip ", trip
  trip <- trip + 1
ENDWHILE
`,
    ),
    inMain(
      "basic-macro",
      `Do While «cars¦car» < 3
  cars = cars + 1
Loop
MsgBox cars
`,
    ),
    example(
      "sketch",
      `int trip = 1, most = 3, seats = 9;
while («trip¦seats» <= most) {
    println("Trip " + trip);
    trip++;
}
`,
    ),
    inMain(
      "basic-forms",
      `Dim cars As Integer = 3, boats As Integer = 1
Do While «cars¦boats» > 0
  cars = cars \\ 2
Loop
Console.WriteLine(cars)
`,
    ),
  ],
};
