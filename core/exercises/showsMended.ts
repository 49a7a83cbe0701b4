import type { ExerciseContent } from "./exercise.ts";

/** Kinds whose answer can be read from the mended program. */
const asksForFault = new Set(["point", "mend", "suspects", "intentions", "input", "rounds", "statements", "steps"]);

/**
 * Words for the teacher where a task that shows the mended program, or a part of it, stands beside one whose answer could
 * be read there; null where none does.
 */
export function besideFault({ tasks }: Pick<ExerciseContent, "tasks">, name: string): string | null {
  const other = tasks.find(({ kind }) => asksForFault.has(kind));
  return other ? `${name} is not asked beside “${other.kind}”: what it shows would tell the answer there.` : null;
}
