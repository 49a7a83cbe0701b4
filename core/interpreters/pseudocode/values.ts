import { floatText } from "../../expressions/floatText.ts";
import { floorDivision, floorRest } from "../../expressions/known.ts";

/** A number with decimals; whole numbers are plain ones, and bigints where they have no room in one. */
export type Real = { real: number };
/** Elements from position `from` on, of the kind `of`; `id` is its own, whatever it is called. */
export type ArrayValue = { array: Array<Value | undefined>; from: number; of: string; id: number };
export type RecordValue = { record: string; fields: Record<string, Value | undefined>; id: number };
/** Fields of a record before it has any; a student may give one a name that every object of our own language has. */
export const noFields = (): RecordValue["fields"] => Object.create(null) as RecordValue["fields"];
export type Value = number | bigint | string | boolean | Real | ArrayValue | RecordValue;

/** What stops a program, by the name of the error and in words for a learner. */
export class Stop extends Error {
  readonly errorName: string;
  readonly says: string;
  constructor(errorName: string, says: string) {
    super(says);
    this.errorName = errorName;
    this.says = says;
  }
}

export const isReal = (value: Value): value is Real => typeof value === "object" && "real" in value;
export const isArray = (value: Value): value is ArrayValue => typeof value === "object" && "array" in value;
export const isRecord = (value: Value): value is RecordValue => typeof value === "object" && "record" in value;
const isWhole = (value: Value): value is number | bigint => typeof value === "number" || typeof value === "bigint";
const isNumber = (value: Value): value is number | bigint | Real => isWhole(value) || isReal(value);

/** What kind of value it is, in words. */
export function kindOf(value: Value): string {
  if (isWhole(value)) return "whole number";
  if (typeof value === "string") return "text";
  if (typeof value === "boolean") return "truth value";
  return isReal(value) ? "number" : isArray(value) ? "array" : "record";
}

/** A whole number in its own form: a plain one where it has room in it. */
export const whole = (value: bigint): number | bigint =>
  value >= -9007199254740991n && value <= 9007199254740991n ? Number(value) : value;

const toDouble = (value: number | bigint | Real): number => (typeof value === "object" ? value.real : Number(value));

/** A value as it is printed. */
export function textOf(value: Value): string {
  if (typeof value === "string") return value;
  if (typeof value === "boolean") return value ? "TRUE" : "FALSE";
  if (isWhole(value)) return String(value);
  if (isReal(value)) return floatText(value.real);
  if (isArray(value)) return `[${value.array.map((each) => (each === undefined ? "?" : textOf(each))).join(", ")}]`;
  const fields = Object.entries(value.fields).map(
    ([name, each]) => `${name}: ${each === undefined ? "?" : textOf(each)}`,
  );
  return `${value.record}(${fields.join(", ")})`;
}

/** A value in words, as a message quotes it. */
const quoted = (value: Value): string => (typeof value === "string" ? `the text "${value}"` : textOf(value));

/** A copy that shares nothing: arrays and records are given on by value. */
export function copied(value: Value, newId: () => number): Value {
  if (typeof value !== "object" || isReal(value)) return value;
  if (isArray(value))
    return {
      array: value.array.map((each) => (each === undefined ? undefined : copied(each, newId))),
      ...{ from: value.from, of: value.of },
      id: newId(),
    };
  const fields = noFields();
  for (const [name, each] of Object.entries(value.fields))
    fields[name] = each === undefined ? undefined : copied(each, newId);
  return { record: value.record, fields, id: newId() };
}

function needNumbers(sign: string, left: Value, right: Value): void {
  if (isNumber(left) && isNumber(right)) return;
  const [odd, other] = isNumber(left) ? [right, left] : [left, right];
  const help =
    typeof odd === "string" && /^[+-]?\d+(?:\.\d+)?$/.test(odd.trim())
      ? " It is a text of digits: make a number of it with TO_NUMBER."
      : sign === "+" && typeof odd === "string"
        ? " Texts are joined with &."
        : "";
  throw new Stop(
    "wrong kind",
    `${sign} needs two numbers, but ${quoted(odd)} is a ${kindOf(odd)} and the other is ${quoted(other)}.${help}`,
  );
}

