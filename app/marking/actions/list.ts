import { give } from "./give.ts";
import { markAgain } from "./markAgain.ts";

/** Everything that the page of a sitting's marks can be asked for. */
export const sittingActions = [give, markAgain];
