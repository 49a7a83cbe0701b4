import { findLanguage } from "../../core/languages/languages.ts";
import { classesOf, type LessonContent, usualLesson } from "../../core/lessons/lesson.ts";
import { findExercise, listTeachable } from "../exercises/exerciseStore.ts";
import { newKey } from "../keys.ts";
import type { Services } from "../services.ts";
import { listPlaced } from "../sheets/sheetStore.ts";
import { proposeLab } from "./lab.ts";
import { knownExercise } from "./lessonView.ts";

/** How many changes of one sign a lesson begins with. */
const changesAtFirst = 5;

/**
 * The content of a lesson as it is usually held with a sheet. Programs that are gone through together are others than the
 * sheet's where there are some of the kind, in its language, so that nothing of it is told; else its own. Without a sheet it
 * is empty.
 */
export async function contentFor(
  services: Pick<Services, "database" | "toolchains">,
  sheet: string | null,
  endlessClass: "logic" | "runtime",
): Promise<LessonContent> {
  const { database } = services;
  const placed = sheet === null ? [] : await listPlaced(database, sheet);
  if (placed.length === 0)
    return usualLesson({ classes: [], exercises: [], sheet, lab: null, newKey: () => newKey(8) });
  const own = placed.map(({ key, title, content }) => knownExercise(key, title, content));
  const languages = new Set(placed.map(({ content }) => content.language));
  const others = (await listTeachable(database)).filter(
    ({ key, language, mended }) => mended && languages.has(language) && own.every((each) => each.key !== key),
  );
  const exercises = [...others, ...own];
  const runs = (language: string) => findLanguage(language)?.runs !== false;
  const classes = classesOf(own);
  const newPart = () => newKey(8);
  const without = usualLesson({ classes, exercises, sheet, lab: null, newKey: newPart });
  const shown = new Set(without.parts.map(({ content }) => Object(content).exercise));
  // The right program of a lab tells how the faulty one is mended, so it is one that is not gone through otherwise.
  const running = others.filter(({ language }) => runs(language));
  const mended = placed.find(({ content }) => content.mended !== null);
  const first = running.find(({ key }) => !shown.has(key)) ?? running[0] ?? mended;
  const forLab = first ? await findExercise(database, first.key) : null;
  const changes = forLab ? await proposeLab(services, forLab.content, changesAtFirst, endlessClass) : [];
  if (!forLab || changes.length === 0) return without;
  return usualLesson({ classes, exercises, sheet, lab: { exercise: forLab.key, changes }, newKey: newPart });
}
