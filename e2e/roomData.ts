import { join } from "node:path";
import { findFirstAssignment, insertAssignment } from "../server/assignments/assignmentStore.ts";
import { openDatabase } from "../server/database/database.ts";
import { findSheet } from "../server/sheets/sheetStore.ts";
import { sheetToSit } from "../server/sittings/testSheet.ts";

/** Puts a course with a sheet into a new data folder (BENT_NAIL_ROOM), and prints what a test needs to know of it. */
const database = await openDatabase(join(process.env.BENT_NAIL_ROOM ?? "", "database"));
const { course, sheet, students } = await sheetToSit(database, ["S-01", "S-02", "S-03", "S-04"]);
await insertAssignment(database.query, course, { title: "Deck loads" });
const found = await findSheet(database, sheet);
const assignment = await findFirstAssignment(database, course);
process.stdout.write(
  JSON.stringify({
    ...{ course, sheet, assignment: assignment?.key, code: found?.code },
    students: students.map(({ label, personal_code }) => ({ label, code: personal_code })),
  }),
);
await database.close();
process.exit(0);
