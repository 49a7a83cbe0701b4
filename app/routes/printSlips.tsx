import { data } from "react-router";
import { services } from "../../server/services.ts";
import { listStudents } from "../../server/stores/courses.ts";
import { findSheet } from "../../server/stores/sheets.ts";
import { PrintPage } from "../print/PrintPage.tsx";
import type { Route } from "./+types/printSlips.ts";

export const meta: Route.MetaFunction = () => [{ title: "Slips, for print" }];

export async function loader({ params, request }: Route.LoaderArgs) {
  const sheet = await findSheet(services().database, params.sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  return {
    title: sheet.title,
    code: sheet.code,
    address: `${new URL(request.url).origin}/s/${sheet.code}`,
    students: await listStudents(services().database, sheet.course),
  };
}

export default function PrintSlips({ loaderData }: Route.ComponentProps) {
  return (
    <PrintPage title={`Slips: ${loaderData.title}`} under="Cut along the lines and hand one to each student.">
      <ul className="grid grid-cols-2">
        {loaderData.students.map((student) => (
          <li key={student.key} className="keep-together border border-dashed border-black p-3">
            <p className="text-lg font-bold">{student.label}</p>
            <p>
              Personal code <strong className="font-mono">{student.personal_code}</strong>
            </p>
            <p>
              Sheet code <strong className="font-mono">{loaderData.code}</strong>
            </p>
            <p className="text-[9pt] break-all">{loaderData.address}</p>
          </li>
        ))}
      </ul>
    </PrintPage>
  );
}
