import type { Language } from "../core/languages/language.ts";
import { type Limits, type Outcome, type ProgramFiles, unknownBecause } from "../core/outcome/outcome.ts";
import { decodeText } from "../core/source/decode.ts";
import type { Trace } from "../core/trace/trace.ts";
import { type Judgement, judge, wantsTrace } from "../core/verdict/judge.ts";
import { readLimits } from "./limits.ts";
import type { Toolchain } from "./toolchains/toolchain.ts";

/** A program to be judged with one check. `input` is what is typed in; the other fields are as in core/verdict/judge.ts. */
export type JudgeRequest = {
  language: Language;
  files: ProgramFiles;
  input?: string;
  expected?: string;
  ignorePrompts?: boolean;
  pastedText?: string;
  symptom?: "never ends" | "nothing appears";
  endlessClass?: "logic" | "runtime";
  limits?: Limits;
};

export type Judged = { judgement: Judgement; outcome: Outcome | null; trace: Trace | null; notRun: string | null };

/** The texts of a program's files by name. */
export function fileTexts(files: ProgramFiles): Record<string, string> {
  return Object.fromEntries(files.map((file) => [file.name, decodeText(file.bytes).text]));
}

/**
 * Runs a program (if its language runs here) and draws the verdict. The run is recorded as well where that helps to find
 * the line. Without a toolchain the pasted output and the text alone are read, and `notRun` says why.
 */
export async function judgeProgram(toolchain: Toolchain | undefined, request: JudgeRequest): Promise<Judged> {
  const limits = request.limits ?? readLimits();
  const shared = { ...request, mainName: request.files[0]?.name ?? "", files: fileTexts(request.files) };
  const state = toolchain ? await toolchain.available() : ({ ready: false, reason: `${request.language.name} cannot be run here yet.` } as const);
  if (!toolchain || !state.ready) return { judgement: judge(shared), outcome: null, trace: null, notRun: state.ready ? null : state.reason };
  const run = { files: request.files, input: request.input ?? "", limits };
  const outcome = await toolchain.run(run);
  const unknown = unknownBecause(outcome);
  if (unknown !== null) return { judgement: judge(shared), outcome: null, trace: null, notRun: unknown };
  const first = judge({ ...shared, outcome });
  if (!wantsTrace(first, outcome)) return { judgement: first, outcome, trace: null, notRun: null };
  const trace = await toolchain.trace(run);
  if (unknownBecause(trace.outcome) !== null) return { judgement: first, outcome, trace: null, notRun: null };
  return { judgement: judge({ ...shared, outcome, trace }), outcome, trace, notRun: null };
}
