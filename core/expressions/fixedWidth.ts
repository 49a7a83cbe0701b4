import type { Known } from "./known.ts";
import { cutDivision, cutRest, holds, letter, order, raises, real, unknown, whole, wrapped } from "./known.ts";
import type { Answer } from "./rules.ts";

/** A whole number's type: how many bits it has, and whether it has a sign. */
export type WholeType = { bits: number; signed: boolean };

/**
 * Number types of a language whose whole numbers have a width: by name, from the narrowest to the widest. `promoted` is the
 * type that narrower ones become before anything is done with them; `letters` those whose values are shown as characters.
 */
export type NumberTypes = {
  whole: ReadonlyMap<string, WholeType>;
  real: ReadonlyMap<string, 32 | 64>;
  promoted: string;
  /** What two types become together whose promoted ones differ. */
  common: (one: string, other: string) => string;
  byZero: string;
  /** True if as many bits are shifted as the type's width leaves over (Java, C#); else a wide shift has no meaning (C). */
  shiftsMasked: boolean;
};

/** A number as its exact value and its type; null for what is no number. */
export function numberOf(value: Known): { value: bigint | number; type: string } | null {
  if (value.kind === "whole" || value.kind === "real") return value;
  return value.kind === "letter" ? { value: BigInt(value.value), type: value.type } : null;
}

/** A number made one of a type, with what does not fit cut off. */
export function converted(types: NumberTypes, value: bigint | number, type: string): Answer {
  const realBits = types.real.get(type);
  if (realBits !== undefined) return real(realBits === 32 ? Math.fround(Number(value)) : Number(value), type);
  const own = types.whole.get(type);
  if (!own) return unknown(`A number of type ${type} is not taken apart here.`);
  if (typeof value === "number") {
    if (!Number.isFinite(value)) return unknown("What becomes of it here is not the same everywhere.");
    return whole(wrapped(BigInt(Math.trunc(value)), own.bits, own.signed), type);
  }
  return whole(wrapped(value, own.bits, own.signed), type);
}

function promotedType(types: NumberTypes, type: string): string {
  const own = types.whole.get(type);
  const least = types.whole.get(types.promoted);
  return own && least && own.bits < least.bits ? types.promoted : type;
}

/** What two numbers become before they are put together: the wider real type, else the common whole one. */
export function commonType(types: NumberTypes, one: string, other: string): string {
  const [first, second] = [types.real.get(one), types.real.get(other)];
  if (first !== undefined || second !== undefined) {
    if (first === undefined) return other;
    return second === undefined || first >= second ? one : other;
  }
  const [left, right] = [promotedType(types, one), promotedType(types, other)];
  return left === right ? left : types.common(one, other);
}

const comparisons = new Set(["==", "!=", "<", "<=", ">", ">="]);

/**
 * An operation of two numbers; `say` makes a truth of a comparison. Null where the sign is none of numbers. Whole numbers wrap
 * around at their width.
 */
export function numbers(
  types: NumberTypes,
  sign: string,
  left: { value: bigint | number; type: string },
  right: { value: bigint | number; type: string },
  say: (holds: boolean) => Known,
): Answer | null {
  if (sign === "<<" || sign === ">>" || sign === ">>>") return shifted(types, sign, left, right);
  const type = commonType(types, left.type, right.type);
  const [one, other] = [converted(types, left.value, type), converted(types, right.value, type)];
  if (one.kind === "real" && other.kind === "real") {
    if (comparisons.has(sign)) return say(holds(sign as "<", order(one.value, other.value)));
    const result = realOperation(sign, one.value, other.value);
    return result === null ? null : converted(types, result, type);
  }
  if (one.kind !== "whole" || other.kind !== "whole") return one.kind === "unknown" ? one : other;
  if (comparisons.has(sign)) return say(holds(sign as "<", order(one.value, other.value)));
  if ((sign === "/" || sign === "%") && other.value === 0n) return raises(types.byZero);
  const result = wholeOperation(sign, one.value, other.value);
  return result === null ? null : converted(types, result, type);
}

