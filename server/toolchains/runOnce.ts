import { type Outcome, type RunRequest, tellsInCompany, unknownBecause } from "../../core/outcome/outcome.ts";
import type { Trace } from "../../core/trace/trace.ts";
import { textKey } from "./textKey.ts";
import type { Toolchain } from "./toolchain.ts";
import type { Toolchains } from "./toolchains.ts";

/** Everything that decides what a run gives. */
const keyOf = ({ files, ...others }: RunRequest) => `${textKey({ files })} ${JSON.stringify(others)}`;

/** The same call, made once for each request; one that told nothing (see unknownBecause) is made again when asked for again. */
function madeOnce<Result>(
  call: (request: RunRequest) => Promise<Result>,
  outcomeOf: (result: Result) => Outcome,
  made = new Map<string, Promise<Result>>(),
) {
  return (request: RunRequest): Promise<Result> => {
    const key = keyOf(request);
    const earlier = made.get(key);
    if (earlier) return earlier;
    const result = call(request);
    made.set(key, result);
    result.then(
      (told) => unknownBecause(outcomeOf(told)) !== null && made.delete(key),
      () => made.delete(key),
    );
    return result;
  };
}

/** Runs of many in one job, of which each that tells what its own run would is kept among those. */
function keptBeside(runMany: NonNullable<Toolchain["runMany"]>, runs: Map<string, Promise<Outcome>>): typeof runMany {
  return async (request, variants, seconds) => {
    const outcomes = await runMany(request, variants, seconds);
    for (const [at, { main, input }] of variants.entries()) {
      const [first, ...others] = request.files;
      const outcome = outcomes[at];
      if (!first || !outcome || !tellsInCompany(outcome)) continue;
      const key = keyOf({ ...request, input, files: [{ ...first, bytes: main }, ...others] });
      if (!runs.has(key)) runs.set(key, Promise.resolve({ ...outcome, inCompany: true }));
    }
    return outcomes;
  };
}

/**
 * Translators that make every run and every recording once, however often and at the same time it is asked for: for one piece
 * of work, such as the making of an exercise, in which a program counts by one run of it. What was told in company (tellsInCompany)
 * is not run alone again. Not for what asks whether two runs of a program are the same.
 */
export function runOnce(toolchains: Toolchains): Toolchains {
  const known = new Map<string, Toolchain>();
  return {
    ...toolchains,
    find: (language) => {
      const own = known.get(language) ?? toolchains.find(language);
      if (!own || known.has(language)) return own;
      const { runMany } = own;
      const runs = new Map<string, Promise<Outcome>>();
      const once: Toolchain = {
        ...own,
        run: madeOnce(own.run, (outcome) => outcome, runs),
        ...(runMany ? { runMany: keptBeside(runMany, runs) } : {}),
        trace: madeOnce(own.trace, (trace: Trace) => trace.outcome),
      };
      known.set(language, once);
      return once;
    },
  };
}
