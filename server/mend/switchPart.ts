import { switchLines } from "../../core/source/preparedParts.ts";
import { setCurrentVersion, startVersion, versionOf, type WholeCase } from "../cases/caseStore.ts";
import { type Change, type Changed, changeCase } from "../cases/changeCase.ts";
import { insertVersion } from "../cases/versionStore.ts";
import { languageOf } from "../judge/judge.ts";
import type { Services } from "../services.ts";
import { withMainText } from "./smallestPart.ts";

/**
 * Makes a version in which lines that were commented out are switched on, and goes on from it, as long as no fault is
 * recorded. Lines are 1-based, `to` included. With `alone` what was switched on before is off again: prepared examples
 * are gone through one by one.
 */
export async function switchPart(
  services: Pick<Services, "database">,
  found: WholeCase,
  change: Omit<Change, "key" | "reason">,
  from: number,
  to: number,
  alone = false,
): Promise<Changed> {
  if (found.layers.length > 0)
    return { ok: false, message: "A fault is recorded already. Collect the part as a case of its own." };
  const current = versionOf(found, (alone && startVersion(found)?.key) || found.current_version);
  const text = current.files[0]?.text ?? "";
  const switched = switchLines(languageOf(found), text, from, to, true);
  if (switched === text) return { ok: false, message: "There is nothing to switch on there." };
  const reason = `${from === to ? `line ${from}` : `lines ${from} to ${to}`} switched on`;
  return changeCase(services.database, { ...change, reason, key: found.key }, async ({ query }) => {
    const files = withMainText(current, switched);
    const version = await insertVersion(query, found.key, files, reason, current.key);
    await setCurrentVersion(query, found.key, version);
    return undefined;
  });
}
