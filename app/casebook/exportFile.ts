import { exportCases } from "../../server/casebook/bundles.ts";
import { filterOf } from "../../server/cases/filterChoices.ts";
import { listCourses } from "../../server/people/courseStore.ts";
import type { Route } from "./+types/exportFile.ts";

/** Cases as a file, in the format of the address, as far as they are narrowed; with students' labels only where that is asked for. */
export async function loader({ params, request, context }: Route.LoaderArgs): Promise<Response> {
  const query = new URL(request.url).searchParams;
  const { database } = context.services;
  const filter = filterOf(query);
  const course = (await listCourses(database)).find(({ key, name }) => key === filter.course || name === filter.course);
  if (filter.course && !course) return Response.json({ error: `there is no course ${filter.course}` }, { status: 404 });
  const wanted = course ? { ...filter, course: course.key } : filter;
  const file = await exportCases(database, params.format, wanted, query.get("names") === "yes");
  if (!file) return new Response("There is no such format.", { status: 404 });
  return new Response(new Uint8Array(file.bytes), {
    headers: { "Content-Type": file.type, "Content-Disposition": `attachment; filename="${file.name}"` },
  });
}
