import fc from "fast-check";
import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { MemoryRouter } from "react-router";
import { expect, test } from "vitest";
import type { ConsolePiece } from "../../core/outcome/outcome.ts";
import type { TraceTable } from "../../core/trace/table.ts";
import { Console } from "./Console.tsx";
import { Script, type ScriptProps } from "./Script.tsx";
import { shortConsole } from "./shortConsole.ts";
import { TraceTableView } from "./TraceTableView.tsx";

/** A piece of a page as markup. */
function drawn<Props extends object>(piece: (props: Props) => unknown, props: Props): string {
  return renderToStaticMarkup(createElement(MemoryRouter, null, createElement(piece as never, props)));
}

/** The texts of a table's cells, row by row, its head first. */
const cellsOf = (markup: string) =>
  [...markup.matchAll(/<tr>(.*?)<\/tr>/gs)].map(([, row = ""]) =>
    [...row.matchAll(/<t[hd][^>]*>(.*?)<\/t[hd]>/gs)].map(([, cell = ""]) => cell.replace(/<[^>]+>/g, "")),
  );

const row = { step: 0, file: 0, depth: 0, cells: {}, output: "" };
const table: TraceTable = {
  columns: [
    { key: "cars", title: "cars", scope: "global" },
    { key: "load.cars", title: "cars", scope: "function", functionName: "load" },
  ],
  rows: [
    { ...row, line: 4, output: "Cars? ", cells: { cars: "4" }, input: "4\n" },
    { ...row, step: 1, line: 1, cells: { "load.cars": "<b>4</b>" } },
    { ...row, step: 2, line: 2, output: "Load ", unseen: "Load " },
    { ...row, step: 3, line: 3, raised: "SIGFPE: Floating point exception" },
  ],
};

test("a trace table names the function of a column, has a column for what was typed in, and says what was never seen", () => {
  const cells = cellsOf(drawn(TraceTableView, { table, caption: "Trace table" }));
  expect(cells).toEqual([
    ["line", "cars", "loadcars", "input", "output"],
    ["4", "4", "", "4", "Cars? "],
    ["1", "", "&lt;b&gt;4&lt;/b&gt;", "", ""],
    ["2", "", "", "", "Load never reached the screen"],
    ["3", "", "", "", "SIGFPE: Floating point exception"],
  ]);
});

test("a dry run shows the rows so far; where nothing is typed in there is no column for it", () => {
  expect(cellsOf(drawn(TraceTableView, { table, until: 2, caption: "Trace table" }))).toHaveLength(3);
  const silent = { ...table, rows: table.rows.slice(1) };
  expect(cellsOf(drawn(TraceTableView, { table: silent, caption: "Trace table" }))[0]).toEqual([
    ...["line", "cars", "loadcars", "output"],
  ]);
});

test("only a cell that changes is marked", () => {
  const markup = drawn(TraceTableView, { table, until: 1, caption: "Trace table" });
  expect([...markup.matchAll(/<td class="changed[^"]*">(.*?)<\/td>/g)].map(([, text]) => text)).toEqual([
    "4",
    "4",
    "Cars? ",
  ]);
});

const printable = fc.string({ maxLength: 30 });
const pieces = fc.array(
  fc.record({ kind: fc.constantFrom<ConsolePiece["kind"]>("out", "err", "in"), text: printable }),
  { maxLength: 6 },
);

