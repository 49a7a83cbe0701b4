import fc from "fast-check";
import { expect, test } from "vitest";
import { unknownOutcome } from "../outcome/outcome.ts";
import type { TraceTable } from "../trace/table.ts";
import { traceFormats } from "./traceFormats.ts";

const trace = { outcome: unknownOutcome("person", ""), files: [], steps: [] };

/** A table of one row with one variable, as it is written out. */
function written(format: "csv" | "md", value: string, output = ""): string {
  const table: TraceTable = {
    columns: [{ key: "deck", title: "deck", scope: "global" }],
    rows: [{ step: 0, line: 1, file: 0, depth: 0, cells: { deck: value }, output }],
  };
  return traceFormats[format]?.(table, trace) ?? "";
}

test.each([
  ["7", "7"],
  ["-3", "-3"],
  ["+4.5e-7", "+4.5e-7"],
  ["Full", "Full"],
  ["=1+1", "'=1+1"],
  ["-1+cmd|' /C calc'!A0", "'-1+cmd|' /C calc'!A0"],
  ["@SUM(A1)", "'@SUM(A1)"],
  ["\t=1", "'\t=1"],
  ['=HYPERLINK("http://x","y")', `"'=HYPERLINK(""http://x"",""y"")"`],
])("in CSV %s is written %s", (value, cell) => {
  expect(written("csv", value).split("\r\n")[1]).toBe(`1,${cell},`);
});

test("what ended the run stands in the last row, after what was printed there; a run that ended by itself has none", () => {
  const table: TraceTable = {
    columns: [{ key: "deck", title: "deck", scope: "global" }],
    rows: [1, 2].map((line) => ({ step: line, line, file: 0, depth: 0, cells: {}, output: `${line}\n` })),
  };
  const message = "list index out of range";
  const error = { severity: "error" as const, errorName: "IndexError", message, stage: "run" as const, primary: true };
  const outcome = { ...trace.outcome, stoppedBy: "fault" as const, diagnostics: [error] };
  const lines = (ended: typeof trace.outcome) =>
    traceFormats
      .md(table, { ...trace, outcome: ended })
      .trim()
      .split("\n");
  expect(lines(outcome).slice(2)).toEqual(["| 1 |  | 1 |", "| 2 |  | 2<br>IndexError: list index out of range |"]);
  expect(lines({ ...outcome, stoppedBy: "none" }).at(-1)).toBe("| 2 |  | 2 |");
});

test("output that begins like a formula is text too", () => {
  expect(written("csv", "1", "=cmd\n").split("\r\n")[1]).toBe("1,1,'=cmd");
});

test.each([
  ["<script>alert(1)</script>", "&lt;script>alert(1)&lt;/script>"],
  ["a|b", "a\\|b"],
  ["[3, 7]", "[3, 7]"],
  ["[press](javascript:alert(1))", "[press]\\(javascript:alert(1))"],
  ["Tern & Gull", "Tern &amp; Gull"],
  ["one\r\ntwo\nthree", "one<br>two<br>three"],
])("in Markdown %s is written %s", (value, cell) => {
  expect(written("md", value).split("\n")[2]).toBe(`| 1 | ${cell} |  |`);
});

test("whatever a program prints, no cell of CSV begins a formula and no cell of Markdown holds a tag but line breaks", () => {
  fc.assert(
    fc.property(
      fc.string({ unit: fc.constantFrom("=", "+", "-", "@", "<", "&", "|", "a", "1", "\n", ",", '"', "]", "(") }),
      (value) => {
        const [, row = ""] =
          written("csv", value).split("1,", 2).length === 2
            ? [null, written("csv", value).slice(written("csv", value).indexOf("\r\n1,") + 4)]
            : [];
        const cell = row.startsWith('"') ? row.slice(1) : row;
        expect(/^[=@]/.test(cell) || (/^[-+]/.test(cell) && !/^[-+]?\d/.test(cell))).toBe(false);
        expect(written("md", value).replaceAll("<br>", "")).not.toContain("<");
      },
    ),
  );
});

test("what was typed in has a column where anything was; what was held back for ever is marked", () => {
  const row = { step: 0, file: 0, depth: 0, cells: {}, output: "" };
  const table: TraceTable = {
    columns: [],
    rows: [
      { ...row, line: 1, input: "=4\n" },
      { ...row, line: 2, output: "Load ", unseen: "ad " },
    ],
  };
  expect(traceFormats.csv?.(table, trace)).toBe(
    "line,input,output\r\n1,'=4,\r\n2,,Load (never reached the screen)\r\n",
  );
  const silent = { ...table, rows: table.rows.slice(1) };
  expect(traceFormats.md(silent, trace)).toBe(
    "| line | output |\n| --- | --- |\n| 2 | Load (never reached the screen) |\n",
  );
});

test("what is said of loops stands in rows behind the others, as wide as they are", () => {
  const table: TraceTable = {
    columns: [{ key: "deck", title: "deck", scope: "global" }],
    rows: [{ step: 0, line: 1, file: 0, depth: 0, cells: {}, output: "" }],
    remarks: ["The loop in line 3 was never entered."],
  };
  expect(traceFormats.csv?.(table, trace, ["pass"])).toBe(
    "line,deck,pass,output\r\n1,,,\r\n,,,The loop in line 3 was never entered.\r\n",
  );
});
