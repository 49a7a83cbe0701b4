import type { RanHere } from "../sitting/ranHere.ts";
import type { TryReply } from "../sitting/replies.ts";
import type { TaskExercise } from "../tasks/taskParts.ts";

/** Asks the server about an exercise's program: to try it or record it there, or whether it may run here. */
export async function askServer<Reply>(
  code: string,
  path: "try" | "record",
  exercise: Pick<TaskExercise, "key">,
  given: { text: string; input: string; here?: "begins" | RanHere; change?: object },
): Promise<Reply> {
  const response = await fetch(`/s/${code}/${path}`, {
    method: "POST",
    headers: { "Content-Type": "application/json" },
    body: JSON.stringify({ exercise: exercise.key, ...given }),
  });
  return response.json();
}

/**
 * Whether a text may run in this browser: null, or words for the student. What was tried once may be run again without a
 * connection: nothing is left to be foretold.
 */
export async function mayRunHere(
  code: string,
  exercise: TaskExercise,
  text: string,
  input: string,
): Promise<string | null> {
  try {
    const reply = await askServer<TryReply>(code, "try", exercise, { text, input, here: "begins" });
    return reply.ok ? null : reply.message;
  } catch (problem) {
    if (exercise.tried) return null;
    throw problem;
  }
}
