import { decodeText } from "../../core/source/decode.ts";
import { listStarterFiles } from "../../server/assignments/assignmentStore.ts";
import { listVisibleChecks } from "../../server/assignments/checkStore.ts";
import type { Database } from "../../server/database/database.ts";

/** What students may see of an assignment beside its statement: the starter, and the checks that are visible to them. */
export async function studentView(database: Database, assignment: string) {
  const [files, checks] = await Promise.all([
    listStarterFiles(database, assignment),
    listVisibleChecks(database, assignment),
  ]);
  return {
    starter: files.map((file) => ({ name: file.name, text: decodeText(file.bytes).text })),
    checks,
  };
}
