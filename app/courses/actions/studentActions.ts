import { redirect } from "react-router";
import * as z from "zod";
import { startJudgingAssignment } from "../../../server/classwork/judgeAssignment.ts";
import { listAssignedCases } from "../../../server/classwork/judgedStore.ts";
import {
  findCourse,
  moveStudent,
  renewCode,
  type Student,
  setLeft,
  setStudentDepth,
} from "../../../server/people/courseStore.ts";
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

/** Gives the student a new personal code; the old one opens nothing any more. */
const newCode = defineAction<StudentContext, unknown>({
  intent: "new code",
  schema: z.unknown(),
  does: async ({ services, student }) => {
    const code = await renewCode(services.database, student.key);
    return done(`The new personal code is ${code}. The old one opens nothing any more.`);
  },
});

/** Takes the student out of the lists of the course, with everything kept, or in again. */
const leave = defineAction<StudentContext, { left: boolean }>({
  intent: "leave",
  schema: z.object({ left: field.ticked() }),
  does: async ({ services, student }, { left }) => {
    await setLeft(services.database, student.key, left);
    return done(
      left
        ? `${student.label} has left: in no list any more, and everything is kept.`
        : `${student.label} is in the course again.`,
    );
  },
});

/** Moves the student into another course. */
const move = defineAction<StudentContext, { course: string }>({
  intent: "move",
  schema: z.object({ course: field.text(100) }),
  does: async ({ services, student }, { course }) => {
    if (!(await findCourse(services.database, course))) return refused("There is no such course.");
    const problem = await moveStudent(services.database, student.key, course);
    return problem === null ? redirect(`/courses/${course}/students/${student.key}`) : refused(problem);
  },
});

/** Everything that the page of a student can be asked for. */
export const studentActions = [rename, replace, remove, depth, newCode, leave, move];
