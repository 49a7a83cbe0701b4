import type { Explanation } from "../explanation.ts";
import { refusedMeanings } from "./refusedMeanings.ts";
import { stoppedMeanings } from "./stoppedMeanings.ts";

/**
 * Messages of CPython (Python Language Reference and Library Reference, "Built-in Exceptions"; wording of 3.6 to 3.14).
 */
export const pythonExplanations: readonly Explanation[] = [...refusedMeanings, ...stoppedMeanings];
