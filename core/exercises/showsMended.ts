import type { ExerciseContent } from "./exercise.ts";

/** Kinds whose answer can be read from the mended program. */
const asksForFault = new Set(["point", "mend", "suspects", "intentions", "input", "rounds", "statements", "steps"]);

/** Kinds whose answer is what a run prints. */
const asksForOutput = new Set(["predict"]);

/** Words for the teacher where a task that shows what comes out stands beside one that asks for it; null where none does. */
export function besideOutput({ tasks }: Pick<ExerciseContent, "tasks">, name: string): string | null {
  const other = tasks.find(({ kind }) => asksForOutput.has(kind));
  return other ? `${name} is not asked beside “${other.kind}”: it shows what comes out.` : null;
}

/**
 * Words for the teacher where a task that shows the mended program, or a part of it, stands beside one whose answer could
 * be read there; null where none does.
 */
export function besideFault({ tasks }: Pick<ExerciseContent, "tasks">, name: string): string | null {
  const other = tasks.find(({ kind }) => asksForFault.has(kind));
  return other ? `${name} is not asked beside “${other.kind}”: what it shows would tell the answer there.` : null;
}
