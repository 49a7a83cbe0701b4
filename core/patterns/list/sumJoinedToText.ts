import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Numbers are joined to a text one by one where their sum is meant. */
export const sumJoinedToText: Pattern = {
  id: "sum-joined-to-text",
  name: "A sum joined to a text",
  says: "Numbers are joined to a text one by one where their sum is meant.",
  mends: "Put the sum in brackets.",
  fault: true,
  grounds: [byEdit("formula-brackets", ({ lineBefore }) => /["']/.test(lineBefore), 4)],
};
