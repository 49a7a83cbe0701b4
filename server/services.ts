import type { Database } from "./database/database.ts";
import type { Toolchains } from "./toolchains/toolchains.ts";
import type { TraceCache } from "./traceCache.ts";

/** What a running server holds: the data and the translators. Made once by server/http, asked for by loaders and actions. */
export type Services = { database: Database; toolchains: Toolchains; traces: TraceCache };

/** The app is bundled apart from the server that starts it, so they share the services through the process. */
const place: unique symbol = Symbol.for("bent-nail.services");
const holder = globalThis as typeof globalThis & { [place]?: Services };

/** Sets the services of this process. */
export function provideServices(services: Services): void {
  holder[place] = services;
}

/** The services of this process; throws if the server has not set them. */
export function services(): Services {
  const found = holder[place];
  if (!found) throw new Error("The server has not started its services.");
  return found;
}
