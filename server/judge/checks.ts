import { restsOn, type Verification } from "../../core/cases/case.ts";
import {
  type CheckInput,
  deleteCheck,
  editionsOf,
  insertCheck,
  type ProgramCheck,
  updateCheck,
} from "../assignments/checkStore.ts";
import { findCase, holdRevision, noteJudged, noteVerified, versionOf, type WholeCase } from "../cases/caseStore.ts";
import { type Change, type Changed, changeCase } from "../cases/changeCase.ts";
import { setVerified } from "../cases/layerStore.ts";
import type { Services } from "../services.ts";
import { judgeVersion, type VersionJudgement } from "./judge.ts";

/** What a check that is one of the assignment's says to whoever would change it in a case. */
const ofAssignment: Changed = {
  ok: false,
  message: "This check is one of the assignment's. Change it there: it judges every program.",
};

/** A check as it was recorded, without what its assignment says. */
function recordedCheck(check: ProgramCheck | undefined) {
  return check && { ...check, expected: check.recorded, comparison: check.ownComparison };
}

/** A check as a person reads it, for two texts beside each other. */
function wordsOf(check: Pick<ProgramCheck, "input" | "expected"> | CheckInput | undefined): string {
  return check ? `${check.input}\n→\n${check.expected ?? "(not said)"}` : "(taken away)";
}

/** Adds a check, or changes the one with `key`; "verified" is asked for again. Then the checks are run. */
export async function saveCheck(
  services: Services,
  found: WholeCase,
  change: Omit<Change, "key" | "text">,
  key: string | null,
  check: CheckInput,
): Promise<Changed> {
  const former = found.checks.find((each) => each.key === key);
  if (former?.of_assignment) return ofAssignment;
  if (key !== null && !former) return { ok: false, message: "This check is not there any more. Nothing was changed." };
  const text =
    key === null
      ? undefined
      : {
          yours: wordsOf(check),
          theirs: (now: WholeCase) => wordsOf(now.checks.find((each) => each.key === key)),
        };
  const done = await changeCase(services.database, { ...change, text, key: found.key }, async ({ query, keep }) => {
    if (key === null) await insertCheck(query, { faultyCase: found.key }, check);
    else {
      await keep("check", key, recordedCheck(former));
      await updateCheck(query, { faultyCase: found.key }, key, check);
    }
    await noteVerified(query, found.key, false);
    return undefined;
  });
  if (done.ok) await verifyAgain(services, found.key);
  return done;
}

/** Takes a check away (not the one that was handed in). */
export async function removeCheck(
  services: Services,
  found: WholeCase,
  change: Omit<Change, "key">,
  key: string,
): Promise<Changed> {
  const former = found.checks.find((each) => each.key === key);
  if (!former) return { ok: false, message: "This check is not there any more. Nothing was changed." };
  if (former.of_assignment) return ofAssignment;
  if (former.handed_in) return { ok: false, message: "The check that was handed in stays. Change it instead." };
  const done = await changeCase(services.database, { ...change, key: found.key }, async ({ query, keep }) => {
    await keep("check", key, recordedCheck(former));
    await deleteCheck(query, { faultyCase: found.key }, key);
    await noteVerified(query, found.key, false);
    return undefined;
  });
  if (done.ok) await verifyAgain(services, found.key);
  return done;
}

/** What verifies the current version: the checks as they are, the translator, now. */
export function verificationOf(found: WholeCase, judged: VersionJudgement): Verification {
  return {
    version: judged.version.key,
    checks: editionsOf(found.checks),
    translator: judged.deciding.outcome?.translator ?? "",
    at: new Date().toISOString(),
  };
}

/** True if a case was verified once with other checks than it has now. */
export function wasVerified(found: WholeCase): boolean {
  const editions = editionsOf(found.checks);
  return (
    found.verified_at === null && found.layers.some((layer) => layer.verified && !restsOn(layer.verified, editions))
  );
}

/**
 * Runs all checks on the current version and says that a mended case is verified if all pass. False if not, and where
 * the case was changed while they ran: whoever changed it has them run again.
 */
export async function verifyAgain(services: Services, key: string): Promise<boolean> {
  const found = await findCase(services.database, key);
  const last = found?.layers.at(-1);
  if (!found || !last || last.version_after !== found.current_version) return false;
  const judged = await judgeVersion(services, found, versionOf(found, found.current_version), { alone: true });
  if (!judged.allPass) return false;
  return services.database.transaction(async (query) => {
    if (!(await holdRevision(query, key, found.revision))) return false;
    await setVerified(query, last.key, verificationOf(found, judged));
    await noteVerified(query, key, true);
    await noteJudged(query, key);
    return true;
  });
}
