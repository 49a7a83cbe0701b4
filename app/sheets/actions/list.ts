import { down, level, off, on, up } from "./order.ts";
import { rules } from "./rules.ts";
import { close, holdBack, open, release, set } from "./state.ts";

/** Everything that the page of a sheet can be asked for. */
export const sheetActions = [up, down, off, on, level, set, close, open, release, holdBack, rules];
