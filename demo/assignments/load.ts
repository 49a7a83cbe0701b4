import {
  findAssignment,
  insertAssignment,
  setHandIn,
  setInputShape,
} from "../../server/assignments/assignmentStore.ts";
import type { CheckInput } from "../../server/assignments/checkStore.ts";
import { listAssignmentChecks } from "../../server/assignments/checkStore.ts";
import { insertModel } from "../../server/assignments/modelStore.ts";
import { collectCase } from "../../server/cases/caseStore.ts";
import { confirmChecks, saveAssignmentCheck } from "../../server/classwork/assignmentChecks.ts";
import { startJudgingAssignment } from "../../server/classwork/judgeAssignment.ts";
import { guessedShape } from "../../server/classwork/proposals.ts";
import { addCourse, addStudents, listStudents } from "../../server/people/courseStore.ts";
import { firstTeacher } from "../../server/people/teacherStore.ts";
import type { Services } from "../../server/services.ts";
import { deckModel, deckPrograms } from "./deckPrograms.ts";
import { fareModel, farePrograms } from "./farePrograms.ts";

/** An assignment of the demo: what it asks for, and what was handed in for it. */
type DemoAssignment = {
  title: string;
  statement: string;
  language: string;
  fileName: string;
  model: string;
  programs: readonly string[];
  checks: ReadonlyArray<Pick<CheckInput, "name" | "purpose" | "input" | "kind" | "visible">>;
};

const deckLoads: DemoAssignment = {
  title: "Deck loads",
  statement:
    "The Kittiwake carries cars. Ask how many cars wait, then for the weight of each in tonnes.\nPrint the total as “Total: 12.5 t” and the heaviest as “Heaviest: 5.5 t”. Print “May sail” if the total is at most 20 t, else “Too heavy”.\nIf no car waits, print “Empty deck” and nothing else.",
  language: "python",
  fileName: "deck.py",
  model: deckModel,
  programs: deckPrograms,
  checks: [
    { name: "three cars", purpose: "usual values", input: "3\n4.5\n2.5\n5.5\n", kind: "normal", visible: true },
    { name: "one car", purpose: "a repeat of one", input: "1\n7.25\n", kind: "boundary" },
    { name: "no car", purpose: "a repeat of none", input: "0\n", kind: "boundary", visible: true },
    { name: "at the limit", purpose: "the total is 20 t", input: "2\n12\n8\n", kind: "boundary" },
    { name: "just above", purpose: "the total is 20.5 t", input: "2\n12\n8.5\n", kind: "boundary" },
    { name: "heaviest first", purpose: "the first element is the greatest", input: "3\n9\n2\n3\n", kind: "boundary" },
    { name: "heaviest last", purpose: "the last element is the greatest", input: "3\n2\n3\n9\n", kind: "boundary" },
    { name: "two alike", purpose: "the greatest comes twice", input: "2\n6\n6\n", kind: "normal" },
    { name: "far too heavy", purpose: "far above the limit", input: "2\n150\n90\n", kind: "normal" },
  ],
};

const fares: DemoAssignment = {
  title: "Fares of a family",
  statement:
    "Ask how many passengers there are, then for the age of each. Whoever is younger than 15 pays 6, whoever is older than 64 pays 9, all others pay 12.\nPrint “Fare: ” and the sum. Six passengers or more get “Group ticket” on a line of its own.",
  language: "java",
  fileName: "Fares.java",
  model: fareModel,
  programs: farePrograms,
  checks: [
    { name: "a family", purpose: "usual values", input: "3\n41\n9\n70\n", kind: "normal", visible: true },
    { name: "nobody", purpose: "a repeat of none", input: "0\n", kind: "boundary" },
    { name: "14", purpose: "just below the limit 15", input: "1\n14\n", kind: "boundary" },
    { name: "15", purpose: "equal to the limit 15", input: "1\n15\n", kind: "boundary" },
    { name: "64", purpose: "just below 65", input: "1\n64\n", kind: "boundary" },
    { name: "65", purpose: "just above 64", input: "1\n65\n", kind: "boundary" },
    { name: "five", purpose: "just below a group", input: "5\n20\n20\n20\n20\n20\n", kind: "boundary" },
    {
      name: "six",
      purpose: "the smallest group",
      input: "6\n20\n20\n20\n20\n20\n20\n",
      kind: "boundary",
      visible: true,
    },
  ],
};

const who = { role: "teacher", teacher: firstTeacher } as const;

/** Makes an assignment with its model and checks, and takes in what was handed in for it. */
async function loadAssignment(
  services: Services,
  course: string,
  demo: DemoAssignment,
  students: readonly string[],
  collectedAt: number,
): Promise<void> {
  const { database } = services;
  const { title, statement, language } = demo;
  const key = await insertAssignment(database.query, course, {
    ...{ title, statement, languages: [language], comparison: { prompts: "ignored", numbers: 0.001 } },
  });
  await setHandIn(database, key, true);
  await insertModel(database.query, key, language, [{ name: demo.fileName, bytes: Buffer.from(demo.model, "utf8") }]);
  await setInputShape(database.query, key, await guessedShape(database, key));
  const read = async () => {
    const found = await findAssignment(database, key);
    if (!found) throw new Error(`demo: ${title} is not there`);
    return found;
  };
  for (const check of demo.checks) {
    const found = await read();
    const change = { who, revision: found.revision, reason: "" };
    const saved = await saveAssignmentCheck(services, found, change, null, { ...check, expected: null });
    // Where its language does not run here there are no checks, and the programs are there all the same.
    if (!saved.ok) break;
  }
  const proposed = await listAssignmentChecks(database, key);
  const { revision } = await read();
  await confirmChecks(
    services,
    key,
    { who, revision, reason: "" },
    proposed.map((check) => check.key),
  );
  const cases: string[] = [];
  for (const [index, program] of demo.programs.entries())
    cases.push(
      await collectCase(database, {
        ...{ language, course, assignment: key, student: students[index] ?? null, title: demo.fileName },
        ...{ intent: "", changedLast: "", input: "", symptom: null },
        files: [{ name: demo.fileName, bytes: Buffer.from(program, "utf8") }],
        collectedAt: new Date(collectedAt + index).toISOString(),
      }),
    );
  await startJudgingAssignment(services, key, cases);
}

/** A course with two assignments: programs in Python of a whole class, and some in Java. */
export async function loadAssignments(services: Services, collectedAt: number): Promise<void> {
  const course = await addCourse(services.database, "Kittiwake Crossing, group 2", "python");
  const labels = Array.from({ length: 28 }, (_, index) => `K-${String(index + 1).padStart(2, "0")}`);
  await addStudents(services.database, course, labels);
  const students = (await listStudents(services.database, course)).map((student) => student.key);
  await loadAssignment(services, course, deckLoads, students, collectedAt);
  await loadAssignment(services, course, fares, students, collectedAt + 1000);
}
