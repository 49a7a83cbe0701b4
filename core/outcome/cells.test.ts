import { expect, test } from "vitest";
import { compareOutput } from "../assignments/compareOutput.ts";
import { pieceOfCells, piecesAsked } from "./cells.ts";
import { type ConsolePiece, consoleText, type Sheet } from "./outcome.ts";

const sheets: Sheet[] = [
  {
    ...{ name: "Fares", cut: false },
    cells: [
      { at: "A2", kind: "text", shown: "north" },
      { at: "B2", kind: "number", shown: "14", before: "12" },
      { at: "B5", kind: "number", shown: "22.5", formula: "=SUM(B2:B3)", before: "" },
      { at: "C1", kind: "text", shown: "two\nlines", before: "" },
    ],
  },
  { name: "Deck", cut: false, cells: [{ at: "A1", kind: "empty", shown: "", before: "4" }] },
];
const piece = pieceOfCells(sheets) as ConsolePiece;
const console: ConsolePiece[] = [{ kind: "out", text: "Total: 22.5\n" }, piece];
const same = (intended: string) => compareOutput(console, intended).same;

test("the cells that a run changed are lines of its result, each on one line, those of another sheet with its name", () => {
  expect(piece.text).toBe("cell B2 = 14\ncell B5 = 22.5\ncell C1 = two lines\ncell Deck.A1 = \n");
  expect(piece.cells).toEqual([["A2", "north"]]);
  expect(pieceOfCells([{ name: "Sheet1", cut: false, cells: [] }])).toBeNull();
});

test("a check asks for output alone, for cells, or for both; cells in any order, changed or not", () => {
  expect(same("Total: 22.5\n")).toBe(true);
  expect(same("Total: 22.5\ncell B5 = 22.5\n")).toBe(true);
  expect(same("Total: 22.5\ncell B5 = 22.5\ncell b2 = 14\n")).toBe(true);
  expect(same("Total: 22.5\ncell A2 = north\n")).toBe(true);
  expect(same("Total: 22.5\ncell B5 = 20.5\n")).toBe(false);
  expect(same("Total: 22.5\ncell B9 = 1\n")).toBe(false);
  expect(same("Total: 22\ncell B5 = 22.5\n")).toBe(false);
});

test("what a difference shows is the cell as it is", () => {
  expect(compareOutput(console, "Total: 22.5\ncell B5 = 20.5\n")).toMatchObject({
    ...{ same: false, line: 2, intended: "cell B5 = 20.5", actual: "cell B5 = 22.5" },
  });
});

test("a console without a workbook stays as it is, whatever it printed", () => {
  const plain: ConsolePiece[] = [{ kind: "out", text: "cell B5 = 3\n" }];
  expect(piecesAsked(plain, "")).toBe(plain);
  expect(compareOutput(plain, "cell B5 = 3\n").same).toBe(true);
  expect(compareOutput(plain, "").same).toBe(false);
  expect(consoleText(piecesAsked(console, "nothing of cells"), ["out"])).toBe("Total: 22.5\n");
});

test("what a box asks counts only where an intended text has it", () => {
  const asks: ConsolePiece[] = [
    { kind: "out", text: "Cars? ", asked: true },
    { kind: "in", text: "4\n" },
    { kind: "out", text: "Deck 8\n" },
  ];
  expect(compareOutput(asks, "Deck 8\n").same).toBe(true);
  expect(compareOutput(asks, "Cars? Deck 8\n").same).toBe(true);
  expect(compareOutput(asks, "Vans? Deck 8\n").same).toBe(false);
  expect(compareOutput(asks, "Deck 9\n")).toMatchObject({ same: false, actual: "Deck 8" });
});
