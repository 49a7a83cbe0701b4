/**
 * Counts tries by name within a stretch of time, to slow down guessing and floods. Kept in memory: a restart forgives.
 */
export type Attempts = { allowed: (name: string) => boolean; forget: (name: string) => void };

/** At most `most` tries for each name in any `milliseconds`. */
export function createAttempts(most: number, milliseconds: number, now: () => number = Date.now): Attempts {
  const tries = new Map<string, number[]>();
  return {
    allowed: (name) => {
      const since = now() - milliseconds;
      const recent = (tries.get(name) ?? []).filter((time) => time > since);
      if (recent.length >= most) {
        tries.set(name, recent);
        return false;
      }
      tries.set(name, [...recent, now()]);
      if (tries.size > 10_000)
        for (const [each, times] of tries) if (times.every((time) => time <= since)) tries.delete(each);
      return true;
    },
    forget: (name) => void tries.delete(name),
  };
}
