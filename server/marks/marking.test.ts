import { afterAll, beforeAll, describe, expect, test } from "vitest";
import type { ItemMark } from "../../core/exercises/taskKind.ts";
import { mend } from "../../core/exercises/tasks/mend.ts";
import { testExercise } from "../../core/exercises/testExercise.ts";
import { findHunks } from "../../core/fixes/hunks.ts";
import { runForCheck } from "../exercises/runForCheck.ts";
import { openTestServices } from "../testServices.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

const program = `def heaviest(loads):
    top = 0
    for load in loads
        if load < top:
            top = load
    return top

loads = [4, 9, 2]
print("Heaviest:", heaviest(loads)
print("Boats:", len(load))
`;
const fixes: Array<[string, string]> = [
  ["for load in loads\n", "for load in loads:\n"],
  ["if load < top", "if load > top"],
  ["heaviest(loads)\n", "heaviest(loads))\n"],
  ["len(load))", "len(loads))"],
];
const apply = (text: string, ...changes: ReadonlyArray<readonly [string, string]>) =>
  changes.reduce((result, [before, after]) => result.replace(before, after), text);
const mended = apply(program, ...fixes);
const exercise = testExercise({
  fileName: "loads.py",
  program,
  mended,
  faults: fixes.map((fix) => ({
    class: "logic",
    symptom: "",
    message: "",
    reportedLine: null,
    faultyLines: [1],
    hunks: findHunks(program, apply(program, fix)),
  })),
  checks: [{ input: "", expected: "Heaviest: 9\nBoats: 3\n", kind: "normal", ignorePrompts: false, files: {} }],
});
const task = { key: "m", kind: "mend", marks: 8, allowedExtraLines: 1, extraCost: 2 };

async function mark(text: string): Promise<ItemMark[]> {
  return mend.mark(task, { text }, { exercise, run: (tried, check) => runForCheck(services, exercise, tried, check) });
}
const earned = async (text: string) => (await mark(text)).map((item) => item.earned);
const [colon, order, bracket, name] = fixes as [[string, string], [string, string], [string, string], [string, string]];

describe("a program with four faults, two marks each", () => {
  test.each([
    ["all four mended", [colon, order, bracket, name], [2, 2, 2, 2]],
    ["nothing changed", [], [0, 0, 0, 0]],
    ["only the first: the program still does not start", [colon], [2, 0, 0, 0]],
    ["only the last", [name], [0, 0, 0, 2]],
    ["two of four", [order, bracket], [0, 2, 2, 0]],
    ["a fault mended in another way", [["if load < top", "if top < load"]], [0, 2, 0, 0]],
    ["a fault changed but not mended", [["if load < top", "if load == top"]], [0, 0, 0, 0]],
    ["a mending that breaks the next fault's line too", [colon, ["if load < top:", "if load > top"]], [2, 0, 0, 0]],
    [
      "the same effect from another line",
      [
        ["top = 0", "top = 0; load = loads"],
        ["if load < top", "if load > top"],
      ],
      [0, 2, 0, 0],
    ],
    ["one line more than asked is allowed", [colon, ["top = 0\n", "top = 0\n    # begin\n"]], [2, 0, 0, 0]],
    ["blank lines do not count", [colon, ["top = 0\n", "top = 0\n\n\n\n"]], [2, 0, 0, 0]],
  ] as Array<[string, Array<[string, string]>, number[]]>)("%s", async (_, changes, marks) => {
    expect(await earned(apply(program, ...changes))).toEqual(marks);
  });

  test("features cost what the task says, once, and never more than was earned", async () => {
    const features = 'print("Welcome aboard")\nprint("The Kittiwake")\nprint("Have a good trip")\n';
    expect(
      await earned(
        apply(program, colon, order, bracket, name, ["loads = [4, 9, 2]\n", `${features}loads = [4, 9, 2]\n`]),
      ),
    ).toEqual([0, 2, 2, 2]);
    expect(await earned(apply(program, ["loads = [4, 9, 2]\n", `${features}loads = [4, 9, 2]\n`]))).toEqual([
      0, 0, 0, 0,
    ]);
  });

  test("a wrapper that hides every fault mends none", async () => {
    expect(await earned(`try:\n${program.replace(/^/gm, "    ")}\nexcept Exception:\n    pass\n`)).toEqual([
      0, 0, 0, 0,
    ]);
  });

  test("printing the intended text instead of mending earns nothing for the faults left in place", async () => {
    const marks = await earned('print("Heaviest: 9")\nprint("Boats: 3")\n');
    expect(marks.every((each) => each !== null && each <= 2)).toBe(true);
    expect((await mark(program)).map((item) => item.reason)).toEqual(
      Array(4).fill("Nothing was changed for this fault."),
    );
  });

  test("an editor's CR LF and a missing last line end are no change", async () => {
    expect(await earned(mended.replaceAll("\n", "\r\n"))).toEqual([2, 2, 2, 2]);
    expect(await earned(mended.trimEnd())).toEqual([2, 2, 2, 2]);
  });

  test("a hostile answer ends within its limits and earns nothing", async () => {
    expect(await earned(apply(program, ["if load < top:", "while True: pass\n        if load < top:"]))).toEqual([
      0, 0, 0, 0,
    ]);
  });

  test("an empty answer earns nothing", async () => {
    expect((await earned("")).reduce<number>((sum, each) => sum + (each ?? 0), 0)).toBe(0);
  });
});
