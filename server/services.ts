import type { Database } from "./database/database.ts";
import type { TraceCache } from "./judge/traceCache.ts";
import type { Toolchains } from "./toolchains/toolchains.ts";
import type { Loading } from "./work/loading.ts";
import type { Queue } from "./work/queue.ts";

/**
 * What a running server holds: the data, the translators, recordings that are kept for a while, the queue of work
 * behind the pages, and how far data is that is being loaded. Made once at the start; loaders and actions get it through the router's context.
 */
export type Services = {
  database: Database;
  toolchains: Toolchains;
  traces: TraceCache;
  queue: Queue;
  loading: Loading;
};
