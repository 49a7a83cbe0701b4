import { seenForMessage } from "../../server/casebook/seen.ts";
import { readForm } from "../forms.ts";
import type { Route } from "./+types/seenCall.ts";

/** Tells a program which earlier cases had the message of an output. */
export async function action({ request, context }: Route.ActionArgs): Promise<Response> {
  const form = await readForm(request);
  const language = String(form.get("language") ?? "");
  const found = await seenForMessage(
    context.services.database,
    String(form.get("output") ?? ""),
    language || undefined,
  );
  return found
    ? Response.json(found)
    : Response.json({ error: "no tool's message is in this output" }, { status: 422 });
}
