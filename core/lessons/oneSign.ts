/** A place of a text at which one sign is another, more or less: line and column are 1-based; "" where there is none. */
export type OneSign = { line: number; column: number; before: string; after: string };

/**
 * By which one sign a program differs from another one (signs are Unicode code points, line ends counted as one); null where
 * it is the same, or more than one sign differs.
 */
export function oneSignApart(right: string, changed: string): OneSign | null {
  const signs = (text: string) => [...text.replaceAll("\r\n", "\n")];
  const [one, other] = [signs(right), signs(changed)];
  if (Math.abs(one.length - other.length) > 1) return null;
  let at = 0;
  while (at < one.length && at < other.length && one[at] === other[at]) at += 1;
  if (at === one.length && at === other.length) return null;
  const rest = (from: readonly string[], start: number) => from.slice(start).join("");
  const before = one.length >= other.length ? (one[at] ?? "") : "";
  const after = other.length >= one.length ? (other[at] ?? "") : "";
  if (rest(one, at + (before ? 1 : 0)) !== rest(other, at + (after ? 1 : 0))) return null;
  const head = one.slice(0, at);
  const lineStart = head.lastIndexOf("\n") + 1;
  return { line: head.filter((sign) => sign === "\n").length + 1, column: at - lineStart + 1, before, after };
}
