import { example, inMain } from "../example.ts";
import { byMessage, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A line that raises an error of its own words: not one that only hands on what it caught. */
const throws = /^\s*(?:\}?\s*else\s+)?(?:if\s*\(.*\)\s*)?(?:throw\s+new\s+\w|raise\s+\w+(?:\.Create)?\s*\(|error\s*\()/;

/** The program itself ends the run where something is not as it should be. That is no fault. */
export const stopsOnPurpose: Pattern = {
  id: "stops-on-purpose",
  name: "It stops on purpose",
  says: "The program itself ends the run where something is not as it should be. That is no fault.",
  mends: "Nothing is to be mended.",
  cause: "A rule of the job is written down as an error that the program raises.",
  avoid: "Nothing is to be avoided: look whether the rule is the one that is meant.",
  fault: false,
  grounds: [
    byMessage("raised on purpose", { more: 4 }),
    // The line that stopped it throws by the program's own word, whatever the error is called.
    byText(
      ({ class: of, message, lines }) =>
        of === "runtime" && message?.line && throws.test(lines[message.line - 1] ?? "")
          ? { line: message.line, why: "This line stops the program by its own word." }
          : null,
      8,
    ),
  ],
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
