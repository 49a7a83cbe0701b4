import { sequence } from "../sequence.ts";

/** An order that is not the right one, the same for the same task. */
export function mixed(key: string, count: number): number[] {
  const next = sequence([...key].reduce((sum, sign) => (sum * 31 + sign.charCodeAt(0)) % 2147483647, 7));
  const order = Array.from({ length: count }, (_, index) => index);
  for (let at = count - 1; at > 0; at--) {
    const other = Math.floor(next() * (at + 1));
    [order[at], order[other]] = [order[other] ?? 0, order[at] ?? 0];
  }
  const isRight = order.every((step, at) => step === at);
  return isRight ? order.toReversed() : order;
}
