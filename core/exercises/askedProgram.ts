import { refusedSymptom } from "../verdict/verdict.ts";
import type { ExerciseContent } from "./exercise.ts";

/** Which of an exercise's two programs a task is about, with its text. */
export type AskedProgram = { program: "faulty" | "mended"; text: string };

/**
 * The program whose run can be asked about: the faulty one if it starts, else the mended one. Words for a person where
 * there is none.
 */
export function askedProgram(exercise: ExerciseContent): AskedProgram | string {
  const [fault] = exercise.faults;
  // By how it shows, not by the class that a teacher may have decided otherwise; old exercises may not tell.
  const refused = fault?.symptom ? fault.symptom === refusedSymptom : fault?.class === "syntax";
  if (!refused) return { program: "faulty", text: exercise.program };
  if (exercise.mended !== null) return { program: "mended", text: exercise.mended };
  return "Output and trace table cannot be asked: the program does not start, and it is not mended yet.";
}
