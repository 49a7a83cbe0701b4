import { data } from "react-router";
import { listStudents } from "../../server/people/courseStore.ts";
import { findSheet } from "../../server/sheets/sheetStore.ts";
import type { Route } from "./+types/slipsPage.ts";
import { PrintPage } from "./PrintPage.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Slips, for print" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const sheet = await findSheet(context.services.database, params.sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  return {
    title: sheet.title,
    code: sheet.code,
    address: `${context.studentOrigin}/s/${sheet.code}`,
    students: await listStudents(context.services.database, sheet.course),
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
