import { Form } from "react-router";
import { act } from "../actions.ts";
import { slowGuessing } from "../unknownAddress.ts";
import type { Route } from "./+types/enterPage.ts";
import { lookUp } from "./actions/lookUp.ts";

export const meta: Route.MetaFunction = () => [{ title: "Sit a sheet" }];

export async function action({ request, context }: Route.ActionArgs) {
  await slowGuessing(context.address);
  return act([lookUp], request, { services: context.services, address: context.address });
}

export default function SitEnter({ actionData }: Route.ComponentProps) {
  return (
    <main className="mx-auto max-w-md p-5">
      <h1>Sit a sheet</h1>
      <Form method="post" className="leaf mt-3 grid gap-3 p-4">
        <label>
          Code of the sheet
          <input name="code" className="field font-mono text-lg uppercase" autoComplete="off" required />
        </label>
        {actionData && (
          <p role="alert" className="font-semibold">
            {actionData.message}
          </p>
        )}
        <div>
          <button className="press press-main" type="submit" name="intent" value="look up">
            Go on
          </button>
        </div>
      </Form>
    </main>
  );
}
