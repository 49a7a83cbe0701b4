import { collectNow } from "../../server/collect/collectNow.ts";
import { startJudging } from "../../server/collect/judging.ts";
import { readForm } from "../forms.ts";
import type { Route } from "./+types/call.ts";
import { entriesOfForm } from "./entriesOfForm.ts";

/** Takes a class's files for a program, and judges them behind. */
export async function action({ request, context }: Route.ActionArgs): Promise<Response> {
  const form = await readForm(request);
  const result = await collectNow(
    context.services.database,
    String(form.get("course") ?? ""),
    await entriesOfForm(form),
    form.get("dryRun") !== null,
  );
  if (!result.ok) return Response.json({ error: result.message }, { status: 422 });
  const { collection, cases } = result.collected;
  if (collection !== null) await startJudging(context.services, collection, cases);
  return Response.json(result.collected);
}
