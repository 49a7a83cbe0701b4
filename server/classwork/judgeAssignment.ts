import * as z from "zod";
import { cellOf } from "../../core/assignments/overview.ts";
import { findAssignment } from "../assignments/assignmentStore.ts";
import { findCase, type WholeCase } from "../cases/caseStore.ts";
import { setSuggestion } from "../cases/layerStore.ts";
import type { Version } from "../cases/versionStore.ts";
import { verifyAgain } from "../judge/checks.ts";
import { openLayer } from "../judge/decisions.ts";
import { keptOf } from "../judge/faultFields.ts";
import { noteFinding } from "../judge/findings.ts";
import { type CheckResult, judgeVersion, saysNothing, type VersionJudgement } from "../judge/judge.ts";
import type { Services } from "../services.ts";
import { defineJob } from "../work/job.ts";
import { cancelPending, countPending } from "../work/jobStore.ts";
import { listCasesOf, saveJudged } from "./judgedStore.ts";
import { workOutAnswer } from "./models.ts";

/** The version of a case that an overview is about: the last one that was handed in and is not said to work. */
export function lastHandedIn(found: WholeCase): Version | undefined {
  return found.loaded.findLast((version) => version.handed_in && !version.worked);
}

/** The cells of a judged version. A run as handed in that nobody said anything of is open. */
export function cellsOf(found: WholeCase, judged: VersionJudgement) {
  return judged.results.map((result: CheckResult) =>
    saysNothing(found, result)
      ? { check: result.check.key, edition: result.check.edition, result: "open" as const, alike: "" }
      : cellOf(result.check, result.judgement, result.outcome),
  );
}

/**
 * Judges what was handed in of a case by the checks of its assignment and keeps the cells. The suggestion of a layer that
 * is open is made anew; what was decided stays. A mended case is asked whether it is verified. Throws where a run told
 * nothing this time, so that the queue has it judged once more.
 */
export async function judgeOfAssignment(services: Services, key: string): Promise<void> {
  let toldNothing: string | null = null;
  /** A run that did not get its turn, or broke off; one that a person stopped is not made again. */
  const hear = (judged: VersionJudgement | undefined) => {
    toldNothing ??= judged?.results.find((each) => each.unknown !== null && each.outcome === null)?.unknown ?? null;
  };
  let found = await findCase(services.database, key, "all");
  if (!found || found.deleted_at !== null) return;
  const assignment = found.assignment === null ? null : await findAssignment(services.database, found.assignment);
  const asked = found.checks.find((check) => check.handed_in && check.expected === null);
  if (assignment && asked && (await workOutAnswer(services, assignment, asked)))
    found = (await findCase(services.database, key, "all")) ?? found;
  const handedIn = lastHandedIn(found);
  const current = found.loaded.find((version) => version.key === found?.current_version);
  const judged = handedIn && (await judgeVersion(services, found, handedIn, { quick: true }));
  hear(judged);
  if (assignment && handedIn && judged && judged.unknown === null) {
    const { class: faultClass, kind } = judged.deciding.judgement;
    await saveJudged(services.database, {
      ...{ version: handedIn.key, assignment: assignment.key, faultyCase: found.key, class: faultClass, kind },
      cells: cellsOf(found, judged),
    });
  }
  if (handedIn && judged) await noteFinding(services.database, found, judged);
  const layer = openLayer(found);
  if (layer && current && layer.version_before === current.key) {
    const now =
      current.key === handedIn?.key && judged ? judged : await judgeVersion(services, found, current, { quick: true });
    hear(now);
    if (now.unknown === null) await setSuggestion(services.database.query, layer.key, keptOf(found, now));
  }
  if (found.layers.at(-1)?.version_after === found.current_version) await verifyAgain(services, key);
  if (toldNothing !== null) throw new Error(toldNothing);
}

/** Judges one program of an assignment behind the pages. */
export const judgeProgramOf = defineJob({
  name: "judge-assignment",
  schema: z.object({ assignment: z.string(), case: z.string() }),
  about: (data) => `${data.assignment} ${data.case}`,
  atOnce: 3,
  retries: 2,
  retryAfter: 2,
  work: async (services, data) => {
    await services.toolchains.desk.behind("assignment", () => judgeOfAssignment(services, data.case));
  },
});

/** Has every program of an assignment judged anew behind the pages; what is kept of its runs is not run again. */
export async function startJudgingAssignment(
  services: Services,
  assignment: string,
  cases?: readonly string[],
): Promise<void> {
  const all = cases ?? (await listCasesOf(services.database, assignment));
  await services.queue.add(
    judgeProgramOf,
    all.map((key) => ({ assignment, case: key })),
  );
}

/** Stops the judging of an assignment's programs; those that are not judged yet stay as they are. */
export async function stopJudgingAssignment(services: Services, assignment: string): Promise<void> {
  await cancelPending(services.database, judgeProgramOf.name, "assignment", assignment);
}

/** How many programs of an assignment are still to be judged. */
export async function countToJudge(services: Services, assignment: string): Promise<number> {
  return countPending(services.database, judgeProgramOf.name, "assignment", assignment);
}
