/** How many changes of one character make one word of another (Levenshtein; neighbours that change places count once), at most 3. */
export function distance(one: string, other: string): number {
  if (Math.abs(one.length - other.length) > 2) return 3;
  const rows: number[][] = [];
  for (let row = 0; row <= one.length; row++) {
    const current: number[] = [row];
    for (let column = 1; column <= other.length; column++) {
      const up = rows[row - 1];
      if (row === 0 || !up) {
        current.push(column);
        continue;
      }
      let best = Math.min((up[column] ?? 0) + 1, (current[column - 1] ?? 0) + 1);
      best = Math.min(best, (up[column - 1] ?? 0) + (one[row - 1] === other[column - 1] ? 0 : 1));
      if (row > 1 && column > 1 && one[row - 1] === other[column - 2] && one[row - 2] === other[column - 1])
        best = Math.min(best, (rows[row - 2]?.[column - 2] ?? 0) + 1);
      current.push(best);
    }
    rows.push(current);
    // Nothing becomes less from two rows of three and more.
    if (Math.min(...current) >= 3 && Math.min(...(rows[row - 1] ?? [0])) >= 3) return 3;
  }
  return Math.min(3, rows[one.length]?.[other.length] ?? 3);
}

/**
 * True when two names differ in letter case only, or by one letter put in, left out, changed or swapped with its
 * neighbour.
 */
export function areSimilar(one: string, other: string): boolean {
  if (one === other) return false;
  if (one.toLowerCase() === other.toLowerCase()) return true;
  return Math.max(one.length, other.length) >= 3 && distance(one, other) === 1;
}
