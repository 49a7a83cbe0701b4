import * as z from "zod";
import { markFaultyLines } from "../../../server/judge/decisions.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** Which lines of the main file are faulty. */
export const markLines = defineCaseAction({
  intent: "faulty",
  says: "the mark of the faulty line",
  fields: { lines: field.json(z.array(z.number().int().positive()).max(10_000)) },
  does: async ({ services, found }, change, { lines }) => {
    const places = lines.map((line) => ({ line }));
    const marked = await markFaultyLines(services, found, { ...change, reason: "" }, places);
    return marked.ok ? done() : refused(marked);
  },
});
