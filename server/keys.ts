import { randomInt, timingSafeEqual } from "node:crypto";

const letters = "abcdefghjkmnpqrstuvwxyz23456789";

/** A random key of letters and digits that cannot be mistaken for one another. 20 letters hold 99 bits. */
export function newKey(length = 20): string {
  return Array.from({ length }, () => letters[randomInt(letters.length)]).join("");
}

/** A code that a person types: capital letters and digits in groups of four, e.g. "K7QM-2RWD". */
export function newCode(length = 8): string {
  return newKey(length)
    .toUpperCase()
    .replace(/(.{4})(?=.)/g, "$1-");
}

/**
 * True if two typed codes are the same; signs between and letter case do not count. Takes the same time whether they
 * are or not.
 */
export function sameCode(one: string, other: string): boolean {
  const clean = (text: string) =>
    Buffer.from(
      text
        .toUpperCase()
        .replace(/[^A-Z0-9]/g, "")
        .padEnd(16)
        .slice(0, 16),
    );
  return timingSafeEqual(clean(one), clean(other));
}
