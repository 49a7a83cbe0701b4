import { expect, test } from "vitest";
import { type MarkTable, markBookCsv, sharesOf } from "./markBookCsv.ts";

const cell = (earned: number, waits = false) => ({ earned, waits, marked: true });
const table: MarkTable = {
  number: 2,
  total: 6,
  columns: [
    { exercise: 1, title: "Which kind of error is it?", marks: 2 },
    { exercise: 1, title: "Mend the program", marks: 4 },
  ],
  rows: [
    {
      ...{ label: "S-01", state: "handed in", handedInAt: "2026-11-28T09:41:30Z", total: 3.5, waiting: 0 },
      cells: [cell(1.5), cell(2)],
    },
    {
      ...{ label: '=cmd|" /C"', state: "handed in", handedInAt: "2026-06-01T22:30:00Z", total: 4, waiting: 1 },
      cells: [cell(0, true), cell(4)],
    },
    {
      ...{ label: "S-03", state: "not begun", handedInAt: null, total: 0, waiting: 0 },
      cells: [
        { earned: 0, waits: false, marked: false },
        { earned: 0, waits: false, marked: false },
      ],
    },
  ],
};

test("numbers are numbers, moments are in the school's time, and no label is taken for a formula", () => {
  expect(markBookCsv([table], "Europe/Berlin").split("\r\n")).toEqual([
    "Edition,Student,State,Handed in,1. Which kind of error is it? (of 2),1. Mend the program (of 4),Total (of 6),Waits",
    "2,S-01,handed in,2026-11-28 10:41,1.5,2,3.5,0",
    `2,"'=cmd|"" /C""",handed in,2026-06-02 00:30,0,4,4,1`,
    "2,S-03,not begun,,,,,0",
    "",
  ]);
});

test("shares are of those who handed in, without what waits for the teacher", () => {
  expect(sharesOf(table)).toEqual({ cells: ["75 %", "75 %"], total: "58 %" });
  expect(sharesOf({ ...table, rows: table.rows.slice(2) })).toEqual({ cells: ["", ""], total: "" });
});
