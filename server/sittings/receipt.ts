import { createHash } from "node:crypto";
import type { Sitting } from "./sittingStore.ts";

const digest = (text: string) => createHash("sha256").update(text).digest("hex");

/** A name for a sitting that a browser may keep: it opens nothing. */
export function placeOf(sitting: string): string {
  return digest(`place ${sitting}`).slice(0, 16);
}

/** That a sitting was handed in. `number`: the same for student and teacher, and another one for every hand-in. */
export type HandInReceipt = { number: string; at: string; by: Sitting["handed_in_by"] };

/** The receipt of a sitting, or null while it is not handed in. */
export function receiptOf(sitting: Pick<Sitting, "key" | "handed_in_at" | "handed_in_by">): HandInReceipt | null {
  if (sitting.handed_in_at === null) return null;
  const number = digest(`receipt ${sitting.key} ${sitting.handed_in_at}`).slice(0, 8).toUpperCase();
  return { number: `${number.slice(0, 4)}-${number.slice(4)}`, at: sitting.handed_in_at, by: sitting.handed_in_by };
}
