import { example, inMain } from "../example.ts";
import { byEdit, byMessage, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { hasSimilar, isMade } from "../shape.ts";

/** A variable is read before any value was given to it on this way through the program. */
export const readBeforeSet: Pattern = {
  id: "read-before-set",
  name: "Read before it has a value",
  says: "A variable is read before any value was given to it on this way through the program.",
  mends: "Give it a value first.",
  cause: "The line that gives the value stands further down, in a branch that was not taken, or nowhere.",
  avoid: "Give every variable its first value where it is made.",
  fault: true,
  grounds: [
    byEdit("first-value"),
    byMessage("not set", { more: sure, test: ({ changes }) => changes.every(({ family }) => family !== "scope-word") }),
    byMessage("unknown name", {
      of: "runtime",
      more: sure + 1,
      test: (evidence) => isMade(evidence) && !hasSimilar(evidence),
    }),
  ],
  examples: [
    example(
      "python",
      `«total = 0
¦»for load in [12, 7]:
    total = total + load
print(total)
`,
    ),
    inMain(
      "java",
      `int total« = 0¦»;
for (int load = 1; load <= 3; load++)
    total = total + load;
System.out.println(total);
`,
    ),
    inMain(
      "csharp",
      `int total« = 0¦»;
for (int load = 1; load <= 3; load++)
    total = total + load;
Console.WriteLine(total);
`,
    ),
    example(
      "octave",
      `«total = 0;
¦»for load_now = [12, 7]
  total = total + load_now;
end
printf("%d\\n", total);
`,
    ),
    example(
      "python",
      `def fare(age):
«    price = 9
¦»    if age < 14:
        price = 4
    return price

print(fare(30))
`,
    ),
    example(
      "pseudocode",
      `«total <- 0
¦»FOR load <- 1 TO 2
  total <- total + load
NEXT load
OUTPUT total
`,
    ),
    example(
      "sketch",
      `int total« = 0¦»;
for (int load = 1; load <= 3; load++)
    total = total + load;
println(total);
`,
    ),
  ],
};
