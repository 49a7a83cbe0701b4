import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { createElementColumns, mostElements } from "./elementColumns.ts";
import { positionsOf } from "./positions.ts";
import type { TableColumn } from "./tableColumn.ts";
import type { Value } from "./trace.ts";

const deck: TableColumn = { key: "deck", title: "deck", scope: "global" };
const whole = (number: number): Value => ({ type: "int", text: String(number) });
const list = (...numbers: number[]): Value => ({
  ...{ type: "list", shape: "list" },
  items: numbers.map((number) => ({ value: whole(number) })),
});
const write = (value: Value) => value.text ?? "";

test("of a long list the first elements have a column, and the rest is said", () => {
  const columns = createElementColumns(new Set(["deck"]), write);
  const cells = columns.cellsOf(deck, list(...Array.from({ length: 80 }, (_, at) => at)));
  expect(Object.keys(cells)).toHaveLength(mostElements + 1);
  expect(cells["deck/length of it"]).toBe("80");
  expect(columns.remarks()).toEqual(["Of deck the first 60 of 80 elements have a column."]);
});

test("a variable that holds a list, then a number, then nothing", () => {
  const columns = createElementColumns(new Set(["deck"]), write);
  expect(columns.cellsOf(deck, list(4))).toEqual({ "deck/length of it": "1", "deck/0": "4" });
  expect(columns.cellsOf(deck, whole(7))).toEqual({ deck: "7", "deck/length of it": "(gone)", "deck/0": "(gone)" });
  expect(columns.cellsOf(deck, null)).toEqual({ deck: "(gone)" });
  expect(columns.cellsOf(deck, null)).toEqual({});
  expect(columns.of("deck").map((column) => column.title)).toEqual(["deck", "length of deck", "deck[0]"]);
});

test.each([
  ["python", "deck = [1]\n", "deck", false, "deck[0]"],
  ["octave", "deck = [1 2];\n", "deck", false, "deck(1)"],
  ["octave", "word = 'ab';\n", "word", true, "word(1)"],
  ["pascal", "var deck: array[1..3] of integer;\n", "deck", false, "deck[1]"],
  ["pascal", "var a, Deck : packed array [ -2 .. 3 ] of integer;\n", "deck", false, "deck[-2]"],
  ["pascal", "var deck: array of integer;\n", "deck", false, "deck[0]"],
  ["pascal", "var word: string;\n", "word", true, "word[1]"],
  ["c", "int deck[3];\n", "deck", false, "deck[0]"],
])("%s names the first element of %j as it does itself", (id, program, name, isText, first) => {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  const { open, close, firstOf } = positionsOf(language, program);
  expect(`${name}${open}${firstOf(name, isText)}${close}`).toBe(first);
});
