import { largestSet, type TakenSet, takeSet } from "../../server/collect/takeSet.ts";
import { findCourse } from "../../server/people/courseStore.ts";
import { readForm } from "../forms.ts";
import type { Route } from "./+types/take.ts";
import { entriesOfForm } from "./entriesOfForm.ts";

/**
 * Takes a dropped zip, folder or files: fields `course`, and `file` and `path` in pairs. Answers where its table is, or
 * why nothing was taken.
 */
export async function action({ request, context }: Route.ActionArgs): Promise<TakenSet> {
  if (Number(request.headers.get("content-length") ?? 0) > largestSet)
    return { ok: false, message: "It is larger than 60 MB. Take one class or one task at a time." };
  const form = await readForm(request);
  const course = await findCourse(context.services.database, String(form.get("course") ?? ""));
  if (!course) return { ok: false, message: "Choose the course that it belongs to." };
  return takeSet(context.services.database, course.key, await entriesOfForm(form));
}
