import type { ToolOutput } from "../../core/cases/case.ts";
import { type Arrangement, arrange, type PlannedCase } from "../../core/collecting/arrange.ts";
import type { Entry } from "../../core/collecting/entries.ts";
import { baseName } from "../../core/languages/messageReader.ts";
import { setAssignmentOfCases } from "../assignments/assignmentStore.ts";
import { insertCase, insertHandIn, setCurrentVersion } from "../cases/caseStore.ts";
import { insertOutput, insertVersion, lastHandedIn } from "../cases/versionStore.ts";
import type { Database, Query } from "../database/database.ts";
import { addStudentsWith, listStudents } from "../people/courseStore.ts";
import {
  type Collection,
  claimCollection,
  digestOf,
  entriesOf,
  finishCollection,
  listKnownCases,
} from "./collectionStore.ts";

/** A set as it would be taken in now, with what the teacher corrected. */
export async function arrangeCollection(
  database: Database,
  collection: Collection,
): Promise<{ arrangement: Arrangement; entries: Entry[] }> {
  const course = collection.course ?? "";
  const [entries, known, students] = await Promise.all([
    entriesOf(database, collection.key),
    listKnownCases(database, course),
    listStudents(database, course),
  ]);
  const arrangement = arrange(
    entries,
    { labels: students.map((student) => student.label), digest: digestOf },
    known,
    collection.corrections,
  );
  return { arrangement, entries };
}

/**
 * Takes a set in: every program that is not left out becomes a case, or the next version of one. All of it or nothing;
 * new labels are added to the course. Returns the keys of the cases in the order of the table, or null if the set was
 * taken in already. `collectedAt`: when its programs were collected, if that was not now (ISO 8601).
 */
export async function keepCollection(
  database: Database,
  collection: Collection,
  collectedAt?: string,
): Promise<string[] | null> {
  if (collection.state !== "open" || collection.course === null) return null;
  const course = collection.course;
  const { arrangement, entries } = await arrangeCollection(database, collection);
  const bytes = new Map(entries.map((entry) => [entry.path, entry.bytes]));
  const taken = arrangement.programs.filter(
    (program) => !program.left && !program.alreadyHere && program.language !== null,
  );
  return database.transaction(async (query) => {
    if (!(await claimCollection(query, collection.key))) return null;
    const labels = [...new Set(taken.filter((program) => program.studentIsNew).map((program) => program.student))];
    await addStudentsWith(query, course, labels);
    const students = new Map((await listStudents({ query }, course)).map((student) => [student.label, student.key]));
    const keys = new Map<string, string>();
    // One after another, as they would be without a time of their own.
    const at = (place: number) => collectedAt && new Date(Date.parse(collectedAt) + place).toISOString();
    // Lists show the newest first, so the last of the table comes first; what joins another program of the set comes
    // after it.
    for (const program of [...taken]
      .reverse()
      .sort((one, other) => Number(one.joins?.kind === "program") - Number(other.joins?.kind === "program"))) {
      const files = program.files.map((file) => ({ name: file.name, bytes: bytes.get(file.path) ?? new Uint8Array() }));
      const outputs: ToolOutput[] = program.outputs.map((output) => ({
        origin: output.path === null ? "the end of the program file" : baseName(output.path),
        text: output.text,
      }));
      const target = program.joins?.kind === "case" ? program.joins.key : keys.get(program.joins?.id ?? "");
      const student = students.get(program.student) ?? null;
      if (target) {
        await insertHandIn(query, target, files, outputs);
        if (collection.assignment !== null) await setAssignmentOfCases(query, [target], collection.assignment);
      }
      keys.set(
        program.id,
        target ?? (await insertPlanned(query, collection, program, files, outputs, student, at(keys.size))),
      );
    }
    const inOrder = [...new Set(taken.map((program) => keys.get(program.id) ?? ""))];
    await finishCollection(query, collection.key, inOrder);
    return inOrder;
  });
}

/**
 * A new case of a set. A message that was pasted plainly behind the program is taken off in a version of its own: what
 * was handed in stays.
 */
async function insertPlanned(
  query: Query,
  { course, assignment }: Pick<Collection, "course" | "assignment">,
  program: PlannedCase,
  files: Array<{ name: string; bytes: Uint8Array }>,
  outputs: readonly ToolOutput[],
  student: string | null,
  collectedAt: string | undefined,
): Promise<string> {
  const plain = program.atEnd && !program.atEnd.commented ? program.atEnd : null;
  const key = await insertCase(query, {
    language: program.language ?? "",
    course,
    ...(assignment === null ? {} : { assignment }),
    student,
    title: program.files[0]?.name ?? "",
    intent: "",
    changedLast: "",
    files,
    moreOutputs: plain ? [] : outputs,
    input: "",
    symptom: null,
    ...(collectedAt ? { collectedAt } : {}),
  });
  if (plain) {
    const [main, ...rest] = files;
    const first = await lastHandedIn(query, key);
    const version = await insertVersion(
      query,
      key,
      [{ name: main?.name ?? "", bytes: Buffer.from(plain.program, "utf8") }, ...rest],
      "the message at its end taken off",
      first,
      { handedIn: true },
    );
    for (const output of outputs) await insertOutput(query, version, output);
    await setCurrentVersion(query, key, version);
  }
  return key;
}
