import { collectNow } from "../../server/collecting/collectNow.ts";
import { startJudging } from "../../server/collecting/judging.ts";
import { services } from "../../server/services.ts";
import { entriesOfForm } from "../collect/entriesOfForm.ts";
import { readForm } from "../formText.ts";
import type { Route } from "./+types/collectCall.ts";

/** Takes a class's files for a program, and judges them behind. */
export async function action({ request }: Route.ActionArgs): Promise<Response> {
  const form = await readForm(request);
  const result = await collectNow(services().database, String(form.get("course") ?? ""), await entriesOfForm(form), form.get("dryRun") !== null);
  if (!result.ok) return Response.json({ error: result.message }, { status: 422 });
  const { collection, cases } = result.collected;
  if (collection !== null) startJudging(services(), collection, cases);
  return Response.json(result.collected);
}
