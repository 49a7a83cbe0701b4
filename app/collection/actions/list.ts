import { correct, writtenFor } from "./correct.ts";
import { drop, keep } from "./keep.ts";

/** Everything that the page of a set can be asked for. */
export const collectionActions = [correct, writtenFor, keep, drop];
