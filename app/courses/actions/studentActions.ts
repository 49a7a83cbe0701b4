import { redirect } from "react-router";
import { z } from "zod";
import { startJudgingAssignment } from "../../../server/classwork/judgeAssignment.ts";
import { listAssignedCases } from "../../../server/classwork/judgedStore.ts";
import { type Student, setStudentDepth } from "../../../server/people/courseStore.ts";
import { renameStudent } from "../../../server/people/renameStudent.ts";
import { deleteStudent, replaceName } from "../../../server/privacy/privacyStore.ts";
import type { Services } from "../../../server/services.ts";
import { defineAction, done, notReached, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

/** What an action of a student's page works on. */
type StudentContext = { services: Services; student: Student };

/** Gives the student another label. */
const rename = defineAction<StudentContext, { label: string }>({
  intent: "rename",
  schema: z.object({ label: field.text(200) }),
  does: async ({ services, student }, { label }) => {
    const problem = await renameStudent(services.database, student.key, label);
    return problem === null ? done("The label is changed everywhere.") : refused(problem);
  },
});

/** Replaces a name in everything that belongs to the student. */
const replace = defineAction<StudentContext, { name: string; by: string }>({
  intent: "replace",
  schema: z.object({ name: field.text(200), by: field.text(200) }),
  does: async ({ services, student }, given) => {
    const name = given.name.trim();
    if (name.length < 2) return refused("Give the name as it stands in the texts.");
    const places = await replaceName(services.database, student.key, name, given.by.trim() || student.label);
    for (const { key, assignment } of await listAssignedCases(services.database, student.key))
      await startJudgingAssignment(services, assignment, [key]);
    return places === 0
      ? notReached(`“${name}” stands nowhere in what belongs to this student.`)
      : done(`Replaced in ${places} ${places === 1 ? "place" : "places"}.`);
  },
});

/** Deletes everything about the student; the label is typed for it. */
const remove = defineAction<StudentContext, { sure: string }>({
  intent: "delete",
  schema: z.object({ sure: field.text(200) }),
  does: async ({ services, student }, { sure }) => {
    if (sure.trim() !== student.label)
      return refused(`Nothing was deleted. Type the label ${student.label} to delete everything about this student.`);
    await deleteStudent(services.database, student.key);
    return redirect(`/courses/${student.course}`);
  },
});

/** How much is said of messages to the student; "" as to the course. */
const depth = defineAction<StudentContext, { depth: "" | "short" | "full" }>({
  intent: "depth",
  schema: z.object({ depth: field.one(["", "short", "full"]) }),
  does: async ({ services, student }, given) => {
    await setStudentDepth(services.database, student.key, given.depth || null);
    return done("Kept.");
  },
});

/** Everything that the page of a student can be asked for. */
export const studentActions = [rename, replace, remove, depth];
