import { execFileSync, spawnSync } from "node:child_process";
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { deckModel, deckPrograms } from "../demo/assignments/deckPrograms.ts";
import { fareModel, farePrograms } from "../demo/assignments/farePrograms.ts";
import { findAssignment, insertAssignment } from "../server/assignments/assignmentStore.ts";
import { insertCheck, listAssignmentChecks } from "../server/assignments/checkStore.ts";
import { collectCase, findCase } from "../server/cases/caseStore.ts";
import { saveAssignmentCheck } from "../server/classwork/assignmentChecks.ts";
import { startJudgingAssignment } from "../server/classwork/judgeAssignment.ts";
import { listOverview, saveJudged } from "../server/classwork/judgedStore.ts";
import { serve } from "../server/http/serve.ts";
import { addCourse } from "../server/people/courseStore.ts";
import { firstTeacher } from "../server/people/teacherStore.ts";
import { productFolder } from "../server/productFolder.ts";
import type { Services } from "../server/services.ts";
import type { Measure } from "./measure.ts";
import { againstEmptyQuery, milliseconds } from "./yardsticks.ts";

const inputs = {
  deck: [
    "3\n4.5\n2.5\n5.5\n",
    "0\n",
    "1\n7\n",
    "2\n12\n8\n",
    "2\n12\n8.5\n",
    "3\n9\n2\n3\n",
    "3\n2\n3\n9\n",
    "2\n6\n6\n",
    "1\n1\n",
    "2\n1\n1\n",
  ],
  fares: [
    "3\n41\n9\n70\n",
    "0\n",
    "1\n14\n",
    "1\n15\n",
    "1\n64\n",
    "1\n65\n",
    "2\n20\n20\n",
    "5\n9\n9\n9\n9\n9\n",
    "6\n9\n9\n9\n9\n9\n9\n",
    "1\n3\n",
  ],
} as const;

type Plan = {
  language: string;
  file: string;
  model: string;
  programs: readonly string[];
  inputs: readonly string[];
  /** What a shell does with one program in its folder, for all inputs. */
  shell: string;
  rounds: number;
  atMost: number;
};
const plans: readonly Plan[] = [
  {
    ...{ language: "python", file: "deck.py", model: deckModel, programs: deckPrograms, inputs: inputs.deck },
    ...{ shell: "for i in $(seq 0 9); do /usr/bin/python3 deck.py < ../in$i; done", rounds: 2, atMost: 0.3 },
  },
  {
    ...{ language: "java", file: "Fares.java", model: fareModel, programs: farePrograms, inputs: inputs.fares },
    ...{ shell: "javac Fares.java && for i in $(seq 0 9); do java Fares < ../in$i; done", rounds: 1, atMost: 0.15 },
  },
];

/**
 * 30 programs of one assignment with 10 checks, whole process, against a shell loop that only translates and runs them;
 * the best of its rounds, in turn.
 */
