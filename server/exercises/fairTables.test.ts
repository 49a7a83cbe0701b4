import { afterAll, beforeAll, expect, test } from "vitest";
import { type ExerciseContent, exerciseContentSchema } from "../../core/exercises/exercise.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { testExercise } from "../../core/exercises/testExercise.ts";
import { rowsOf, type TraceAnswer, type TraceTask, traceTaskSchema } from "../../core/exercises/traceTask.ts";
import { openTestServices } from "../testServices.ts";
import { makeContext } from "./makeExercise.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

type Cells = Record<string, string>;
type Table = { task: TraceTask; content: ExerciseContent; key: Cells[] };

/** A table of a real run of a program, its lines printed or not, with 6 marks and nothing given. */
async function table(
  program: string,
  linesGiven: boolean,
  rest: Partial<ExerciseContent> = {},
  input = "",
): Promise<Table> {
  const checks = [{ input, expected: null, kind: "normal" as const }];
  const content = exerciseContentSchema.parse({ ...testExercise(), program, mended: null, checks, ...rest });
  const context = makeContext(services, content);
  const made = await kindOfTask({ kind: "trace" }).make(context, { key: "t", marks: 6 });
  if (typeof made === "string") throw new Error(made);
  const task = { ...traceTaskSchema.parse(made), linesGiven, given: [] };
  return { task, content, key: rowsOf(task, content).map(({ cells }) => ({ ...cells })) };
}

/** What a table earns, its rows as they are written. */
async function earned({ task, content }: Table, rows: readonly object[]): Promise<number | null> {
  const answer: TraceAnswer = { rows: rows.map((cells) => ({ cells: cells as Cells })) };
  const [mark] = await kindOfTask(task).mark(task, answer, makeContext(services, content));
  return mark?.earned ?? null;
}

/** The values of a column by the rows in which they stand, one put in the place of another. */
const put = (key: Cells[], row: number, column: string, text: string): Cells[] =>
  key.map((cells, index) => (index === row ? { ...cells, [column]: text } : cells));
const rowOf = (key: Cells[], column: string, which = 0): number =>
  key.flatMap((cells, index) => (cells[column] === undefined ? [] : [index]))[which] ?? -1;
const withoutBlanks = (rows: readonly object[]) => rows.filter((cells) => Object.keys(cells).length > 0);

const loads = `tide = 2
load = 1
for hour in range(3):
    tide = tide + 2
    load = load + tide
    print("Load", load)
print(tide)
print(load * 2)
print("End")
`;

test("seventeen cells: each table earns what a fair examiner gives", async () => {
  const given = await table(loads, true);
  const { key } = given;
  const free: Table = { ...given, task: { ...given.task, linesGiven: false } };
  const cells = key.reduce((sum, row) => sum + Object.keys(row).length, 0);
  expect(cells).toBe(17);
  expect(await earned(given, key)).toBe(6);
  expect(await earned(free, withoutBlanks(key))).toBe(6);
  expect(
    await earned(
      given,
      key.map(() => ({})),
    ),
  ).toBe(0);
  expect(await earned(free, [])).toBe(0);
  // One early slip, everything after it worked out rightly from it.
  const early = key.map((row) => ({ ...row }));
  const set = (row: number, column: string, text: string) => Object.assign(early[row] ?? {}, { [column]: text });
  set(rowOf(key, "tide", 1), "tide", "5");
  set(rowOf(key, "load", 1), "load", "6");
  set(rowOf(key, "output", 0), "output", "Load 6");
  set(rowOf(key, "tide", 2), "tide", "7");
  set(rowOf(key, "load", 2), "load", "13");
  set(rowOf(key, "output", 1), "output", "Load 13");
  set(rowOf(key, "tide", 3), "tide", "9");
  set(rowOf(key, "load", 3), "load", "22");
  set(rowOf(key, "output", 2), "output", "Load 22");
  set(rowOf(key, "output", 3), "output", "9");
  set(rowOf(key, "output", 4), "output", "44");
  expect(await earned(given, early)).toBe(5.5);
  expect(await earned(free, withoutBlanks(early))).toBe(5.5);
  // A true value a pass too early, and then again.
  const tooEarly = put(key, rowOf(key, "output", 0), "tide", key[rowOf(key, "tide", 2)]?.tide ?? "");
  expect(await earned(given, tooEarly)).toBe(5.5);
  expect(await earned(free, withoutBlanks(tooEarly))).toBe(5.5);
  // Every unchanged value repeated; "-" where nothing changes; "?" where nothing is set yet.
  const now: Cells = {};
  const repeated = key.map((row) => {
    const { output, ...rest } = row;
    Object.assign(now, rest);
    return { ...now, ...(output === undefined ? {} : { output }) };
  });
  expect(await earned(given, repeated)).toBe(6);
  expect(await earned(free, repeated)).toBe(6);
  const dashes = key.map((row) => ({ tide: "-", load: "-", hour: "-", output: "-", ...row }));
  expect(await earned(given, dashes)).toBe(6);
  expect(await earned(free, dashes)).toBe(6);
  expect(await earned(given, put(dashes, 0, "load", "?"))).toBe(6);
  // A row for each pass.
  const perPass: Cells[] = [
    { tide: "2", load: "1" },
    { hour: "0", tide: "4", load: "5", output: "Load 5" },
    { hour: "1", tide: "6", load: "11", output: "Load 11" },
    { hour: "2", tide: "8", load: "19", output: "Load 19" },
    { output: "8" },
    { output: "38" },
    { output: "End" },
  ];
  expect(await earned(free, perPass)).toBe(6);
  // All values a row late or early.
  expect(await earned(given, [{}, ...key.slice(0, -1)])).toBe(5.5);
  expect(await earned(given, [{}, ...key])).toBe(5.5);
  expect(await earned(given, [...key.slice(1), {}])).toBe(5.5);
  // A loop variable that counts from 1, with all that follows as it really is.
  const counted = key.map((row) => (row.hour === undefined ? row : { ...row, hour: String(Number(row.hour) + 1) }));
  expect(await earned(given, counted)).toBe(5.5);
  expect(await earned(free, withoutBlanks(counted))).toBe(5.5);
});

