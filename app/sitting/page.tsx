import { useEffect, useState } from "react";
import { data, Form } from "react-router";
import { listStudents } from "../../server/people/courseStore.ts";
import { studentView } from "../../server/results/studentView.ts";
import { sittingOfRequest } from "../../server/sittings/access.ts";
import { act } from "../actions.ts";
import { slowGuessing, unknownAddress } from "../unknownAddress.ts";
import type { Route } from "./+types/page.ts";
import { sitActions } from "./actions/sitActions.ts";
import { whoIsUnsent } from "./keep.ts";
import { SheetToSit } from "./SheetToSit.tsx";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: loaderData && "title" in loaderData ? String(loaderData.title) : "Sit a sheet" },
];

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { sheet, open } = await sittingOfRequest(context.services, request, params.code);
  if (!open) await slowGuessing(context.address);
  if (!sheet || sheet.state === "draft")
    throw unknownAddress(
      context.address,
      "There is no sheet with this code. Look at the code again, or ask your teacher.",
    );
  if (open)
    return {
      view: await studentView(context.services, open),
      code: sheet.code,
      title: sheet.title,
      wording: sheet.wording,
    };
  const labels = (await listStudents(context.services.database, sheet.course)).map((student) => student.label);
  return { view: null, code: sheet.code, title: sheet.title, labels };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const { sheet, open } = await sittingOfRequest(context.services, request, params.code);
  if (!sheet) throw data("There is no sheet with this code.", { status: 404 });
  const secure = new URL(request.url).protocol === "https:";
  return act(sitActions, request, { services: context.services, sheet, open, address: context.address, secure });
}

/** Names whose answers this browser holds that the server has not got yet. */
function UnsentHere() {
  const [names, setNames] = useState<string[]>([]);
  useEffect(() => void whoIsUnsent().then(setNames), []);
  if (names.length === 0) return null;
  return (
    <p role="status" className="mt-3">
      Kept in this browser and not sent yet: {names.join("; ")}. Whoever it is: sign in here once more, and it is sent.
    </p>
  );
}

export default function Sit({ loaderData, actionData }: Route.ComponentProps) {
  const { view, code } = loaderData;
  // Another sitting is another page: nothing of the one before stays in it.
  if (view) return <SheetToSit key={view.place} view={view} code={code} said={actionData?.message ?? null} />;
  return (
    <main className="mx-auto max-w-md p-5">
      <h1>{loaderData.title}</h1>
      <Form method="post" className="leaf mt-3 grid gap-3 p-4">
        <label>
          Your label
          <select name="label" className="field" required defaultValue="">
            <option value="" disabled>
              choose
            </option>
            {loaderData.labels?.map((label) => (
              <option key={label}>{label}</option>
            ))}
          </select>
        </label>
        <label>
          Your personal code, from the slip
          <input name="personalCode" className="field font-mono text-lg uppercase" autoComplete="off" required />
        </label>
        {actionData && (
          <p role="alert" className="font-semibold">
            {actionData.message}
          </p>
        )}
        <div>
          <button className="press press-main" type="submit" name="intent" value="enter">
            Begin
          </button>
        </div>
      </Form>
      <UnsentHere />
    </main>
  );
}