function judged(plan: Plan): Measure {
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-bench-"));
  try {
    const paths = Array.from({ length: 30 }, (_, number) => {
      const home = join(folder, `p${number}`);
      mkdirSync(home);
      writeFileSync(join(home, plan.file), `${plan.programs[number % plan.programs.length] ?? ""}`);
      return join(home, plan.file);
    });
    for (const [number, input] of plan.inputs.entries()) writeFileSync(join(folder, `in${number}`), input);
    writeFileSync(
      join(folder, "assignment.json"),
      JSON.stringify({
        ...{ format: "bent-nail-assignment", version: 1, languages: [plan.language] },
        models: [{ language: plan.language, files: [{ path: plan.file, text: plan.model }] }],
        checks: plan.inputs.map((input, number) => ({ name: `check ${number + 1}`, input })),
      }),
    );
    const command = join(productFolder, "bin/bent-nail");
    execFileSync(command, ["--help"]);
    let [ours, plain] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
    for (let round = 0; round < plan.rounds; round++) {
      const loop = `for n in $(seq 0 29); do ( cd p$n && ${plan.shell} ); done >/dev/null 2>&1`;
      plain = Math.min(
        plain,
        milliseconds(() => void spawnSync("bash", ["-c", loop], { cwd: folder })),
      );
      const args = ["judge", "--assignment", join(folder, "assignment.json"), "--json", ...paths];
      ours = Math.min(
        ours,
        milliseconds(
          () => void execFileSync(command, args, { stdio: ["ignore", "ignore", "inherit"], maxBuffer: 1e9 }),
        ),
      );
    }
    console.log(
      `judge --assignment, 30 programs of ${plan.language} with 10 checks: ${Math.round(ours)} ms; shell loop: ${Math.round(plain)} ms`,
    );
    return {
      ...{
        work: `judge 30 ${plan.language} programs by 10 checks, whole process`,
        against: "shell loop of the plain tools",
      },
      ...{ value: ours / plain, unit: "x", atMost: plan.atMost },
    };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const port = 4398;
const results = ["passes", "passes", "logic", "runtime"] as const;

/** An assignment with 400 programs and 20 checks, its cells as judging would have kept them. */
async function fill(services: Services): Promise<string> {
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  const key = await insertAssignment(database.query, course, { title: "Deck loads" });
  const checks: string[] = [];
  for (let number = 0; number < 20; number++) {
    const check = { name: `check ${number}`, input: `${number}\n`, expected: `${number}\n`, kind: "normal" as const };
    checks.push(await insertCheck(database.query, { assignment: key }, check));
  }
  for (let number = 0; number < 400; number++) {
    const faultyCase = await collectCase(database, {
      ...{ language: "python", course, assignment: key, student: null, title: `deck${number}.py`, intent: "" },
      files: [{ name: `deck${number}.py`, bytes: Buffer.from(`print(input(), ${number})\n`) }],
      ...{ changedLast: "", input: "", symptom: null },
    });
    const found = await findCase(database, faultyCase);
    await saveJudged(database, {
      ...{ version: found?.current_version ?? "", assignment: key, faultyCase, class: "logic", kind: null },
      cells: checks.map((check, place) => {
        const result = results[(number + place) % results.length] ?? "passes";
        const firstDifference = { line: 1, intended: `${place}`, actual: `${place} ${number}` };
        return {
          check,
          edition: 1,
          result,
          alike: `result line 1: ${place}`,
          ...(result === "logic" ? { firstDifference } : {}),
        };
      }),
    });
  }
  return key;
}

/** The overview of 400 programs and 20 checks against a query that does nothing, and how soon a changed check shows. */
async function overview(): Promise<Measure[]> {
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-bench-"));
  let [key, first, small] = ["", 0, ""];
  process.env.BENT_NAIL_LOG = "silent";
  await serve({
    ...{ port, host: "127.0.0.1", folder },
    load: async (services: Services) => {
      key = await fill(services);
      small = await changed(services, (ms) => {
        first = ms;
      });
    },
  });
  const address = `http://127.0.0.1:${port}/assignments/${key}/overview`;
  const { time, query, value } = await againstEmptyQuery(40, async () => (await fetch(address)).text());
  console.log(
    `overview of 400 programs and 20 checks: ${time.toFixed(1)} ms (p95); an empty query ${query.toFixed(2)} ms; a changed check shows first after ${Math.round(first)} ms (${small})`,
  );
  rmSync(folder, { recursive: true, force: true });
  return [
    {
      ...{ work: "overview of 400 programs and 20 checks, p95", against: "empty query" },
      ...{ value, unit: "x", atMost: 200 },
    },
    {
      ...{ work: "first program judged anew after a check changed", against: "2 s" },
      ...{ value: first / 2000, unit: "x", atMost: 1 },
    },
  ];
}

/** Changes a check of an assignment of 30 programs and tells after how many milliseconds a first one shows its new state. */
async function changed(services: Services, tell: (milliseconds: number) => void): Promise<string> {
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing, small", "python");
  const key = await insertAssignment(database.query, course, { title: "Deck loads" });
  const check = { name: "limit", input: "2\n12\n8\n", expected: "x", kind: "normal" as const };
  await insertCheck(database.query, { assignment: key }, check);
  for (let number = 0; number < 30; number++)
    await collectCase(database, {
      ...{ language: "python", course, assignment: key, student: null, title: "deck.py", intent: "", changedLast: "" },
      files: [{ name: "deck.py", bytes: Buffer.from(deckPrograms[number % deckPrograms.length] ?? "") }],
      ...{ input: "", symptom: null },
    });
  await startJudgingAssignment(services, key);
  await services.queue.settled();
  const [kept] = await listAssignmentChecks(database, key);
  const found = await findAssignment(database, key);
  if (!kept || !found) throw new Error("the assignment is not there");
  const start = performance.now();
  const change = { who: { role: "teacher" as const, teacher: firstTeacher }, revision: found.revision, reason: "" };
  void saveAssignmentCheck(services, found, change, kept.key, {
    ...check,
    expected: "Total: 20.0 t\nHeaviest: 12.0 t\nMay sail\n",
  });
  const isNew = async () =>
    (await listOverview(database, key)).some((row) =>
      row.cells.some((cell) => cell.check === kept.key && cell.edition === kept.edition + 1),
    );
  while (!(await isNew())) await new Promise((resolve) => setTimeout(resolve, 10));
  tell(performance.now() - start);
  await services.queue.settled();
  return `all 30 after ${Math.round(performance.now() - start)} ms`;
}

/** Judging by the checks of an assignment, and its overview. */
export async function benchAssignment(): Promise<Measure[]> {
  return [...plans.map(judged), ...(await overview())];
}
