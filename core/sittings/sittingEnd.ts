import type { SittingRules } from "./sittingRules.ts";

/** What the end of a sitting depends on; times in milliseconds since 1970, lengths in seconds. */
export type SittingTimes = {
  rules: Pick<SittingRules, "minutes">;
  /** When the teacher said that all is collected; null: not said. */
  bellAt: number | null;
  startedAt: number;
  /** What the teacher gave this student on top. */
  extraSeconds: number;
  /** How long the sheet has been paused while this student sat it, up to the pause that goes on. */
  pausedSeconds: number;
  /** Since when it is paused; null: it is not. */
  pausedAt: number | null;
  /** Whether the student sits it after the others, to whom the bell belongs. */
  later: boolean;
};

/**
 * When a sitting is handed in by itself, in milliseconds since 1970; null: never. Both the bell and the student's own
 * minutes end it, whichever comes first; time given on top counts for both, and no time passes during a pause (the bell
 * is moved when a pause ends).
 */
export function endOfSitting(times: SittingTimes, now: number): number | null {
  const { rules, bellAt, startedAt, extraSeconds, pausedSeconds, pausedAt, later } = times;
  const paused = pausedAt === null ? 0 : Math.max(0, now - Math.max(pausedAt, startedAt));
  const extra = extraSeconds * 1000 + paused;
  const ends = [
    ...(rules.minutes === null ? [] : [startedAt + rules.minutes * 60_000 + pausedSeconds * 1000 + extra]),
    ...(bellAt === null || later ? [] : [bellAt + extra]),
  ];
  return ends.length === 0 ? null : Math.min(...ends);
}

/** How long after its end a sitting is still open to what was typed before, in milliseconds: the last saves are on their way. */
export const graceMilliseconds = 10_000;
