import type { z } from "zod";
import type { Assignment } from "../../../server/assignments/assignmentStore.ts";
import type { AssignmentChange } from "../../../server/classwork/changeAssignment.ts";
import type { Who } from "../../../server/people/teacherStore.ts";
import type { Services } from "../../../server/services.ts";
import { defineRevisedAction, type PageAction, type Said } from "../../actions.ts";

/** What an action of an assignment's page works on: the assignment as it is now, and who asks. */
export type AssignmentContext = { services: Services; who: Who; assignment: Assignment };

/** An action that changes an assignment: its form names the revision that the page had read. */
export function defineAssignmentAction<Fields extends z.ZodRawShape>(action: {
  intent: string;
  fields: Fields;
  does: (
    context: AssignmentContext,
    change: Omit<AssignmentChange, "key" | "text">,
    fields: z.output<z.ZodObject<Fields>>,
  ) => Promise<Said>;
}): PageAction<AssignmentContext> {
  return defineRevisedAction<AssignmentContext, Fields>({
    ...action,
    does: (context, revision, fields) => action.does(context, { who: context.who, revision, reason: "" }, fields),
  });
}
