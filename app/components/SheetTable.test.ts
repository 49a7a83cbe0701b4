import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { expect, test } from "vitest";
import type { Sheet } from "../../core/outcome/outcome.ts";
import { SheetTable } from "./SheetTable.tsx";

const drawn = (sheet: Sheet) => renderToStaticMarkup(createElement(SheetTable, { sheet }));
const textOf = (markup: string) => markup.replace(/<[^>]+>/g, " ").replace(/\s+/g, " ");

test("a sheet shows its cells where they stand; what was changed says what stood there", () => {
  const markup = drawn({
    ...{ name: "Fares", cut: false },
    cells: [
      { at: "A1", kind: "text", shown: "<b>fare</b>" },
      { at: "B2", kind: "number", shown: "14", before: "12" },
      { at: "AA3", kind: "number", shown: "22.5", formula: "=SUM(B2:B3)", format: "0.00", before: "" },
    ],
  });
  expect(markup).toContain("&lt;b&gt;fare&lt;/b&gt;");
  expect(markup).toContain("<del");
  expect(textOf(markup)).toContain("14 (changed by the run, before: 12)");
  expect(textOf(markup)).toContain("2 cells changed; there is more than is shown here");
  // Columns go as far as can be shown, letters are those of a sheet.
  expect(markup).toContain(">T</th>");
  expect(markup).not.toContain(">AA</th>");
});

test("a formula, a format and an error are named; an empty sheet is one empty cell", () => {
  const markup = drawn({
    ...{ name: "Deck", cut: false },
    cells: [{ at: "C1", kind: "error", shown: "#DIV/0!", formula: "=A1/0", format: "0.00" }],
  });
  expect(markup).toContain('title="formula =A1/0; shown by the format 0.00"');
  expect(markup).toContain("text-ochre");
  expect(textOf(drawn({ name: "Sheet1", cut: false, cells: [] }))).toContain("no cell changed");
});
