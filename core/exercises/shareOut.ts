/**
 * Splits marks over items, the first ones getting what is left over: whole marks, or halves where there are more items than
 * marks.
 */
export function shareOut(marks: number, items: number): number[] {
  const unit = items > marks ? 2 : 1;
  const all = marks * unit;
  const each = Math.floor(all / Math.max(1, items));
  return Array.from({ length: items }, (_, index) => (each + (index < all - each * items ? 1 : 0)) / unit);
}
