import type { Explanation } from "../explanation.ts";
import { refusedMeanings } from "./refusedMeanings.ts";
import { stoppedMeanings } from "./stoppedMeanings.ts";

/**
 * Messages of javac, of the launcher, of the compiler that numbers its problems, and exceptions (Java SE 17 API and
 * Language Specification).
 */
export const javaExplanations: readonly Explanation[] = [...refusedMeanings, ...stoppedMeanings];