const exact = (
  result: number,
  left: number,
  right: number,
  big: (one: bigint, other: bigint) => bigint,
): number | bigint =>
  Number.isSafeInteger(result) ? (result === 0 ? 0 : result) : whole(big(BigInt(left), BigInt(right)));

function finite(value: number): Real {
  if (Number.isFinite(value)) return { real: value };
  throw new Stop("number too large", "The number is too large for a number with decimals.");
}

export function add(left: Value, right: Value): Value {
  if (typeof left === "number" && typeof right === "number")
    return exact(left + right, left, right, (one, other) => one + other);
  if (typeof left === "string" && typeof right === "string") return left + right;
  needNumbers("+", left, right);
  if (isReal(left) || isReal(right)) return finite(toDouble(left as Real) + toDouble(right as Real));
  return whole(BigInt(left as number) + BigInt(right as number));
}
export function subtract(left: Value, right: Value): Value {
  if (typeof left === "number" && typeof right === "number")
    return exact(left - right, left, right, (one, other) => one - other);
  needNumbers("-", left, right);
  if (isReal(left) || isReal(right)) return finite(toDouble(left as Real) - toDouble(right as Real));
  return whole(BigInt(left as number) - BigInt(right as number));
}
export function multiply(left: Value, right: Value): Value {
  if (typeof left === "number" && typeof right === "number")
    return exact(left * right, left, right, (one, other) => one * other);
  needNumbers("*", left, right);
  if (isReal(left) || isReal(right)) return finite(toDouble(left as Real) * toDouble(right as Real));
  return whole(BigInt(left as number) * BigInt(right as number));
}
/** `/` gives a number with decimals, whatever is divided. */
export function divide(left: Value, right: Value): Value {
  needNumbers("/", left, right);
  const by = toDouble(right as Real);
  if (by === 0) throw new Stop("division by zero", `${quoted(left)} cannot be divided by 0.`);
  return finite(toDouble(left as Real) / by);
}

function needWhole(sign: string, left: Value, right: Value): void {
  needNumbers(sign, left, right);
  if (isReal(left) || isReal(right))
    throw new Stop(
      "wrong kind",
      `${sign} needs whole numbers, but ${textOf(isReal(left) ? left : right)} has decimals.`,
    );
  if (right === 0) throw new Stop("division by zero", `${quoted(left)} cannot be divided by 0.`);
}
/** What is left of a whole number, with the sign of the right side. Signs that differ are summed, so that nothing is rounded. */
function restOf(left: number, right: number): number {
  const part = left % right;
  if (part === 0) return 0;
  return part < 0 === right < 0 ? part : part + right;
}

/** `DIV` gives the whole number at or below the quotient. */
export function wholeQuotient(left: Value, right: Value): Value {
  needWhole("DIV", left, right);
  if (typeof left === "number" && typeof right === "number") {
    // The quotient of two large numbers may be rounded up to the next whole one; what is cut off before it is divided is exact.
    const rest = restOf(left, right);
    const part = left % right;
    const cut = (left - part) / right - (part === rest ? 0 : 1);
    return cut === 0 ? 0 : cut;
  }
  return whole(floorDivision(BigInt(left as number), BigInt(right as number)));
}
/** `MOD` is what is left of `DIV`; it has the sign of the right side. */
export function rest(left: Value, right: Value): Value {
  needWhole("MOD", left, right);
  if (typeof left === "number" && typeof right === "number") return restOf(left, right);
  return whole(floorRest(BigInt(left as number), BigInt(right as number)));
}

/** Digits of a power beyond which it is not worked out. */
const mostDigits = 20_000;

/** About how many digits a whole number adds to what is multiplied by it: its logarithm. */
function digitsOf(value: number | bigint): number {
  const size = Math.abs(Number(value));
  if (size <= 1) return 0;
  return Number.isFinite(size) ? Math.log10(size) : String(value).length;
}

export function power(left: Value, right: Value): Value {
  needNumbers("^", left, right);
  if (isWhole(left) && isWhole(right) && right >= 0) {
    if (digitsOf(left) * Number(right) > mostDigits)
      throw new Stop("number too large", "The power is too large to be written down.");
    return whole(BigInt(left) ** BigInt(right));
  }
  const [base, exponent] = [toDouble(left as Real), toDouble(right as Real)];
  if (base === 0 && exponent < 0) throw new Stop("division by zero", "0 has no power below 0.");
  const result = base ** exponent;
  if (Number.isNaN(result)) throw new Stop("no result", `${quoted(left)} ^ ${quoted(right)} is no number.`);
  return finite(result);
}

