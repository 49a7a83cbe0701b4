import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { type Tried, whyStuck } from "../../core/sittings/stuck.ts";
import { listStudents } from "../people/courseStore.ts";
import type { Services } from "../services.ts";
import { listLater } from "../sheets/roomStore.ts";
import { findEdition, type Sheet } from "../sheets/sheetStore.ts";
import { standingOf } from "./access.ts";
import { listLate } from "./answerStore.ts";
import { type Presence, whereIs } from "./presence.ts";
import { type HandInReceipt, receiptOf } from "./receipt.ts";
import { listAnswered, listSittings, type Sitting } from "./sittingStore.ts";
import { listTried } from "./tryStore.ts";

/** A student of a sheet's course, as the teacher sees them while it is sat. */
export type LiveRow = {
  student: string;
  label: string;
  /** The newest sitting; null: not begun. */
  sitting: string | null;
  /** "behind": the page is there, and another window is in front of it. */
  state: "not begun" | "here" | "behind" | "away" | "handed in";
  /** When the student was seen last, or handed in. */
  since: string | null;
  receipt: HandInReceipt | null;
  attempt: number;
  /** The task that the student is on, in words; null: not known. */
  task: string | null;
  answered: number;
  tasks: number;
  tries: number;
  stuck: string | null;
  extraMinutes: number;
  endsAt: string | null;
  /** May sit it although it is closed for the others. */
  later: boolean;
  /** Answers that came after the sitting was handed in and wait for the teacher. */
  late: number;
};

/** Everybody who sits a sheet or could, at a moment (milliseconds since 1970). */
export async function liveView(
  { database }: Pick<Services, "database">,
  sheet: Sheet,
  presence: Presence,
  now: number,
): Promise<LiveRow[]> {
  const [students, sittings, answered, tried, late, later] = await Promise.all([
    listStudents(database, sheet.course, "all"),
    listSittings(database, sheet.key),
    listAnswered(database, sheet.key),
    listTried(database, sheet.key),
    listLate(database, sheet.key),
    listLater(database, sheet.key),
  ]);
  const rows: LiveRow[] = [];
  const known = new Set(students.map(({ key }) => key));
  const moved = sittings.filter((each, at) => {
    const first = sittings.findIndex(({ student }) => student === each.student) === at;
    return first && !known.has(each.student);
  });
  const all = [...students, ...moved.map(({ student, label }) => ({ key: student, label, left_at: "moved" }))];
  for (const student of all) {
    const own = sittings.filter((each) => each.student === student.key).at(-1);
    if (!own && student.left_at !== null) continue;
    const common = { student: student.key, label: student.label, later: later.has(student.key) };
    if (!own) {
      rows.push({ ...common, ...notBegun });
      continue;
    }
    const runs = tried.filter((each) => each.sitting === own.key);
    const written = answered.filter((each) => each.sitting === own.key);
    const tasks = await tasksOf(database, own);
    const seen = presence.of(own.key);
    const where = whereIs(seen, now);
    const receipt = receiptOf(own);
    const lastDone = Math.max(
      Date.parse(own.started_at),
      ...written.map((each) => Date.parse(each.saved_at)),
      ...runs.map((each) => Date.parse(each.tried_at)),
    );
    const asTried: Tried[] = runs.map(({ exercise, error, tried_at }) => ({
      ...{ exercise, error },
      at: Date.parse(tried_at),
    }));
    rows.push({
      ...common,
      ...{ sitting: own.key, receipt, attempt: own.attempt },
      state: receipt ? "handed in" : where,
      since: receipt?.at ?? (seen ? new Date(seen.at).toISOString() : null),
      task: (seen?.task && tasks.get(seen.task)) || null,
      answered: written.filter((each) => tasks.has(each.task)).length,
      tasks: tasks.size,
      tries: runs.length,
      stuck: !receipt && where !== "away" && sheet.paused_at === null ? whyStuck(asTried, lastDone, now) : null,
      extraMinutes: Math.round(own.extra_seconds / 60),
      endsAt: standingOf({ sheet, sitting: own }, now).endsAt,
      late: late.filter((each) => each.sitting === own.key).length,
    });
  }
  return rows;
}

const notBegun: Omit<LiveRow, "student" | "label" | "later"> = {
  ...{ sitting: null, since: null, receipt: null, attempt: 1, task: null },
  ...{ answered: 0, tasks: 0, tries: 0, stuck: null, extraMinutes: 0, endsAt: null, late: 0 },
  state: "not begun",
};

/** The tasks of a sitting's edition by their keys, in words: exercise and kind. */
async function tasksOf(database: Services["database"], sitting: Sitting): Promise<ReadonlyMap<string, string>> {
  const edition = await findEdition(database, sitting.edition, sitting.scene);
  return new Map(
    (edition?.content.exercises ?? []).flatMap(({ content }, index) =>
      content.tasks.map((task) => [task.key, `${index + 1}. ${kindOfTask(task).title}`] as const),
    ),
  );
}
