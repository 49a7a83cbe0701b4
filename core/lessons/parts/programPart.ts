import * as z from "zod";
import { definePart } from "../partKind.ts";

/** What may be left out of going through a faulty program. */
export const programSteps = ["class", "line", "fix"] as const;

export const programSchema = z.object({ exercise: z.string(), without: z.array(z.enum(programSteps)).default([]) });

export const programPart = definePart({
  kind: "program",
  title: "A faulty program together",
  about: "A program before the class: guess, run it, name the kind of error, find the line, mend it, run it again.",
  schema: programSchema,
  minutes: ({ exercise, without }, { exercises }) =>
    Math.max(1, exercises.get(exercise)?.classes.length ?? 1) * (2 + 2 * (programSteps.length - without.length)),
  tasks: () => 1,
  begins: ({ exercises: [first] }) =>
    first ? { exercise: first.key, without: [] } : "There is no exercise yet. Make one from a case first.",
});
