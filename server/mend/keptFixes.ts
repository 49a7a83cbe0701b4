import { findHunks, type Hunk } from "../../core/fixes/hunks.ts";
import { versionOf, type WholeCase } from "../cases/caseStore.ts";
import { type Change, type Changed, changeCase } from "../cases/changeCase.ts";
import type { Services } from "../services.ts";
import { deleteFix, insertFix, listFixes, preferFix } from "./keptFixStore.ts";

/** A fix that a teacher accepts for a version: what it changes, what it is meant for, and whether it is the preferred one. */
export type KeptFixView = { key: string; hunks: Hunk[]; intention: string; preferred: boolean };

/** The fixes that are accepted for the current version, the preferred one first. */
export async function keptFixesOf(services: Services, found: WholeCase): Promise<KeptFixView[]> {
  const before = versionOf(found, found.current_version).files[0]?.text ?? "";
  const kept = await listFixes(services.database, found.current_version);
  return kept.map(({ key, content, intention, preferred }) => ({
    ...{ key, intention, preferred },
    hunks: findHunks(before, content),
  }));
}

/** Keeps one more acceptable fix, with what it is meant for; the first one is the preferred one. */
export async function keepFix(
  services: Services,
  found: WholeCase,
  change: Omit<Change, "key" | "text">,
  fix: { text: string; intention: string },
): Promise<Changed> {
  const kept = await listFixes(services.database, found.current_version);
  if (kept.some((each) => each.content === fix.text))
    return { ok: false, message: "This change is among the fixes that you keep already." };
  return changeCase(services.database, { ...change, key: found.key }, async ({ query }) => {
    await insertFix(query, found.current_version, { ...fix, preferred: kept.length === 0 });
    return undefined;
  });
}

/** Prefers one of the fixes that are kept, or leaves it out. */
export async function changeKeptFix(
  services: Services,
  found: WholeCase,
  change: Omit<Change, "key" | "text">,
  key: string,
  what: "prefer" | "leave",
): Promise<Changed> {
  const kept = await listFixes(services.database, found.current_version);
  const fix = kept.find((each) => each.key === key);
  if (!fix) return { ok: false, message: "This fix is not kept any more. Nothing was changed." };
  return changeCase(services.database, { ...change, key: found.key }, async ({ query, keep }) => {
    if (what === "prefer") return void (await preferFix(query, found.current_version, key));
    await keep("fix", key, fix);
    await deleteFix(query, key);
    return undefined;
  });
}