test("a loop variable 1, 2, 3 for 0, 1, 2, all else following from it", async () => {
  const made = await table("fare = 0\nfor hour in range(3):\n    fare = fare + hour * 2\n    print(fare)\n", false);
  const rows: Cells[] = [
    { fare: "0" },
    { hour: "1" },
    { fare: "2" },
    { output: "2" },
    { hour: "2" },
    { fare: "6" },
    { output: "6" },
    { hour: "3" },
    { fare: "12" },
    { output: "12" },
  ];
  expect(await earned(made, rows)).toBe(5);
  // Nothing changes in the first pass of the real run: its cell is none that is asked for.
  expect(made.key.reduce((sum, row) => sum + Object.keys(row).length, 0)).toBe(9);
});

test("a decision taken wrongly is one slip: a pass too many or too few costs nothing more", async () => {
  const made = await table(
    "tide = 2\nwhile tide < 8:\n    tide = tide + 2\n    print(tide)\nprint('End', tide)\n",
    false,
  );
  expect(await earned(made, withoutBlanks(made.key))).toBe(6);
  const more = [
    ...[{ tide: "2" }, { tide: "4" }, { output: "4" }, { tide: "6" }, { output: "6" }, { tide: "8" }, { output: "8" }],
    ...[{ tide: "10" }, { output: "10" }, { output: "End 10" }],
  ];
  expect(await earned(made, more)).toBe(5);
  const fewer = [{ tide: "2" }, { tide: "4" }, { output: "4" }, { tide: "6" }, { output: "6" }, { output: "End 6" }];
  expect(await earned(made, fewer)).toBe(5);
  // Nothing more is forgiven than was written.
  expect(await earned(made, [{ tide: "2" }])).toBe(1.5);
  expect(await earned(made, [{ tide: "2" }, { output: "End 2" }])).toBe(3);
});

test("notations that are used throughout, and quotes where they tell a text from a number", async () => {
  const made = await table("full = True\nloads = [1, 2]\nname = 'Tern'\nfull = False\nprint(full)\n", true);
  const rows = made.key.map((row) => {
    const { full, loads, name } = row;
    return {
      ...row,
      ...(full === undefined ? {} : { full: full.toLowerCase() }),
      ...(loads === undefined ? {} : { loads: "1, 2" }),
      ...(name === undefined ? {} : { name: "Tern" }),
    };
  });
  expect(await earned(made, rows)).toBe(6);
  const counts = { ...made, task: { ...made.task, style: { ...made.task.style, notation: "counts" } as never } };
  expect(await earned(counts, rows)).toBe(4.5);
  const texts = await table("fare = input()\ncars = 5\nbill = int(fare) + cars\nprint(bill)\n", true, {}, "5\n");
  expect(texts.task.quotesCount).toBe(true);
  expect(await earned(texts, texts.key)).toBe(6);
  expect(await earned(texts, put(texts.key, 0, "fare", "5"))).toBe(4.5);
  expect(await earned(texts, put(texts.key, 1, "cars", '"5"'))).toBe(4.5);
});

