import { guessShape } from "../assignments/guessShape.ts";
import type { InputShape, InputValue } from "../assignments/inputShape.ts";
import { intendedOf } from "../assignments/intended.ts";
import { limitsIn } from "../assignments/limitsIn.ts";
import { findLanguage } from "../languages/languages.ts";
import { consoleText, type Outcome } from "../outcome/outcome.ts";
import { sameValue } from "./cellValues.ts";
import type { ExerciseContent } from "./exercise.ts";

/** What is typed in to a program, and the numbers that it compares values with, by name. */
export type InputsOf = { shape: InputShape; limits: ReadonlyMap<string, readonly number[]> };

/** What is typed in to an exercise's mended program (to the program where there is none). */
export function inputsOf(exercise: Pick<ExerciseContent, "language" | "program" | "mended">): InputsOf {
  const language = findLanguage(exercise.language);
  const text = exercise.mended ?? exercise.program;
  if (!language) return { shape: [], limits: new Map() };
  const shape = guessShape(language, text);
  return { shape, limits: limitsIn(language, text, shape) };
}

/** The lines of an input, without the end of the last one. */
export const linesOfInput = (input: string): string[] => input.replace(/\r\n?/g, "\n").replace(/\n+$/, "").split("\n");

/** An input as it is typed: its lines, each ended. */
export const asTyped = (input: string): string => `${linesOfInput(input).join("\n")}\n`;

export type DataKind = "normal" | "boundary" | "erroneous";

const isNumber = (text: string) => /^[+-]?(?:\d+\.?\d*|\.\d+)$/.test(text.trim());

/** Numbers that a value is compared with, its own limits among them. */
function limitsOf(value: InputValue, { limits }: InputsOf): number[] {
  const own = limits.get(value.name) ?? [];
  const asked = own.length > 0 ? own : (limits.get("") ?? []);
  return [...asked, ...(value.from === null ? [] : [value.from]), ...(value.to === null ? [] : [value.to])];
}

/**
 * Which kinds of test data an input is, value by value: of another type than is asked for, or none at all, is erroneous; at a
 * limit or one step beside it is a boundary; all else is normal. `refused`: the program did not take it.
 */
export function kindsOfInput(input: string, known: InputsOf, refused: boolean): Set<DataKind> {
  const lines = linesOfInput(input);
  const kinds = new Set<DataKind>();
  if (refused) kinds.add("erroneous");
  const once = known.shape.every((value) => value.repeat === "1");
  for (const [index, line] of lines.entries()) {
    const value = known.shape[once ? index : Math.min(index, known.shape.length - 1)];
    if (!value) continue;
    const [text, wantsNumber] = [line.trim(), value.kind === "whole" || value.kind === "decimal"];
    if (text === "" && !wantsNumber) kinds.add("erroneous");
    else if (value.kind === "choice" && value.choices.length > 0 && !value.choices.includes(text))
      kinds.add("erroneous");
    else if (!wantsNumber) continue;
    else if (!isNumber(text) || (value.kind === "whole" && !/^[+-]?\d+$/.test(text))) kinds.add("erroneous");
    else {
      const number = Number(text);
      // Whether a number outside of what is compared is taken for an error, or is only small, the program alone may not tell.
      if ((value.from !== null && number < value.from) || (value.to !== null && number > value.to))
        for (const kind of ["erroneous", "normal"] as const) kinds.add(kind);
      const step = value.kind === "whole" ? 1 : 0.1;
      if (limitsOf(value, known).some((limit) => Math.abs(number - limit) <= step + 1e-9)) kinds.add("boundary");
    }
  }
  if (once && lines.length < known.shape.length) kinds.add("erroneous");
  if (kinds.size === 0) kinds.add("normal");
  return kinds;
}

/** True if a run did not take what was typed in: it stopped, or asked again. */
export const isRefusedBy = (outcome: Pick<Outcome, "finished" | "inputRanOut" | "stoppedBy">): boolean =>
  !outcome.finished || outcome.inputRanOut;

/** True if what somebody wrote down is what a run gave: its last values are in it, or it says that the run stops. */
export function saysResult(written: string, outcome: Outcome, prompts: readonly string[]): boolean {
  const said = written.trim();
  if (said === "") return false;
  const stops = /\b(stop|stops|error|crash|refus|not accept|asks again|again|exception|message)/i;
  if (isRefusedBy(outcome)) return stops.test(said);
  const output = withoutPrompts(outcome, prompts);
  const values = (text: string) => text.match(/[+-]?\d+(?:\.\d+)?/g) ?? [];
  const [wanted, own] = [values(output), values(said)];
  if (wanted.length > 0)
    return wanted.every((value) => own.some((each) => sameValue(each, value))) && own.length <= wanted.length + 2;
  const plain = (text: string) => text.replace(/\s+/g, " ").trim().toLowerCase();
  return plain(output) !== "" && plain(output).includes(plain(said)) && plain(said).length * 2 >= plain(output).length;
}

/** What a run gave, in words: what it printed without what asks for input, or that it did not take what was typed in. */
export function resultOf(outcome: Outcome, prompts: readonly string[]): string {
  if (isRefusedBy(outcome)) return "it stops or asks again";
  return withoutPrompts(outcome, prompts).trim();
}

/** The texts that ask for input in a run. */
export const promptsOf = (outcome: Outcome, program: string): string[] =>
  intendedOf(outcome.console, program).flatMap(({ kind, text }) => (kind === "prompt" ? [text] : []));

const withoutPrompts = (outcome: Outcome, prompts: readonly string[]): string =>
  prompts.reduce((output, prompt) => output.replace(prompt, ""), consoleText(outcome.console, ["out"]));
