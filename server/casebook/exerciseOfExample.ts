import { findLanguage } from "../../core/languages/languages.ts";
import type { Example } from "../../core/patterns/example.ts";
import { collectCase, findCase } from "../cases/caseStore.ts";
import { sayPattern } from "../judge/decisions.ts";
import { runExample } from "../judge/exampleRuns.ts";
import { tryFix } from "../mend/tryFix.ts";
import type { Who } from "../people/teacherStore.ts";
import type { Services } from "../services.ts";

/**
 * Makes a case of an example of a kind of mistake, mended by its right program in a real run, so that an exercise can be made of it. Words where the
 * example does not run here.
 */
export async function caseOfExample(
  services: Services,
  who: Who,
  example: Example,
  pattern: { id: string; name: string; says: string },
): Promise<{ ok: true; case: string } | { ok: false; message: string }> {
  const run = await runExample(services.toolchains, example);
  const language = findLanguage(example.language);
  if (!run.ok || !language) return { ok: false, message: run.ok ? "The language is not known." : run.problem };
  const key = await collectCase(services.database, {
    ...{ language: example.language, course: null, student: null, title: pattern.name, intent: "", changedLast: "" },
    files: [{ name: language.mainName, bytes: Buffer.from(example.faulty) }],
    ...{
      input: example.input,
      expected: run.record.intended,
      symptom: null,
      source: "an example of a kind of mistake",
    },
  });
  const found = await findCase(services.database, key, "all");
  if (!found) return { ok: false, message: "The case was not kept." };
  const tried = await tryFix(services, found, { who, revision: found.revision }, example.right, false);
  if (!tried.ok) return tried;
  const mended = await findCase(services.database, key, "all");
  const layer = mended?.layers[0];
  if (mended && layer)
    await sayPattern(services, mended, { who, revision: mended.revision, reason: "" }, layer.key, pattern.id);
  return { ok: true, case: key };
}
