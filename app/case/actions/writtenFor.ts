import { findAssignment, setAssignmentOfCases } from "../../../server/assignments/assignmentStore.ts";
import { changeCase } from "../../../server/cases/changeCase.ts";
import { startJudgingAssignment } from "../../../server/classwork/judgeAssignment.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** Says which assignment of its course a program was written for, or that it is none. */
export const writtenFor = defineCaseAction({
  intent: "assignment",
  says: "the choice of the assignment",
  fields: { assignment: field.text(100) },
  does: async ({ services, found }, change, { assignment }) => {
    const wanted = assignment === "" ? null : await findAssignment(services.database, assignment);
    if (assignment !== "" && wanted?.course !== found.course)
      return refused("This assignment is not one of the case's course. Nothing was changed.");
    const saved = await changeCase(
      services.database,
      { ...change, reason: "", key: found.key },
      async ({ query, keep }) => {
        await keep("case", found.key, { assignment: found.assignment });
        await setAssignmentOfCases(query, [found.key], wanted?.key ?? null);
        return undefined;
      },
    );
    if (!saved.ok) return refused(saved);
    if (wanted) await startJudgingAssignment(services, wanted.key, [found.key]);
    return done(wanted ? "Its checks judge this program now." : "It belongs to no assignment now.");
  },
});
