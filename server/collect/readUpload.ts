import type { Entry } from "../../core/collecting/entries.ts";
import {
  checksAlone,
  largestAssignmentFile,
  type ReadAssignment,
  readAssignmentFile,
} from "../../core/formats/assignmentFile.ts";
import { readCheckFiles } from "../../core/formats/checkFiles.ts";
import { decodeText } from "../../core/source/decode.ts";
import { unpack } from "./archive.ts";

const tooLarge = "This is larger than 20 MB. An assignment holds programs and checks, no more. Nothing was taken.";

/**
 * Reads what a person chose as an assignment: an assignment.json, or files NAME.in with NAME.out, as they are or in a zip.
 * What cannot be read is told in words.
 */
export async function readUpload(given: readonly Entry[]): Promise<ReadAssignment> {
  if (given.length === 0) return { ok: false, message: "Choose a file first." };
  if (given.reduce((sum, entry) => sum + entry.bytes.length, 0) > largestAssignmentFile)
    return { ok: false, message: tooLarge };
  let entries = given;
  const [first] = given;
  if (given.length === 1 && first && /\.zip$/i.test(first.path)) {
    const unpacked = await unpack(Buffer.from(first.bytes));
    if (unpacked.whole) return { ok: false, message: `${first.path}: ${unpacked.whole}` };
    entries = unpacked.entries;
  }
  const json = entries.find((entry) => /(?:^|\/)[^/]*\.json$/i.test(entry.path));
  if (json) return readAssignmentFile(decodeText(json.bytes).text);
  const { checks, leftOver } = readCheckFiles(entries);
  if (checks.length === 0)
    return { ok: false, message: "There is no assignment.json in it, and no NAME.in with NAME.out or NAME.ans." };
  return { ok: true, assignment: checksAlone(checks), leftOut: leftOver };
}