test("prompts are no cells of the total, and cost nothing where they are written", async () => {
  const made = await table(
    "fare = int(input('Fare? '))\ncars = int(input('Cars? '))\nprint('Bill', fare * cars)\n",
    true,
    {},
    "4\n3\n",
  );
  expect(made.key).toEqual([{ fare: "4" }, { cars: "3" }, { output: "Bill 12" }]);
  expect(await earned(made, made.key)).toBe(6);
  expect(await earned(made, put(put(made.key, 0, "output", "Fare? "), 1, "output", "Cars?"))).toBe(6);
  // The typed value is read wrongly, and the rest follows.
  const slip = [{ fare: "3" }, { cars: "3" }, { output: "Bill 9" }];
  expect(await earned(made, slip)).toBe(4);
});

test("a table that is cut says so, and rows behind the cut cost nothing", async () => {
  const made = await table("load = 0\nfor hour in range(31):\n    load = load + 2\n", true);
  expect(made.task.cutOf).toBe(64);
  const rule = kindOfTask(made.task).rule(made.task);
  expect(rule).toContain("64 rows");
  const rest = [{ load: "60" }, { hour: "30" }, { load: "62" }, {}];
  expect(await earned(made, [...made.key, ...rest])).toBe(6);
  const free: Table = { ...made, task: { ...made.task, linesGiven: false } };
  expect(await earned(free, withoutBlanks([...made.key, ...rest]))).toBe(6);
});

/** The same program in every language; the slip is another first value, from which everything else follows. */
const programs: ReadonlyArray<[string, string, string, string]> = [
  ["python", "deck.py", loads, "load = 1"],
  [
    "java",
    "Deck.java",
    `public class Deck {
  public static void main(String[] args) {
    int load = 1;
    int tide = 2;
    for (int hour = 0; hour < 3; hour++) {
      tide = tide + 2;
      load += tide;
      System.out.println("Load " + load);
    }
    while (load > 15) {
      load = load - tide;
    }
    System.out.println(load * 2);
  }
}
`,
    "load = 1;",
  ],
  [
    "c",
    "deck.c",
    `#include <stdio.h>
int main(void) {
  int load = 1;
  int tide = 2;
  for (int hour = 0; hour < 3; hour++) {
    tide = tide + 2;
    load += tide;
    printf("Load %d\\n", load);
  }
  do {
    load = load - tide;
  } while (load > 15);
  printf("%d\\n", load * 2);
  return 0;
}
`,
    "load = 1;",
  ],
  [
    "csharp",
    "Deck.cs",
    `using System;
class Deck {
  static void Main() {
    int load = 1;
    int tide = 2;
    for (int hour = 0; hour < 3; hour++) {
      tide = tide + 2;
      load += tide;
      Console.WriteLine("Load " + load);
    }
    if (load > 15) {
      load = load - tide;
    }
    Console.WriteLine(load * 2);
  }
}
`,
    "load = 1;",
  ],
  [
    "pascal",
    "deck.pas",
    `program Deck;
var load, tide, hour: integer;
begin
  load := 1;
  tide := 2;
  for hour := 1 to 3 do
  begin
    tide := tide + 2;
    load := load + tide;
    writeln('Load ', load);
  end;
  repeat
    load := load - tide;
  until load < 15;
  writeln(load * 2);
end.
`,
    "load := 1;",
  ],
  [
    "octave",
    "deck.m",
    `load = 1;
tide = 2;
for hour = 1:3
  tide = tide + 2;
  load = load + tide;
  printf("Load %d\\n", load);
end
while load > 15
  load = load - tide;
end
disp(load * 2)
`,
    "load = 1;",
  ],
];

test.each(programs)(
  "%s: one early slip costs one cell, whatever follows from it",
  async (language, fileName, program, first) => {
    const given = await table(program, true, { language, fileName });
    const slipped = await table(program.replace(first, first.replace("1", "3")), true, { language, fileName });
    const cells = given.key.reduce((sum, row) => sum + Object.keys(row).length, 0);
    const oneSlip = Math.floor((6 * 2 * (cells - 1)) / cells) / 2;
    const free: Table = { ...given, task: { ...given.task, linesGiven: false } };
    expect(await earned(given, given.key)).toBe(6);
    expect(await earned(free, withoutBlanks(given.key))).toBe(6);
    expect(await earned(free, withoutBlanks(slipped.key))).toBe(oneSlip);
    expect(await earned(given, slipped.key)).toBe(oneSlip);
  },
);
