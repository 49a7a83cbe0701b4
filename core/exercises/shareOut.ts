/** Splits whole marks over items, the first ones getting what is left over. */
export function shareOut(marks: number, items: number): number[] {
  const each = Math.floor(marks / Math.max(1, items));
  return Array.from({ length: items }, (_, index) => each + (index < marks - each * items ? 1 : 0));
}
