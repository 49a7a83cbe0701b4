import type { Database } from "../../../server/database/database.ts";
import { listTeachable } from "../../../server/exercises/exerciseStore.ts";
import { listSheets } from "../../../server/sheets/sheetStore.ts";

/** What a new part begins with, by kind; words where there is nothing that it could be about. */
const beginnings: Readonly<Record<string, (database: Database) => Promise<unknown>>> = {
  classes: async () => ({ classes: ["syntax", "runtime", "logic"] }),
  program: async (database) => {
    const [first] = await listTeachable(database);
    return first ? { exercise: first.key, without: [] } : "There is no exercise yet. Make one from a case first.";
  },
  lab: async (database) => {
    const first = (await listTeachable(database)).find(({ mended }) => mended);
    return first ? { exercise: first.key, changes: [] } : "There is no exercise of a mended case yet. Make one first.";
  },
  reading: async () => ({ text: "" }),
  story: async () => ({ text: "" }),
  sheet: async (database) => {
    const [first] = await listSheets(database);
    return first ? { sheet: first.key } : "There is no sheet yet. Begin one under “Sheets” first.";
  },
  recap: async () => ({}),
};

/** What a new part of a kind begins with; words where there is nothing that it could be about. */
export async function beginningOf(database: Database, kind: string): Promise<unknown> {
  return (await beginnings[kind]?.(database)) ?? {};
}
