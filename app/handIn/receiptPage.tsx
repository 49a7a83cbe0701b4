import { Form } from "react-router";
import { receiptView } from "../../server/collect/handIn.ts";
import { act } from "../actions.ts";
import { slowGuessing, unknownAddress } from "../unknownAddress.ts";
import type { Route } from "./+types/receiptPage.ts";
import { add } from "./actions/add.ts";

export const meta: Route.MetaFunction = () => [{ title: "Handed in" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  await slowGuessing(context.address);
  const found = await receiptView(context.services, params.receipt);
  if (!found) throw unknownAddress(context.address, "There is no hand-in with this number. Look at it again.");
  return found.view;
}

export async function action({ params, request, context }: Route.ActionArgs) {
  await slowGuessing(context.address);
  const found = await receiptView(context.services, params.receipt);
  if (!found) throw unknownAddress(context.address, "There is no hand-in with this number.");
  return act([add], request, { services: context.services, key: found.key });
}

/** What a student has handed in, by its number, and a way to add to it. */
export default function Receipt({ loaderData, actionData }: Route.ComponentProps) {
  const view = loaderData;
  return (
    <main className="mx-auto max-w-xl p-4">
      <h1>Handed in</h1>
      <div className="leaf mt-2 grid gap-2 p-4">
        <p>
          Your number: <strong className="font-mono text-xl">{view.receipt}</strong>
        </p>
        <p>Keep it, or keep this page: with it you can add to what you handed in.</p>
        {view.intent && (
          <p>
            <strong>It was meant to:</strong> {view.intent}
          </p>
        )}
        {view.instead && (
          <p>
            <strong>It did instead:</strong> {view.instead}
          </p>
        )}
        {view.changedLast && (
          <p>
            <strong>Changed last:</strong> {view.changedLast}
          </p>
        )}
        {view.additions.map((addition, index) => (
          <p key={`${index}${addition}`}>
            <strong>Added:</strong> {addition}
          </p>
        ))}
        {view.versions.map((version) => (
          <details key={version.number}>
            <summary className="cursor-pointer font-semibold text-steel-deep">
              {version.name}
              {view.versions.length > 1 && `, try ${version.number}`}
            </summary>
            <pre className="max-w-full overflow-x-auto text-sm" tabIndex={0}>
              {version.text}
            </pre>
            {version.outputs.map((output, index) => (
              <pre
                key={`${index}${output.length}`}
                className="max-w-full border-t border-rule text-sm wrap-anywhere whitespace-pre-wrap"
              >
                {output}
              </pre>
            ))}
          </details>
        ))}
      </div>
      <Form key={actionData?.ok ? actionData.more : "first"} method="post" className="leaf mt-3 grid gap-3 p-4">
        <h2 className="text-base">Add to it</h2>
        <label>
          Something you noticed
          <textarea name="words" className="field" rows={2} />
        </label>
        <label>
          Another error output
          <textarea name="output" className="field field-code overflow-auto" rows={2} wrap="off" spellCheck={false} />
        </label>
        <div className="flex items-center gap-3">
          <button className="press press-main" type="submit" name="intent" value="add">
            Add it
          </button>
          {actionData && <span role="status">{actionData.message}</span>}
        </div>
      </Form>
      <p className="note-small mt-3">
        Changed the program? Hand it in again under the same name: it is kept as your next try.
      </p>
    </main>
  );
}
