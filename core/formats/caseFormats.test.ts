import { readFileSync } from "node:fs";
import { join } from "node:path";
import Ajv from "ajv-draft-04";
import { applyPatch, parsePatch } from "diff";
import fc from "fast-check";
import { expect, test } from "vitest";
import { findHunks } from "../fixes/hunks.ts";
import { bundleJsonSchema, readBundle, writeBundle } from "./bundle.ts";
import { casesCsv } from "./caseCsv.ts";
import type { CaseEntry, ReadEntry } from "./caseEntry.ts";
import { caseMarkdown } from "./caseMarkdown.ts";
import { casePatch } from "./casePatch.ts";
import { casesSarif } from "./caseSarif.ts";
import { caseFormats } from "./formats.ts";

const at = "2026-09-14T08:00:00.000Z";
const hash = (number: number) => String(number).padStart(64, "0");

/** A case with one fault and its mending; what is not said is plain. */
function entryOf(before: string, after: string, more: Partial<CaseEntry> = {}): ReadEntry {
  const version = (number: number) => ({
    ...{ number, origin: number === 1 ? "handed in" : "mended", parent: number === 1 ? null : 1, worked: false },
    ...{ handedIn: number === 1, belief: "", result: null, at, outputs: [] },
    files: [{ name: "deck.py", encoding: "utf-8", sha256: hash(number) }],
  });
  const entry: CaseEntry = {
    ...{
      key: "k1",
      language: "python",
      title: "Deck loads",
      intent: "adds up",
      changedLast: "",
      instead: "",
      cameOut: "",
    },
    ...{
      handTable: "",
      userActions: [],
      firstLine: 1,
      onlyRead: false,
      source: "",
      note: "",
      symptom: null,
      collected: at,
    },
    ...{ judged: true, mended: true, course: "Group 1", assignment: null, student: "S-04", current: 2, additions: [] },
    versions: [version(1), version(2)],
    checks: [
      {
        ...{
          key: "c",
          name: "",
          purpose: "",
          kind: "normal",
          input: "1\n",
          expected: "2\n",
          surroundings: {},
          comparison: {},
        },
        ...{ handedIn: true, ofAssignment: false, edition: 1 },
      },
    ],
    layers: [
      {
        ...{
          position: 1,
          before: 1,
          after: 2,
          faultyLines: [{ line: 1 }],
          place: "lines",
          placeReason: "",
          explanation: "a slip",
        },
        suggested: {
          ...{ class: "runtime", kind: null, symptom: "stopped while running", gate: 2, reasons: ["It stopped."] },
          ...{ reportedLine: 2, message: "NameError: name 'lory' is not defined" },
        },
        decided: { outcome: "fault", class: "runtime", kind: null, suggested: "runtime", reason: "", at },
        ...{ fix: findHunks(before, after), firstFix: null, intention: "say lorry", advice: "agrees", unsaid: "" },
        ...{
          cause: null,
          moment: null,
          depends: null,
          pattern: "own-name-misspelt",
          suggestedPattern: null,
          verified: null,
        },
      },
    ],
    ...more,
  };
  return { entry, text: (sha256) => (sha256 === hash(1) ? before : after) };
}

const plain = entryOf("print(lory)\nprint(2)\n", "print(lorry)\nprint(2)\n");

/** Texts of a few lines with whatever ends they have. */
const lines = fc.array(fc.constantFrom("a = 1", "", "  b", "print('x')", "é = 2", "\\ No newline", "--- a", "+++ b"), {
  maxLength: 8,
});
const textOf = fc
  .tuple(lines, fc.constantFrom("\n", "\r\n"), fc.boolean())
  .map(([all, end, last]) => all.join(end) + (last && all.length > 0 ? end : ""));

test("whatever is mended, the diff turns what was handed in into what is mended", () => {
  fc.assert(
    fc.property(textOf, textOf, (before, after) => {
      const patch = casePatch(entryOf(before, after), 0);
      if (before === after) {
        expect(patch).toBe("");
        return;
      }
      const [parsed] = parsePatch(patch);
      expect(parsed?.oldFileName).toBe("a/0001-deck-loads/deck.py");
      expect(parsed && applyPatch(before, parsed)).toBe(after);
    }),
    { numRuns: 300 },
  );
});

const schema: object = JSON.parse(
  readFileSync(
    join(import.meta.dirname, "../../node_modules/@microsoft/jest-sarif/lib/schemas/sarif-2.1.0-rtm.5.json"),
    "utf8",
  ),
);
const validate = new Ajv({ strict: false, unicodeRegExp: false, logger: false, validateFormats: false }).compile(
  schema,
);

