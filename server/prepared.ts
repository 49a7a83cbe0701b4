import { switchLines } from "../core/source/preparedParts.ts";
import { languageOf, versionOf } from "./casework.ts";
import type { Services } from "./services.ts";
import { insertVersion, takeRevision, type WholeCase } from "./stores/cases.ts";

/** Makes a version in which lines that were commented out are switched on, and goes on from it, as long as no fault is recorded. */
export async function switchPart(
  services: Services,
  found: WholeCase,
  revision: number,
  from: number,
  to: number,
): Promise<{ ok: true } | { ok: false; message: string }> {
  if (found.layers.length > 0) return { ok: false, message: "A fault is recorded already. Collect the part as a case of its own." };
  const current = versionOf(found, found.current_version);
  const [main, ...rest] = current.files;
  const text = main && switchLines(languageOf(found), main.text, from, to, true);
  if (!main || text === undefined || text === main.text) return { ok: false, message: "There is nothing to switch on there." };
  const stale = { ok: false as const, message: "The case was changed meanwhile. Look at it again." };
  return services.database.transaction(async (query) => {
    if (!(await takeRevision(query, found.key, revision))) return stale;
    const words = from === to ? `line ${from}` : `lines ${from} to ${to}`;
    const version = await insertVersion(
      query,
      found.key,
      [{ name: main.name, bytes: Buffer.from(text, "utf8") }, ...rest.map(({ name, bytes }) => ({ name, bytes }))],
      `${words} switched on`,
      current.key,
    );
    await query("update faulty_case set current_version = $2 where key = $1", [found.key, version]);
    return { ok: true as const };
  });
}
