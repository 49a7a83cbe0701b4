import type { Value } from "../trace/trace.ts";

/**
 * A value that an expression can be worked out with. `type` is the language's own name of its type. `whole` numbers are
 * exact, whatever their type can hold; `letter` is one character by its code; `many` a list, tuple or array.
 */
export type Known =
  | { kind: "whole"; type: string; value: bigint }
  | { kind: "real"; type: string; value: number }
  | { kind: "truth"; type: string; value: boolean }
  | { kind: "text"; type: string; value: string }
  | { kind: "letter"; type: string; value: number }
  | { kind: "many"; type: string; items: readonly Known[] }
  | { kind: "nothing"; type: string };

/** Why an expression was not worked out further: `raised` where the language itself stops there. */
export type Unknown = { kind: "unknown"; why: string; raised?: boolean };

export const whole = (value: bigint | number, type: string): Known => ({ kind: "whole", type, value: BigInt(value) });
export const real = (value: number, type: string): Known => ({ kind: "real", type, value });
export const truth = (value: boolean, type: string): Known => ({ kind: "truth", type, value });
export const text = (value: string, type: string): Known => ({ kind: "text", type, value });
export const letter = (value: number, type: string): Known => ({ kind: "letter", type, value });

/** The answer where something is beyond what is worked out here. */
export const unknown = (why: string): Unknown => ({ kind: "unknown", why });
/** The answer where the language stops the program; `why` is what it says. */
export const raises = (why: string): Unknown => ({ kind: "unknown", why, raised: true });

export function isUnknown(value: Known | Unknown): value is Unknown {
  return value.kind === "unknown";
}

/** A whole number cut to as many bits as its type has (two's complement). */
export function wrapped(value: bigint, bits: number, signed: boolean): bigint {
  return signed ? BigInt.asIntN(bits, value) : BigInt.asUintN(bits, value);
}

/** Division that cuts towards zero and its rest, which has the dividend's sign. */
export const cutDivision = (left: bigint, right: bigint): bigint => left / right;
export const cutRest = (left: bigint, right: bigint): bigint => left % right;

/** Division that goes down, and its rest, which has the divisor's sign. */
export function floorDivision(left: bigint, right: bigint): bigint {
  const cut = left / right;
  return left % right !== 0n && left < 0n !== right < 0n ? cut - 1n : cut;
}
export const floorRest = (left: bigint, right: bigint): bigint => left - floorDivision(left, right) * right;

/** What two values that have an order come to: below 0, 0, above 0; NaN where they have none. */
export function order<Value extends bigint | number | string>(left: Value, right: Value): number {
  return left < right ? -1 : left > right ? 1 : left === right ? 0 : Number.NaN;
}

/** What a sign of comparison says of an order. */
export function holds(sign: "==" | "!=" | "<" | "<=" | ">" | ">=", compared: number): boolean {
  if (sign === "==") return compared === 0;
  if (sign === "!=") return compared !== 0;
  if (sign === "<") return compared < 0;
  if (sign === "<=") return compared <= 0;
  return sign === ">" ? compared > 0 : compared >= 0;
}

/** The answer for a recorded value of a kind that is not worked out with. */
export const notTakenApart = (type: string): Unknown => unknown(`A value of type ${type} is not taken apart here.`);

/** A recorded list of which every element is known; of a longer one than was recorded nothing is said. */
export function recordedList(
  { type, shape, items, length }: Value,
  recorded: (value: Value) => Known | Unknown,
): Known | Unknown {
  if (shape !== "list" || !items || length !== undefined) return notTakenApart(type);
  const known = items.map((item) => recorded(item.value)).filter((item): item is Known => !isUnknown(item));
  return known.length === items.length ? { kind: "many", type, items: known } : notTakenApart(type);
}
