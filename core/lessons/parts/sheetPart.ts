import * as z from "zod";
import { definePart } from "../partKind.ts";

export const sheetSchema = z.object({ sheet: z.string() });

export const sheetPart = definePart({
  kind: "sheet",
  title: "A sheet is sat",
  about: "Exercises that students work on by themselves, with the sheet’s code shown large.",
  schema: sheetSchema,
  minutes: ({ sheet }, { sheets }) => {
    const found = sheets.get(sheet);
    return found?.minutes ?? found?.marks ?? 0;
  },
  tasks: () => 1,
  begins: ({ sheets: [first] }) =>
    first ? { sheet: first.key } : "There is no sheet yet. Begin one under “Sheets” first.",
});
