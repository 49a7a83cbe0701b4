import { afterAll, beforeAll, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { insertAssignment } from "../assignments/assignmentStore.ts";
import { insertCheck } from "../assignments/checkStore.ts";
import { collectCase, findCase, versionOf } from "../cases/caseStore.ts";
import { addCourse } from "../people/courseStore.ts";
import { openTestServices } from "../testServices.ts";
import { judgeVersion } from "./judge.ts";
import { runProgram, runWithInputs, usualLimits } from "./run.ts";
import { listRuns } from "./runStore.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

const python = findLanguage("python");
const load =
  'cars = int(input("Cars? "))\nif cars > 9:\n    print("Too many", 5 // (cars - 12))\nelse:\n    print(cars * 4)\n';

test("one program with several inputs in one job gives what each run by itself gives; what was cut short is run again", async () => {
  if (!python) throw new Error("no Python");
  const files = [
    { name: "load.py", bytes: Buffer.from(load.replace("else:", "elif cars == 0:\n    while True: pass\nelse:")) },
  ];
  const inputs = ["3\n", "12\n", "0\n", "x\n", "", "3\n"];
  const together = await runWithInputs(services.toolchains, { language: python, files }, inputs);
  // Without an end nothing is told in company.
  expect([...together.keys()]).toEqual(["3\n", "12\n", "x\n", ""]);
  for (const [input, outcome] of together) {
    const alone = await runProgram(services.toolchains, { language: python, files, input });
    expect({ ...outcome, milliseconds: 0 }).toEqual({ ...alone.outcome, milliseconds: 0, inCompany: true });
  }
});

test("a run that leaves a file, and a program with one input only, get runs of their own", async () => {
  if (!python) throw new Error("no Python");
  const files = [{ name: "log.py", bytes: Buffer.from('open("log.txt", "a").write(input())\nprint("kept")\n') }];
  expect((await runWithInputs(services.toolchains, { language: python, files }, ["a\n", "b\n"])).size).toBe(0);
  expect((await runWithInputs(services.toolchains, { language: python, files }, ["a\n", "a\n"])).size).toBe(0);
});

test("an assignment is judged by runs in company; whether a mending is verified is asked of runs alone", async () => {
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  const assignment = await insertAssignment(database.query, course, { title: "Loads" });
  for (const [input, expected] of [
    ["3\n", "12\n"],
    ["4\n", "17\n"],
    ["12\n", "Too many\n"],
  ] as const)
    await insertCheck(database.query, { assignment }, { name: input, input, expected, kind: "normal" });
  const key = await collectCase(database, {
    ...{ language: "python", course, assignment, student: null, title: "load.py", intent: "", changedLast: "" },
    files: [{ name: "load.py", bytes: Buffer.from(load) }],
    ...{ input: "", symptom: null },
  });
  const found = await findCase(database, key);
  if (!found) throw new Error("no case");
  const version = versionOf(found, found.current_version);
  const judged = await judgeVersion(services, found, version, { quick: true });
  expect(judged.results.map((each) => each.passes)).toEqual([null, true, false, false]);
  expect(judged.results.slice(1).map((each) => each.judgement.class)).toEqual([null, "logic", "runtime"]);
  const translator = judged.results[1]?.outcome?.translator ?? "";
  const kept = () => listRuns(database, { version: version.key, translator, limits: usualLimits });
  expect([...(await kept()).values()].filter((outcome) => outcome.inCompany)).toHaveLength(3);

  const shown = await judgeVersion(services, found, version);
  expect(shown.results.filter((each) => each.outcome?.inCompany)).toHaveLength(3);
  const alone = await judgeVersion(services, found, version, { alone: true });
  expect(alone.results.some((each) => each.outcome?.inCompany)).toBe(false);
  expect([...(await kept()).values()].some((outcome) => outcome.inCompany)).toBe(false);
  // What is shown of it now serves the overview as well.
  expect(
    (await judgeVersion(services, found, version, { quick: true })).results[2]?.outcome?.inCompany,
  ).toBeUndefined();
});
