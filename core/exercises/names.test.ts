import fc from "fast-check";
import { expect, test } from "vitest";
import { python } from "../languages/python/python.ts";
import { findNames, proposeNames, replaceNames, wordsOfLabels } from "./names.ts";

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

test("what looks like a person's name in a comment is ticked, the beginning of a sentence is not", () => {
  const ticked = (text: string) =>
    proposeNames(python, text, "deck.py", [])
      .filter((proposal) => proposal.ticked)
      .map((proposal) => proposal.word);
  expect(ticked("# thanks to Aslaug for the loads\nprint(4)\n")).toEqual(["Aslaug"]);
  expect(ticked("# Aslaug Vik\nprint(4)\n")).toEqual(["Aslaug", "Vik"]);
  expect(ticked("# Aslaug 10b\nprint(4)\n")).toEqual(["Aslaug"]);
  expect(ticked("# Aslaug's deck\nprint(4)\n")).toEqual(["Aslaug"]);
  expect(ticked("# Counts the cars. Then it prints them on Monday.\nprint(4)\n")).toEqual([]);
  expect(ticked("# Boarding list of the Kittiwake\nprint(4)\n")).toEqual([]);
  expect(ticked('# uses Deck from below\nDeck = 4\nprint("Fare Total")\n')).toEqual([]);
});

test("labels are found whole and by their own parts; what many labels share is nobody's", () => {
  expect(wordsOfLabels(["Student 1", "Student 2", "Student 3", "Tegan Vale", "7"])).toEqual([
    ...["Student 1", "Student 2", "Student 3", "Tegan Vale", "Tegan", "Vale"],
  ]);
  expect(findNames("fare = 4\nteganFare = 5 # Tegan", ["Tegan"])).toEqual([
    { word: "tegan", line: 2 },
    { word: "Tegan", line: 2 },
  ]);
});

test("whatever the words, after they are replaced none is found", () => {
  fc.assert(
    fc.property(fc.string({ unit: "grapheme" }), fc.stringMatching(/^[A-Z][a-z]{2,8}$/), (text, name) => {
      const after = replaceNames(`${text} ${name} ${text}${name}`, [{ word: name, replacement: "X9" }]);
      expect(findNames(after, [name])).toEqual([]);
    }),
  );
});

/** What stands around a name in identifiers, texts and file names: the name's own case comes with it. */
const around: ReadonlyArray<readonly [before: string, as: "Name" | "name" | "NAME", after: string]> = [
  ...[["", "Name", ""] as const, ["by ", "Name", "."] as const, ["my_", "name", "_fare"] as const],
  ...[["fareOf", "Name", ""] as const, ["", "name", "Fare"] as const, ["", "Name", "2"] as const],
  ...[["HTML", "Name", "Fare"] as const, ["", "NAME", "Fare"] as const, ["FARE_", "NAME", "_MAX"] as const],
  ...[["deck-", "name", ".py"] as const, ["(", "Name", ")'s"] as const, ["4", "name", "4"] as const],
];
const cased = {
  Name: (name: string) => name,
  name: (name: string) => name.toLowerCase(),
  NAME: (name: string) => name.toUpperCase(),
};

test("wherever a name may stand it is found, replaced and proposed, with its accents in one piece or in two", () => {
  const names = fc.constantFrom("Tegan", "Zoë", "Åse", "Łukasz", "Noémie", "Ólafur", "Çağla");
  fc.assert(
    fc.property(names, fc.constantFrom(...around), fc.constantFrom("NFC", "NFD"), (name, [before, as, after], form) => {
      const text = `${before}${cased[as](name)}${after}`.normalize(form);
      expect(findNames(`fare = 3\n${text}\n`, [name]).map(({ line }) => line)).toEqual([2]);
      const replaced = replaceNames(text, [{ word: name, replacement: "Xy" }]);
      expect(replaced.normalize("NFC")).toBe(`${before}${cased[as]("Xy")}${after}`);
      const proposed = proposeNames(python, `print(3)  # ${text}\n`, "deck.py", [name]);
      expect(proposed.filter(({ ticked }) => ticked).map(({ word }) => word.normalize("NFC").toLowerCase())).toContain(
        name.toLowerCase(),
      );
    }),
    { numRuns: 400 },
  );
});

test("what only holds the letters of a name is none, also with accents behind the letters", () => {
  for (const [name, text] of [
    ["Zoe", "Zoë".normalize("NFD")],
    ["Ann", "planned Annabel CANNOT hannah"],
    ["Åse", "Baseline BÅSEN"],
    ["Tegan", "Steganography"],
  ] as const)
    expect([name, findNames(text, [name])]).toEqual([name, []]);
});
