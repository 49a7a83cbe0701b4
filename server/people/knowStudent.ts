import type { Database } from "../database/database.ts";
import { sameCode } from "../keys.ts";
import { listStudents, type Student } from "./courseStore.ts";
import { codeGuesses, labelOfCourse } from "./guesses.ts";

/**
 * The student that a label and a personal code belong to. Words for the student if there is none, or if too many wrong
 * codes came before.
 */
export async function knowStudent(
  { database }: { database: Database },
  course: string,
  label: string,
  code: string,
  address: string,
): Promise<{ ok: true; student: Student } | { ok: false; message: string }> {
  const name = labelOfCourse(course, label);
  const refusal = codeGuesses.refusal(address, name);
  if (refusal !== null) return { ok: false, message: refusal };
  const student = (await listStudents({ query: database.query }, course)).find((each) => each.label === label.trim());
  if (!student || !sameCode(student.personal_code, code)) {
    codeGuesses.wrong(address, name);
    return { ok: false, message: "Label and personal code do not belong together. Look at your slip again." };
  }
  codeGuesses.right(address, name);
  return { ok: true, student };
}
