import type { Trace } from "../core/trace/trace.ts";

/** Recordings kept for a while, because they can be made again: at most `most`, the least used goes first. */
export type TraceCache = { get: (key: string, make: () => Promise<Trace>) => Promise<Trace> };

/** Makes a cache. Asking twice at once for the same recording makes it once; a failed one is not kept. */
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
      made.catch(() => kept.delete(key));
      const oldest = kept.keys().next().value;
      if (kept.size > most && oldest !== undefined) kept.delete(oldest);
      return made;
    },
  };
}
