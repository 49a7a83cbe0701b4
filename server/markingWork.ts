import { log } from "./log.ts";
import type { Services } from "./services.ts";
import { markSitting, unmarkedSittings } from "./sittings.ts";

/** The app is bundled apart from the server, so both find the running work through the process. */
const place: unique symbol = Symbol.for("bent-nail.marking");
const holder = globalThis as typeof globalThis & { [place]?: Set<string> };

/** The keys of the sittings that are being marked behind the pages. */
export function beingMarked(): ReadonlySet<string> {
  holder[place] ??= new Set();
  return holder[place];
}

/** Marks sittings one after another behind the pages; one that is being marked already is not begun again. Resolves when all are done. */
export async function markBehind(services: Services, sittings: ReadonlyArray<{ key: string; edition: string }>): Promise<void> {
  holder[place] ??= new Set();
  const working = holder[place];
  const waiting = sittings.filter((sitting) => !working.has(sitting.key));
  for (const sitting of waiting) working.add(sitting.key);
  for (const sitting of waiting) {
    try {
      await services.toolchains.desk.behind("marking", () => markSitting(services, sitting));
    } catch (problem) {
      log.error({ err: problem, sitting: sitting.key }, "a sitting could not be marked");
    } finally {
      working.delete(sitting.key);
    }
  }
}

/** Marks what was handed in and not marked to its end when the server last ended. The marking goes on when this returns. */
export async function resumeMarking(services: Services): Promise<void> {
  const unmarked = await unmarkedSittings(services, null);
  if (unmarked.length > 0) log.info({ sittings: unmarked.length }, "sittings that were handed in and not marked are marked now");
  void markBehind(services, unmarked);
}
