import { data, Form, redirect } from "react-router";
import { services } from "../../server/services.ts";
import { enterSitting, sittingCookie, sittingOfRequest, studentView } from "../../server/sittingAccess.ts";
import { handInAndMark } from "../../server/sittings.ts";
import { listStudents } from "../../server/stores/courses.ts";
import { formText, readForm } from "../formText.ts";
import { SheetToSit } from "../sitting/SheetToSit.tsx";
import { slowGuessing, unknownAddress } from "../unknownAddress.ts";
import type { Route } from "./+types/sit.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [{ title: loaderData && "title" in loaderData ? String(loaderData.title) : "Sit a sheet" }];

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { sheet, open } = await sittingOfRequest(services(), request, params.code);
  if (!open) await slowGuessing(context.address);
  if (!sheet || sheet.state === "draft")
    throw unknownAddress(context.address, "There is no sheet with this code. Look at the code again, or ask your teacher.");
  if (open) return { view: await studentView(services(), open), code: sheet.code, title: sheet.title };
  const labels = (await listStudents(services().database, sheet.course)).map((student) => student.label);
  return { view: null, code: sheet.code, title: sheet.title, labels };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const form = await readForm(request);
  const { sheet, open } = await sittingOfRequest(services(), request, params.code);
  if (!sheet) throw data("There is no sheet with this code.", { status: 404 });
  const cookie = (value: string, seconds: number) => ({
    headers: { "Set-Cookie": `${sittingCookie}=${value}; Path=/s; HttpOnly; SameSite=Lax; Max-Age=${seconds}` },
  });
  if (form.get("intent") === "leave") return redirect(`/s/${sheet.code}`, cookie("", 0));
  if (form.get("intent") === "hand in" && open) {
    await handInAndMark(services(), open.sitting);
    return redirect(`/s/${sheet.code}`);
  }
  const entered = await enterSitting(services(), sheet, formText(form, "label"), formText(form, "personalCode"), context.address);
  return entered.ok ? redirect(`/s/${sheet.code}`, cookie(entered.sitting, 14 * 24 * 3600)) : { message: entered.message };
}

export default function Sit({ loaderData, actionData }: Route.ComponentProps) {
  if (loaderData.view) return <SheetToSit view={loaderData.view} code={loaderData.code} />;
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
    </main>
  );
}
