import * as z from "zod";
import { type InputShape, inputShapeSchema } from "../../../core/assignments/inputShape.ts";
import { findLanguage } from "../../../core/languages/languages.ts";
import { setInputShape } from "../../../server/assignments/assignmentStore.ts";
import { deleteModel, insertModel } from "../../../server/assignments/modelStore.ts";
import { changeAssignment } from "../../../server/classwork/changeAssignment.ts";
import { proveModels } from "../../../server/classwork/models.ts";
import { guessedShape } from "../../../server/classwork/proposals.ts";
import { done, notReached, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineAssignmentAction } from "./assignmentAction.ts";

/** Adds a model program and runs it under every check; what it is to be typed in is guessed if nobody said it. */
export const addModel = defineAssignmentAction({
  intent: "add model",
  fields: { language: field.text(40), name: field.text(120), text: field.text(500_000) },
  does: async ({ services, assignment }, change, given) => {
    const language = findLanguage(given.language);
    if (!language) return refused("This language is not known here. Nothing was added.");
    if (language.runs === false) return refused("What nothing runs cannot be a model. Nothing was added.");
    if (given.text.trim() === "") return refused("The program is missing. Nothing was added.");
    const name = given.name.trim() || language.mainName;
    if (/[/\\\0]/.test(name) || /^\.+$/.test(name))
      return refused("The name of its file leads to a folder. Nothing was added.");
    const saved = await changeAssignment(services.database, { ...change, key: assignment.key }, async ({ query }) => {
      await insertModel(query, assignment.key, language.id, [{ name, bytes: Buffer.from(given.text, "utf8") }]);
      return undefined;
    });
    if (!saved.ok) return refused(saved);
    if (assignment.input_shape.length === 0)
      await setInputShape(
        services.database.query,
        assignment.key,
        await guessedShape(services.database, assignment.key),
      );
    const { models } = await proveModels(services, assignment);
    const model = models.at(-1);
    const fails = model?.cells.filter((cell) => cell.passes === false).length ?? 0;
    if (model?.notRun) return notReached(`The model is kept. It was not run: ${model.notRun}`);
    return fails === 0
      ? done("The model passes every check that there is.")
      : notReached(`The model is kept, but it fails ${fails} of the checks. It is not used to work anything out.`);
  },
});

/** Takes a model away; what it worked out stays. */
export const dropModel = defineAssignmentAction({
  intent: "remove model",
  fields: { key: field.text(100) },
  does: async ({ services, assignment }, change, { key }) => {
    const saved = await changeAssignment(services.database, { ...change, key: assignment.key }, async ({ query }) => {
      await deleteModel(query, assignment.key, key);
      return undefined;
    });
    return saved.ok ? done("The model was taken away; what it worked out stays.") : refused(saved);
  },
});

/** Runs the models under every check. */
export const runAgain = defineAssignmentAction({
  intent: "run models",
  fields: {},
  does: async ({ services, assignment }) => {
    const { models } = await proveModels(services, assignment);
    const bad = models.filter((model) => !model.usable).length;
    return bad === 0 ? done("Every model passes every check.") : notReached(`${bad} of the models fail a check.`);
  },
});

const number = z
  .string()
  .trim()
  .transform((text) => (text === "" ? null : Number(text.replace(",", "."))))
  .refine((value) => value === null || Number.isFinite(value));

/** Keeps what is typed in, value by value; rows without a name are left out. */
export const shape = defineAssignmentAction({
  intent: "shape",
  fields: {
    ...{ valueName: field.list(), valueKind: field.list(), from: field.list(), to: field.list() },
    ...{ choices: field.list(), repeat: field.list() },
  },
  does: async ({ services, assignment }, change, given) => {
    const rows = given.valueName.flatMap((name, index) => {
      if (name.trim() === "") return [];
      const limits = z
        .object({ from: number, to: number })
        .safeParse({ from: given.from[index] ?? "", to: given.to[index] ?? "" });
      return [
        {
          ...{ name: name.trim(), kind: given.valueKind[index], repeat: given.repeat[index]?.trim() || "1" },
          ...(limits.data ?? { from: Number.NaN, to: Number.NaN }),
          choices: (given.choices[index] ?? "")
            .split(",")
            .map((each) => each.trim())
            .filter((each) => each !== ""),
        },
      ];
    });
    const read = inputShapeSchema.safeParse(rows);
    const problem = read.success ? problemOfShape(read.data) : "A limit is no number, or a row is not whole.";
    if (problem || !read.success) return refused(`${problem} Nothing was changed.`);
    const saved = await changeAssignment(services.database, { ...change, key: assignment.key }, async ({ query }) => {
      await setInputShape(query, assignment.key, read.data);
      return undefined;
    });
    return saved.ok ? done("Kept.") : refused(saved);
  },
});

/** What does not fit together in a shape, in words; null if all does. */
function problemOfShape(shape: InputShape): string | null {
  const known = new Set<string>();
  for (const { name, from, to, repeat, kind, choices } of shape) {
    if (from !== null && to !== null && from > to) return `The limits of ${name} are the wrong way round.`;
    if (kind === "choice" && choices.length === 0) return `${name} is a choice of nothing: name its words.`;
    if (!/^\d{1,3}$/.test(repeat) && !repeat.startsWith("until ") && !known.has(repeat))
      return `${name} comes as often as “${repeat}” says, which is no value before it. Say a number, such a name, or “until” and the word that ends it.`;
    known.add(name);
  }
  return null;
}

/** Guesses what is typed in from the models again. */
export const guess = defineAssignmentAction({
  intent: "guess shape",
  fields: {},
  does: async ({ services, assignment }, change) => {
    const guessed = await guessedShape(services.database, assignment.key);
    if (guessed.length === 0) return notReached("No model reads anything that can be recognised.");
    const saved = await changeAssignment(services.database, { ...change, key: assignment.key }, async ({ query }) => {
      await setInputShape(query, assignment.key, guessed);
      return undefined;
    });
    return saved.ok ? done("Guessed from the model: look it through.") : refused(saved);
  },
});
