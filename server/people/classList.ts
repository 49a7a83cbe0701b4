import { parse } from "csv-parse/sync";

/** A student of a list: the label, and a personal code where the list has one. */
export type ListedStudent = { label: string; code: string | null };

/** What a list of a class says: its students, or in words why it cannot be read. */
export type ClassList = { ok: true; students: ListedStudent[]; leftOut: string[] } | { ok: false; message: string };

/** Names of the columns that are read, in small letters, in the languages that such lists are mostly in. */
const labelNames = ["label", "student", "pupil", "learner", "name", "id", "number", "candidate", "schüler", "kürzel"];
const codeNames = ["code", "personal code", "pin"];

/** A personal code as somebody may choose one: letters and digits, in groups or not. */
const codeShape = /^[A-Za-z0-9](?:[A-Za-z0-9-]{2,14})[A-Za-z0-9]$/;

/** The sign between the fields of a list: the one of comma, semicolon and tab that its first line has most of. */
function signBetween(text: string): string {
  const first = text.split(/\r?\n/, 1)[0] ?? "";
  const counts = [",", ";", "\t"].map((sign) => ({ sign, count: first.split(sign).length - 1 }));
  return counts.sort((one, other) => other.count - one.count)[0]?.sign ?? ",";
}

/**
 * Reads a class list as comma-separated values (RFC 4180; semicolons and tabs are taken, too): a first line with names of
 * columns, of which that of the label and that of the personal code count, or labels alone, a line each. `leftOut` says
 * what of it was not taken.
 */
export function readClassList(text: string): ClassList {
  let rows: string[][];
  try {
    rows = parse(text, {
      ...{ bom: true, delimiter: signBetween(text), relax_column_count: true },
      ...{ skip_empty_lines: true, trim: true, relax_quotes: true },
    });
  } catch (problem) {
    const why = problem instanceof Error ? problem.message : String(problem);
    return { ok: false, message: `This list cannot be read: ${why}` };
  }
  rows = rows.filter((row) => row.some((cell) => cell !== ""));
  const [head = []] = rows;
  const names = head.map((cell) => cell.toLowerCase());
  const column = (wanted: readonly string[]) => names.findIndex((name) => wanted.includes(name));
  const labels = column(labelNames);
  const codes = column(codeNames);
  if (labels < 0 && codes >= 0)
    return { ok: false, message: "This list has codes and no labels: name the column of the labels “label”." };
  if (labels < 0 && rows.some((row) => row.length > 1))
    return {
      ok: false,
      message: "This list has several columns, and none is called “label”. Name the columns in its first line.",
    };
  const leftOut: string[] = [];
  const students = new Map<string, ListedStudent>();
  for (const [at, row] of (labels < 0 ? rows : rows.slice(1)).entries()) {
    const label = (row[Math.max(0, labels)] ?? "").replace(/[\u0000-\u001f]+/g, " ");
    const given = codes < 0 ? "" : (row[codes] ?? "");
    const line = at + (labels < 0 ? 1 : 2);
    if (label === "") leftOut.push(`line ${line} has no label`);
    else if (label.length > 80) leftOut.push(`line ${line}: a label has 80 characters at most`);
    else if (students.has(label)) leftOut.push(`line ${line}: ${label} is there twice`);
    else {
      if (given !== "" && !codeShape.test(given))
        leftOut.push(`line ${line}: a code is 4 to 16 letters and digits, so ${label} gets a new one`);
      students.set(label, { label, code: codeShape.test(given) ? given.toUpperCase() : null });
    }
  }
  if (students.size === 0) return { ok: false, message: "There is no label in this list." };
  return { ok: true, students: [...students.values()], leftOut };
}
