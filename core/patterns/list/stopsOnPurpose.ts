import { example, inMain } from "../example.ts";
import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** The program itself ends the run where something is not as it should be. That is no fault. */
export const stopsOnPurpose: Pattern = {
  id: "stops-on-purpose",
  name: "It stops on purpose",
  says: "The program itself ends the run where something is not as it should be. That is no fault.",
  mends: "Nothing is to be mended.",
  cause: "A rule of the job is written down as an error that the program raises.",
  avoid: "Nothing is to be avoided: look whether the rule is the one that is meant.",
  fault: false,
  grounds: [byMessage("raised on purpose", { more: 4 })],
  examples: [
    example(
      "python",
      `load = «12¦99»
if load > 40:
    raise ValueError("deck is full")
print(load)
`,
    ),
    inMain(
      "java",
      `int load = «12¦99»;
if (load > 40)
    throw new IllegalStateException("deck is full");
System.out.println(load);
`,
    ),
    example(
      "sketch",
      `int load = «12¦99»;
if (load > 40)
    throw new IllegalStateException("deck is full");
println(load);
`,
    ),
  ],
};
