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

test("in a compiled language the way goes by the real run as well: a stop in C, a wrong result in Java", async () => {
  const crossing =
    '#include <stdio.h>\nint main(void) {\n    int boats = 0;\n    int share = boats;\n    int cars = 30;\n    printf("%d\\n", cars / share);\n    return 0;\n}\n';
  const inC = testExercise({
    ...{ language: "c", fileName: "cars.c", program: crossing, mended: crossing.replace("boats = 0", "boats = 6") },
    checks: [check("5\n")],
    faults: [
      {
        ...{ class: "runtime", symptom: "", message: "", reportedLine: null, faultyLines: [3] },
        hunks: [{ start: 3, before: ["    int boats = 0;\n"], after: ["    int boats = 6;\n"] }],
      },
    ],
  });
  const looksIn = async (content: typeof inC) =>
    (await withLooks(services, content))[0]?.looks?.map(({ line }) => line) ?? [];
  expect(await looksIn(inC)).toEqual([6, 4, 3]);
  const deck =
    "public class Deck {\n    public static void main(String[] a) {\n        int load = 4;\n        load = load - 3;\n        int all = load;\n        System.out.println(all);\n    }\n}\n";
  const inJava = testExercise({
    ...{ language: "java", fileName: "Deck.java", program: deck, mended: deck.replace("- 3", "+ 3") },
    checks: [check("7\n")],
    faults: [
      {
        ...{ class: "logic", symptom: "", message: "", reportedLine: null, faultyLines: [4] },
        hunks: findHunks(deck, deck.replace("- 3", "+ 3")),
      },
    ],
  });
  expect(await looksIn(inJava)).toEqual([6, 5, 4]);
});

test("a loop that does not end is looked at from where it was stopped", async () => {
  const program = "tide = 3\nwhile tide > 0:\n    print(tide)\n    tide = tide + 1\n";
  const mended = program.replace("+ 1", "- 1");
  const content = testExercise({
    ...{ program, mended, checks: [check("3\n2\n1\n")] },
    faults: [
      {
        ...{ class: "logic", symptom: "never ends", message: "", reportedLine: null, faultyLines: [4] },
        hunks: findHunks(program, mended),
      },
    ],
  });
  const [fault] = await withLooks(services, content);
  expect(fault?.looks?.[0]?.why).toMatch(/^It was still at this when it was stopped\./);
  expect(fault?.looks?.at(-1)).toMatchObject({ line: 4, why: expect.stringContaining("Here is the mistake.") });
});
