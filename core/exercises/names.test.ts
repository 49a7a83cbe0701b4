import { expect, test } from "vitest";
import { python } from "../languages/python/python.ts";
import { proposeNames, replaceNames } from "./names.ts";

const program =
  '# by Merrin, with help from S-04\nmerrin_fare = 6\nprint("Merrin pays", merrin_fare)\ndef fareOfTegan():\n    return 3\nLimit = 4\n';
const proposals = proposeNames(python, program, "merrin_deck.py", ["S-04", "Tegan Vale"]);

test("labels of the course and words behind 'by' are ticked", () => {
  expect(
    proposals
      .filter((proposal) => proposal.ticked)
      .map((proposal) => proposal.word.toLowerCase())
      .sort(),
  ).toEqual(["merrin", "s-04", "tegan"]);
});

test("every place is named: comment, text, identifier and file name", () => {
  expect(proposals.find((proposal) => proposal.word === "Merrin")?.places).toEqual([
    "comment in line 1",
    "text in line 3",
    "identifier merrin_fare",
    "file name",
  ]);
});

test("words of the language are no names", () => {
  expect(proposeNames(python, '# True or False, a ValueError\nprint("None")\n', "a.py", [])).toEqual([]);
});

test("a word is replaced as a word and as a part of an identifier, in its letter case", () => {
  expect(
    replaceNames(program, [
      { word: "merrin", replacement: "PersonA" },
      { word: "Tegan", replacement: "PersonB" },
    ]),
  ).toBe(
    '# by PersonA, with help from S-04\npersona_fare = 6\nprint("PersonA pays", persona_fare)\ndef fareOfPersonB():\n    return 3\nLimit = 4\n',
  );
});

test("words that merely hold the letters stay", () => {
  expect(replaceNames("Anna cannot planned Annabel ANNA", [{ word: "Anna", replacement: "Person" }])).toBe(
    "Person cannot planned Annabel PERSON",
  );
});

test("signs in names are no pattern", () => {
  expect(replaceNames("S.4 S-4", [{ word: "S.4", replacement: "X" }])).toBe("X S-4");
});
