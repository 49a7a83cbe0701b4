/** A number rounded to a whole one; halves go to the even neighbour. */
export function halfToEven(value: number): number {
  const below = Math.floor(value);
  const rest = value - below;
  if (rest !== 0.5) return rest < 0.5 ? below : below + 1;
  return below % 2 === 0 ? below : below + 1;
}
