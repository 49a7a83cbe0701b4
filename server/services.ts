import type { Database } from "./database/database.ts";
import type { TraceCache } from "./judge/traceCache.ts";
import type { Toolchains } from "./toolchains/toolchains.ts";
import type { Loading } from "./work/loading.ts";
import type { Queue } from "./work/queue.ts";

/**
 * What a running server holds: the data, the translators, recordings that are kept for a while, the queue of work
 * behind the pages, how far data is that is being loaded, and what this server was told to do by itself. Made once at the start; loaders and actions get it through the router's context.
 */
export type Services = {
  database: Database;
  /** Where the data is, with the copies of it; null for data in memory. */
  folder: string | null;
  toolchains: Toolchains;
  traces: TraceCache;
  queue: Queue;
  loading: Loading;
  /** Whether small changes are looked for in whole sets once they are judged, before anybody opens a case of them. */
  searchesSets: boolean;
};
