import { z } from "zod";
import type { Assignment } from "../../../server/assignments/assignmentStore.ts";
import type { AssignmentChange } from "../../../server/classwork/changeAssignment.ts";
import type { Who } from "../../../server/people/teacherStore.ts";
import type { Services } from "../../../server/services.ts";
import { defineAction, type PageAction, type Said } from "../../actions.ts";
import { field } from "../../forms.ts";

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
  const revision = z.object({ revision: field.revision() });
  const schema = z.object(action.fields);
  return defineAction({
    intent: action.intent,
    schema: z.looseObject({}).transform((given, context) => {
      const own = schema.safeParse(given);
      const read = revision.safeParse(given);
      if (own.success && read.success) return { revision: read.data.revision, fields: own.data };
      for (const { issues } of [own.error, read.error].flatMap((error) => (error ? [error] : [])))
        for (const issue of issues) context.addIssue({ code: "custom", message: issue.message, path: issue.path });
      return z.NEVER;
    }),
    does: (context, given) =>
      action.does(context, { who: context.who, revision: given.revision, reason: "" }, given.fields),
  });
}
