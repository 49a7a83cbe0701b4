import * as z from "zod";
import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import type { SittingRules } from "../../core/sittings/sittingRules.ts";
import { twinOf } from "../exercises/twinOf.ts";
import { log } from "../log.ts";
import type { Services } from "../services.ts";
import { defineJob } from "../work/job.ts";
import { keepScene, listScenes } from "./sceneStore.ts";
import { findEdition } from "./sheetStore.ts";

/** How many other scenes are made of an edition: for neighbours, and for tries before it begins with the first one anew. */
export const scenesWanted = 3;

/** An exercise in another scene with the keys of its tasks; null where there is none. */
async function inScene(services: Services, content: ExerciseContent, seed: number): Promise<ExerciseContent | null> {
  const made = await twinOf(services, content, seed).catch((problem: unknown) => {
    log.error({ err: problem }, "making another scene broke off");
    return "broke off";
  });
  if (typeof made === "string") return null;
  // Equal exercises have the same tasks in the same order: what is asked of one is asked of the other.
  const tasks = made.content.tasks.map((task, at) => ({ ...task, key: content.tasks[at]?.key ?? task.key }));
  return tasks.length === content.tasks.length ? { ...made.content, tasks } : null;
}

/** Makes the exercises of an edition in other scenes, behind the pages; those of which there is no other stay as they are. */
export const scenesOf = defineJob({
  name: "make-scenes",
  schema: z.object({ edition: z.string() }),
  about: (data) => data.edition,
  atOnce: 1,
  retries: 1,
  retryAfter: 60,
  work: async (services, data) => {
    const edition = await findEdition(services.database, data.edition);
    if (!edition) return;
    const there = new Set(await listScenes(services.database, edition.key));
    for (let number = 1; number <= scenesWanted; number++) {
      if (there.has(number)) continue;
      const exercises = await services.toolchains.desk.behind("making other scenes", async () => {
        const made: Array<{ from: (typeof edition.content.exercises)[number]; content: ExerciseContent | null }> = [];
        for (const [at, from] of edition.content.exercises.entries())
          made.push({ from, content: await inScene(services, from.content, number * 100 + at) });
        return made;
      });
      // A scene in which nothing differs is none.
      if (exercises.every(({ content }) => content === null)) return;
      await keepScene(services.database, edition.key, number, {
        ...edition.content,
        exercises: exercises.map(({ from, content }) => ({ ...from, content: content ?? from.content })),
      });
    }
  },
});

/** Begins to make the other scenes of an edition, if its sheet is sat or done again in other scenes. */
export async function startScenes(
  services: Pick<Services, "queue">,
  rules: Pick<SittingRules, "mode" | "otherScenes" | "bySeat">,
  edition: string,
): Promise<void> {
  if (rules.bySeat || (rules.mode === "practice" && rules.otherScenes))
    await services.queue.add(scenesOf, [{ edition }]);
}
