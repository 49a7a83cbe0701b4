import { Form, useNavigation } from "react-router";
import { namedLanguages } from "../../core/languages/named.ts";
import { seenForMessage } from "../../server/casebook/seen.ts";
import { readForm } from "../forms.ts";
import type { Route } from "./+types/seenPage.ts";
import { CasebookTabs } from "./CasebookTabs.tsx";
import { SeenList } from "./SeenList.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Seen before · Casebook · Bent Nail" }];

/** Characters of an output that are looked at. */
const longest = 200_000;

export const loader = () => ({ languages: namedLanguages() });

export async function action({ request, context }: Route.ActionArgs) {
  const form = await readForm(request);
  const output = String(form.get("output") ?? "").slice(0, longest);
  const language = String(form.get("language") ?? "");
  return { output, language, found: await seenForMessage(context.services.database, output, language || undefined) };
}

export default function SeenBefore({ loaderData: { languages }, actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== "idle";
  const found = actionData?.found;
  return (
    <>
      <h1>Casebook</h1>
      <CasebookTabs />
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <Form method="post" className="grid gap-2">
          <label className="grid gap-1">
            An error output
            <textarea
              key={actionData?.output}
              className="field min-h-52 font-mono text-sm"
              name="output"
              required
              defaultValue={actionData?.output ?? ""}
              placeholder="paste what a tool said"
            />
          </label>
          <p className="note-small">
            Earlier cases are found whose message is the same but for names, numbers and paths.
          </p>
          <p className="flex items-center gap-3">
            <select
              className="field w-auto"
              name="language"
              aria-label="Language"
              defaultValue={actionData?.language ?? ""}
            >
              <option value="">whatever language it is</option>
              {languages.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
            <button className="press press-main" type="submit" disabled={busy}>
              Have I seen this?
            </button>
          </p>
        </Form>
        <section aria-label="What is known of it" className="leaf p-4" aria-live="polite">
          {!actionData ? (
            <p>Paste a message, and see what you did about it the last time.</p>
          ) : !found ? (
            <p role="alert">
              No tool’s message is in this text. Paste the whole output, with the line that begins the message.
            </p>
          ) : (
            <>
              <h2>{found.message}</h2>
              <p className="note-small">
                {found.languageName}
                {found.line !== null && `, line ${found.line}`}
              </p>
              {found.says && <p className="mt-2">{found.says}</p>}
              {found.usually && <p>{found.usually}</p>}
              <h3 className="mt-3">{found.seen.length === 0 ? "Not seen before" : "Seen before, the newest first"}</h3>
              {found.seen.length === 0 ? (
                <p>No case of yours has this message yet. Collect the program, and it will be found the next time.</p>
              ) : (
                <SeenList seen={found.seen} />
              )}
            </>
          )}
        </section>
      </div>
    </>
  );
}
