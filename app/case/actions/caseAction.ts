import { z } from "zod";
import type { WholeCase } from "../../../server/cases/caseStore.ts";
import type { Who } from "../../../server/people/teacherStore.ts";
import type { Services } from "../../../server/services.ts";
import { defineAction, type PageAction, type Said } from "../../actions.ts";
import { field } from "../../forms.ts";

/** What an action of a case page works on: the case as it is now, and who asks. */
export type CaseContext = { services: Services; who: Who; found: WholeCase };

/** Who changes the case, and the revision that the page had read. */
export type PageChange = { who: Who; revision: number };

/** An action that changes a case: its form names the revision that the page had read. */
export function defineCaseAction<Fields extends z.ZodRawShape>(action: {
  intent: string;
  fields: Fields;
  does: (context: CaseContext, change: PageChange, fields: z.output<z.ZodObject<Fields>>) => Promise<Said>;
}): PageAction<CaseContext> {
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
    does: (context, given) => action.does(context, { who: context.who, revision: given.revision }, given.fields),
  });
}
