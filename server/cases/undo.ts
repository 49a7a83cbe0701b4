import type { Services } from "../services.ts";
import { findCase, type WholeCase } from "./caseStore.ts";
import { type Change, type Changed, changeCase } from "./changeCase.ts";
import { refreshSearchText } from "./searchStore.ts";
import { casesOfPress, lastSteps, restoreStep } from "./undoStore.ts";

/** Makes one case what it was before its last press; words where there is nothing to undo. */
async function undoIn(services: Services, change: Omit<Change, "reason">): Promise<Changed & { press?: string }> {
  const steps = await lastSteps(services.database.query, change.key);
  const [newest, oldest] = [steps[0], steps.at(-1)];
  if (!newest || !oldest || newest.says === "")
    return { ok: false, message: "There is nothing to undo: nothing was changed since." };
  const says = newest.says.startsWith("the undoing of ")
    ? newest.says.slice("the undoing of ".length)
    : `the undoing of ${newest.says}`;
  const press = { key: change.press?.key ?? newest.key, says };
  const done = await changeCase(services.database, { ...change, press, reason: "undone" }, async ({ query }) => {
    await restoreStep(query, change.key, oldest.key);
    await refreshSearchText(query, change.key);
    return undefined;
  });
  return done.ok ? { ok: true, press: newest.press } : done;
}

/**
 * Undoes what was done last to a case, and to others by the same press where nothing was done to them since. The undoing can
 * be undone in turn. `cases`: how many were brought back.
 */
export async function undoLast(
  services: Services,
  found: WholeCase,
  change: Omit<Change, "key" | "text" | "reason">,
): Promise<Changed & { cases?: number }> {
  const done = await undoIn(services, { ...change, key: found.key });
  if (!done.ok || !done.press) return done;
  let cases = 1;
  for (const key of await casesOfPress(services.database.query, done.press)) {
    const [newest] = key === found.key ? [] : await lastSteps(services.database.query, key);
    const other = newest?.press === done.press ? await findCase(services.database, key) : null;
    if (other && (await undoIn(services, { ...change, key, revision: other.revision })).ok) cases += 1;
  }
  return { ok: true, cases };
}
