import { data } from "react-router";
import * as z from "zod";
import type { Refused } from "../server/cases/changeCase.ts";
import { refersToNone } from "../server/database/errors.ts";
import { field, formFields, readForm } from "./forms.ts";

/**
 * What an action says to the page: whether it was done, and words for the person. `both`: what the person wanted to
 * write and what stands there now, where somebody else wrote meanwhile. `more` is for the page's own use.
 */
export type Reply = {
  intent: string;
  ok: boolean;
  message: string;
  both?: { yours: string; theirs: string };
  more?: string;
  /** What is still missing or wrong, by field. */
  problems?: Record<string, string>;
};

/** What an action gives: words without the intent's name and their code, or the answer itself (a redirection). */
export type Said = (Omit<Reply, "intent"> & { status: number }) | Response;

/** It was done. */
export function done(message = "", more?: string): Said {
  return { ok: true, message, status: 200, more };
}

/** It was tried and something was kept, but what was wanted did not come of it. */
export function notReached(message: string, more?: string): Said {
  return { ok: false, message, status: 200, more };
}

/** Something in the form is missing or wrong; the words stand beside its fields. */
export function incomplete(problems: Record<string, string>): Said {
  return { ok: false, message: "", problems, status: 422 };
}

/** It was understood and is not done: 409 where somebody else wrote meanwhile, else 422 (RFC 9110, 15.5). */
export function refused(given: Refused | string): Said {
  if (typeof given === "string") return { ok: false, message: given, status: 422 };
  return { ok: false, message: given.message, both: given.both, status: given.stale ? 409 : 422 };
}

/** One intent of a page, closed over the fields of its form. */
export type PageAction<Context> = {
  intent: string;
  run: (context: Context, form: FormData) => Promise<Said>;
};

/** An action: its name in the form, the schema of the other fields, and what it does with them. */
export function defineAction<Context, Fields>(action: {
  intent: string;
  schema: z.ZodType<Fields>;
  does: (context: Context, fields: Fields) => Promise<Said>;
}): PageAction<Context> {
  return {
    intent: action.intent,
    run: async (context, form) => {
      const fields = action.schema.safeParse(formFields(form));
      if (fields.success) return action.does(context, fields.data);
      const names = [...new Set(fields.error.issues.map((issue) => issue.path.join(" ") || "the form"))];
      const message = `This could not be read: ${names.join(", ")}. Nothing was changed.`;
      return { ok: false, message, status: 400 };
    },
  };
}

/** An action whose form names the revision that the page had read; what it changes is refused where that is stale. */
export function defineRevisedAction<Context, Fields extends z.ZodRawShape>(action: {
  intent: string;
  fields: Fields;
  does: (context: Context, revision: number, fields: z.output<z.ZodObject<Fields>>) => Promise<Said>;
}): PageAction<Context> {
  const read = z.object({ revision: field.revision() });
  const schema = z.object(action.fields);
  return defineAction({
    intent: action.intent,
    schema: z.looseObject({}).transform((given, context) => {
      const own = schema.safeParse(given);
      const revision = read.safeParse(given);
      if (own.success && revision.success) return { revision: revision.data.revision, fields: own.data };
      for (const { issues } of [own.error, revision.error].flatMap((error) => (error ? [error] : [])))
        for (const issue of issues) context.addIssue({ code: "custom", message: issue.message, path: issue.path });
      return z.NEVER;
    }),
    does: (context, given) => action.does(context, given.revision, given.fields),
  });
}

const isGone =
  "This names something that is not there: a course, a student or a sheet that was deleted meanwhile, perhaps in another window. Read the page anew, and choose again: this was not done.";

/** What an action says; where what its form names was deleted meanwhile, words for that. */
async function saidBy<Context>(action: PageAction<Context>, context: Context, form: FormData): Promise<Said> {
  try {
    return await action.run(context, form);
  } catch (problem) {
    if (refersToNone(problem)) return refused(isGone);
    throw problem;
  }
}

/**
 * Does what a page's form asks for. An intent that the page does not know gets words and 400; so does a form that did
 * not arrive whole.
 */
export async function act<Context>(
  actions: ReadonlyArray<PageAction<Context>>,
  request: Request,
  context: Context,
): Promise<Response | ReturnType<typeof data<Reply>>> {
  const form = await readForm(request);
  const intent = String(form.get("intent") ?? "");
  const action = actions.find((each) => each.intent === intent);
  const said: Said = action
    ? await saidBy(action, context, form)
    : { ok: false, message: "This page does not know what was asked of it. Nothing was changed.", status: 400 };
  if (said instanceof Response) return said;
  const { status, ...reply } = said;
  return data({ intent, ...reply }, { status });
}

/** A page is read anew after a refusal because of somebody else's change, too: it has something new to show. */
export function readAnewWhenStale(given: { actionStatus?: number; defaultShouldRevalidate: boolean }): boolean {
  return given.actionStatus === 409 || given.defaultShouldRevalidate;
}
