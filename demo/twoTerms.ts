import { exampleRecords } from "../core/patterns/exampleRecords.ts";
import { findPattern } from "../core/patterns/patterns.ts";
import { insertAssignment } from "../server/assignments/assignmentStore.ts";
import { collectCase, findCase, type WholeCase } from "../server/cases/caseStore.ts";
import { insertVersion } from "../server/cases/versionStore.ts";
import { startJudgingAssignment } from "../server/classwork/judgeAssignment.ts";
import { decideClass, sayAdvice, sayPattern } from "../server/judge/decisions.ts";
import { tryFix } from "../server/mend/tryFix.ts";
import { addCourse, addStudents, listStudents } from "../server/people/courseStore.ts";
import { firstTeacher, type Who } from "../server/people/teacherStore.ts";
import type { Services } from "../server/services.ts";

const who: Who = { role: "teacher", teacher: firstTeacher };
const minute = 60_000;
const day = 24 * 60 * minute;

/** Programs that are handed in every week, and how many of them have a fault, from the first week on: it gets better. */
const programsAWeek = 6;
const faultsByWeek = [6, 6, 5, 5, 5, 4, 5, 4, 3, 3, 4, 2, 2, 2, 1, 1];

/** The kinds of mistake of each pair of weeks, in the order in which an assignment brings them. */
const stages: ReadonlyArray<{ title: string; kinds: readonly string[] }> = [
  { title: "Signs at the slip", kinds: ["quote-not-closed", "bracket-not-closed", "call-brackets-missing"] },
  { title: "Fares by age", kinds: ["colon-missing", "assignment-for-comparison", "limit-off-by-one"] },
  { title: "Bags and loads", kinds: ["text-and-number-mixed", "own-name-misspelt", "input-kept-as-text"] },
  { title: "Trips of a day", kinds: ["line-indented-wrongly", "limit-off-by-one", "loop-variable-never-changes"] },
  { title: "The passenger list", kinds: ["index-past-end", "limit-off-by-one", "list-changed-while-walked"] },
  { title: "Deck loads", kinds: ["restart-inside-loop", "limit-off-by-one", "own-name-misspelt"] },
  { title: "Tide heights", kinds: ["limit-off-by-one", "read-before-set", "formula-brackets-missing"] },
  { title: "Crossing times", kinds: ["return-inside-loop", "arguments-swapped", "limit-off-by-one"] },
];

/** Minutes until a version works that a student hands in again. */
const untilItWorks = [6, 25, 90, 700, 3 * 24 * 60];

/** Names of the examples, and what others call the same: two students do not write one program. */
const otherNames: ReadonlyArray<Readonly<Record<string, string>>> = [
  {},
  { load: "cargo", loads: "cargoes", trip: "sailing", total: "gathered" },
  { load: "weight", loads: "weights", trip: "crossing", total: "whole" },
  { load: "freight", loads: "freights", trip: "run", total: "amount" },
];

/** A program in the words of another student. */
function inOtherWords(text: string, student: number): string {
  const names = otherNames[student % otherNames.length] ?? {};
  const said = Object.entries(names).reduce(
    (now, [from, to]) => now.replace(new RegExp(`\\b${from}\\b`, "g"), to),
    text,
  );
  return `# written by P-${String((student % 12) + 1).padStart(2, "0")}\n${said}`;
}

