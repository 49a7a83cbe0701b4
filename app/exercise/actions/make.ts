import { redirect } from "react-router";
import * as z from "zod";
import { type Replacement, replaceNames } from "../../../core/exercises/names.ts";
import { taskKinds } from "../../../core/exercises/taskKinds.ts";
import type { WholeCase } from "../../../server/cases/caseStore.ts";
import { addExercise } from "../../../server/exercises/exerciseStore.ts";
import { makeExercise } from "../../../server/exercises/makeExercise.ts";
import type { Services } from "../../../server/services.ts";
import { defineAction, incomplete, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

/** What making an exercise works on. */
export type MakeContext = { services: Services; found: WholeCase };

const mostMarks = 100;
/** Fields of one kind of task and of one word: "with KIND", "marks KIND", "replacement WORD". */
const fields = z
  .object({ title: field.text(500), intro: field.text(), name: field.list(), more: field.text(5000) })
  .catchall(field.text(200));
type Fields = z.output<typeof fields>;

/** A field whose name holds a kind or a word. */
const textOf = (given: Fields, name: string): string | undefined => {
  const value: unknown = given[name];
  return typeof value === "string" ? value : undefined;
};

/** The names that are ticked and the further words, each with what it becomes. */
function replacementsOf(given: Fields): Replacement[] {
  const named = [...new Set(given.name)].map((word) => ({
    word,
    replacement: textOf(given, `replacement ${word}`)?.trim() || "Person",
  }));
  const further = given.more
    .split(/[\n,;]/)
    .map((word) => word.trim())
    .filter((word) => word !== "")
    .map((word, index) => ({ word, replacement: `Person${String.fromCharCode(80 + (index % 10))}` }));
  return [...named, ...further];
}

/** Marks of each kind of task, 0 where it is not ticked; null where a ticked one has no number from 0 to 100. */
function marksOf(given: Fields): Record<string, number> | null {
  const marks: Record<string, number> = {};
  for (const { kind } of taskKinds) {
    const wanted = textOf(given, `with ${kind}`) === undefined ? "0" : (textOf(given, `marks ${kind}`)?.trim() ?? "");
    if (!/^\d{1,3}$/.test(wanted) || Number(wanted) > mostMarks) return null;
    marks[kind] = Number(wanted);
  }
  return marks;
}

/** Makes an exercise from a case and goes to it; what came out other than expected is told there. */
export const make = defineAction<MakeContext, Fields>({
  intent: "make",
  schema: fields,
  does: async ({ services, found }, given) => {
    if (given.title.trim() === "") return incomplete({ title: "Give it a title." });
    const marks = marksOf(given);
    if (marks === null) return refused(`Marks are whole numbers from 0 to ${mostMarks}. Nothing was made.`);
    if (Object.values(marks).every((mark) => mark === 0)) return refused("Tick at least one task and give it a mark.");
    const replacements = replacementsOf(given);
    const { title, intro } = given;
    const show = {
      outputs: textOf(given, "show outputs") !== undefined,
      errors: textOf(given, "show errors") !== undefined,
    };
    const made = await makeExercise(services, found, { title, intro, replacements, marks, show });
    if (made.content.tasks.length === 0) return refused(made.surprises.join(" "));
    const key = await addExercise(services.database, found.key, replaceNames(title, replacements), made.content);
    const told = new URLSearchParams(made.surprises.map((surprise) => ["surprise", surprise]));
    return redirect(`/exercises/${key}${made.surprises.length > 0 ? `?${told}` : ""}`);
  },
});
