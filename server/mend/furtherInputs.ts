import { compareOutput } from "../../core/assignments/compareOutput.ts";
import type { Comparison } from "../../core/assignments/comparison.ts";
import { generateInputs } from "../../core/assignments/generateInputs.ts";
import { guessShape } from "../../core/assignments/guessShape.ts";
import type { InputShape } from "../../core/assignments/inputShape.ts";
import { limitsIn } from "../../core/assignments/limitsIn.ts";
import { type ProposedInput, proposeInputs } from "../../core/assignments/proposeInputs.ts";
import { type Guard, guardOf } from "../../core/fixes/guards.ts";
import type { Language } from "../../core/languages/language.ts";
import { consoleText, type Diagnostic, type Outcome, type ProgramFiles } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import { runProgram, runVariants, usualLimits } from "../judge/run.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";

/** How many inputs are tried at most, and how many guards are tried out. */
const mostInputs = 60;
const mostGuards = 6;
const together = 20;
const usuallyAtOnce = 4;

/** A way in which a program still fails, with one input that shows it and how many more there are. */
export type StillFails = {
  how: "stops" | "does not end" | "differs from the model";
  kind: ProposedInput["kind"];
  input: string;
  purpose: string;
  /** What is said of the stop; or what comes out, and what the model gives. */
  says: string;
  wanted: string | null;
  line: number | null;
  more: number;
  /** What can be asked before, and whether that was tried: the stop is gone and other input comes out as before. */
  guard: (Omit<Guard, "text"> & { holds: boolean }) | null;
};

/** What further inputs show of a program that passes its checks. `alsoTheModel`: inputs with which the model stops, too. */
export type FurtherInputs = {
  tried: number;
  well: number;
  alsoTheModel: number;
  compared: boolean;
  fails: StillFails[];
  seconds: number;
  notTried?: string;
};

export type FurtherRequest = {
  language: Language;
  files: ProgramFiles;
  /** What is typed in; guessed from the model or the program where it is empty. */
  shape: InputShape;
  model?: { language: Language; files: ProgramFiles };
  comparison: Comparison;
  seconds: number;
  atOnce?: number;
  signal?: AbortSignal;
  onTried?: (tried: number) => void;
};

const textOf = (files: ProgramFiles) => (files[0] ? decodeText(files[0].bytes).text : "");

/** Valid and invalid inputs of a shape: those worth trying by themselves, then such as chance draws. */
function inputsOf(language: Language, text: string, given: InputShape): ProposedInput[] {
  const shape = given.length > 0 ? given : guessShape(language, text);
  const limits = limitsIn(language, text, shape);
  const proposed = shape.length > 0 ? proposeInputs(shape, limits) : [];
  const seen = new Set(proposed.map((each) => each.input));
  const drawn = generateInputs(shape, limits, mostInputs)
    .filter((input) => !seen.has(input))
    .map((input): ProposedInput => ({ name: "", input, kind: "normal", purpose: "drawn by chance" }));
  return [...proposed, ...drawn].slice(0, mostInputs);
}

