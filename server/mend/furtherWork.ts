import * as z from "zod";
import { findAssignment } from "../assignments/assignmentStore.ts";
import { listModels } from "../assignments/modelStore.ts";
import { findCase, versionOf, type WholeCase } from "../cases/caseStore.ts";
import { languageOf } from "../judge/judge.ts";
import type { Services } from "../services.ts";
import { defineJob } from "../work/job.ts";
import { cancelPending } from "../work/jobStore.ts";
import type { Measured } from "../work/measuredStore.ts";
import { createStoppable, nowAndThen, runsBeside } from "../work/stoppable.ts";
import { editionsOf } from "./findFixes.ts";
import { type FurtherInputs, tryFurtherInputs } from "./furtherInputs.ts";
import { furtherResults } from "./furtherStore.ts";

/** The longest time that inputs are tried. */
const seconds = 20;
/** Trying that goes on in this process. */
const trying = createStoppable();

/** The assignment of a case and its first model, and what names them and the checks as they are. */
async function setting(services: Services, found: WholeCase) {
  const assignment = found.assignment === null ? null : await findAssignment(services.database, found.assignment);
  const [model] = assignment ? await listModels(services.database, assignment.key) : [];
  return { assignment, model, about: [model?.key ?? "", editionsOf(found)].join("\n") };
}

/** Tries further inputs on a version behind the pages. */
export const furtherOf = defineJob({
  name: "further-inputs",
  schema: z.object({ case: z.string(), version: z.string() }),
  about: (data) => data.version,
  atOnce: 1,
  retries: 0,
  retryAfter: 0,
  work: async (services, data) => {
    const found = await findCase(services.database, data.case);
    const kept = await furtherResults.find(services.database, data.version);
    if (!found || found.deleted_at !== null || kept?.state !== "waiting" || found.current_version !== data.version)
      return;
    const { assignment, model } = await setting(services, found);
    await trying.run(data.version, (signal) =>
      services.toolchains.desk.behind("further inputs", async () => {
        const result = await tryFurtherInputs(services.toolchains, {
          ...{ language: languageOf(found), files: versionOf(found, data.version).files },
          ...{ shape: assignment?.input_shape ?? [], seconds, atOnce: runsBeside, signal },
          ...(model ? { model: { language: languageOf(model), files: model.files } } : {}),
          comparison: found.checks[0]?.comparison ?? assignment?.comparison ?? {},
          onTried: nowAndThen((tried) => furtherResults.note(services.database, data.version, tried)),
        });
        await furtherResults.keep(services.database, data.version, result);
      }),
    );
  },
});

/** Begins to try further inputs on the current version of a case. */
export async function startFurther(services: Services, found: WholeCase): Promise<void> {
  const { about } = await setting(services, found);
  await furtherResults.begin(services.database, found.current_version, about);
  await services.queue.add(furtherOf, [{ case: found.key, version: found.current_version }]);
}

/** Stops trying; what was found so far stays. */
export async function stopFurther(services: Services, version: string): Promise<void> {
  await furtherResults.stop(services.database, version);
  await cancelPending(services.database, furtherOf.name, "version", version);
  await trying.stop(version);
}

/** What further inputs showed of the current version. `outOfDate`: its checks or the model were changed since. */
export async function furtherFor(
  services: Services,
  found: WholeCase,
): Promise<(Measured<FurtherInputs> & { outOfDate: boolean }) | null> {
  const kept = await furtherResults.find(services.database, found.current_version);
  return kept && { ...kept, outOfDate: kept.checks !== (await setting(services, found)).about };
}
