import { type Entry, type Refused, sortEntries } from "../../core/collecting/entries.ts";
import type { Database } from "../database/database.ts";
import { unpack } from "./archive.ts";
import { openCollection } from "./collectionStore.ts";

/** Most bytes of a zip or of files together that are taken in one go. */
export const largestSet = 60 * 1024 * 1024;

/** A set that waits to be looked through, or why nothing of it was taken. */
export type TakenSet = { ok: true; key: string; files: number } | { ok: false; message: string };

/**
 * Takes dropped files as one set: a single zip is unpacked, everything else is taken as it is. Nothing becomes a case
 * yet.
 */
export async function takeSet(database: Database, course: string, given: readonly Entry[]): Promise<TakenSet> {
  const first = given[0];
  if (!first) return { ok: false, message: "There is nothing in it. Choose a zip, a folder or files." };
  let name = given.length === 1 ? first.path : (first.path.split("/")[0] ?? first.path);
  let entries = given;
  let refused: Refused[] = [];
  if (given.length === 1 && /\.zip$/i.test(first.path)) {
    const unpacked = await unpack(Buffer.from(first.bytes));
    if (unpacked.whole) return { ok: false, message: `${first.path}: ${unpacked.whole}` };
    entries = unpacked.entries;
    refused = unpacked.refused;
  }
  const sorted = sortEntries(entries);
  if (sorted.whole) return { ok: false, message: sorted.whole };
  refused = [...refused, ...sorted.refused];
  if (sorted.entries.length === 0)
    return {
      ok: false,
      message: refused[0]
        ? `Nothing of it could be taken. ${refused[0].path}: ${refused[0].reason}`
        : "There is nothing in it.",
    };
  if (given.length > 1) name = `${sorted.entries.length} files`;
  return {
    ok: true,
    key: await openCollection(database, course, name, sorted.entries, refused),
    files: sorted.entries.length,
  };
}
