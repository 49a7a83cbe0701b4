import type { Edit } from "../edits/edit.ts";
import { isInAnotherOrder, isLineInAnotherOrder, type Seen } from "../leads/signs.ts";

/** How much likelier an edit is that fits what is wrong about the result; what speaks for no edit leaves it as it is. */
const fits = { exactly: 2.5, well: 1.8, somewhat: 1.3 } as const;

/** Families whose edits turn an order round. */
const turning = new Set(["sort-order", "counterpart", "swapped", "direction", "comparison"]);
/** Families whose edits move a limit by one. */
const byOne = new Set(["by-one", "comparison"]);

const isNear = (one: number, other: number) =>
  Math.abs(one - other) <= 1e-9 * Math.max(1, Math.abs(one), Math.abs(other));

/** The number that an edit puts in, and the one that it takes out. */
function numbersIn({ parameters }: Edit): readonly [number, number] {
  const [before, after] = [parameters.before ?? "", parameters.after ?? ""];
  const read = (text: string) => (/^-?\d+(\.\d+)?$/.test(text) ? Number(text) : Number.NaN);
  return [read(before), read(after)];
}

/**
 * How well an edit fits a wrong result, as a factor of its odds: 1 where nothing speaks for it. A number by as much larger as
 * the result is too small, a factor that the result lacks, a difference whose sides are turned where only the sign is wrong,
 * a limit where it is one off, an order where the same comes out in another one.
 */
export function fitOf(seen: Seen, edit: Edit): number {
  const { got, wanted } = seen;
  const missing = wanted - got;
  if (Number.isFinite(missing) && missing !== 0) {
    const [before, after] = numbersIn(edit);
    if (isNear(after - before, missing)) return fits.exactly;
    const ratio = wanted / got;
    if (Number.isFinite(ratio) && ratio !== 0) {
      if (before !== 0 && isNear(after / before, ratio)) return fits.well;
      if (isNear(ratio, -1) && (edit.family === "swapped" || edit.family === "arithmetic")) return fits.exactly;
      const factor = Math.abs(ratio) > 1 ? ratio : 1 / ratio;
      if (Number.isInteger(factor) && factor > 2 && new RegExp(String.raw`\b${factor}\b`).test(edit.text))
        return fits.well;
    }
    if (Math.abs(missing) === 1 && byOne.has(edit.family)) return fits.somewhat;
  }
  // Values that change places on one line were handed over so.
  if (edit.family === "swapped" && isLineInAnotherOrder(seen)) return fits.exactly;
  if (turning.has(edit.family) && isInAnotherOrder(seen))
    return edit.family === "sort-order" ? fits.exactly : fits.somewhat;
  return 1;
}
