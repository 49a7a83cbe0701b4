import { randomInt } from "node:crypto";

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
