import { usualRules } from "../core/sittings/sittingRules.ts";
import { listExercises } from "../server/exercises/exerciseStore.ts";
import { handInSitting } from "../server/marks/markingWork.ts";
import { listCourses, listStudents } from "../server/people/courseStore.ts";
import type { Services } from "../server/services.ts";
import { setForStudents } from "../server/sheets/setSheet.ts";
import { addSheet, findEdition, findSheet, placeExercise, setRules, setSection } from "../server/sheets/sheetStore.ts";
import { keepLate } from "../server/sittings/answerStore.ts";
import { beginAgain, beginSitting, saveAnswer } from "../server/sittings/sittingStore.ts";

/** A sheet for practice, in parts: title of an exercise that is there, and the part that it belongs to. */
const practice = {
  title: "Warm-up: one fault each",
  exercises: [
    { title: "Boarding list: is there a place left?", section: "Part A: it does not start" },
    { title: "Load on the car deck", section: "Part B: it stops" },
  ],
} as const;

/** What is written by kind of task, at a first try and at a second one. */
const written = {
  first: { classify: { class: "logic", reason: "Something is wrong with it." }, point: { lines: [3] } },
  second: {
    classify: { class: "syntax", reason: "A colon is missing, so it is not started at all." },
    point: { lines: [5] },
  },
} as const;

/** Sheets of the first course that are sat in other ways: one for practice, done again, and one on paper. */
export async function loadRoomSheets(services: Services): Promise<void> {
  const { database } = services;
  const course = (await listCourses(database)).find(({ name }) => name === "Kittiwake Crossing, group 1");
  const exercises = await listExercises(database);
  const key = (title: string) => exercises.find((exercise) => exercise.title === title)?.key;
  if (!course || practice.exercises.some(({ title }) => !key(title))) return;

  const set = async (title: string, mode: "practice" | "paper", placed: typeof practice.exercises) => {
    const sheet = await addSheet(database, course.key, title);
    for (const exercise of placed) {
      const own = key(exercise.title) ?? "";
      await placeExercise(database, sheet, own);
      await setSection(database, sheet, own, exercise.section);
    }
    await setRules(database, sheet, {
      ...usualRules,
      mode,
      oneAtATime: mode === "practice",
      otherScenes: mode === "practice",
      hintCost: 0.5,
    });
    const found = await findSheet(database, sheet);
    const done = found ? await setForStudents(services, found, true) : null;
    return done?.ok ? findEdition(database, done.edition) : null;
  };
  await set("Debugging 1, on paper", "paper", practice.exercises);
  const edition = await set(practice.title, "practice", practice.exercises);
  if (!edition) return;

  const students = await listStudents(database, course.key);
  const student = (label: string) => students.find((each) => each.label === label)?.key ?? "";
  const [first] = edition.content.exercises;
  const answer = async (sitting: string, which: keyof typeof written) => {
    for (const task of first?.content.tasks ?? []) {
      const given: Record<string, unknown> = written[which];
      if (given[task.kind] !== undefined) await saveAnswer(database, sitting, task.key, 1, given[task.kind]);
    }
  };
  // One has done it twice, one has begun, and of one something came after it had been handed in.
  const once = await beginSitting(database, edition.key, student("S-02"));
  await answer(once, "first");
  await handInSitting(services, { key: once });
  const again = await beginAgain(database, once);
  if (again) await answer(again, "second");
  if (again) await handInSitting(services, { key: again });
  await answer(await beginSitting(database, edition.key, student("S-04")), "first");
  const late = await beginSitting(database, edition.key, student("S-07"));
  await answer(late, "first");
  await handInSitting(services, { key: late }, "bell");
  const task = first?.content.tasks.find(({ kind }) => kind === "point");
  if (task) await keepLate(database, late, task.key, written.second.point, new Date());
}
