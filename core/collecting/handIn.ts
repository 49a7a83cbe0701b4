import * as z from "zod";
import { decodeText } from "../source/decode.ts";

const words = z.string().max(20_000).default("");

/**
 * What a student hands in, beside the program's bytes. The first three answer the questions that come before any code.
 */
export const handInSchema = z.object({
  student: z.string().max(200).default(""),
  code: z.string().max(40).default(""),
  intent: words,
  instead: words,
  changedLast: words,
  /** True if the student has read the task again and still cannot say what it was meant to do. */
  cannotSay: z.boolean().default(false),
  fileName: z.string().max(200).default(""),
  output: z.string().max(2_000_000).default(""),
  input: z.string().max(200_000).default(""),
  userActions: words,
});
export type HandIn = z.infer<typeof handInSchema>;

/**
 * Most characters of an error output, and bytes of a program, that a student hands in: many times what any of a class
 * needs.
 */
export const longestOutput = 400_000;
export const largestHandIn = 500_000;

/** What is said of an output that is too long; null if it is not. */
export function problemOfOutput(output: string): string | null {
  return output.length <= longestOutput
    ? null
    : "This output is longer than 400 000 characters. Hand in its beginning: the first messages say most.";
}

/**
 * What keeps a hand-in from being taken, as words for the student by field; empty if nothing does. `asked`:
 * which questions are; from a terminal none, and not the purpose that an assignment states.
 */
export function problemsOfHandIn(
  given: HandIn,
  program: Uint8Array,
  asked: { intent: boolean; instead: boolean },
): Partial<Record<"intent" | "instead" | "program" | "output", string>> {
  const problems: ReturnType<typeof problemsOfHandIn> = {};
  if (asked.intent && given.intent.trim() === "" && !given.cannotSay)
    problems.intent =
      "Say in your own words what it was meant to do. If you are not sure, read the task once more; that often helps.";
  if (asked.instead && given.instead.trim() === "")
    problems.instead = "Say what it did instead: stopped, printed something else, never ended …";
  if (program.length === 0) problems.program = "The program is missing: choose its file or paste it.";
  else if (program.length > largestHandIn)
    problems.program = "The program is longer than 500 000 bytes. Hand in the file that you wrote, not what it made.";
  else if (decodeText(program).binary)
    problems.program = "This is no program text. Choose the file that you wrote, not one that was made from it.";
  const tooLong = problemOfOutput(given.output);
  if (tooLong !== null) problems.output = tooLong;
  return problems;
}
