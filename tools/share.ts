/** Set for `npm run test:long`, which leaves nothing out. */
export const isLongRun = process.env.BENT_NAIL_LONG !== undefined;

/** The day of the month, or the one that `BENT_NAIL_DAY` names: another day's share can be tested by it. */
const dayOfShare = () => Number(process.env.BENT_NAIL_DAY) || new Date().getUTCDate();

/**
 * What `npm test` takes of a long list of cases of one kind, each of which costs a run or more: every one of so many
 * `parts`, and other ones on the next day of the month, so that all come up in turn; whole in the long run.
 */
export function todaysShare<Each>(all: readonly Each[], parts: number): Each[] {
  const today = dayOfShare();
  return all.filter((_, at) => isLongRun || at % parts === today % parts);
}
