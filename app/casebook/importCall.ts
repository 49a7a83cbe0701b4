import { takeBundle } from "../../server/casebook/bundles.ts";
import { listCourses } from "../../server/people/courseStore.ts";
import { readForm } from "../forms.ts";
import type { Route } from "./+types/importCall.ts";

/** Takes a bundle in for a program. */
export async function action({ request, context }: Route.ActionArgs): Promise<Response> {
  const form = await readForm(request);
  const [file, name] = [form.get("bundle"), String(form.get("course") ?? "")];
  if (!(file instanceof File)) return Response.json({ error: "no bundle was given" }, { status: 400 });
  const courses = await listCourses(context.services.database);
  const course = courses.find((each) => each.key === name || each.name === name);
  if (name !== "" && !course) return Response.json({ error: `there is no course ${name}` }, { status: 422 });
  const taken = await takeBundle(context.services, Buffer.from(await file.arrayBuffer()), course?.key ?? null);
  return taken.ok ? Response.json(taken.imported) : Response.json({ error: taken.message }, { status: 422 });
}