function realOperation(sign: string, left: number, right: number): number | null {
  if (sign === "+") return left + right;
  if (sign === "-") return left - right;
  if (sign === "*") return left * right;
  if (sign === "/") return left / right;
  return sign === "%" ? left % right : null;
}

function wholeOperation(sign: string, left: bigint, right: bigint): bigint | null {
  if (sign === "+") return left + right;
  if (sign === "-") return left - right;
  if (sign === "*") return left * right;
  if (sign === "/") return cutDivision(left, right);
  if (sign === "%") return cutRest(left, right);
  if (sign === "&") return left & right;
  if (sign === "|") return left | right;
  return sign === "^" ? left ^ right : null;
}

function shifted(
  types: NumberTypes,
  sign: string,
  left: { value: bigint | number; type: string },
  right: { value: bigint | number; type: string },
): Answer | null {
  const type = promotedType(types, left.type);
  const own = types.whole.get(type);
  if (!own || typeof left.value !== "bigint" || typeof right.value !== "bigint") return null;
  const bits = BigInt(own.bits);
  if (!types.shiftsMasked && (right.value < 0n || right.value >= bits))
    return unknown("A shift by more than the number's width has no meaning of its own.");
  const by = types.shiftsMasked ? BigInt.asUintN(64, right.value) % bits : right.value;
  const value = wrapped(left.value, own.bits, own.signed);
  if (sign === "<<") return converted(types, value << by, type);
  return converted(types, sign === ">>" ? value >> by : BigInt.asUintN(own.bits, value) >> by, type);
}

/** `-`, `+`, `~` of a number; null for another sign. */
export function signed(
  types: NumberTypes,
  sign: string,
  operand: { value: bigint | number; type: string },
): Answer | null {
  const type = promotedType(types, operand.type);
  const value = converted(types, operand.value, type);
  if (value.kind === "real") return sign === "-" ? real(-value.value, type) : sign === "+" ? value : null;
  if (value.kind !== "whole") return value;
  if (sign === "+") return value;
  if (sign === "-") return converted(types, -value.value, type);
  return sign === "~" ? converted(types, ~value.value, type) : null;
}

const escapes: Readonly<Record<string, string>> = {
  ...{ n: "\n", t: "\t", r: "\r", "0": "\0", b: "\b", f: "\f", a: "\x07", v: "\v", "\\": "\\", "'": "'", '"': '"' },
};

/** The inside of a text or character between quotes with its escapes read; null where it has others than the usual ones. */
export function unescaped(inside: string): string | null {
  // Sign by sign, so that a backslash that is written as two begins nothing.
  if (!/^(?:[^\\]|\\[ntr0bfav\\'"])*$/.test(inside)) return null;
  return inside.replace(/\\(.)/g, (_, sign: string) => escapes[sign] ?? sign);
}

/** A text as the program would write it between quotes. */
export function quoted(value: string, quote: string): string {
  const inside = value.replace(
    /[\\\n\t\r\0]/g,
    (sign) => `\\${{ "\\": "\\", "\n": "n", "\t": "t", "\r": "r", "\0": "0" }[sign]}`,
  );
  return quote + inside.replaceAll(quote, `\\${quote}`) + quote;
}

/** A character between quotes; unknown where it is more than one. */
export function readLetter(source: string, type: string): Answer {
  const inside = unescaped(source.slice(1, -1));
  return inside !== null && [...inside].length === 1
    ? letter(inside.codePointAt(0) ?? 0, type)
    : unknown("This character is not taken apart here.");
}

/** A whole number as C, Java and C# write it, without the letters behind it; null where it is none. */
export function readWhole(source: string, octal: boolean): bigint | null {
  const plain = source.replaceAll("_", "");
  if (octal && /^0[0-7]+$/.test(plain)) return BigInt(`0o${plain.slice(1)}`);
  return /^(?:\d+|0[xX][\da-fA-F]+|0[bB][01]+)$/.test(plain) ? BigInt(plain) : null;
}
