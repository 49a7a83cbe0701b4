import { Form, redirect } from "react-router";
import { slowing } from "../../server/people/slowGuessing.ts";
import { findSheetByCode } from "../../server/sheets/sheetStore.ts";
import { formText, readForm } from "../forms.ts";
import { slowGuessing } from "../unknownAddress.ts";
import type { Route } from "./+types/enterPage.ts";

export const meta: Route.MetaFunction = () => [{ title: "Sit a sheet" }];

export async function action({ request, context }: Route.ActionArgs) {
  await slowGuessing(context.address);
  const sheet = await findSheetByCode(context.services.database, formText(await readForm(request), "code"));
  if (sheet && sheet.state !== "draft") return redirect(`/s/${sheet.code}`);
  slowing.unknown(context.address);
  return { message: "There is no sheet with this code. Look at it once more: letters and digits, two groups of four." };
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
          <button className="press press-main" type="submit">
            Go on
          </button>
        </div>
      </Form>
    </main>
  );
}
