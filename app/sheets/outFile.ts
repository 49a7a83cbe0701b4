import { qtiPackage } from "../../core/formats/qti/write.ts";
import { type SheetToWrite, sheetFile } from "../../core/formats/sheetContent.ts";
import { sheetMarkdown } from "../../core/formats/sheetMarkdown.ts";
import { zipOf } from "../../server/classwork/checkZip.ts";
import { editionOfAddress, editionToPrint } from "../../server/sheets/editionToPrint.ts";
import { findSheet } from "../../server/sheets/sheetStore.ts";
import type { Route } from "./+types/outFile.ts";
import { outForms } from "./outForms.ts";

type Written = { body: string | Uint8Array<ArrayBuffer>; type: string };

async function packageOf(sheet: SheetToWrite): Promise<Uint8Array<ArrayBuffer>> {
  const entries = qtiPackage(sheet).map(({ name, text }) => ({ path: name, bytes: Buffer.from(text, "utf8") }));
  return new Uint8Array(await zipOf(entries));
}

/** How each form of outForms.ts is written. */
const writers: Readonly<Record<string, (sheet: SheetToWrite) => Promise<Written> | Written>> = {
  "sheet.md": (sheet) => ({ body: sheetMarkdown(sheet), type: "text/markdown; charset=utf-8" }),
  "answers.md": (sheet) => ({ body: sheetMarkdown(sheet, true), type: "text/markdown; charset=utf-8" }),
  "sheet-qti.zip": async (sheet) => ({ body: await packageOf(sheet), type: "application/zip" }),
  "sheet.json": (sheet) => ({ body: sheetFile(sheet), type: "application/json" }),
};

/** A sheet as a file: the edition that the address names, else the newest one, of a draft its exercises as they are. */
export async function loader({ params, request, context }: Route.LoaderArgs): Promise<Response> {
  const { database } = context.services;
  const sheet = await findSheet(database, params.sheetKey);
  const write = outForms.some(({ name }) => name === params.form) ? writers[params.form] : undefined;
  const edition = sheet && write && (await editionToPrint(database, sheet, editionOfAddress(request.url)));
  if (!sheet || !write || !edition) return new Response("There is no such file of this sheet.", { status: 404 });
  const { body, type } = await write({
    ...{ title: sheet.title, minutes: sheet.rules.minutes },
    exercises: edition.exercises.map(({ title, section, content }) => ({ title, section, content })),
  });
  return new Response(body, {
    headers: { "Content-Type": type, "Content-Disposition": `attachment; filename="${params.form}"` },
  });
}
