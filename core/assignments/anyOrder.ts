/** How lines are given to one another. */
export type Giving<Line> = {
  /** True if a written line will do for a wanted one. */
  fits: (written: Line, wanted: Line) => boolean;
  /** True if lines that will do for one will do for one another, so that it is all the same which is given to which. */
  isExact: boolean;
  /** True for a line that may be left aside, written or wanted. */
  mayBeLeft: (line: Line) => boolean;
  /** True for a written line that is one too many where nothing wanted it; null: none ever is. */
  counts: ((written: Line) => boolean) | null;
};

/** Pairs that are looked at for one line before it is said that it can be given none. */
const mostPairs = 4000;

/**
 * Gives every wanted line a written one of its own, in any order. Where a line can fit several, one that is given away already
 * changes its place if the other fits another one (augmenting paths in a bipartite graph). What may be left aside is taken last.
 *
 * `missing`: a wanted line that can be given none, with the written ones that are `left`; `extra`: a written one too many.
 */
export function giveInAnyOrder<Line extends object>(
  written: readonly Line[],
  wanted: readonly Line[],
  { fits, isExact, mayBeLeft, counts }: Giving<Line>,
): { missing: Line | null; extra: Line | null; left: readonly Line[] } {
  const left = [...written].sort((one, other) => Number(mayBeLeft(one)) - Number(mayBeLeft(other)));
  const unasked = wanted.filter(mayBeLeft);
  const given = new Map<Line, Line>();

  /** Gives a wanted line a written one; those before it may get another. */
  const find = (want: Line, asked: Set<Line>): boolean => {
    const at = left.findIndex((line) => fits(line, want));
    const [line] = at >= 0 ? left.splice(at, 1) : [];
    if (line) given.set(line, want);
    if (line || isExact) return line !== undefined;
    for (const [other, its] of given) {
      if (asked.size > mostPairs || asked.has(other) || !fits(other, want)) continue;
      asked.add(other);
      if (!find(its, asked)) continue;
      given.set(other, want);
      return true;
    }
    return false;
  };

  /** Finds a place for a line that was written: one that nobody has, or that of one which may be left aside or finds another. */
  const place = (line: Line, asked: Set<Line>): boolean => {
    const at = unasked.findIndex((want) => fits(line, want));
    const [want] = at >= 0 ? unasked.splice(at, 1) : [];
    if (want) given.set(line, want);
    if (want) return true;
    for (const [other, its] of given) {
      if (asked.size > mostPairs || asked.has(other) || !fits(line, its)) continue;
      asked.add(other);
      if (counts?.(other) && !place(other, asked)) continue;
      if (given.get(other) === its) given.delete(other);
      given.set(line, its);
      return true;
    }
    return false;
  };

  const missing = wanted.find((want) => !mayBeLeft(want) && !find(want, new Set())) ?? null;
  if (missing || !counts) return { missing, extra: null, left };
  return { missing, extra: left.filter(counts).find((line) => !place(line, new Set())) ?? null, left };
}
