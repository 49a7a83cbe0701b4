import { consoleText, type Limits, type Outcome, type RunRequest } from "../../core/outcome/outcome.ts";
import type { CommandTries, JobAnswer } from "../sandbox/warmWorker.ts";
import { type CommandBlock, commandResultSchema } from "./commandBlock.ts";
import { buildLimits, type Plan } from "./commandPlan.ts";
import { readBlock, readTries } from "./readBlock.ts";
import type { Variant } from "./toolchain.ts";

/**
 * Many runs in one job. `each` names the variant that is run, by its place, and its command where there is no `host` that
 * runs all of them. `said`: what the translator said of a variant; `refused` are those of which that is all there is.
 */
export type TriesPlan = Pick<Plan, "files" | "build" | "terminal" | "environment" | "limits" | "renamed"> & {
  host: readonly string[] | null;
  each: ReadonlyArray<{ at: number; run?: readonly string[] }>;
  said: ReadonlyMap<number, string>;
  refused: ReadonlySet<number>;
  /** Where they are built in the job: which of them the translator refused there, with what it said of each. */
  refusedIn?: (messages: string, built: boolean) => ReadonlyMap<number, string>;
  /** What the translator says of all of them there, where it has no word of each. */
  saidTogether?: boolean;
  /** True where each is a process of its own, so that a signal that ends it is its own fault. */
  tellsSignals?: boolean;
  /** Processor time of a program's own run, in seconds, that a host spends once for all. */
  startSeconds?: number;
  /** By what a host shows in what is printed; such a run is not told. */
  hostShows?: RegExp;
  /** Names in what is printed that stand for a variant's own. */
  renamedIn?: (at: number) => NonNullable<Plan["renamed"]>;
  /** A package or namespace that a variant was put into. */
  withinIn?: (at: number) => string | undefined;
};

/** SIGKILL (signal(7)): nobody ends himself so. */
const killed = 9;
/** Runs of one job at most; what it printed has to find room in one block. */
const mostInAJob = 256;
type Done = { answer: JobAnswer; block: CommandBlock };

export type TriesTools = {
  /** `until`: when there is no time left, as Date.now() counts. */
  plan: (request: RunRequest, variants: readonly Variant[], until: number) => Promise<TriesPlan>;
  perform: (request: RunRequest, plan: Plan) => Promise<Done>;
  outcomeOf: (request: RunRequest, plan: Plan, done: Done | null) => Outcome;
};

/** Runs variants by a plan for many; null in the place of one that told nothing there. */
export async function runTries(
  request: RunRequest,
  variants: readonly Variant[],
  seconds: number,
  tools: TriesTools,
): Promise<Array<Outcome | null>> {
  const found: Array<Outcome | null> = variants.map(() => null);
  const until = Date.now() + seconds * 1000;
  const ownRequest = ({ main, input }: Variant): RunRequest => ({
    ...request,
    files: request.files.map((file, number) => (number === 0 ? { ...file, bytes: main } : file)),
    input,
  });
  for (let from = 0; from < variants.length && Date.now() < until; from += mostInAJob) {
    const own = variants.slice(from, from + mostInAJob);
    const plan = await tools.plan(request, own, until);
    const tell = (at: number, said: Pick<NonNullable<Plan["said"]>, "text" | "refused">, done: Done | null) => {
      const variant = own[at];
      if (!variant) return;
      const renamed = plan.renamedIn?.(at) ?? plan.renamed;
      const within = plan.withinIn?.(at);
      const ownPlan: Plan = {
        ...{ files: request.files, build: [], run: null, said },
        ...(renamed ? { renamed } : {}),
        ...(within ? { within } : {}),
      };
      const outcome = tools.outcomeOf(ownRequest(variant), ownPlan, done);
      if (outcome.stoppedBy !== "memory") found[from + at] = outcome;
    };
    for (const at of plan.refused) tell(at, { text: plan.said.get(at) ?? "", refused: true }, null);
    if (plan.each.length === 0) continue;
    const left = (until - Date.now()) / 1000;
    if (left <= 0) break;
    const each = limitsOfEach(request.limits, plan.startSeconds ?? 0);
    const limits = limitsOfAll(each, plan.each.length, left);
    const done = await tools.perform({ ...request, input: "", limits }, jobOf(plan, triesOf(plan, own, each), left));
    const isBuilt = done.block.result?.built.every((status) => status === 0) ?? false;
    const refused = plan.refusedIn?.(done.block.messages, isBuilt) ?? new Map<number, string>();
    for (const [at, text] of refused) tell(at, { text, refused: true }, null);
    for (const [number, tried] of readTries(done.answer.block)) {
      const at = plan.each[number]?.at ?? -1;
      if (refused.has(at) || tried.how === "past the streams") continue;
      const block = readBlock(tried.block, [], commandResultSchema);
      // What a signal ended in a process of many, or the lack of memory, is seen by a run of its own.
      const isTelling = tried.signal === 0 || (plan.tellsSignals && tried.signal !== killed);
      if (block.damaged || (tried.how === "ended" && !isTelling && block.result?.stopped === "none")) continue;
      if (plan.hostShows?.test(consoleText(block.console, ["err"]))) continue;
      const stopped = tried.how === "time" ? "time" : "none";
      const answer: JobAnswer = { ...done.answer, stopped, building: false, milliseconds: tried.milliseconds };
      const said = plan.said.get(at) ?? (plan.saidTogether ? done.block.messages : "");
      tell(at, { text: said, refused: false }, { answer, block });
    }
  }
  return found;
}

function jobOf(
  {
    said,
    refused,
    refusedIn,
    saidTogether,
    renamedIn,
    withinIn,
    hostShows,
    tellsSignals,
    startSeconds,
    each,
    host,
    ...plan
  }: TriesPlan,
  tries: CommandTries,
  seconds: number,
): Plan {
  const most = Math.min(buildLimits.cpuSeconds, seconds + 0.5);
  const limited = { ...buildLimits, cpuSeconds: most, wallSeconds: Math.min(buildLimits.wallSeconds, most) };
  return { ...plan, run: host ?? each[0]?.run ?? null, tries, buildLimits: limited };
}

function limitsOfAll(limits: Limits, count: number, seconds: number): Limits {
  return {
    ...limits,
    cpuSeconds: Math.min(limits.cpuSeconds * count, seconds) + 1,
    wallSeconds: Math.min(limits.wallSeconds * count + 5, seconds + 0.5),
  };
}

/** What one run may take: a host has started before its first. */
function limitsOfEach(limits: Limits, startSeconds: number): Limits {
  return { ...limits, cpuSeconds: Math.max(Math.min(0.2, limits.cpuSeconds), limits.cpuSeconds - startSeconds) };
}

function triesOf(plan: TriesPlan, variants: readonly Variant[], limits: Limits): CommandTries {
  const { cpuSeconds, wallSeconds } = limits;
  const each = plan.each.map(({ at, run }) => ({ input: variants[at]?.input ?? "", ...(run ? { run } : {}) }));
  return { each, host: plan.host, cpuSeconds, wallSeconds };
}

/** The first variant of each text, and for each variant the place of that among them. */
export function textsOf(variants: readonly Variant[]): { texts: Uint8Array[]; textOf: number[] } {
  const places = new Map<string, number>();
  const texts: Uint8Array[] = [];
  const textOf = variants.map(({ main }) => {
    const key = Buffer.from(main).toString("latin1");
    const known = places.get(key);
    if (known !== undefined) return known;
    places.set(key, texts.length);
    return texts.push(main) - 1;
  });
  return { texts, textOf };
}
