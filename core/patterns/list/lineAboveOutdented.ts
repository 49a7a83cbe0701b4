import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** The fault lies in the line before: it left the block too early, so the reported one fits nowhere. */
export const lineAboveOutdented: Pattern = {
  id: "line-above-outdented",
  name: "The line above is outdented",
  says: "The fault lies in the line before: it left the block too early, so the reported one fits nowhere.",
  mends: "Indent the line above.",
  fault: true,
  grounds: [
    byEdit("indentation", ({ line }, { class: of, message }) => of === "syntax" && message?.line === line + 1, 3),
  ],
};
