import { type BundleEntry, writeBundle } from "../../core/formats/bundle.ts";
import { type CaseFormat, caseFormats } from "../../core/formats/formats.ts";
import type { CaseFilter } from "../cases/recordFilterStore.ts";
import { zipOf } from "../classwork/checkZip.ts";
import { judgeProgramOf } from "../classwork/judgeAssignment.ts";
import { unpack } from "../collect/archive.ts";
import type { Database } from "../database/database.ts";
import type { Services } from "../services.ts";
import { outgoing, readEntries } from "./entries.ts";
import { type Imported, importBundle } from "./importBundle.ts";

/** Cases that go out at once at most. */
export const mostOut = 5000;

/** A file that cases went out in. */
export type CaseFile = { name: string; type: string; bytes: Buffer; cases: number };

/** The format of an id; a bundle is one as well, but no text. */
export const findFormat = (id: string): CaseFormat | undefined => caseFormats.find((format) => format.id === id);

/**
 * The cases that a filter lets through as a file: a text format, or a bundle that another Bent Nail reads (`format` "bundle"). Null for a format that
 * is not known. `names`: with the labels of students.
 */
export async function exportCases(
  database: Pick<Database, "query">,
  format: string,
  filter: CaseFilter,
  names: boolean,
): Promise<CaseFile | null> {
  const text = findFormat(format);
  if (!text && format !== "bundle") return null;
  const out = await outgoing(database, filter, { names, most: mostOut });
  const cases = out.entries.length;
  if (text)
    return {
      name: `cases.${text.suffix}`,
      type: `${text.type}; charset=utf-8`,
      bytes: Buffer.from(text.write(readEntries(out))),
      cases,
    };
  const files = writeBundle(out, { names, made: new Date().toISOString() });
  return { name: "cases.bentnail.zip", type: "application/zip", bytes: await zipOf(files), cases };
}

/** Unpacks a bundle within the limits of any archive; words where it cannot be. */
export async function unpackBundle(
  bytes: Buffer,
): Promise<{ ok: true; files: BundleEntry[] } | { ok: false; message: string }> {
  const unpacked = await unpack(bytes);
  if (unpacked.whole !== null) return { ok: false, message: unpacked.whole };
  const [refused] = unpacked.refused;
  if (refused)
    return { ok: false, message: `“${refused.path}” in it was refused: ${refused.reason} Nothing was taken in.` };
  return { ok: true, files: unpacked.entries };
}

/** Takes the cases of a bundle in and has them judged behind the pages, so that what proved them elsewhere is proved here. */
export async function takeBundle(
  services: Pick<Services, "database" | "queue">,
  bytes: Buffer,
  course: string | null,
): Promise<{ ok: true; imported: Imported } | { ok: false; message: string }> {
  const unpacked = await unpackBundle(bytes);
  if (!unpacked.ok) return unpacked;
  const taken = await importBundle(services.database, unpacked.files, course);
  if (!taken.ok) return taken;
  await services.queue.add(
    judgeProgramOf,
    taken.imported.cases.map((key) => ({ assignment: "", case: key })),
  );
  return taken;
}
