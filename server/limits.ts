import { type Limits, limitsSchema } from "../core/outcome/outcome.ts";

/**
 * The limits of a run: the product's own, changed by BENT_NAIL_LIMITS (JSON, e.g. {"cpuSeconds": 4}). Throws words for
 * the person if that cannot be read.
 */
export function readLimits(setting: string | undefined = process.env.BENT_NAIL_LIMITS): Limits {
  if (setting === undefined || setting.trim() === "") return limitsSchema.parse({});
  let given: unknown;
  try {
    given = JSON.parse(setting);
  } catch {
    throw new Error(`BENT_NAIL_LIMITS is no JSON: ${setting}`);
  }
  const parsed = limitsSchema.strict().safeParse(given);
  if (!parsed.success)
    throw new Error(
      `BENT_NAIL_LIMITS: ${parsed.error.issues.map((issue) => `${issue.path.join(".")} ${issue.message}`).join("; ")}`,
    );
  return parsed.data;
}