/** An example of a kind in Python, as somebody may have written it. */
function programOf(kind: string, student: number) {
  const pattern = findPattern(kind);
  const all = (pattern?.examples ?? []).map((example, at) => ({ example, record: exampleRecords[kind]?.[at] }));
  const inPython = all.filter(({ example, record }) => example.language === "python" && record);
  const chosen = inPython[student % inPython.length];
  if (!chosen?.record) throw new Error(`demo: no example of ${kind} in Python`);
  return {
    ...{ right: inOtherWords(chosen.example.right, student), faulty: inOtherWords(chosen.example.faulty, student) },
    ...{ input: chosen.example.input, expected: inOtherWords(chosen.record.intended, student).replace(/^#.*\n/, "") },
  };
}

async function whole(services: Services, key: string): Promise<WholeCase> {
  const found = await findCase(services.database, key, "all");
  if (!found) throw new Error(`demo: no case ${key}`);
  return found;
}

/** Judges and mends a case as a teacher would, and says what its message was worth and which kind of mistake it is. */
async function workThrough(services: Services, key: string, kind: string, right: string, at: number): Promise<void> {
  const record = exampleRecords[kind]?.find((each) => each.class !== null);
  let found = await whole(services, key);
  const now = () => ({ who, revision: found.revision });
  await decideClass(services, found, now(), { class: record?.class ?? "logic", kind: null, reason: "seen in the run" });
  found = await whole(services, key);
  const tried = await tryFix(services, found, now(), right, false);
  if (!tried.ok) throw new Error(`demo: ${tried.message}`);
  found = await whole(services, key);
  const layer = found.layers[0]?.key ?? null;
  await sayPattern(services, found, { ...now(), reason: "" }, layer, kind);
  if (record?.message === null || record === undefined) return;
  found = await whole(services, key);
  const advice = record.reportedLine === record.faultyLine ? (at % 3 === 0 ? "partly" : "agrees") : "misleads";
  await sayAdvice(services, found, { ...now(), reason: "" }, layer, { advice, unsaid: "" });
}

/**
 * A course of two terms, sixteen weeks long, whose programs are judged behind the pages: the charts of the Casebook have something to say, and it is
 * known what. A few of the first ones are worked through by the teacher. Gives the course’s key.
 */
export async function loadTwoTerms(services: Services): Promise<string> {
  const { database } = services;
  const course = await addCourse(database, "Kittiwake Crossing, two terms", "python");
  const labels = Array.from({ length: 12 }, (_, index) => `P-${String(index + 1).padStart(2, "0")}`);
  await addStudents(database, course, labels);
  const students = await listStudents(database, course);
  const begin = Date.now() - (faultsByWeek.length * 7 + 3) * day;
  const runs = (await services.toolchains.find("python")?.available())?.ready ?? false;
  let [written, worked] = [0, 0];
  for (const [index, stage] of stages.entries()) {
    const statement = "Write the program that was talked about, and try it before you hand it in.";
    const asked = { title: stage.title, statement, languages: ["python"] };
    const assignment = await insertAssignment(database.query, course, asked);
    for (const week of [2 * index, 2 * index + 1]) {
      for (let place = 0; place < programsAWeek; place++) {
        written += 1;
        const kind = stage.kinds[(place + week) % stage.kinds.length] ?? "";
        const program = programOf(kind, written);
        const isFaulty = place < (faultsByWeek[week] ?? 0);
        const at = begin + week * 7 * day + place * 5 * 60 * minute;
        const key = await collectCase(database, {
          ...{ language: "python", course, assignment, title: `${stage.title}, week ${week + 1}`, intent: stage.title },
          student: students[(written * 5) % students.length]?.key ?? null,
          ...{ changedLast: "", symptom: null, input: program.input, expected: program.expected },
          files: [{ name: "main.py", bytes: Buffer.from(isFaulty ? program.faulty : program.right) }],
          collectedAt: new Date(at).toISOString(),
        });
        if (!isFaulty) continue;
        if (written % 3 !== 0) {
          const later = new Date(at + (untilItWorks[written % untilItWorks.length] ?? 5) * minute).toISOString();
          const files = [{ name: "main.py", bytes: Buffer.from(program.right) }];
          await insertVersion(database.query, key, files, "handed in", null, {
            handedIn: true,
            worked: true,
            at: later,
          });
        }
        if (runs && written % 6 === 1 && worked < 8) {
          worked += 1;
          await workThrough(services, key, kind, program.right, worked);
        }
      }
    }
    await startJudgingAssignment(services, assignment);
  }
  return course;
}
