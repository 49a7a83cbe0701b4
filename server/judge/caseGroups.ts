import { alikeOf, cellOf } from "../../core/assignments/overview.ts";
import { type AlikeGroup, groupCases, type Showing } from "../../core/cases/alike.ts";
import type { FaultClass } from "../../core/verdict/verdict.ts";
import { findCase, versionOf, type WholeCase } from "../cases/caseStore.ts";
import type { Change } from "../cases/changeCase.ts";
import { listLeft, type WalkPlace } from "../cases/walkStore.ts";
import type { Services } from "../services.ts";
import { decideClass } from "./decisions.ts";
import { judgeVersion, type VersionJudgement } from "./judge.ts";
import { listCasesWithRuns } from "./runStore.ts";

/** A case that waits to be decided, with what its runs show. */
export type GroupedCase = Showing & { title: string; label: string | null; revision: number };

/** Cases that are looked at together, at most; what is left comes when these are decided. */
const most = 200;

/** The words by which a case fails: its message, or how the first wrong result differs. */
function showsOf({ deciding, results }: VersionJudgement): string {
  const { diagnostic } = deciding.judgement;
  if (diagnostic) return [diagnostic.errorName, diagnostic.message].filter(Boolean).join(": ");
  const cells = [deciding, ...results].map((each) =>
    cellOf({ key: each.check.key, edition: each.check.edition }, each.judgement, each.outcome),
  );
  return alikeOf(cells) || (deciding.outcome?.finished === false ? "does not end" : "");
}

async function groupedCase(services: Services, found: WholeCase): Promise<GroupedCase | null> {
  const judged = await judgeVersion(services, found, versionOf(found, found.current_version), { quick: true });
  const { class: faultClass, kind } = judged.deciding.judgement;
  if (faultClass === null) return null;
  return {
    ...{ key: found.key, language: found.language, class: faultClass, kind, shows: showsOf(judged) },
    ...{ title: found.title, label: found.student_label, revision: found.revision },
  };
}

/**
 * What is left of a place, by how it fails. `alone` fail like no other one, `open` show no fault, `waiting` were not run yet.
 * Nothing is run that was not run before.
 */
export async function groupsOf(
  services: Services,
  place: WalkPlace,
): Promise<{
  title: string | null;
  groups: AlikeGroup<GroupedCase>[];
  alone: number;
  open: number;
  waiting: number;
}> {
  const { keys, title } = await listLeft(services.database, place, most);
  const ran = new Set(await listCasesWithRuns(services.database, keys));
  const cases: GroupedCase[] = [];
  let open = 0;
  for (const key of keys.filter((each) => ran.has(each))) {
    const found = await findCase(services.database, key);
    const grouped = found && (await groupedCase(services, found));
    if (grouped) cases.push(grouped);
    else if (found) open += 1;
  }
  const all = groupCases(cases);
  const groups = all.filter((group) => group.cases.length > 1);
  return { title, groups, alone: all.length - groups.length, open, waiting: keys.length - ran.size };
}

/**
 * Decides cases that fail alike as one class: one press, undone as one. Those that were changed meanwhile, or cannot be of
 * that class, stay as they are, and are told with the reason.
 */
export async function decideGroup(
  services: Services,
  change: Omit<Change, "key" | "text" | "revision" | "reason">,
  members: ReadonlyArray<{ key: string; revision: number }>,
  given: { class: FaultClass; reason: string },
): Promise<{ decided: string[]; left: Array<{ title: string; message: string }> }> {
  const decided: string[] = [];
  const left: Array<{ title: string; message: string }> = [];
  for (const { key, revision } of members) {
    const found = await findCase(services.database, key);
    if (!found) {
      left.push({ title: "a case", message: "It is not there any more." });
      continue;
    }
    const done = await decideClass(services, found, { ...change, revision }, { ...given, kind: null });
    if (done.ok) decided.push(key);
    else left.push({ title: found.student_label ?? found.title, message: done.message });
  }
  return { decided, left };
}
