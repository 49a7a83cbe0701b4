import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase, versionOf, type WholeCase } from "../cases/caseStore.ts";
import { makeExercise } from "../exercises/makeExercise.ts";
import { tryFix } from "../mend/tryFix.ts";
import { addCourse, setCoursePolicy } from "../people/courseStore.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { judgeVersion } from "./judge.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course = "";
beforeAll(async () => {
  services = await openTestServices();
  course = await addCourse(services.database, "Kittiwake Crossing", "python");
  // In this course a loop without end counts as a runtime error.
  await setCoursePolicy(services.database, course, { endlessClass: "runtime", wording: "three", depth: "full" });
});
afterAll(() => services.close());

async function whole(key: string): Promise<WholeCase> {
  const found = await findCase(services.database, key, "all");
  if (!found) throw new Error("no case");
  return found;
}
async function collect(program: string): Promise<WholeCase> {
  const key = await collectCase(services.database, {
    ...{ language: "python", course, student: null, title: "Boats", intent: "", changedLast: "" },
    files: [{ name: "boats.py", bytes: Buffer.from(program) }],
    ...{ input: "", expected: "3\n", symptom: null },
  });
  return whole(key);
}

const endless = "boats = 0\nwhile boats < 3:\n    boats = boats + 0\nprint(boats)\n";

test("an exercise is made under the course's policy: what it shows is no surprise", async () => {
  const found = await collect(endless);
  await tryFix(services, found, byTeacher(found), endless.replace("+ 0", "+ 1"), false);
  const mended = await whole(found.key);
  expect(mended.layers[0]?.verdict.class).toBe("runtime");
  const marks = { classify: 2 };
  const made = await makeExercise(services, mended, { title: "Boats", intro: "", replacements: [], marks });
  expect([made.content.faults[0]?.class, made.surprises]).toEqual(["runtime", []]);
});

test("whether a place is needed is tried under the course's policy, too", async () => {
  const program = endless.replace("boats = 0", "boats = zero").replace("print(boats)", "print(boats)  # all");
  const found = await collect(program);
  // The name is mended; the comment is changed along with it, and the loop without end shows next.
  const text = program.replace("zero", "0").replace("# all", "# boats");
  expect(await tryFix(services, found, byTeacher(found), text, false)).toMatchObject({
    result: "next fault",
    extra: [4],
  });
  expect((await whole(found.key)).layers[1]?.verdict.class).toBe("runtime");
});

/** A C program that counts up in steps of 4 until the number leaves its type's range, with a small loop in each pass. */
function countingLoop(start: number, turns: number): string {
  return `#include <stdio.h>\nint main(void)\n{\n    int low = ${start};\n    while (low > 0) {\n        low = low + 4;\n        for (int i = 0; i < ${turns}; i++)\n            ;\n    }\n    printf("%d\\n", low);\n    return 0;\n}\n`;
}

/** Turns of the small loop with which the whole count takes about so many seconds here: the last passes are timed. */
function turnsThatTake(seconds: number): number {
  const [passes, allPasses, turns] = [4_000_000, 2 ** 29, 30];
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-count-"));
  try {
    writeFileSync(join(folder, "count.c"), countingLoop(2 ** 31 + 1 - 4 * passes, turns));
    execFileSync("gcc", ["-o", "count", "count.c"], { cwd: folder });
    const times = Array.from({ length: 4 }, () => {
      const begun = performance.now();
      execFileSync("./count", { cwd: folder });
      return (performance.now() - begun) / 1000;
    });
    return Math.ceil((seconds * turns * passes) / (Math.min(...times) * allPasses));
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

test("a loop whose number leaves its type's range is let run on before anything is said of its end", async () => {
  const program = countingLoop(1, turnsThatTake(7));
  const key = await collectCase(services.database, {
    ...{ language: "c", course: null, student: null, title: "Tides", intent: "", changedLast: "" },
    files: [{ name: "tides.c", bytes: Buffer.from(program) }],
    ...{ input: "", expected: "-2147483647\n", symptom: null },
  });
  const found = await whole(key);
  const judge = () => judgeVersion(services, found, versionOf(found, found.current_version));
  const first = await judge();
  expect([first.deciding.judgement.class, first.deciding.judgement.goesOn]).toEqual([null, true]);
  expect(first.deciding.judgement.reasons.join(" ")).toContain("leaves the range of its type");
  // The heaviest leads are what the loop that runs waits for and its head, not the small one in it that ends.
  expect(first.deciding.judgement.leads.slice(0, 2).map((lead) => lead.line)).toEqual([6, 5]);
  await services.queue.settled();
  const second = await judge();
  expect([second.allPass, second.deciding.outcome?.finished]).toEqual([true, true]);
});
