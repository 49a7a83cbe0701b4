/** The demo's sheet: which cases it asks about, with which tasks and marks. */
export const demoSheet = {
  title: "Debugging 1: errors on the ferry",
  exercises: [
    { name: "boarding.py", marks: { classify: 2, point: 1, mend: 2 } },
    { name: "deck_load.py", marks: { classify: 2, predict: 3, mend: 2 } },
    { name: "passengers.py", marks: { classify: 2, point: 1, trace: 6, mend: 2 } },
    { name: "child_fare.py", marks: { predict: 3, trace: 4, mend: 2 } },
    { name: "timetable.py", marks: { point: 3, mend: 6 } },
  ],
} as const;

/** Words of the demo that look like names of persons and name places. */
export const demoPlaces: ReadonlySet<string> = new Set(["Puffin", "Quay"]);

/**
 * What a student wrote, by program and kind of task. A trace answer is written as rows of cells by column title ("=" is
 * the key's own cell, so a student who got it right is written shortly); a mended text as replacements in the program.
 */
export type DemoAnswers = Readonly<
  Record<
    string,
    {
      classify?: { class: "syntax" | "runtime" | "logic"; reason: string };
      point?: readonly number[];
      predict?: { output: string; ending: "ends by itself" | "stops with an error message" | "never ends" };
      /**
       * Cells (row from 0, column) that differ from the right ones; "" leaves a cell blank. Rows past `rows` are not
       * filled in.
       */
      trace?: { rows: number; slips: ReadonlyArray<{ row: number; column: string; text: string }> };
      mend?: ReadonlyArray<readonly [before: string, after: string]>;
    }
  >
>;

export const demoSittings: ReadonlyArray<{ student: string; handsIn: boolean; answers: DemoAnswers }> = [
  {
    student: "S-01",
    handsIn: true,
    answers: {
      "boarding.py": {
        classify: { class: "syntax", reason: "A colon is missing, so the program is not started at all." },
        point: [5],
        mend: [["booked > places\n", "booked > places:\n"]],
      },
      "deck_load.py": {
        classify: { class: "runtime", reason: "It had printed the cars before it stopped with an error message." },
        predict: { output: "Cars: 10\n", ending: "stops with an error message" },
        mend: [["lory", "lorry"]],
      },
      "passengers.py": {
        classify: { class: "runtime", reason: "It stops while it is running because the index is past the end." },
        point: [5],
        trace: { rows: 99, slips: [] },
        mend: [["names[number])", "names[number - 1])"]],
      },
      "child_fare.py": {
        predict: { output: "Age? Fare: 12\n", ending: "ends by itself" },
        trace: { rows: 99, slips: [] },
        mend: [["age < 15", "age <= 15"]],
      },
      "timetable.py": {
        point: [6, 7, 10],
        mend: [
          ["append(hour\n", "append(hour)\n"],
          ["lenght", "len(departures)"],
          ["hour < last", "hour <= last"],
        ],
      },
    },
  },
  {
    student: "S-03",
    handsIn: true,
    answers: {
      "boarding.py": {
        classify: { class: "syntax", reason: "Because there is an error." },
        point: [6],
        mend: [["booked > places\n", "booked > places:\n"]],
      },
      "deck_load.py": {
        classify: { class: "syntax", reason: "A name is spelt wrong so it does not start." },
        predict: { output: "Cars: 10\nDeck load: 34\n", ending: "ends by itself" },
        mend: [["lory", "lorry"]],
      },
      "passengers.py": {
        classify: { class: "runtime", reason: "It crashes while running." },
        point: [4],
        trace: { rows: 99, slips: [{ row: 3, column: "output", text: "1 Gannet" }] },
        mend: [["number = 1\n", "number = 0\n"]],
      },
      "child_fare.py": {
        predict: { output: "Age? Fare: 6.0\n", ending: "ends by itself" },
        trace: { rows: 6, slips: [] },
        mend: [["age < 15", "age < 16"]],
      },
      "timetable.py": {
        point: [7, 10],
        mend: [
          ["append(hour\n", "append(hour)\n"],
          ["lenght", "len(departures)"],
        ],
      },
    },
  },
  {
    student: "S-05",
    handsIn: true,
    answers: {
      "boarding.py": { classify: { class: "logic", reason: "The result is wrong." }, point: [5] },
      "deck_load.py": {
        classify: {
          class: "runtime",
          reason: "The name lory does not exist when line 7 is reached, so it stops there.",
        },
        predict: { output: "", ending: "stops with an error message" },
        mend: [["lorry = 12", "lory = 12"]],
      },
      "passengers.py": {
        classify: { class: "logic", reason: "It runs but prints the wrong names." },
        point: [5, 6],
        trace: { rows: 5, slips: [{ row: 4, column: "number", text: "3" }] },
        mend: [["number <= len(names)", "number < len(names)"]],
      },
      "child_fare.py": { predict: { output: "Fare: 12", ending: "ends by itself" }, mend: [["age < 15", "age > 15"]] },
      "timetable.py": {
        point: [7],
        mend: [
          ["append(hour\n", "append(hour)\n"],
          ["hour < last", "hour <= last"],
          [
            'print("Crossings:"',
            'print("Thank you")\nprint("Have a good trip")\nprint("See you again")\nprint("Crossings:"',
          ],
        ],
      },
    },
  },
  {
    student: "S-08",
    handsIn: true,
    answers: {
      "boarding.py": {
        classify: { class: "syntax", reason: "Nothing ran at all because the colon is missing." },
        point: [5],
        mend: [["booked > places\n", "booked > places:\n"]],
      },
      "deck_load.py": {
        classify: { class: "runtime", reason: "" },
        predict: { output: "Cars: 10", ending: "stops with an error message" },
      },
    },
  },
  {
    student: "S-10",
    handsIn: false,
    answers: { "boarding.py": { classify: { class: "syntax", reason: "The if line" } } },
  },
];
