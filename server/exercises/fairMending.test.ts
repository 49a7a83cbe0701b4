import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { type ExerciseContent, exerciseContentSchema } from "../../core/exercises/exercise.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { testExercise } from "../../core/exercises/testExercise.ts";
import { findHunks } from "../../core/fixes/hunks.ts";
import type { FaultClass } from "../../core/verdict/verdict.ts";
import { openTestServices } from "../testServices.ts";
import { makeHiddenChecks } from "./hiddenChecks.ts";
import { makeContext } from "./makeExercise.ts";
import { runForCheck } from "./runForCheck.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

type Slip = readonly [right: string, faulty: string, faultClass: FaultClass];

/** An exercise whose program has some slips in a right one, with the checks that the right one passes. */
async function planted(right: string, slips: readonly Slip[], inputs: readonly string[]): Promise<ExerciseContent> {
  const program = slips.reduce((text, [mended, faulty]) => text.replace(mended, faulty), right);
  const checks = [];
  for (const input of inputs) {
    const ran = await runForCheck(services, testExercise(), right, { input, expected: null, ignorePrompts: false });
    if ("notRun" in ran) throw new Error(ran.notRun);
    const expected = ran.outcome.console.map((piece) => (piece.kind === "out" ? piece.text : "")).join("");
    checks.push({ input, expected, kind: "normal" as const });
  }
  const faults = slips.map(([mended, faulty, faultClass]) => {
    const hunks = findHunks(program, program.replace(faulty, mended));
    const faultyLines = hunks.map((hunk) => hunk.start);
    return { class: faultClass, symptom: "", message: "", reportedLine: null, faultyLines, hunks };
  });
  const content = exerciseContentSchema.parse({ ...testExercise(), program, mended: right, faults, checks });
  return { ...content, hiddenChecks: await makeHiddenChecks(services, content) };
}

async function mark(content: ExerciseContent, text: string, marks: number) {
  const context = makeContext(services, content);
  const kind = kindOfTask({ kind: "mend" });
  const task = await kind.make(context, { key: "m", marks });
  if (typeof task === "string") throw new Error(task);
  const items = await kind.mark(task, { text }, context);
  return {
    earned: items.reduce((sum, item) => sum + (item.earned ?? 0), 0),
    items,
    said: items.map((each) => each.reason),
  };
}

const fares = `fares = [4, 6, 9]
bill = 0
for fare in fares:
    bill = bill + fare
print("Bill", bill)
print("Largest", max(fares))
`;
const threeSlips: Slip[] = [
  ["bill + fare", "bill - fare", "logic"],
  ['print("Bill", bill)', 'print("Bill", bil)', "runtime"],
  ["max(fares))", "max(fares)", "syntax"],
];

describe("three faults, six marks, a program that reads nothing", () => {
  let content: ExerciseContent;
  beforeAll(async () => {
    content = await planted(fares, threeSlips, [""]);
  });
  const earned = async (text: string, marks = 6) => (await mark(content, text, marks)).earned;

  test("what hides a fault is told from what mends it by other numbers in the program's data", () => {
    expect(content.hiddenChecks).toHaveLength(3);
    expect(content.hiddenChecks[0]).toMatchObject({ data: { line: "fares = [4, 6, 9]", from: "4", to: "7" } });
  });

  test("all mended, two of three, none", async () => {
    expect(await earned(fares)).toBe(6);
    expect(await earned(fares, 2)).toBe(2);
    const two = fares.replace("max(fares))", "max(fares)");
    expect(await earned(two)).toBe(4);
    // Halves where faults outnumber marks.
    expect(await earned(two, 2)).toBe(1.5);
    expect(await earned(content.program)).toBe(0);
  });

  test.each([
    ["two printed constants instead of the program", 'print("Bill", 19)\nprint("Largest", 9)\n'],
    ["constants behind data that is not used", 'fares = [4, 6, 9]\nprint("Bill", 19)\nprint("Largest", 9)\n'],
    [
      "everything caught",
      `try:\n${fares.replace("bill + fare", "bill - fare").replace(/^/gm, "    ").trimEnd()}\nexcept:\n    print("Bill", 19)\n    print("Largest", 9)\n`,
    ],
    ["nothing left", ""],
  ])("%s earns nothing", async (_, text) => {
    expect(await earned(text)).toBe(0);
  });

  test("layout costs nothing: blanks, blank lines, trailing blanks, comments, another indentation", async () => {
    expect(await earned(fares.replaceAll("\n", "  \n"))).toBe(6);
    expect(await earned(fares.replaceAll("\n", "\n\n"))).toBe(6);
    expect(await earned(fares.replace("bill = 0", "bill  =  0   # starts").replace("[4, 6, 9]", "[ 4,6, 9 ]"))).toBe(6);
    expect(await earned(fares.replace("    bill", "  bill"))).toBe(6);
    expect(await earned(`# my answer\n\n${fares}`)).toBe(6);
  });

  test("one added line beside the right fixes costs nothing; three cost one, once", async () => {
    const one = await mark(content, fares.replace('print("Bill"', 'print("here")\nprint("Bill"'), 6);
    expect(one.earned).toBe(6);
    expect(one.said[0]).toContain("The whole program as it was handed in does not pass all checks.");
    const three = fares.replace('print("Bill"', 'print("a")\nprint("b")\nprint("c")\nprint("Bill"');
    expect(await earned(three)).toBe(5);
  });

  test("written anew, and it works: one off, wherever the lines are", async () => {
    const anew = 'loads = [4, 6, 9]\ntotal = sum(loads)\nprint("Bill", total)\nprint("Largest", sorted(loads)[-1])\n';
    const { earned: marks, said } = await mark(content, anew, 6);
    expect([marks, said[0]]).toEqual([5, expect.stringContaining("passes all checks")]);
  });

  test("the same effect from another line counts", async () => {
    expect(await earned(fares.replace("bill + fare", "bill - -fare"))).toBe(6);
    const other = content.program
      .replace("bill - fare", "bill + fare")
      .replace("max(fares)", "max(fares))")
      .replace('print("Bill", bil)', 'bil = bill\nprint("Bill", bil)');
    expect(await earned(other)).toBe(6);
  });
});

