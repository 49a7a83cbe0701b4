import { unknownBecause } from "../../core/outcome/outcome.ts";
import type { Trace } from "../../core/trace/trace.ts";

/** Recordings kept for a while, because they can be made again: at most `most`, the least used goes first. */
export type TraceCache = { get: (key: string, make: () => Promise<Trace>) => Promise<Trace> };

/**
 * Makes a cache. Asking twice at once for the same recording makes it once; one that failed or tells nothing is not
 * kept.
 */
export function createTraceCache(most = 24): TraceCache {
  const kept = new Map<string, Promise<Trace>>();
  return {
    get: (key, make) => {
      const found = kept.get(key);
      if (found) {
        kept.delete(key);
        kept.set(key, found);
        return found;
      }
      const made = make();
      kept.set(key, made);
      const forget = () => {
        if (kept.get(key) === made) kept.delete(key);
      };
      made.then((trace) => unknownBecause(trace.outcome) !== null && forget(), forget);
      const oldest = kept.keys().next().value;
      if (kept.size > most && oldest !== undefined) kept.delete(oldest);
      return made;
    },
  };
}
