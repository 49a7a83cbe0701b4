import { afterAll, beforeAll, expect, test } from "vitest";
import { exerciseContentSchema } from "../../core/exercises/exercise.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { testExercise } from "../../core/exercises/testExercise.ts";
import { rowsOf, type TraceAnswer, traceTaskSchema } from "../../core/exercises/traceTask.ts";
import { openTestServices } from "../testServices.ts";
import { makeContext } from "./makeExercise.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

type Cells = Record<string, string>;

/** A table of a real run of pseudocode, with 6 marks, its lines printed or not; and what answers to it earn. */
async function table(program: string, linesGiven: boolean) {
  const checks = [{ input: "", expected: null, kind: "normal" as const }];
  const content = exerciseContentSchema.parse({
    ...{ ...testExercise(), language: "pseudocode", fileName: "loads.pseudo", program, mended: null, checks },
  });
  const context = makeContext(services, content);
  const made = await kindOfTask({ kind: "trace" }).make(context, { key: "t", marks: 6 });
  if (typeof made === "string") throw new Error(made);
  const task = { ...traceTaskSchema.parse(made), linesGiven, given: [] };
  const earned = async (rows: readonly Cells[]): Promise<number | null> => {
    const answer: TraceAnswer = { rows: rows.map((cells) => ({ cells })) };
    const [mark] = await kindOfTask(task).mark(task, answer, context);
    return mark?.earned ?? null;
  };
  return { key: rowsOf(task, content).map(({ cells }) => ({ ...cells })), earned };
}

/** The rows with other values in the cells that stand there. */
const withCells = (
  key: readonly Cells[],
  changes: ReadonlyArray<readonly [column: string, which: number, text: string]>,
) => {
  const rows = key.map((cells) => ({ ...cells }));
  for (const [column, which, text] of changes) {
    const row = rows.filter((cells) => cells[column] !== undefined)[which];
    if (!row) throw new Error(`no ${column} ${which}`);
    row[column] = text;
  }
  return rows;
};

const counted = (give: string) => `tide ${give} 2
load ${give} 1
FOR hour ${give} 1 TO 3
    tide ${give} tide + 2
    load ${give} load + tide
    OUTPUT "Load ", load
NEXT hour
OUTPUT tide
`;

test.each(["<-", "←", ":=", "="])("a slip is one slip where all else follows from it (%s)", async (give) => {
  const { key, earned } = await table(counted(give), true);
  // The counter that is gone behind its loop is nothing to be written down.
  expect(key.reduce((sum, row) => sum + Object.keys(row).length, 0)).toBe(15);
  expect(await earned(key)).toBe(6);
  expect(await earned(key.map(() => ({})))).toBe(0);
  const early = withCells(key, [
    ["tide", 1, "5"],
    ["load", 1, "6"],
    ["output", 0, "Load 6"],
    ["tide", 2, "7"],
    ["load", 2, "13"],
    ["output", 1, "Load 13"],
    ["tide", 3, "9"],
    ["load", 3, "22"],
    ["output", 2, "Load 22"],
    ["output", 3, "9"],
  ]);
  expect(await earned(early)).toBe(5.5);
});

test("a loop that counts down by two, a decision, an element, DIV and MOD: what follows from a slip is right", async () => {
  const { key, earned } = await table(
    `loads <- [9, 4]
rest <- 0
FOR car <- 7 TO 3 STEP -2
    rest <- rest + car MOD 4
    IF rest > 3 THEN
        loads[1] <- rest DIV 2
    ENDIF
NEXT car
OUTPUT rest
`,
    true,
  );
  expect(await earned(key)).toBe(6);
  // 7 MOD 4 is 3, taken for 1: one of eleven cells, the marks going down to halves.
  const slip = withCells(key, [["rest", 1, "1"]]);
  expect(await earned(slip)).toBe(5);
});

test("a conditional loop and SET … TO: the values are worked out by the student's own", async () => {
  const { key, earned } = await table(
    `SET seats TO 9
SET trips TO 0
WHILE seats > 0 DO
    SET seats TO seats - 4
    SET trips TO trips + 1
END WHILE
DISPLAY trips, " trips"
`,
    true,
  );
  expect(await earned(key)).toBe(6);
  const slip = withCells(key, [
    ["seats", 1, "4"],
    ["seats", 2, "0"],
  ]);
  expect(await earned(slip)).toBeGreaterThanOrEqual(5);
});
