import { searchAhead } from "../../server/mend/findFixes.ts";
import { formText, readForm } from "../forms.ts";
import type { Route } from "./+types/ahead.ts";

/** Cases that are looked at ahead, at most. */
const most = 4;

/**
 * Looks for changes in cases that somebody comes to next; nothing of them is changed, so no page has anything new to show. It
 * has an address of its own: asked of a page, its answer would have the page read anew in the middle of going on.
 */
export async function action({ request, context }: Route.ActionArgs): Promise<Response> {
  const form = await readForm(request);
  await searchAhead(context.services, formText(form, "cases").slice(0, 1000).split(" ").slice(0, most));
  return new Response(null, { status: 204 });
}