/** Tries a program with further inputs, valid and not: with which it still stops or differs from the model, and what would guard it. */
export async function tryFurtherInputs(toolchains: Toolchains, request: FurtherRequest): Promise<FurtherInputs> {
  const begun = Date.now();
  const until = begun + request.seconds * 1000;
  const { language, files, model } = request;
  const over = () => Date.now() >= until || request.signal?.aborted === true;
  const result: FurtherInputs = {
    ...{ tried: 0, well: 0, alsoTheModel: 0, compared: model !== undefined },
    ...{ fails: [], seconds: 0 },
  };
  const inputs = inputsOf(model?.language ?? language, textOf(model?.files ?? files), request.shape);
  if (inputs.length === 0)
    return { ...result, notTried: "The program reads nothing that could be typed in otherwise." };

  /** Outcomes of a program with each input, null where none was told: many in one job where the translator has such a thing. */
  const runAll = async (
    program: { language: Language; files: ProgramFiles },
    typed: readonly string[],
  ): Promise<Array<Outcome | null>> => {
    const run = { ...program, limits: usualLimits, hurried: true };
    const found: Array<Outcome | null> = typed.map(() => null);
    const main = program.files[0]?.bytes ?? new Uint8Array();
    for (let at = 0; at < typed.length && !over(); at += together) {
      const part = typed.slice(at, at + together).map((input) => ({ main, input }));
      const told = await runVariants(toolchains, run, part, Math.max(0.5, (until - Date.now()) / 1000));
      if (told === null) break;
      for (const [place, outcome] of told.entries()) found[at + place] = outcome;
    }
    let next = 0;
    const worker = async () => {
      for (let at = next++; at < typed.length && !over(); at = next++)
        if (!found[at]) {
          const { outcome, unknown } = await runProgram(toolchains, { ...run, input: typed[at] ?? "" });
          found[at] = unknown === null ? outcome : null;
        }
    };
    await Promise.all(Array.from({ length: request.atOnce ?? usuallyAtOnce }, worker));
    return found;
  };

  /** The line of a stop that names none, by a run of its own, which a debugger looks at. */
  const placeOf = async (input: string): Promise<number | null> => {
    const { outcome } = await runProgram(toolchains, { language, files, input });
    const frame = outcome?.found?.frames.find((each) => each.own && each.line !== undefined);
    return frame?.line ?? outcome?.diagnostics.find((each) => each.line !== undefined)?.line ?? null;
  };

  const typed = inputs.map((each) => each.input);
  const own = await runAll({ language, files }, typed);
  const meant = model ? await runAll(model, typed) : [];
  const byPlace = new Map<string, StillFails>();
  const good: Array<{ input: string; out: string }> = [];
  const stopped = new Map<StillFails, Diagnostic>();
  for (const [at, { input, kind, purpose }] of inputs.entries()) {
    const [outcome, wanted] = [own[at], meant[at]];
    if (!outcome || outcome.stoppedBy === "refused" || (model && !wanted)) continue;
    result.tried += 1;
    request.onTried?.(result.tried);
    const out = consoleText(outcome.console, ["out"]);
    const stops = !outcome.finished;
    const modelStops = wanted !== undefined && wanted !== null && !wanted.finished;
    if (stops && modelStops) {
      result.alsoTheModel += 1;
      continue;
    }
    const expected = wanted?.finished && !wanted.inputRanOut ? consoleText(wanted.console, ["out"]) : null;
    // With what is not valid programs may well differ: there only the stop is told.
    const differs =
      !stops &&
      expected !== null &&
      kind !== "erroneous" &&
      !compareOutput(outcome.console, expected, request.comparison).same;
    if (!stops && !differs) {
      result.well += 1;
      if (kind !== "erroneous") good.push({ input, out });
      continue;
    }
    const diagnostic = outcome.diagnostics.find((each) => each.primary) ?? outcome.diagnostics[0];
    const line = stops ? (diagnostic?.line ?? null) : null;
    const how = differs ? "differs from the model" : outcome.stoppedBy === "time" ? "does not end" : "stops";
    const place = stops ? `${how} ${line} ${diagnostic?.errorName ?? diagnostic?.message ?? ""}` : how;
    const known = byPlace.get(place);
    if (known) {
      known.more += 1;
      continue;
    }
    const told = diagnostic ? [diagnostic.errorName, diagnostic.message].filter((each) => each).join(": ") : "";
    const fail: StillFails = {
      ...{ how, kind, input, purpose, line, more: 0, wanted: differs ? expected : null },
      ...{ says: differs ? out : told, guard: null },
    };
    if (how === "stops" && diagnostic) stopped.set(fail, diagnostic);
    byPlace.set(place, fail);
  }
  // A guard is tried with the value that stops the program and with one that does not.
  for (const [fail, diagnostic] of [...stopped].slice(0, mostGuards)) {
    if (over()) break;
    fail.line ??= await placeOf(fail.input);
    const guard = guardOf(language, textOf(files), {
      ...diagnostic,
      ...(fail.line === null ? {} : { line: fail.line }),
    });
    if (!guard) continue;
    const { text, ...rest } = guard;
    fail.guard = { ...rest, holds: false };
    if (text === null) continue;
    const asked = files.map((file, at) => (at === 0 ? { ...file, bytes: Buffer.from(text) } : file));
    const sample = good[0];
    const typedNow = [fail.input, ...(sample ? [sample.input] : [])];
    const [bad, fine] = await runAll({ language, files: asked }, typedNow);
    const same = !sample || (fine?.finished === true && consoleText(fine.console, ["out"]) === sample.out);
    fail.guard.holds = bad?.finished === true && same;
  }
  result.fails = [...byPlace.values()].sort((one, other) => order[one.kind] - order[other.kind]);
  return { ...result, seconds: (Date.now() - begun) / 1000 };
}

const order = { normal: 0, boundary: 1, erroneous: 2 } as const;
