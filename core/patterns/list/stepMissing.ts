import { example, inMain } from "../example.ts";
import { byChange, byEdit, byNotice, putsIn } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Something that must be done is done nowhere. */
export const stepMissing: Pattern = {
  id: "step-missing",
  name: "A step that is missing",
  says: "Something that must be done is done nowhere.",
  mends: "Write it.",
  cause: "A part of the task was passed over.",
  avoid: "Tick off each sentence of the task.",
  fault: true,
  grounds: [
    byEdit("step-left-out", undefined, 2),
    byEdit("wrapped", undefined, 2),
    byEdit("call-left-out", undefined, 1),
    byEdit("factor-left-out", undefined, 1),
    byChange((change) => putsIn(change) && /^\s+\S.*[\r\n]|[\r\n]\s*\S/.test(change.after), -6),
    byNotice("step-missing", -4, true),
  ],
  examples: [
    example(
      "python",
      `fare = 9
bags = 2
«fare = fare + bags * 3
¦»print(fare)
`,
    ),
    inMain(
      "java",
      `int fare = 9, bags = 2;
«fare = fare + bags * 3;
¦»System.out.println(fare);
`,
    ),
    example(
      "pascal",
      `var fare, bags: integer;
begin
  fare := 9;
  bags := 2;
«  fare := fare + bags * 3;
¦»  writeln(fare);
end.
`,
    ),
    example(
      "pseudocode",
      `fare <- 9
bags <- 2
«fare <- fare + bags * 3
¦»OUTPUT fare
`,
    ),
    example(
      "sketch",
      `int fare = 9, bags = 2;
«fare = fare + bags * 3;
¦»println(fare);
`,
    ),
  ],
};
