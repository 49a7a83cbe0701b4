import fc from "fast-check";
import { expect, test } from "vitest";
import { keptVerdictSchema } from "../../core/cases/case.ts";
import { jsonColumns, nameReplacement, replaceInFormer } from "./nameReplacement.ts";

function replaced(column: string, value: unknown, name: string, by = "S-01"): unknown {
  const found = jsonColumns.find((each) => each.column === column);
  const replacement = nameReplacement(name, by);
  if (!found || !replacement) throw new Error("nothing to replace");
  return found.replace(value, replacement);
}

const kept = keptVerdictSchema.omit({ class: true, kind: true, symptom: true });
const verdict = {
  gate: 3 as const,
  reasons: ['Line 3 printed "Line Logic".'],
  reportedLine: null,
  message: "Logic: Line was not found",
};

test.each(["Line", "class", "logic", "message", "null", "reportedLine", "file", '"', "a\\b", "$&"])(
  "the name %s breaks nothing: what is not words stays",
  (name) => {
    expect(kept.parse(replaced("verdict", verdict, name === '"' ? '"Line' : name))).toMatchObject({
      gate: 3,
      reportedLine: null,
    });
    expect(replaced("faulty_lines", [{ file: "deck.py", line: 3 }], name.padEnd(2, "x"))).toEqual([
      { file: "deck.py", line: 3 },
    ]);
  },
);

test("a name goes from reasons, messages and changes; file names keep to signs that files may have", () => {
  expect(replaced("verdict", verdict, "Line")).toMatchObject({
    reasons: ['S-01 3 printed "S-01 Logic".'],
    message: "Logic: S-01 was not found",
  });
  expect(
    replaced("fix", [{ start: 1, before: ['x = "Tilda Maar"'], after: ["# tilda_maar"] }], "Tilda Maar", 'the "one"'),
  ).toEqual([{ start: 1, before: ['x = "the "one""'], after: ['# the "one"'] }]);
  expect(replaced("faulty_lines", [{ file: "tilda_maar.py", line: 3 }], "Tilda Maar", "a b/c")).toEqual([
    { file: "a_b_c.py", line: 3 },
  ]);
  expect(
    replaced("surroundings", { "tilda maar.txt": "by Tilda Maar", "tide.txt": null }, "Tilda Maar", "S 1"),
  ).toEqual({
    "S_1.txt": "by S 1",
    "tide.txt": null,
  });
});

test("former values of any time keep their shape", () => {
  const name = nameReplacement("Line", "S-01");
  if (!name) throw new Error("no name");
  const former = {
    key: "Line",
    class: "logic",
    reason: "Line said so",
    faulty_lines: [{ file: "Line.py", line: 2 }],
    verdict: { class: "Line", reasons: ["a Line"] },
  };
  expect(replaceInFormer(former, name)).toEqual({
    key: "Line",
    class: "logic",
    reason: "S-01 said so",
    faulty_lines: [{ file: "S-01.py", line: 2 }],
    verdict: { class: "Line", reasons: ["a S-01"] },
  });
});

test("whatever the name and the words in its place are, a verdict is read again and holds the name no more", () => {
  const words = fc.string({ minLength: 2, maxLength: 12, unit: "grapheme" });
  fc.assert(
    fc.property(words, words, fc.array(words, { maxLength: 4 }), (name, by, reasons) => {
      const replacement = nameReplacement(name, by);
      fc.pre(replacement !== null && !by.toLowerCase().includes(name.trim().toLowerCase()));
      const after = kept.parse(
        replaced("verdict", { ...verdict, reasons: [...reasons, name, `by ${name}`], message: name }, name, by),
      );
      expect(after).toMatchObject({ gate: 3, reportedLine: null });
      expect(after.reasons).toHaveLength(reasons.length + 2);
    }),
  );
});

test("a name goes whichever way a text writes its accents, and a name that only begins like one stays", () => {
  for (const form of ["NFC", "NFD"]) {
    const replacement = nameReplacement("Zoë Åström", "S-07");
    expect(replacement?.text("by Zoë Åström (zoë_åström)".normalize(form))).toBe("by S-07 (S-07)");
    expect(replacement?.fileName("zoë åström.py".normalize(form))).toBe("S-07.py");
    expect(nameReplacement("Zoe", "S-07")?.text("Zoë".normalize(form))).toBe("Zoë".normalize(form));
  }
});
