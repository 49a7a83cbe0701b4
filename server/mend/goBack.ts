import * as z from "zod";
import { comparisonSchema } from "../../core/assignments/comparison.ts";
import { surroundingsSchema } from "../../core/cases/surroundings.ts";
import { checkKindSchema, insertCheck, updateCheck } from "../assignments/checkStore.ts";
import { setCurrentVersion, type WholeCase } from "../cases/caseStore.ts";
import { type Change, changeCase, type Refused } from "../cases/changeCase.ts";
import { listFormerOf } from "../cases/formerStore.ts";
import { deleteLayer, reopenLayer } from "../cases/layerStore.ts";
import type { VersionHead } from "../cases/versionStore.ts";
import type { Services } from "../services.ts";

const formerCheck = z.object({
  input: z.string(),
  expected: z.string().nullable(),
  kind: checkKindSchema,
  comparison: comparisonSchema.optional(),
  /** What former values of before there were other rules of comparing say. */
  ignore_prompts: z.boolean().optional(),
  handed_in: z.boolean(),
  surroundings: surroundingsSchema,
});

/** When a version was left: when the first one was made from it. Undefined where none was. */
function leftAt(found: WholeCase, version: VersionHead): string | undefined {
  return found.versions
    .filter((each) => each.parent === version.key)
    .map((each) => each.created_at)
    .sort()[0];
}

/**
 * The checks that were changed or taken away since a time, as they were then, by their keys: input, intended output and
 * what lay beside the program. Former values come newest first, so the last one since then is the oldest.
 */
function checksAt(former: Awaited<ReturnType<typeof listFormerOf>>, time: string) {
  const then = new Map<string, z.infer<typeof formerCheck>>();
  for (const each of former) {
    const check = formerCheck.safeParse(each.former);
    if (check.success && each.changed_at > time) then.set(each.about_key, check.data);
  }
  return then;
}

/**
 * Goes back to an earlier version: layers mended after it open again, those that began after it are put aside (kept as
 * former values). Checks that were changed or taken away after the version was left are as they were then; those that
 * were added stay. `checks`: how many came back so.
 */
export async function goBackTo(
  services: Pick<Services, "database">,
  found: WholeCase,
  change: Omit<Change, "key" | "reason">,
  versionKey: string,
): Promise<Refused | { ok: true; checks: number }> {
  const target = found.versions.find((version) => version.key === versionKey);
  if (!target) return { ok: false, message: "There is no such version of this case. Nothing was changed." };
  const reason = `went back to version ${target.number}`;
  // Versions on the way from the first to the target stay; everything mended on another way is undone.
  const way = new Set<string>();
  for (let at: VersionHead | undefined = target; at; at = found.versions.find((each) => each.key === at?.parent))
    way.add(at.key);
  const undone = found.layers.filter((layer) => layer.version_after === null || !way.has(layer.version_after));
  let checks = 0;
  const changed = await changeCase(
    services.database,
    { ...change, reason, key: found.key },
    async ({ query, keep }) => {
      for (const layer of undone) {
        await keep("layer", layer.key, layer);
        if (layer.version_before === target.key) await reopenLayer(query, layer.key);
        else await deleteLayer(query, layer.key);
      }
      const left = leftAt(found, target);
      const then =
        left === undefined ? new Map() : checksAt(await listFormerOf(query, "check", { faultyCase: found.key }), left);
      const owner = { faultyCase: found.key };
      for (const [key, was] of then) {
        const now = found.checks.find((check) => check.key === key);
        const input = {
          ...was,
          comparison: was.comparison ?? (was.ignore_prompts ? { prompts: "ignored" as const } : {}),
        };
        if (now) {
          await keep("check", key, { ...now, expected: now.recorded, comparison: now.ownComparison });
          await updateCheck(query, owner, key, input);
        } else if (!was.handed_in) await insertCheck(query, owner, input);
      }
      checks = then.size;
      await setCurrentVersion(query, found.key, target.key);
      return undefined;
    },
  );
  return changed.ok ? { ok: true, checks } : changed;
}
