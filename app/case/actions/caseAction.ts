import type { z } from "zod";
import type { WholeCase } from "../../../server/cases/caseStore.ts";
import type { Press } from "../../../server/cases/undoStore.ts";
import { newKey } from "../../../server/keys.ts";
import type { Who } from "../../../server/people/teacherStore.ts";
import type { Services } from "../../../server/services.ts";
import { defineRevisedAction, type PageAction, type Said } from "../../actions.ts";

/** What an action of a case page works on: the case as it is now, and who asks. */
export type CaseContext = { services: Services; who: Who; found: WholeCase };

/** Who changes the case, the revision that the page had read, and the press, by which it can be undone. */
export type PageChange = { who: Who; revision: number; press: Press };

/** An action that changes a case: its form names the revision that the page had read. */
export function defineCaseAction<Fields extends z.ZodRawShape>(action: {
  intent: string;
  /** What is done, in words that fit behind "undo"; "" for what cannot be undone by a press. */
  says: string;
  fields: Fields;
  does: (context: CaseContext, change: PageChange, fields: z.output<z.ZodObject<Fields>>) => Promise<Said>;
}): PageAction<CaseContext> {
  return defineRevisedAction<CaseContext, Fields>({
    ...action,
    does: (context, revision, fields) => {
      const press = { key: newKey(), says: action.says };
      return action.does(context, { who: context.who, revision, press }, fields);
    },
  });
}
