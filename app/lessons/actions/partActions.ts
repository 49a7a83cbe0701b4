import { movedPart, type Part } from "../../../core/lessons/lesson.ts";
import { findPart } from "../../../core/lessons/parts.ts";
import { listTeachable } from "../../../server/exercises/exerciseStore.ts";
import { newKey } from "../../../server/keys.ts";
import { listSheets } from "../../../server/sheets/sheetStore.ts";
import { field } from "../../forms.ts";
import { allPartParts } from "../parts/list.ts";
import { defineLessonAction, withPart } from "./lessonAction.ts";

/** The most parts that a lesson may have. */
const mostParts = 60;

/** Puts a part of a kind at the end. */
export const addPart = defineLessonAction({
  intent: "add",
  fields: { kind: field.text(40) },
  changes: async ({ services, lesson }, { kind }) => {
    const { parts } = lesson.content;
    const found = findPart(kind);
    if (!found) return "There is no such kind of part. Nothing was changed.";
    if (parts.length >= mostParts) return `A lesson has at most ${mostParts} parts.`;
    const [exercises, sheets] = await Promise.all([listTeachable(services.database), listSheets(services.database)]);
    const content = found.begins({ exercises, sheets });
    if (typeof content === "string") return content;
    const part: Part = { key: newKey(8), kind, title: "", out: false, minutes: null, content };
    return { parts: [...parts, part], said: "It stands at the end. Open it below to change it." };
  },
});

/** What a part is called, how long it takes, and what its kind asks for. */
export const changePart = defineLessonAction({
  intent: "part",
  fields: { part: field.text(40), title: field.text(200), minutes: field.text(10) },
  changes: (context, { part: key, title, minutes }) =>
    withPart(context, key, (part) => {
      if (!/^\d{0,3}$/.test(minutes.trim())) return "Minutes are a whole number up to 600, or nothing.";
      const own = minutes.trim() === "" ? null : Number(minutes);
      if (own !== null && own > 600) return "Minutes are a whole number up to 600, or nothing.";
      const parts = allPartParts.find(({ kind }) => kind === part.kind);
      const content = findPart(part.kind)?.schema.safeParse(parts?.contentOf(context.form, part.content));
      if (!content?.success) return "Something in this part is missing or too long. Nothing was changed.";
      return { ...part, title: title.trim(), minutes: own, content: content.data };
    }),
});

/** Leaves a part out this time, or takes it in again. */
export const leaveOut = defineLessonAction({
  intent: "out",
  fields: { part: field.text(40) },
  changes: (context, { part: key }) => withPart(context, key, (part) => ({ ...part, out: !part.out })),
});

const move = (intent: string, by: 1 | -1) =>
  defineLessonAction({
    intent,
    fields: { part: field.text(40) },
    changes: ({ lesson }, { part }) => ({ parts: movedPart(lesson.content.parts, part, by) }),
  });

/** Puts a part one place earlier. */
export const partUp = move("up", -1);
/** Puts a part one place later. */
export const partDown = move("down", 1);

/** Takes a part away for good. */
export const takeAway = defineLessonAction({
  intent: "away",
  fields: { part: field.text(40) },
  changes: ({ lesson }, { part }) => ({ parts: lesson.content.parts.filter(({ key }) => key !== part) }),
});
