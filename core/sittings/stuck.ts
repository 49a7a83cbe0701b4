/** A run of a program while a sheet was sat. `error`: what is the same in all programs that fail so; "" where it ended by itself. */
export type Tried = { exercise: string; error: string; at: number };

/** So many runs with the same error, one after another, and so many runs of one program, are a sign that somebody is stuck. */
const sameErrors = 3;
const manyRuns = 8;
/** Nothing was written for so long, in milliseconds. */
const longSilence = 6 * 60_000;

/**
 * Why a student who sits a sheet may be stuck, in words for the teacher; null where nothing says so. `tried` oldest first;
 * `since`: when something was last written or run, in milliseconds since 1970.
 */
export function whyStuck(tried: readonly Tried[], since: number, now: number): string | null {
  const last = tried.at(-1);
  if (last) {
    const here = tried.filter(({ exercise }) => exercise === last.exercise);
    const from = here.findLastIndex(({ error }) => error !== last.error);
    const alike = here.length - 1 - from;
    if (last.error !== "" && alike >= sameErrors) return `the same error in the last ${alike} runs`;
    if (here.length >= manyRuns && last.error !== "") return `${here.length} runs of this program, and it still fails`;
  }
  const minutes = Math.floor((now - since) / 60_000);
  return now - since >= longSilence ? `nothing written for ${minutes} minutes` : null;
}
