import type { Services } from "../../../server/services.ts";
import type { Sheet } from "../../../server/sheets/sheetStore.ts";

/** What an action of a sheet's page works on. */
export type SheetContext = { services: Services; sheet: Sheet };
