import { example } from "../example.ts";
import { byEdit, takesAway } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A function gives a value to a variable of the program without saying that it means it. */
export const globalMissing: Pattern = {
  id: "global-missing",
  name: "A variable of the program taken for one's own",
  says: "A function gives a value to a variable of the program without saying that it means it.",
  mends: "Say so, or hand the value over.",
  cause: "Giving a value inside of a function makes a variable of its own.",
  avoid: "Hand values in and give them back.",
  fault: true,
  grounds: [byEdit("scope-word", (change) => !takesAway(change), 5)],
  examples: [
    example(
      "python",
      `total = 0

def add(load):
«    global total
¦»    total = total + load

add(12)
print(total)
`,
    ),
  ],
};
