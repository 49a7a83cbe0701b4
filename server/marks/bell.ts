import { endOfSitting, graceMilliseconds } from "../../core/sittings/sittingEnd.ts";
import { log } from "../log.ts";
import type { Services } from "../services.ts";
import { closeRung } from "../sheets/roomStore.ts";
import { listSittingsWithEnd } from "../sittings/sittingStore.ts";
import { handInSitting } from "./markingWork.ts";

/** Milliseconds between two looks at what is due. */
const between = 2000;

/**
 * Hands in the sittings whose time is over, a moment after its end, so that what was typed before is there; closes the
 * sheets whose bell has rung once nobody sits them. Returns how many sittings were handed in.
 */
export async function collectDue(services: Pick<Services, "database" | "queue">, now: number): Promise<number> {
  const sittings = await listSittingsWithEnd(services.database);
  let collected = 0;
  for (const sitting of sittings) {
    const end = endOfSitting(
      {
        rules: sitting.rules,
        bellAt: sitting.bell_at?.getTime() ?? null,
        startedAt: sitting.started_at.getTime(),
        extraSeconds: sitting.extra_seconds,
        pausedSeconds: sitting.paused_seconds,
        pausedAt: sitting.paused_at?.getTime() ?? null,
        later: sitting.later,
      },
      now,
    );
    if (end === null || end + graceMilliseconds > now) continue;
    if (await handInSitting(services, sitting, "bell")) collected += 1;
  }
  await closeRung(services.database, new Date(now - graceMilliseconds));
  return collected;
}

/** Keeps looking for what is due; returns what ends it. */
export function keepCollecting(services: Pick<Services, "database" | "queue">): () => void {
  let looking = false;
  const clock = setInterval(() => {
    if (looking) return;
    looking = true;
    collectDue(services, Date.now())
      .catch((problem: unknown) => log.warn({ err: problem }, "sittings whose time is over were not handed in"))
      .finally(() => {
        looking = false;
      });
  }, between);
  clock.unref();
  return () => clearInterval(clock);
}
