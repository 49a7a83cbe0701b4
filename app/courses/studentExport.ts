import { data } from "react-router";
import { exportStudent } from "../../server/privacy/exportStudent.ts";
import type { Route } from "./+types/studentExport.ts";

/** Everything about a student as a JSON file. */
export async function loader({ params, context }: Route.LoaderArgs): Promise<Response> {
  const found = await exportStudent(context.services.database, params.studentKey);
  if (!found) throw data("There is no such student.", { status: 404 });
  return new Response(JSON.stringify(found, null, 2), {
    headers: { "Content-Type": "application/json", "Content-Disposition": 'attachment; filename="student.json"' },
  });
}
