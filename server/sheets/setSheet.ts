import { proposeNames, wordsOfLabels } from "../../core/exercises/names.ts";
import { namesInExercise } from "../../core/exercises/namesInExercise.ts";
import { findCase, startVersion, versionOf } from "../cases/caseStore.ts";
import { findExercise, keepReasons, reasonsAgainst } from "../exercises/exerciseStore.ts";
import { levelNow } from "../exercises/levelNow.ts";
import { selfCheck } from "../exercises/selfCheck.ts";
import { languageOf } from "../judge/judge.ts";
import { listStudents } from "../people/courseStore.ts";
import type { Services } from "../services.ts";
import { startScenes } from "./scenesWork.ts";
import { type EditionContent, listPlaced, type PlacedExercise, type Sheet, setSheet } from "./sheetStore.ts";

/** Whether a sheet was set. `names`: it was not because of words that may be names, which the teacher may overrule. */
export type SetSheet = { ok: true; edition: string } | { ok: false; message: string; names?: true };

/** Most words that a refusal lists. */
const mostListed = 8;

/**
 * Words that may give a person away: the labels of the sheet's course and of the exercise's case, and what looked like a
 * name in the program that it was made from.
 */
async function wordsToKeepOut(
  services: Pick<Services, "database">,
  sheet: Sheet,
  placed: PlacedExercise,
): Promise<string[]> {
  const labelsOf = async (course: string) =>
    (await listStudents(services.database, course, "all")).map((student) => student.label);
  const labels = await labelsOf(sheet.course);
  const key = (await findExercise(services.database, placed.key))?.faulty_case;
  const found = key ? await findCase(services.database, key, "all") : null;
  if (!found) return wordsOfLabels(labels);
  const all = [...labels, ...(found.course && found.course !== sheet.course ? await labelsOf(found.course) : [])];
  const start = startVersion(found);
  const main = start && versionOf(found, start.key).files[0];
  const proposed = proposeNames(languageOf(found), main?.text ?? "", main?.name ?? "", all);
  return [...wordsOfLabels(all), ...proposed.filter((each) => each.ticked).map((each) => each.word)];
}

/** What speaks against an exercise: as it was found for its newest revision, else found now. */
async function reasonsOf(
  services: Pick<Services, "database" | "toolchains">,
  placed: PlacedExercise,
): Promise<string[]> {
  const known = await reasonsAgainst(services.database, placed.key);
  if (known !== null) return known;
  const found = await findExercise(services.database, placed.key);
  if (!found) return [];
  const reasons = await selfCheck(services, found.content);
  await keepReasons(services.database, placed.key, found.revision, reasons);
  return reasons;
}

/**
 * Freezes the sheet as it stands and opens it for students. Words for the teacher if it cannot be set: a sheet that
 * holds a label or a name is not, unless the teacher says that these words are none (`noNames`).
 */
export async function setForStudents(
  services: Pick<Services, "database" | "toolchains" | "queue">,
  sheet: Sheet,
  noNames = false,
): Promise<SetSheet> {
  const placed = await listPlaced(services.database, sheet.key);
  if (placed.length === 0) return { ok: false, message: "There is no exercise on this sheet yet." };
  const empty = placed.find((each) => each.content.tasks.length === 0);
  if (empty) return { ok: false, message: `“${empty.title}” has no tasks yet.` };
  if (!noNames) {
    const names: string[] = [];
    for (const each of placed)
      for (const { word, place } of namesInExercise(
        each.title,
        each.content,
        await wordsToKeepOut(services, sheet, each),
      ))
        names.push(`“${word}” in ${place} of “${each.title}”`);
    const more = names.length > mostListed ? `, and ${names.length - mostListed} more` : "";
    if (names.length > 0)
      return {
        ok: false,
        names: true,
        message: `Students may recognise somebody: ${names.slice(0, mostListed).join("; ")}${more}. Change it in the exercise, or make the exercise anew with these names taken out.`,
      };
  }
  const against: string[] = [];
  for (const each of placed)
    for (const reason of await reasonsOf(services, each)) against.push(`“${each.title}”: ${reason}`);
  if (against.length > 0)
    return {
      ok: false,
      message: `It is not set, since an exercise is not what it should be. ${against.slice(0, mostListed).join(" ")}`,
    };
  const content: EditionContent = {
    title: sheet.title,
    exercises: await Promise.all(
      placed.map(async (each) => ({
        key: each.key,
        title: each.title,
        section: each.section,
        level: each.level ?? (await levelNow(services.database, each.content)).level,
        content: each.content,
      })),
    ),
  };
  const edition = await setSheet(services.database, sheet.key, content);
  await startScenes(services, sheet.rules, edition);
  return { ok: true, edition };
}
