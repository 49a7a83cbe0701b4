import * as z from "zod";
import { type FieldsAnswer, type FieldsCompared, type FieldsView, fieldsAnswerSchema } from "./asked.ts";
import { defineTaskKind, type ItemMark } from "./taskKind.ts";

/** A kind of task that asks for one text, which nobody but the teacher reads. */
export function textKind<Kind extends string>(own: { kind: Kind; title: string; asks: string; lookFor: string }) {
  const schema = z.object({ key: z.string(), kind: z.literal(own.kind), marks: z.number().int().min(1) });
  const fields: FieldsView["fields"] = [{ name: "text", says: own.asks, rows: 4 }];
  return defineTaskKind({
    ...{ kind: own.kind, title: own.title, schema, answerSchema: fieldsAnswerSchema },
    ...{ usualMarks: () => 0, needsRun: false, answeredBeforeTrying: false, answeredOnProgram: false },
    make: async (_, { key, marks }) => schema.parse({ key, kind: own.kind, marks }),
    view: (): FieldsView => ({ shown: "", fields }),
    rule: () => "Your teacher reads it.",
    scheme: (task, exercise) => [
      { item: "text", marks: task.marks, words: exercise.intro ? `${own.lookFor} (${exercise.intro})` : own.lookFor },
    ],
    key: () => null,
    worthless: (): FieldsAnswer[] => [{ texts: {} }],
    mark: async (task, { texts }): Promise<ItemMark[]> => {
      const nothing = (texts.text ?? "").trim() === "";
      return [
        {
          ...{ item: "text", possible: task.marks, earned: nothing ? 0 : null },
          reason: nothing ? "Nothing was written." : "This is read by the teacher alone.",
        },
      ];
    },
    compare: (_, { texts }): FieldsCompared => ({ fields, texts }),
  });
}
