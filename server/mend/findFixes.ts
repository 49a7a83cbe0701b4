import * as z from "zod";
import { findCase, versionOf, type WholeCase } from "../cases/caseStore.ts";
import { noteFinding } from "../judge/findings.ts";
import { judgeVersion, languageOf, saysNothing, type VersionJudgement } from "../judge/judge.ts";
import type { Services } from "../services.ts";
import { defineJob } from "../work/job.ts";
import { cancelPending, countPending, listPending, raisePending } from "../work/jobStore.ts";
import { createStoppable, nowAndThen, runsBeside } from "../work/stoppable.ts";
import type { FoundFix } from "./foundFix.ts";
import { searchFixes } from "./search.ts";
import type { SearchCheck } from "./searchRuns.ts";
import {
  beginSearch,
  dropSearch,
  dropUnfinished,
  findSearch,
  type KeptSearch,
  keepSearch,
  noteStopped,
} from "./searchStore.ts";

/** The longest time that is looked for a program behind the pages. */
const seconds = 10;
/** The priority of what somebody waits for; whole sets have 0. */
const asked = 1;
/** Searches that go on in this process. */
const searches = createStoppable();

/** The editions of the checks of a case: what was found with others is out of date. */
export function editionsOf(found: WholeCase): string {
  return found.checks.map((check) => `${check.key} ${check.edition}`).join("\n");
}

/** The checks that a mended program has to pass: those that tell something. */
function checksOf(found: WholeCase, judged: VersionJudgement) {
  const telling = judged.results.filter((result) => !saysNothing(found, result));
  return telling.map((result): { check: SearchCheck; result: typeof result } => ({
    result,
    check: {
      ...{ input: result.check.input, surroundings: result.check.surroundings, comparison: result.check.comparison },
      ...(result.check.expected === null ? {} : { expected: result.check.expected }),
      ...(result.check.pieces ? { intended: result.check.pieces } : {}),
    },
  }));
}

/** Looks for small changes of a version behind the pages; what is found is kept as it comes. */
export const searchOf = defineJob({
  name: "find-fixes",
  // A set or an assignment whose programs are looked at without anybody having asked for this one.
  schema: z.object({ case: z.string(), version: z.string(), of: z.string().optional() }),
  about: (data) => data.version,
  priority: (data) => (data.of === undefined ? asked : 0),
  atOnce: 1,
  retries: 0,
  retryAfter: 0,
  work: async (services, data) => {
    const found = await findCase(services.database, data.case);
    const kept = await findSearch(services.database, data.version);
    if (!found || found.deleted_at !== null || kept?.state !== "waiting" || found.current_version !== data.version)
      return;
    await searches.run(data.version, (signal) =>
      services.toolchains.desk.behind("a search", async () => {
        const version = versionOf(found, data.version);
        const judged = await judgeVersion(services, found, version);
        // What is not known today is no reason not to look tomorrow.
        if (judged.unknown !== null || judged.notRun !== null) return dropSearch(services.database, data.version);
        if (!mayBeMended(found, judged)) {
          const nothing = {
            fixes: [],
            starts: [],
            tried: 0,
            seconds: 0,
            notSearched: "No fault shows that could be mended.",
          };
          return keepSearch(services.database, data.version, nothing, "done");
        }
        const checks = checksOf(found, judged);
        const early: FoundFix[] = [];
        const begun = Date.now();
        const result = await searchFixes(services.toolchains, {
          ...{ language: languageOf(found), files: version.files, policies: { endlessClass: found.endless_class } },
          ...{ checks: checks.map((each) => each.check), judged: checks.map((each) => each.result) },
          ...{ seconds, atOnce: runsBeside, signal },
          onFound: (fix) => void early.push(fix),
          onTried: nowAndThen((tried) => {
            const soFar = { fixes: early, starts: [], tried, seconds: (Date.now() - begun) / 1000 };
            return keepSearch(services.database, data.version, soFar, "waiting");
          }),
        });
        await keepSearch(services.database, data.version, result, "done");
        await noteFinding(services.database, found, judged, result.fixes.length > 0 ? result.fixes : result.starts);
      }),
    );
  },
});

/** True where looking for a change may find something: a fault shows, and runs here tell of it. */
export function mayBeMended(
  found: WholeCase,
  judged: Pick<VersionJudgement, "deciding" | "notRun" | "unknown">,
): boolean {
  return (
    judged.deciding.judgement.class !== null &&
    judged.notRun === null &&
    judged.unknown === null &&
    !found.only_read &&
    found.deleted_at === null
  );
}

/** Begins to look for changes of the current version, if that may find something and was not done with these checks. */
export async function startSearch(
  services: Services,
  found: WholeCase,
  judged: Pick<VersionJudgement, "deciding" | "notRun" | "unknown">,
  anew = false,
): Promise<void> {
  if (!mayBeMended(found, judged)) return;
  await begin(services, found, anew);
}

/** Begins to look in the current version, if that was not done with these checks; `of`: the set that it is looked at with. */
async function begin(services: Services, found: WholeCase, anew: boolean, of?: string): Promise<void> {
  const version = found.current_version;
  const kept = await findSearch(services.database, version);
  if (kept?.checks === editionsOf(found) && !anew) {
    // One that waits with its set comes before the others now that somebody waits for it.
    if (kept.state === "waiting" && of === undefined)
      await raisePending(services.database, searchOf.name, "version", version, asked);
    return;
  }
  await beginSearch(services.database, found.key, version, editionsOf(found));
  await services.queue.add(searchOf, [{ case: found.key, version, ...(of === undefined ? {} : { of }) }]);
}

/**
 * Begins to look for changes of cases that somebody comes to next, so that they are there by then; what shows no fault, or was
 * looked at already, is left alone.
 */
export async function searchAhead(services: Services, cases: readonly string[], of?: string): Promise<void> {
  for (const key of cases) {
    const found = await findCase(services.database, key);
    if (!found || found.only_read || found.deleted_at !== null || found.judged_at !== null) continue;
    await begin(services, found, false, of);
  }
}

/**
 * Looks for changes of a program that was judged behind the pages with its set or assignment (`of`), after those that
 * somebody waits for; not where the server was told to leave sets alone.
 */
export async function searchJudged(services: Services, key: string, of: string): Promise<void> {
  if (services.searchesSets) await searchAhead(services, [key], of);
}

/** How many programs of a set or an assignment are still to be looked at. */
export async function countToSearch(services: Services, of: string): Promise<number> {
  return countPending(services.database, searchOf.name, "of", of);
}

/** Stops looking at the programs of a set or an assignment; what was found stays, and a case that is opened is looked at. */
export async function stopSearchingSet(services: Services, of: string): Promise<void> {
  const waiting = await listPending(services.database, searchOf.name, "version", { field: "of", value: of });
  await cancelPending(services.database, searchOf.name, "of", of);
  for (const version of waiting) {
    await searches.stop(version);
    await dropUnfinished(services.database, version);
  }
}

/** Stops looking; what was found so far stays. */
export async function stopSearch(services: Services, version: string): Promise<void> {
  await noteStopped(services.database, version);
  await cancelPending(services.database, searchOf.name, "version", version);
  await searches.stop(version);
}

/** What was found for the current version of a case. `outOfDate`: its checks were changed since. */
export async function foundFor(
  services: Services,
  found: WholeCase,
): Promise<(KeptSearch & { outOfDate: boolean }) | null> {
  const kept = await findSearch(services.database, found.current_version);
  return kept && { ...kept, outOfDate: kept.checks !== editionsOf(found) };
}
