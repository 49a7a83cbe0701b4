import fc from "fast-check";
import { expect, test } from "vitest";
import { csvOf } from "../../core/formats/csv.ts";
import { readClassList } from "./classList.ts";

const labelsOf = (text: string) => {
  const list = readClassList(text);
  return list.ok ? list.students.map(({ label, code }) => [label, code]) : list.message;
};

test.each([
  [
    "labels, a line each",
    "S-01\nS-02\n\n S-03 \n",
    [
      ["S-01", null],
      ["S-02", null],
      ["S-03", null],
    ],
  ],
  [
    "columns in any order, with codes of the school's",
    "Code,Group,Label\r\nk7qm-2r,9a,S-01\r\n,9a,S-02\r\n",
    [
      ["S-01", "K7QM-2R"],
      ["S-02", null],
    ],
  ],
  [
    "semicolons, quotes and a mark of byte order",
    '\ufeffName;Group\n"Gull; Ada";9a\nTern;9b\n',
    [
      ["Gull; Ada", null],
      ["Tern", null],
    ],
  ],
  ["as it comes out of a spreadsheet", "student\tpin\nS-01\t4711\n", [["S-01", "4711"]]],
])("%s", (_name, text, students) => {
  expect(labelsOf(text)).toEqual(students);
});

test("what is missing, twice, too long or no code is said line by line", () => {
  const list = readClassList(`label,code\nS-01,ABCD\n,EFGH\nS-01,IJKL\n${"x".repeat(81)},\nS-02,?\n`);
  expect(list).toEqual({
    ok: true,
    students: [
      { label: "S-01", code: "ABCD" },
      { label: "S-02", code: null },
    ],
    leftOut: [
      "line 3 has no label",
      "line 4: S-01 is there twice",
      "line 5: a label has 80 characters at most",
      "line 6: a code is 4 to 16 letters and digits, so S-02 gets a new one",
    ],
  });
});

test.each([
  ["", "There is no label in this list."],
  ["label,code\n", "There is no label in this list."],
  ["S-01,9a\nS-02,9a\n", "several columns"],
  ["code,group\nABCD,9a\n", "codes and no labels"],
  ['label\n"S-01\n', "cannot be read"],
])("%j is no list, and it is said why", (text, words) => {
  expect(labelsOf(text)).toContain(words);
});

test("whatever the labels are, a list that was written is read as it was", () => {
  const label = fc
    .string({ minLength: 1, maxLength: 30 })
    .map((text) => text.replace(/[\u0000-\u001f]/g, "").trim())
    .filter((text) => text !== "" && !/^[=+\-@']/.test(text));
  fc.assert(
    fc.property(fc.uniqueArray(label, { minLength: 1, maxLength: 12 }), (labels) => {
      const written = csvOf([["label", "group"], ...labels.map((each) => [each, "9a"])]);
      expect(labelsOf(written)).toEqual(labels.map((each) => [each, null]));
    }),
  );
});
