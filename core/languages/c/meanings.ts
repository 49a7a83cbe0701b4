import type { Explanation } from "../explanation.ts";
import { refusedMeanings } from "./refusedMeanings.ts";
import { stoppedMeanings } from "./stoppedMeanings.ts";

/**
 * Messages of gcc, clang, their linkers, sanitizers and signals (gcc manual, "Warning Options"; ISO C; POSIX signal.h).
 */
export const cExplanations: readonly Explanation[] = [...refusedMeanings, ...stoppedMeanings];
