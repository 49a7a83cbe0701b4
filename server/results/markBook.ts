import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import type { MarkTable } from "../../core/formats/markBookCsv.ts";
import { unmarkedSittings } from "../marks/marking.ts";
import { beingMarked } from "../marks/markingWork.ts";
import { earnedInAll, listMarks } from "../marks/markStore.ts";
import { listStudents } from "../people/courseStore.ts";
import type { Services } from "../services.ts";
import { type EditionContent, findEdition, listEditions, type Sheet } from "../sheets/sheetStore.ts";
import { type HandInReceipt, receiptOf } from "../sittings/receipt.ts";
import { listSittings, type Sitting } from "../sittings/sittingStore.ts";

/** What a mark book shows of one try of a student, or of one who has not begun. */
export type BookRow = MarkTable["rows"][number] & {
  key: string;
  sitting: string | null;
  receipt: HandInReceipt | null;
  marking: "being marked" | "not marked" | null;
};
/** The marks of all who sat an edition. */
export type BookTable = Omit<MarkTable, "rows" | "columns"> & {
  number: number;
  released: boolean;
  columns: Array<MarkTable["columns"][number] & { key: string }>;
  rows: BookRow[];
};

/** A mark book: a table for every edition that was sat, the newest first; who has sat none stands in that one. */
export async function markBook(
  services: Pick<Services, "database">,
  sheet: Sheet,
): Promise<{ tables: BookTable[]; editions: number }> {
  const { database } = services;
  const [inCourse, sittings, heads] = await Promise.all([
    listStudents(database, sheet.course, "all"),
    listSittings(database, sheet.key),
    listEditions(database, sheet.key),
  ]);
  const editions = await Promise.all(heads.map(({ key }) => findEdition(database, key)));
  const contents = new Map(editions.flatMap((edition) => (edition ? [[edition.key, edition.content] as const] : [])));
  const marks = await listMarks(
    database,
    sittings.map((sitting) => sitting.key),
  );
  const unmarked = new Set((await unmarkedSittings(services, sheet.key)).map((sitting) => sitting.key));
  const working = await beingMarked(services);

  const rowOf = (student: { key: string; label: string }, own: Sitting | undefined, columns: BookTable["columns"]) => {
    const ownMarks = own ? marks.filter((mark) => mark.sitting === own.key) : [];
    const row: BookRow = {
      key: own?.key ?? student.key,
      label: own && own.attempt > 1 ? `${student.label}, try ${own.attempt}` : student.label,
      sitting: own?.key ?? null,
      receipt: own ? receiptOf(own) : null,
      handedInAt: own?.handed_in_at ?? null,
      state: own ? (own.handed_in_at ? "handed in" : "sitting") : "not begun",
      marking: !own ? null : working.has(own.key) ? "being marked" : unmarked.has(own.key) ? "not marked" : null,
      cells: columns.map((column) => {
        const items = ownMarks.filter((mark) => mark.task === column.key);
        return {
          earned: items.reduce((sum, item) => sum + (item.earned ?? 0), 0),
          waits: items.some((item) => item.earned === null),
          marked: items.length > 0,
        };
      }),
      total: earnedInAll(ownMarks),
      waiting: ownMarks.filter((mark) => mark.earned === null).length,
    };
    return row;
  };
  // Whoever has moved to another course since stays in the mark book, as who has left does.
  const moved = new Map(sittings.map(({ student, label }) => [student, label]));
  for (const { key } of inCourse) moved.delete(key);
  const students = [
    ...inCourse.map(({ key, label, left_at }) => ({ key, label, gone: left_at !== null })),
    ...[...moved].map(([key, label]) => ({ key, label, gone: true })),
  ];
  const tables = heads.toReversed().flatMap(({ key, number, released_at }, index) => {
    const columns = columnsOf(contents.get(key));
    const rows = students.flatMap((student) => {
      const own = sittings.filter((sitting) => sitting.student === student.key);
      const here = own.filter((sitting) => sitting.edition === key);
      if (here.length > 0) return here.map((sitting) => rowOf(student, sitting, columns));
      return index === 0 && own.length === 0 && !student.gone ? [rowOf(student, undefined, columns)] : [];
    });
    if (rows.length === 0) return [];
    const total = columns.reduce((sum, column) => sum + column.marks, 0);
    return [{ number, released: released_at !== null, columns, rows, total }];
  });
  return { tables, editions: heads.length };
}

function columnsOf(content: EditionContent | undefined): BookTable["columns"] {
  return (content?.exercises ?? []).flatMap((exercise, index) =>
    exercise.content.tasks.map((task) => ({
      ...{ key: task.key, exercise: index + 1, title: kindOfTask(task).title, marks: task.marks },
    })),
  );
}
