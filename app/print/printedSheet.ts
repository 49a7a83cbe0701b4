import { data } from "react-router";
import type { Database } from "../../server/database/database.ts";
import { editionOfAddress, editionToPrint, sceneOfAddress } from "../../server/sheets/editionToPrint.ts";
import { findSheet } from "../../server/sheets/sheetStore.ts";

/**
 * What a page for paper shows of a sheet: the edition that its address names, else the newest. `edition` is its number
 * where there are several. Throws 404 with words where there is no such sheet or edition.
 */
export async function printedSheet(database: Database, sheetKey: string, address: string) {
  const sheet = await findSheet(database, sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  const printed = await editionToPrint(database, sheet, editionOfAddress(address), sceneOfAddress(address));
  if (!printed) throw data("There is no such edition of this sheet.", { status: 404 });
  const { title, wording, course_name: course, rules } = sheet;
  const edition = printed.numbers.length > 1 ? printed.number : null;
  const large = new URL(address).searchParams.get("type") === "large";
  return {
    head: { title, wording, course, edition, scene: sceneOfAddress(address), minutes: rules.minutes, large },
    courseKey: sheet.course,
    edition: printed.key,
    exercises: printed.exercises,
  };
}