test("nothing that a program prints is markup, and no sign of control is left in it", () => {
  fc.assert(
    fc.property(pieces, (given) => {
      const view = shortConsole(given);
      const markup = drawn(Console, { view, label: "Console" });
      const inside = /<pre[^>]*>(.*)<\/pre>/s.exec(markup)?.[1] ?? "";
      expect(inside.replaceAll(/<span(?: class="[^"]*")?(?: title="typed in")?>|<\/span>/g, "")).not.toMatch(/[<>]/);
      expect(inside).not.toMatch(/[\u0000-\u0008\u000b-\u001f\u007f-\u009f]/);
    }),
  );
});

test("what was typed in is told from what was printed; an empty console says so", () => {
  const typed = drawn(Console, {
    view: shortConsole([
      { kind: "out", text: "Cars? " },
      { kind: "in", text: "4\n" },
      { kind: "err", text: "no deck" },
    ]),
    label: "Console",
  });
  expect(typed).toMatch(/title="typed in"[^>]*>4/);
  expect(typed).toMatch(/text-ochre">no deck/);
  expect(drawn(Console, { view: shortConsole([]), label: "Console" })).toContain("Nothing was printed.");
});

test("of a long console the rest is counted", () => {
  const view = shortConsole([{ kind: "out", text: "deck ".repeat(100_000) }]);
  expect(view.cut).toBeGreaterThan(0);
  expect(view.pieces.reduce((sum, piece) => sum + piece.text.length, view.cut)).toBe(500_000);
  expect(drawn(Console, { view, label: "Console" })).toContain("more characters were printed.");
});

const script = (more: Partial<ScriptProps> = {}) =>
  drawn(Script, { lines: ["deck = 4  ", "", "print(dekc)"], label: "The program", ...more });

test("a listing shows its own numbers, blanks at the end, and marks in words", () => {
  const markup = script({ firstNumber: 7, reported: 3, faulty: new Set([1]), next: 2 });
  expect([...markup.matchAll(/script-number">(\d+)/g)].map(([, number]) => number)).toEqual(["7", "8", "9"]);
  expect(markup).toMatch(/title="blanks at the end of the line">··</);
  expect([...markup.matchAll(/sr-only">(.*?)</g)].map(([, words]) => words)).toEqual([
    ...["faulty line", "about to run", "the tool names this line"],
  ]);
});

test("where lines can be picked each is a button with its name, and one of them is reached by Tab", () => {
  const markup = script({ onPick: () => undefined, faulty: new Set([3]), reported: 3 });
  const buttons = [...markup.matchAll(/<button[^>]*>/g)].map(([button]) => button);
  expect(buttons.map((button) => /aria-label="(.*?)"/.exec(button)?.[1])).toEqual([
    ...["line 1: deck = 4", "line 2: blank", "line 3, the tool names this line, faulty line: print(dekc)"],
  ]);
  expect(buttons.map((button) => /aria-pressed="(.*?)"/.exec(button)?.[1])).toEqual(["false", "false", "true"]);
  expect(buttons.filter((button) => button.includes('tabindex="0"'))).toHaveLength(1);
});

test("notes stand at their lines and lead on where they have more to tell", () => {
  const markup = script({
    notes: [
      { line: 3, kind: "hidden", text: "not defined", to: "/cases/1?leaf=messages" },
      { line: 1, kind: "structure", text: "named otherwise" },
    ],
  });
  const lines = [...markup.matchAll(/<li.*?<\/li>/gs)].map(([line]) => line);
  expect(lines.map((line) => [line.includes("named otherwise"), line.includes("not defined")])).toEqual([
    ...[
      [true, false],
      [false, false],
      [false, true],
    ],
  ]);
  expect(lines[2]).toContain('href="/cases/1?leaf=messages"');
});

test("a very long program is drawn in parts, with the part of the reported line first", () => {
  const lines = Array.from({ length: 5000 }, (_, index) => `load_${index + 1} = ${index}`);
  const markup = script({ lines, reported: 3000 });
  expect(markup).toContain("load_3000 = ");
  expect(markup).not.toContain("load_1 = ");
  expect([...markup.matchAll(/<li /g)].length).toBeLessThanOrEqual(1300);
});

/** A listing line by line, without its markup. */
const rowsOf = (markup: string) =>
  [...markup.matchAll(/<li.*?<\/li>/gs)].map(([line]) =>
    line
      .replace(/<[^>]+>/g, " ")
      .replaceAll(/\s+/g, " ")
      .trim(),
  );

test("a change stands as a slip on the script: old lines struck through, new ones below; a line put in stands before its place", () => {
  const replaced = script({ slip: [{ start: 3, before: ["print(dekc)\n"], after: ["print(deck)\n", "print()\n"] }] });
  expect(rowsOf(replaced)).toEqual(["1 deck = 4 ··", "2", "3 print(dekc)", "+ print(deck) + print()"]);
  expect(replaced).toMatch(/script-struck[^"]*"[^>]*>.*?dekc/s);
  const inserted = script({ slip: [{ start: 2, before: [], after: ["import tides\n"] }] });
  expect(rowsOf(inserted)[1]).toBe("+ import tides");
  expect(inserted).not.toContain("script-struck");
  const atEnd = script({ slip: [{ start: 4, before: [], after: ["print(1)\n"] }] });
  expect(rowsOf(atEnd).at(-1)).toBe("+ print(1)");
});

test("the one line that is named is said to be, and is where the keys begin", () => {
  const markup = script({ named: 3, reported: 1, onPick: () => undefined });
  const buttons = [...markup.matchAll(/<button[^>]*>/g)].map(([button]) => button);
  expect(buttons.find((button) => button.includes('tabindex="0"'))).toContain("line 3, look here first");
});

test("stretches of a line differ in weight and slant, and its text stays whole with blanks at both ends", () => {
  const styles = [
    [
      { text: "  " },
      { text: "if", kind: "keyword" as const },
      { text: " deck: " },
      { text: "# car  ", kind: "comment" as const },
    ],
  ];
  const markup = script({ lines: ["  if deck: # car  "], styles });
  expect(markup).toContain('<span class="script-keyword">if</span>');
  expect(markup).toContain('<span class="script-comment"># car</span>');
  expect(rowsOf(markup)[0]).toBe("1 if deck: # car ··");
  fc.assert(
    fc.property(fc.array(fc.constantFrom("a", " ", "if", "#", "\t"), { maxLength: 12 }), (parts) => {
      const line = parts.join("");
      const plain = rowsOf(script({ lines: [line] }));
      const pieces = parts.length === 0 ? [{ text: "" }] : parts.map((text) => ({ text, kind: "text" as const }));
      const styled = script({ lines: [line], styles: [pieces] });
      expect(rowsOf(styled)[0]?.replaceAll(" ", "")).toBe(plain[0]?.replaceAll(" ", ""));
    }),
  );
});
