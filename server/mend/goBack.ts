import { setCurrentVersion, type WholeCase } from "../cases/caseStore.ts";
import { type Change, type Changed, changeCase } from "../cases/changeCase.ts";
import { deleteLayer, reopenLayer } from "../cases/layerStore.ts";
import type { VersionHead } from "../cases/versionStore.ts";
import type { Services } from "../services.ts";

/**
 * Goes back to an earlier version: layers mended after it open again, those that began after it are put aside (kept as
 * former values).
 */
export async function goBackTo(
  services: Pick<Services, "database">,
  found: WholeCase,
  change: Omit<Change, "key" | "reason">,
  versionKey: string,
): Promise<Changed> {
  const target = found.versions.find((version) => version.key === versionKey);
  if (!target) return { ok: false, message: "There is no such version of this case. Nothing was changed." };
  const reason = `went back to version ${target.number}`;
  // Versions on the way from the first to the target stay; everything mended on another way is undone.
  const way = new Set<string>();
  for (let at: VersionHead | undefined = target; at; at = found.versions.find((each) => each.key === at?.parent))
    way.add(at.key);
  const undone = found.layers.filter((layer) => layer.version_after === null || !way.has(layer.version_after));
  return changeCase(services.database, { ...change, reason, key: found.key }, async ({ query, keep }) => {
    for (const layer of undone) {
      await keep("layer", layer.key, layer);
      if (layer.version_before === target.key) await reopenLayer(query, layer.key);
      else await deleteLayer(query, layer.key);
    }
    await setCurrentVersion(query, found.key, target.key);
    return undefined;
  });
}