export function negate(value: Value): Value {
  if (typeof value === "number") return value === 0 ? 0 : -value;
  if (typeof value === "bigint") return whole(-value);
  if (isReal(value)) return { real: -value.real };
  throw new Stop("wrong kind", `- needs a number, but ${quoted(value)} is a ${kindOf(value)}.`);
}

export const join = (left: Value, right: Value): string => textOf(left) + textOf(right);

/** Below 0, 0 or above 0, as the left side is less than, equal to or greater than the right one. */
export function compare(sign: string, left: Value, right: Value): number {
  if (typeof left === "number" && typeof right === "number") return left - right;
  if (isNumber(left) && isNumber(right)) {
    if (isWhole(left) && isWhole(right)) return left < right ? -1 : left > right ? 1 : 0;
    return toDouble(left) - toDouble(right);
  }
  // Texts go by their signs' numbers, as in most languages.
  if (typeof left === "string" && typeof right === "string") return byPoints(left, right);
  if (typeof left === "boolean" && typeof right === "boolean" && (sign === "=" || sign === "≠"))
    return Number(left) - Number(right);
  throw new Stop(
    "wrong kind",
    `${quoted(left)} and ${quoted(right)} cannot be compared with ${sign}: one is a ${kindOf(left)}, the other a ${kindOf(right)}.`,
  );
}

function byPoints(left: string, right: string): number {
  const [one, other] = [[...left], [...right]];
  for (let at = 0; at < Math.min(one.length, other.length); at++) {
    const off = (one[at]?.codePointAt(0) ?? 0) - (other[at]?.codePointAt(0) ?? 0);
    if (off !== 0) return off;
  }
  return one.length - other.length;
}

export function needTruth(value: Value, where: string): boolean {
  if (typeof value === "boolean") return value;
  throw new Stop("wrong kind", `${where} needs TRUE or FALSE, but here is ${quoted(value)}.`);
}

/** What is typed in, as a value: a number where it reads as one, else a text. */
export function typedIn(text: string): Value {
  const plain = text.trim();
  if (/^[+-]?\d+$/.test(plain)) return whole(BigInt(plain.replace(/^\+/, "")));
  return /^[+-]?(?:\d+\.\d*|\.\d+)$/.test(plain) ? { real: Number(plain) } : text;
}

/** A value for a name of a declared type; what does not fit is said. */
export function fitted(value: Value, type: string, name: string): Value {
  if (type === "any") return value;
  if (type === "real" && isWhole(value)) return { real: Number(value) };
  const fits =
    (type === "integer" && isWhole(value)) ||
    (type === "real" && isReal(value)) ||
    (type === "text" && typeof value === "string") ||
    (type === "character" && typeof value === "string" && [...value].length === 1) ||
    (type === "truth" && typeof value === "boolean") ||
    (type === "array" && isArray(value)) ||
    (type === "record" && isRecord(value));
  if (fits) return value;
  const wanted =
    { integer: "a whole number", real: "a number", text: "a text", character: "one character", truth: "TRUE or FALSE" }[
      type
    ] ?? `an ${type}`;
  throw new Stop("wrong kind", `${name} is declared for ${wanted}, but the value is ${quoted(value)}.`);
}

/** An operation by its sign, both sides being looked at. */
export function worked(sign: string, left: Value, right: Value): Value {
  switch (sign) {
    case "+":
      return add(left, right);
    case "-":
      return subtract(left, right);
    case "and":
      return needTruth(left, "AND") && needTruth(right, "AND");
    case "or":
      return needTruth(left, "OR") || needTruth(right, "OR");
    case "=":
      return compare("=", left, right) === 0;
    case "<":
      return compare("<", left, right) < 0;
    case ">":
      return compare(">", left, right) > 0;
    case "≤":
      return compare("≤", left, right) <= 0;
    case "*":
      return multiply(left, right);
    case "/":
      return divide(left, right);
    case "div":
      return wholeQuotient(left, right);
    case "mod":
      return rest(left, right);
    case "^":
      return power(left, right);
    case "&":
      return join(left, right);
    case "≠":
      return compare("≠", left, right) !== 0;
    default:
      return compare("≥", left, right) >= 0;
  }
}
