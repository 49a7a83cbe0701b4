/** What somebody earned of an exercise, of what could be earned. */
export type Earned = { earned: number; possible: number };

/** A level corrected by results: the share that was earned, by how many, and the level that follows. */
export type LevelByResults = { level: number; share: number; sitters: number };

/** The share of the marks that an exercise of each level is made to be earned; a step between two of them. */
const easiest = 0.9;
const perLevel = 0.15;

/** As many sitters weigh as much as what was measured of the program; fewer than `fewest` say nothing yet. */
const weightOfMeasure = 8;
const fewest = 4;

/**
 * The level of an exercise (1 to 5) by how those did who sat it. The share of the marks that is earned on an item is its
 * difficulty in classical test theory (item facility; L. Crocker, J. Algina: Introduction to Classical and Modern Test Theory,
 * 1986, chapter 14); it is taken as a level by a straight line and, since few sitters say little, drawn towards the measured level
 * as an estimated true score is (T. L. Kelley: Interpretation of Educational Measurements, 1927). Null where too few have sat it.
 */
export function levelByResults(measured: number, results: readonly Earned[]): LevelByResults | null {
  const told = results.filter(({ possible }) => possible > 0);
  if (told.length < fewest) return null;
  const share = told.reduce((sum, { earned, possible }) => sum + earned / possible, 0) / told.length;
  const observed = Math.min(5, Math.max(1, 1 + (easiest - share) / perLevel));
  const drawn = (weightOfMeasure * measured + told.length * observed) / (weightOfMeasure + told.length);
  return { level: Math.round(drawn), share, sitters: told.length };
}
