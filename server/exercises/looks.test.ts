import { afterAll, beforeAll, expect, test } from "vitest";
import { testExercise } from "../../core/exercises/testExercise.ts";
import { findHunks } from "../../core/fixes/hunks.ts";
import { openTestServices } from "../testServices.ts";
import { programsStepByStep, withLooks } from "./looks.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

const check = (expected: string, input = "") => ({
  ...{ input, expected, kind: "normal" as const, ignorePrompts: false, files: {} },
});

test("a wrong result is followed from the line that printed it through a function to the wrong line, as it really ran", async () => {
  const program =
    "def room(deck, cars):\n    left = deck + cars\n    return left\n\ntotal = room(40, 12)\nprint('Places:')\nprint(total)\n";
  const mended = program.replace("deck + cars", "deck - cars");
  const content = testExercise({
    ...{ program, mended, checks: [check("Places:\n28\n")] },
    faults: [
      {
        ...{ class: "logic", symptom: "", message: "", reportedLine: null, faultyLines: [2] },
        hunks: findHunks(program, mended),
      },
    ],
  });
  const [fault] = await withLooks(services, content);
  expect(fault?.looks).toEqual([
    { line: 7, why: "This line printed the first thing that is not as intended." },
    { line: 5, why: "“total” got its value here." },
    { line: 3, why: "What it needs is given back here." },
    { line: 2, why: "“left” got its value here. Here is the mistake." },
  ]);
  expect(await withLooks(services, { ...content, faults: fault ? [fault] : [], checks: [] })).toEqual([fault]);
});

test("each fault has its own way, on the program in which those before it are mended, told by the lines of the first one", async () => {
  const program = "cars = 0\nshare = cars\nprint(30 / share\nprint('done')\n";
  const faults = [
    {
      ...{ class: "syntax" as const, symptom: "", message: "", reportedLine: 3, faultyLines: [3] },
      hunks: [{ start: 3, before: ["print(30 / share\n"], after: ["# shared out\n", "print(30 / share)\n"] }],
    },
    {
      ...{ class: "runtime" as const, symptom: "", message: "", reportedLine: 4, faultyLines: [1] },
      hunks: [{ start: 1, before: ["cars = 0\n"], after: ["cars = 6\n"] }],
    },
  ];
  const content = testExercise({ program, mended: null, faults, checks: [check("5.0\ndone\n")] });
  expect(programsStepByStep(content)).toHaveLength(3);
  const found = await withLooks(services, content);
  expect(found[0]?.looks?.map(({ line }) => line)).toEqual([3]);
  // It stopped at a line that the first mending brought in, so the way begins behind it.
  expect(found[1]?.looks?.map(({ line }) => line)).toEqual([2, 1]);
});

test("without a run that fails only the faulty line is told; without a known line nothing", async () => {
  const [fault] = testExercise().faults;
  const passing = testExercise({ checks: [check("Deck load: 1\n")] });
  expect((await withLooks(services, passing))[0]?.looks).toEqual([{ line: 2, why: "Here is the mistake." }]);
  const unknown = testExercise({ faults: fault ? [{ ...fault, faultyLines: [] }] : [] });
  expect((await withLooks(services, unknown))[0]?.looks).toEqual([]);
});