test("whatever cases there are, their SARIF is valid by the schema, and its fixes mend the programs", () => {
  fc.assert(
    fc.property(textOf, textOf, fc.option(fc.nat(9)), (before, after, reported) => {
      const read = entryOf(before, after);
      const [layer] = read.entry.layers;
      if (layer) layer.suggested = { ...layer.suggested, reportedLine: reported === null ? null : reported + 1 };
      const sarif = casesSarif([read, plain]);
      expect(validate(sarif), JSON.stringify(validate.errors?.slice(0, 2))).toBe(true);
      const fix = sarif.runs[0]?.results[0]?.fixes?.[0];
      if (!fix) {
        expect(findHunks(before, after)).toEqual([]);
        return;
      }
      const rows = before.split(/(?<=\n)/);
      for (const { deletedRegion, insertedContent } of [...(fix.artifactChanges[0]?.replacements ?? [])].reverse()) {
        const { startLine, endLine } = deletedRegion;
        rows.splice(startLine - 1, endLine - startLine, insertedContent.text);
      }
      const ends = (text: string) => text.replace(/\r\n/g, "\n").replace(/\n$/, "");
      expect(ends(rows.join(""))).toBe(ends(after));
    }),
    { numRuns: 150 },
  );
  const [result] = casesSarif([plain]).runs[0]?.results ?? [];
  expect(result).toMatchObject({ ruleId: "own-name-misspelt", level: "error" });
  expect(result?.relatedLocations?.[0]?.physicalLocation.region.startLine).toBe(2);
});

test("the table has a row for each fault, and keeps what stands in cells", () => {
  const csv = casesCsv([entryOf('a,"b"\n', "c\n"), entryOf("x\n", "y\n", { layers: [] })]);
  const rows = csv.trimEnd().split("\r\n");
  expect(rows).toHaveLength(3);
  expect(rows[0]).toContain("faulty lines,distance,fix before");
  expect(rows[1]).toContain('"a,""b"""');
  expect(rows[1]).toContain(",own-name-misspelt,teacher,");
  expect(rows[2]?.startsWith("k1,Deck loads,Group 1,,S-04,python,")).toBe(true);
  expect(casesCsv([entryOf("a\n", "b\n", { title: "=cmd()" })])).toContain("'=cmd()");
});

test("the entry as Markdown holds class, reason, lines, fix and proof; what is open says so", () => {
  const text = caseMarkdown(entryOf("print(lory)\n```\n", "print(lorry)\n```\n", { note: "talk about *names*" }));
  for (const words of [
    "# Deck loads",
    "runtime error, decided by the teacher",
    "**Faulty line:** 1",
    "- print(lory)",
    "+ print(lorry)",
    "**Proved:** not yet",
    "talk about \\*names\\*",
  ])
    expect(text).toContain(words);
  expect(text).toContain("````python");
  const open = entryOf("a\n", "b\n");
  const [layer] = open.entry.layers;
  if (layer)
    Object.assign(layer, { decided: null, fix: null, after: null, pattern: null, suggestedPattern: "zero-divisor" });
  expect(caseMarkdown(open)).toContain("A divisor that becomes zero (suggested)");
});

test("what a bundle holds is read as it was written, with keys that nobody knows; what is damaged or newer is refused in words", () => {
  const given = { ...plain.entry, weather: { tide: "high" } };
  const bytes = new Map([
    [hash(1), new TextEncoder().encode("print(lory)\n")],
    [hash(2), new TextEncoder().encode("print(lorry)\n")],
  ]);
  const files = writeBundle({ entries: [given], bytes }, { names: true, made: at });
  const read = readBundle(files);
  expect(read).toMatchObject({ ok: true, entries: [given], skipped: [] });
  const changed = (path: string, text: (before: string) => string) =>
    files.map((file) =>
      file.path === path ? { path, bytes: new TextEncoder().encode(text(new TextDecoder().decode(file.bytes))) } : file,
    );
  const said = (damaged: typeof files) => {
    const found = readBundle(damaged);
    return found.ok ? "" : found.message;
  };
  expect(said(changed("bundle.json", (text) => text.replace('"version": 1', '"version": 7')))).toMatch(
    /newer version.*format is 7/,
  );
  expect(said(changed("bundle.json", () => "{"))).toMatch(/not one of Bent Nail/);
  expect(said(changed("bundle.json", (text) => text.replace('"count": 1', '"count": 2')))).toMatch(
    /holds 1: it is damaged/,
  );
  expect(said(changed("cases/cases.jsonl", (text) => text.replace('"runtime"', '"banana"')))).toMatch(
    /Case 1 of the bundle cannot be read/,
  );
  expect(said(files.filter(({ path }) => path !== `bytes/${hash(2)}`))).toMatch(/is missing in the bundle/);
  expect(said([])).toMatch(/no bundle.json/);
  const later = changed("bundle.json", (text) =>
    text.replace('"parts": [', '"parts": [{"kind": "sheets", "folder": "sheets", "count": 3}, '),
  );
  expect(readBundle(later)).toMatchObject({ ok: true, skipped: ["sheets"] });
});

test("the schema that is published is that of the bundles that are read", () => {
  expect(JSON.parse(readFileSync(join(import.meta.dirname, "../../docs/bundle.schema.json"), "utf8"))).toEqual(
    JSON.parse(JSON.stringify(bundleJsonSchema())),
  );
});

test("every text format writes nothing but its head where there is no case", () => {
  for (const { id, write } of caseFormats) expect(write([]).length, id).toBeLessThan(600);
});
