import { textOfResults } from "../../core/assignments/intended.ts";
import { type Assignment, askVerifiedAgain } from "../assignments/assignmentStore.ts";
import {
  type CheckInput,
  deleteCheck,
  findAssignmentCheck,
  inputOf,
  insertCheck,
  listAssignmentChecks,
  orderChecks,
  updateCheck,
} from "../assignments/checkStore.ts";
import { settingOf } from "../assignments/modelStore.ts";
import type { Changed, Refused } from "../cases/changeCase.ts";
import type { Services } from "../services.ts";
import { type AssignmentChange, changeAssignment } from "./changeAssignment.ts";
import { startJudgingAssignment } from "./judgeAssignment.ts";
import { proveModels, runModels, whyNoAnswer } from "./models.ts";

const gone: Refused = { ok: false, message: "This check is not there any more. Nothing was changed." };

/** More checks than this are not taken for an assignment. */
export const mostChecks = 200;

/**
 * What a check is to be written as: with its intended output as a person said it, else as a model gives it, which then
 * waits to be confirmed. Words where neither is to be had.
 */
async function withIntended(
  services: Services,
  assignment: Assignment,
  check: CheckInput,
): Promise<CheckInput | { problem: string }> {
  if (check.expected !== null) return { ...check, pieces: check.pieces ?? null, confirmed: check.confirmed ?? true };
  const { models } = await proveModels(services, assignment);
  if (models.length === 0)
    return { problem: "Say what should come out, or add a model program that works it out. Nothing was kept." };
  const usable = models.find((model) => model.usable);
  if (!usable)
    return {
      problem: "No model passes the checks that there are, so none is used to work anything out. Nothing was kept.",
    };
  const setting = { input: check.input, surroundings: check.surroundings ?? {} };
  const [ran] = (await runModels(services, assignment.key, [setting])).filter((model) => model.key === usable.key);
  const run = ran?.runs.get(settingOf(setting));
  if (!run) return { problem: `The model was not run: ${ran?.notRun ?? "nobody knows why"}. Nothing was kept.` };
  if (!run.pieces)
    return {
      problem: `The model gives no intended output for this: ${whyNoAnswer(run.outcome)}. Say what should come out. Nothing was kept.`,
    };
  return {
    ...check,
    expected: textOfResults(run.pieces),
    pieces: run.pieces,
    workedOutBy: usable.key,
    confirmed: false,
  };
}

/** Adds a check to an assignment, or changes the one with `key`; then every program of it is judged anew. */
export async function saveAssignmentCheck(
  services: Services,
  assignment: Assignment,
  change: Omit<AssignmentChange, "key" | "text">,
  key: string | null,
  given: CheckInput,
): Promise<Changed> {
  const check = await withIntended(services, assignment, given);
  if ("problem" in check) return { ok: false, message: check.problem };
  const done = await changeAssignment(
    services.database,
    { ...change, key: assignment.key },
    async ({ query, keep }) => {
      const owner = { assignment: assignment.key };
      if (key === null) {
        if ((await listAssignmentChecks({ query }, assignment.key)).length >= mostChecks)
          return { ok: false, message: `An assignment has ${mostChecks} checks at most.` };
        await insertCheck(query, owner, check);
      } else {
        const former = await findAssignmentCheck(query, assignment.key, key);
        if (!former) return gone;
        await keep("check", key, former);
        await updateCheck(query, owner, key, check);
      }
      await askVerifiedAgain(query, assignment.key);
      return undefined;
    },
  );
  if (done.ok) await startJudgingAssignment(services, assignment.key);
  return done;
}

/** Takes a check of an assignment away; every program of it is judged anew. */
export async function removeAssignmentCheck(
  services: Services,
  assignment: string,
  change: Omit<AssignmentChange, "key" | "text">,
  key: string,
): Promise<Changed> {
  const done = await changeAssignment(services.database, { ...change, key: assignment }, async ({ query, keep }) => {
    const former = await findAssignmentCheck(query, assignment, key);
    if (!former) return gone;
    await keep("check", key, former);
    await deleteCheck(query, { assignment }, key);
    if (former.confirmed) await askVerifiedAgain(query, assignment);
    return undefined;
  });
  if (done.ok) await startJudgingAssignment(services, assignment);
  return done;
}

/** Moves a check of an assignment one place up or down: the first that fails decides a program's class. */
export async function moveCheck(
  services: Services,
  assignment: string,
  change: Omit<AssignmentChange, "key" | "text">,
  key: string,
  by: -1 | 1,
): Promise<Changed> {
  const done = await changeAssignment(services.database, { ...change, key: assignment }, async ({ query }) => {
    const keys = (await listAssignmentChecks({ query }, assignment)).map((check) => check.key);
    const at = keys.indexOf(key);
    if (at < 0) return gone;
    const to = Math.min(keys.length - 1, Math.max(0, at + by));
    keys.splice(to, 0, ...keys.splice(at, 1));
    await orderChecks(query, assignment, keys);
    return undefined;
  });
  if (done.ok) await startJudgingAssignment(services, assignment);
  return done;
}

/** Says of proposed checks that their intended outputs are right: from now on they judge. */
export async function confirmChecks(
  services: Services,
  assignment: string,
  change: Omit<AssignmentChange, "key" | "text">,
  keys: readonly string[],
): Promise<Changed> {
  const done = await changeAssignment(services.database, { ...change, key: assignment }, async ({ query }) => {
    for (const key of keys) {
      const former = await findAssignmentCheck(query, assignment, key);
      if (!former) return gone;
      if (former.expected === null) return { ok: false, message: "Nothing is intended yet. Say what should come out." };
      if (!former.confirmed) await updateCheck(query, { assignment }, key, { ...inputOf(former), confirmed: true });
    }
    await askVerifiedAgain(query, assignment);
    return undefined;
  });
  if (done.ok) await startJudgingAssignment(services, assignment);
  return done;
}
