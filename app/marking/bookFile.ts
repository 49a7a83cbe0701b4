import { markBookCsv } from "../../core/formats/markBookCsv.ts";
import { markBook } from "../../server/results/markBook.ts";
import { findSheet } from "../../server/sheets/sheetStore.ts";
import type { Route } from "./+types/bookFile.ts";

/** The mark book of a sheet as comma-separated values, with a mark of byte order, by which spreadsheets know UTF-8. */
export async function loader({ params, context }: Route.LoaderArgs): Promise<Response> {
  const sheet = await findSheet(context.services.database, params.sheetKey);
  if (!sheet) return new Response("There is no such sheet.", { status: 404 });
  const { tables } = await markBook(context.services, sheet);
  const { timeZone } = new Intl.DateTimeFormat().resolvedOptions();
  return new Response(`\ufeff${markBookCsv(tables, timeZone)}`, {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": 'attachment; filename="marks.csv"',
    },
  });
}
