import type { ConsolePiece, Outcome, ProgramFiles, RunRequest } from "../../core/outcome/outcome.ts";
import type { Commands } from "../sandbox/warmWorker.ts";
import type { Variant } from "./toolchain.ts";

/** One job in which many variants are tried, all with one input; `seconds` is the most that it may take. */
export type ManyPlan = {
  files: ProgramFiles;
  run: Commands["run"];
  seconds: number;
  /** The variants' answers, by their places, in what the job printed. Nothing in that is trusted. */
  read: (printed: string) => Map<number, TriedVariant>;
};
/** What a variant came to. */
export type TriedVariant = {
  console: ConsolePiece[];
  exit: number;
  signal: number;
  stopped: "none" | "time";
  milliseconds: number;
  ranOut: boolean;
};

/** What a job of many variants may print. */
const manyOutput = 16 << 20;

/** Tries variants in one job for each of their inputs; null in the place of one that told nothing there. */
export async function tryMany<Answer>(
  request: RunRequest,
  variants: readonly Variant[],
  seconds: number,
  tools: {
    plan: (request: RunRequest, variants: readonly Variant[]) => ManyPlan;
    /** What a job printed that was planned so, and how the job itself ended. */
    perform: (request: RunRequest, many: ManyPlan) => Promise<{ printed: string; answer: Answer }>;
    outcomeOf: (request: RunRequest, tried: TriedVariant, answer: Answer) => Outcome;
  },
): Promise<Array<Outcome | null>> {
  const found: Array<Outcome | null> = variants.map(() => null);
  for (const input of new Set(variants.map((each) => each.input))) {
    const places = [...variants.keys()].filter((at) => variants[at]?.input === input);
    const own = places.flatMap((at) => variants[at] ?? []);
    const many = tools.plan(request, own);
    const limit = Math.min(seconds, many.seconds);
    const limits = { ...request.limits, cpuSeconds: limit, wallSeconds: limit, outputBytes: manyOutput };
    const { printed, answer } = await tools.perform({ ...request, input: "", limits }, many);
    for (const [at, tried] of many.read(printed)) {
      const [place, main] = [places[at], own[at]?.main];
      // What a signal ended, or the lack of memory, is seen by a run of its own.
      if (place === undefined || !main || (tried.signal !== 0 && tried.stopped === "none")) continue;
      const files = request.files.map((file, number) => (number === 0 ? { ...file, bytes: main } : file));
      found[place] = tools.outcomeOf({ ...request, files, input }, tried, answer);
    }
  }
  return found;
}
