/**
 * Wrong passwords by where they came from. After a few each further one has to wait, longer and longer up to half a
 * minute: guessing goes nowhere, and a teacher behind the same network address as whoever guesses waits no longer than
 * that.
 */
export type LoginTries = {
  /** Seconds until a password is looked at again, 0 if it is looked at now. */
  wait: (from: string) => number;
  wrong: (from: string) => void;
  right: (from: string) => void;
};

const free = 5;
const longest = 30;
/** Wrong ones are forgotten after this time without another, in milliseconds. */
const forgotten = 10 * 60_000;
const mostRemembered = 10_000;

export function createLoginTries(now: () => number = Date.now): LoginTries {
  const kept = new Map<string, { wrong: number; last: number }>();
  return {
    wait: (from) => {
      const found = kept.get(from);
      if (!found || found.wrong < free) return 0;
      const seconds = Math.min(longest, 2 ** (found.wrong - free));
      return Math.max(0, Math.ceil((found.last + seconds * 1000 - now()) / 1000));
    },
    wrong: (from) => {
      const found = kept.get(from);
      const before = found && now() - found.last < forgotten ? found.wrong : 0;
      kept.delete(from);
      kept.set(from, { wrong: before + 1, last: now() });
      const oldest = kept.keys().next().value;
      if (kept.size > mostRemembered && oldest !== undefined) kept.delete(oldest);
    },
    right: (from) => void kept.delete(from),
  };
}
