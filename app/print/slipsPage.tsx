import { data } from "react-router";
import { listStudents } from "../../server/people/courseStore.ts";
import { findSheet } from "../../server/sheets/sheetStore.ts";
import type { Route } from "./+types/slipsPage.ts";
import { Slips } from "./Slips.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Slips, for print" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const sheet = await findSheet(context.services.database, params.sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  return {
    title: sheet.title,
    sheet: sheet.code,
    address: `${context.studentOrigin}/s/${sheet.code}`,
    students: await listStudents(context.services.database, sheet.course),
  };
}

export default function PrintSlips({ loaderData }: Route.ComponentProps) {
  return <Slips {...loaderData} />;
}