/** The program of the next exercise, as it is handed out. */
const handedOut = `fare = int(input("Fare? "))
cars = int(input("Cars? "))
bill = fare + cars
if cars > 10:
    bill = bill - 5
print("Bill", bill)
`;

describe("two faults, four marks, a program that reads", () => {
  const crossing = `fare = int(input("Fare? "))
cars = int(input("Cars? "))
bill = fare * cars
if cars >= 10:
    bill = bill - 5
print("Bill", bill)
`;
  let content: ExerciseContent;
  beforeAll(async () => {
    content = await planted(
      crossing,
      [
        ["fare * cars", "fare + cars", "logic"],
        ["cars >= 10", "cars > 10", "logic"],
      ],
      ["4\n3\n", "2\n10\n"],
    );
  });

  test("hidden checks are other inputs with what the mended program gives", async () => {
    expect(content.hiddenChecks.length).toBeGreaterThan(0);
    expect(content.hiddenChecks.every((check) => check.data === undefined && check.input !== "")).toBe(true);
    expect((await mark(content, crossing, 4)).earned).toBe(4);
  });

  test("only one of two is mended, and three lines are added", async () => {
    const text = `${content.program.replace("fare + cars", "fare * cars")}print("a")\nprint("b")\nprint("c")\n`;
    const { earned, said } = await mark(content, text, 4);
    expect([earned, said[1]]).toEqual([1, "Nothing was changed for this fault."]);
    expect(said[0]).toContain("1 off");
  });

  test.each([
    [
      "one check's answers printed",
      'fare = int(input("Fare? "))\ncars = int(input("Cars? "))\nprint("Bill", 12 if cars == 3 else 15)\n',
    ],
    ["the input is left out", 'print("Bill", 12)\n'],
    ["answers by input", handedOut.replace("bill = fare + cars", "bill = {3: 12, 10: 20}.get(cars, 0)")],
  ])("%s: nothing", async (_, text) => {
    expect((await mark(content, text, 4)).earned).toBe(0);
  });
});

test("a crash that is only caught earns nothing; a guard that mends it does", async () => {
  const right = "loads = [3, 5, 8]\nfor place in range(3):\n    print(loads[place])\n";
  const content = await planted(right, [["range(3)", "range(4)", "runtime"]], [""]);
  const caught = content.program.replace(
    "    print(loads[place])",
    "    try:\n        print(loads[place])\n    except:\n        pass",
  );
  expect((await mark(content, caught, 2)).earned).toBe(0);
  expect((await mark(content, right.replace("range(3)", "range(len(loads))"), 2)).earned).toBe(2);
  expect((await mark(content, right, 2)).earned).toBe(2);
});

test("one of two lines of one fault earns nothing", async () => {
  const right = "tide = 3\ndepth = 2\nprint(tide + depth)\nprint(tide * depth)\n";
  const program = right.replace("tide + depth", "tide - depth").replace("tide * depth", "tide / depth");
  const content = await planted(right, [], [""]);
  const hunks = findHunks(program, right);
  const fault = { class: "logic" as const, symptom: "", message: "", reportedLine: null, faultyLines: [3, 4], hunks };
  const exercise = { ...content, program, faults: [fault] };
  expect((await mark(exercise, program.replace("tide - depth", "tide + depth"), 2)).earned).toBe(0);
  expect((await mark(exercise, right, 2)).earned).toBe(2);
});
