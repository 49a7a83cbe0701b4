import { betweenNothing, betweenTruths, recordedBoxed } from "../../expressions/boxed.ts";
import {
  commonType,
  converted,
  type NumberTypes,
  numberOf,
  numbers,
  quoted,
  readLetter,
  readWhole,
  signed,
  unescaped,
} from "../../expressions/fixedWidth.ts";
import { floatText } from "../../expressions/floatText.ts";
import {
  isUnknown,
  type Known,
  letter,
  raises,
  real,
  text,
  truth,
  unknown,
  whole,
  wrapped,
} from "../../expressions/known.ts";
import { power } from "../../expressions/power.ts";
import type { Answer, ValueRules } from "../../expressions/rules.ts";
import { ownOf } from "../../source/ownOf.ts";
import { prefixStrength, readCast, sharedOperators } from "../../syntax/casts.ts";
import type { ExpressionRules } from "../../syntax/expressions.ts";
import type { Value } from "../../trace/trace.ts";

const typeWords = new Set("byte short char int long float double boolean String".split(" "));

/** Operators of Java by strength (The Java Language Specification, 15.7 to 15.26). */
const reads: ExpressionRules = {
  binary: { ...sharedOperators, ">>>": 10, instanceof: 9 },
  prefix: Object.fromEntries(["-", "+", "!", "~", "++", "--"].map((sign) => [sign, prefixStrength])),
  steps: new Set(["++", "--"]),
  assignments: new Set(["=", "+=", "-=", "*=", "/=", "%=", "&=", "|=", "^=", "<<=", ">>=", ">>>="]),
  constants: new Set(["true", "false", "null"]),
  members: new Set(["."]),
  begins: (reader) => readCast(reader, typeWords),
};

const types: NumberTypes = {
  whole: new Map([
    ["byte", { bits: 8, signed: true }],
    ["short", { bits: 16, signed: true }],
    ["char", { bits: 16, signed: false }],
    ["int", { bits: 32, signed: true }],
    ["long", { bits: 64, signed: true }],
  ]),
  real: new Map([
    ["float", 32],
    ["double", 64],
  ]),
  promoted: "int",
  common: () => "long",
  byZero: "ArithmeticException: / by zero",
  shiftsMasked: true,
};

/** Types of boxed values, under which values are recorded. */
const plain: Readonly<Record<string, string>> = {
  ...{ Integer: "int", Long: "long", Byte: "byte", Short: "short", Character: "char" },
  ...{ Float: "float", Double: "double", Boolean: "boolean" },
};

const int = (value: bigint | number) => whole(value, "int");
const double = (value: number) => real(value, "double");
const boolean = (value: boolean) => truth(value, "boolean");
const string = (value: string) => text(value, "String");

const recorded = (value: Value): Answer => recordedBoxed(value, types, { plain, truth: "boolean", text: "String" });

/** A decimal number as `Double.toString` and `Float.toString` write it: an exponent from 1e7 and below 1e-3. */
function decimal(value: number, single: boolean): string {
  if (Number.isNaN(value)) return "NaN";
  if (!Number.isFinite(value)) return value > 0 ? "Infinity" : "-Infinity";
  if (value === 0) return Object.is(value, -0) ? "-0.0" : "0.0";
  const short = Number(floatText(value, single));
  const size = Math.abs(short);
  if (size >= 1e-3 && size < 1e7) return Number.isInteger(short) ? `${short}.0` : String(short);
  const [digits = "", exponent = "0"] = short.toExponential().split("e");
  return `${digits.includes(".") ? digits : `${digits}.0`}E${Number(exponent)}`;
}

/** A decimal number of more digits than every version of Java writes alike (before 19 some had one too many). */
function isLong(value: Known): boolean {
  if (value.kind !== "real") return false;
  const digits = floatText(value.value, value.type === "float")
    .replace(/e.*$|\.0$|[^\d]/g, "")
    .replace(/^0+|0+$/g, "");
  // Large floats had up to two more.
  const most = value.type === "float" ? (Math.abs(value.value) >= 1e7 ? 3 : 6) : 15;
  return digits.length > most;
}

/** A value as it is put behind a text. */
function shown(value: Known): string {
  if (value.kind === "text") return value.value;
  return value.kind === "letter" ? String.fromCharCode(value.value) : write(value);
}

function write(value: Known): string {
  if (value.kind === "nothing") return "null";
  if (value.kind === "truth") return String(value.value);
  if (value.kind === "letter") return quoted(String.fromCharCode(value.value), "'");
  if (value.kind === "text") return quoted(value.value, '"');
  if (value.kind === "real") return decimal(value.value, value.type === "float");
  return value.kind === "many" ? `[${value.items.map(write).join(", ")}]` : String(value.value);
}

const refused = (sign: string) => unknown(`The translator refuses ${sign} between these.`);

function binary(sign: string, left: Known, right: Known): Answer {
  if (sign === "+" && (left.kind === "text" || right.kind === "text")) {
    if (left.kind === "many" || right.kind === "many") return unknown("A list put behind a text is its address.");
    if (isLong(left) || isLong(right))
      return unknown("The last digit of so long a number is not the same in every Java.");
    return string(shown(left) + shown(right));
  }
  const plainly = betweenTruths(sign, left, right) ?? betweenNothing(sign, left, right, "boolean");
  if (plainly) return plainly;
  if (sign === "==" || sign === "!=") {
    if (left.kind === "text" || right.kind === "text")
      return unknown("It is asked whether both are one and the same text in memory, not whether they read alike.");
  }
  const [one, other] = [numberOf(left), numberOf(right)];
  if (!one || !other) return refused(sign);
  return numbers(types, sign, one, other, boolean) ?? refused(sign);
}

function unary(sign: string, operand: Known): Answer {
  if (sign === "!") return operand.kind === "truth" ? boolean(!operand.value) : refused(sign);
  const value = numberOf(operand);
  return (value && signed(types, sign, value)) ?? refused(sign);
}

function cast(type: string, value: Known): Answer {
  if (type === "String" && value.kind === "text") return value;
  const number = numberOf(value);
  if (!number) return type === value.type ? value : refused(`(${type})`);
  if (typeof number.value === "bigint" || types.real.has(type)) return asLetter(converted(types, number.value, type));
  // JLS 5.1.3: not a number becomes 0, what is too large the largest; narrower types go by way of int.
  const by = type === "long" ? 64n : 32n;
  const [least, most] = [-(2n ** (by - 1n)), 2n ** (by - 1n) - 1n];
  if (Number.isNaN(number.value)) return asLetter(converted(types, 0n, type));
  const cut = Number.isFinite(number.value) ? BigInt(Math.trunc(number.value)) : number.value > 0 ? most : least;
  return asLetter(converted(types, cut < least ? least : cut > most ? most : cut, type));
}

/** Whether a whole number fits a type narrower than int. */
function fits(value: bigint | number, type: string): boolean {
  const own = types.whole.get(type);
  return (
    own !== undefined && own.bits < 32 && typeof value === "bigint" && wrapped(value, own.bits, own.signed) === value
  );
}

const asLetter = (value: Answer): Answer =>
  value.kind === "whole" && value.type === "char" ? letter(Number(value.value), "char") : value;

function index(object: Known, places: readonly Known[]): Answer {
  const at = places[0] && numberOf(places[0]);
  if (object.kind !== "many" || !at || places.length !== 1) return unknown("What stands there is not known here.");
  const { length } = object.items;
  return (
    object.items[Number(at.value)] ??
    raises(`ArrayIndexOutOfBoundsException: Index ${at.value} out of bounds for length ${length}`)
  );
}

/** Functions of `Math` and of the boxed types. */
function call(name: string, given: readonly Known[]): Answer | null {
  const [first, second] = given;
  if (!first || given.length > 2) return null;
  const [one, other] = [numberOf(first), second ? numberOf(second) : null];
  if (name === "String.valueOf" && !second && first.kind !== "many" && !isLong(first)) return string(shown(first));
  if (name === "Integer.parseInt" && first.kind === "text" && !second)
    return /^[+-]?\d+$/.test(first.value) && BigInt.asIntN(32, BigInt(first.value)) === BigInt(first.value)
      ? int(BigInt(first.value))
      : raises(`NumberFormatException: For input string: ${quoted(first.value, '"')}`);
  if (!one) return null;
  const value = Number(one.value);
  if ((name === "Math.max" || name === "Math.min") && other) {
    const type = commonType(types, one.type, other.type);
    const pick = name === "Math.max" ? Math.max : Math.min;
    if (types.real.has(type)) return converted(types, pick(value, Number(other.value)), type);
    const takesFirst = name === "Math.max" ? one.value > other.value : one.value < other.value;
    return converted(types, takesFirst ? one.value : other.value, type);
  }
  if (name === "Math.abs" && !second) {
    const type = commonType(types, one.type, one.type);
    return converted(
      types,
      typeof one.value === "bigint" ? (one.value < 0n ? -one.value : one.value) : Math.abs(value),
      type,
    );
  }
  if (name === "Math.pow" && other) {
    const found = power(Number(value), Number(other.value));
    return found === null ? unknown("So large or uneven a power is not worked out here.") : double(found);
  }
  if (name === "Math.round" && !second && one.type === "double") return cast("long", double(Math.floor(value + 0.5)));
  const real1: Record<string, (given: number) => number> = {
    ...{ "Math.sqrt": Math.sqrt, "Math.floor": Math.floor, "Math.ceil": Math.ceil },
  };
  const work = ownOf(real1, name);
  return work && !second ? double(work(value)) : null;
}

/** Methods that look into a list and leave it as it is. */
function listMethod(items: readonly Answer[], name: string, given: readonly Known[]): Answer | null {
  const [first] = given;
  if (!first) return name === "size" ? int(items.length) : name === "isEmpty" ? boolean(items.length === 0) : null;
  const at = numberOf(first);
  if (name !== "get" || given.length > 1 || typeof at?.value !== "bigint") return null;
  return (
    items[Number(at.value)] ??
    raises(`IndexOutOfBoundsException: Index ${at.value} out of bounds for length ${items.length}`)
  );
}

function method(object: Known, name: string, given: readonly Known[]): Answer | null {
  if (object.kind === "nothing") return raises("NullPointerException");
  if (object.kind === "many") return listMethod(object.items, name, given);
  if (object.kind !== "text") return null;
  const [first, second] = given;
  const { value } = object;
  if (!first) {
    if (name === "length") return int(value.length);
    if (name === "isEmpty") return boolean(value === "");
    if (name === "toUpperCase") return string(value.toUpperCase());
    if (name === "toLowerCase") return string(value.toLowerCase());
    return name === "trim" ? string(value.trim()) : null;
  }
  const at = Number(numberOf(first)?.value);
  if (name === "charAt" && !second)
    return value[at] === undefined
      ? raises(`StringIndexOutOfBoundsException: String index out of range: ${at}`)
      : letter(value.charCodeAt(at), "char");
  if (name === "substring") {
    const end = second ? Number(numberOf(second)?.value) : value.length;
    if (!(at >= 0 && at <= end && end <= value.length))
      return raises(`StringIndexOutOfBoundsException: begin ${at}, end ${end}, length ${value.length}`);
    return string(value.slice(at, end));
  }
  if (name === "equals" && first.kind === "nothing") return boolean(false);
  if (second || first.kind !== "text") return null;
  if (name === "equals") return boolean(value === first.value);
  if (name === "equalsIgnoreCase") return boolean(value.toLowerCase() === first.value.toLowerCase());
  if (name === "contains") return boolean(value.includes(first.value));
  if (name === "startsWith") return boolean(value.startsWith(first.value));
  if (name === "endsWith") return boolean(value.endsWith(first.value));
  return name === "indexOf" ? int(value.indexOf(first.value)) : null;
}

/** How Java works out expressions (The Java Language Specification, chapters 5 and 15). */
export const javaValues: ValueRules = {
  ...{ reads, recorded, binary, unary, cast, index, call, method, write, truth: boolean },
  literal: (node) => {
    const source = node.sign ?? "";
    if (source === "null") return { kind: "nothing", type: "null" };
    if (source === "true" || source === "false") return boolean(source === "true");
    if (source.startsWith("'")) return readLetter(source, "char");
    if (source.startsWith('"')) {
      const inside = unescaped(source.slice(1, -1));
      return inside === null || source.startsWith('"""')
        ? unknown("This text is not taken apart here.")
        : string(inside);
    }
    const isLong = /[lL]$/.test(source);
    const value = readWhole(isLong ? source.slice(0, -1) : source, true);
    if (value !== null) return isLong ? whole(BigInt.asIntN(64, value), "long") : int(BigInt.asIntN(32, value));
    const found = /^(\d*\.?\d*(?:[eE][+-]?\d+)?)([fFdD]?)$/.exec(source.replaceAll("_", ""));
    if (!found) return unknown("This number is not taken apart here.");
    return /f/i.test(found[2] ?? "") ? real(Math.fround(Number(found[1])), "float") : double(Number(found[1]));
  },
  cuts: { "&&": { when: false }, "||": { when: true } },
  isTrue: (value) => (value.kind === "truth" ? value.value : unknown("The translator refuses this as a condition.")),
  field: (object, name) =>
    object.kind === "many" && name === "length"
      ? int(object.items.length)
      : unknown("What stands there is not known here."),
  choice: (taken, other, constant) => {
    const [one, two] = [numberOf(taken), isUnknown(other) ? null : numberOf(other)];
    if (!one || !two || one.type === two.type) return taken;
    // JLS 15.25: a constant int takes the narrower type of the other side where it fits.
    if (constant.other && two.type === "int" && fits(two.value, one.type)) return taken;
    if (constant.taken && one.type === "int" && fits(one.value, two.type))
      return asLetter(converted(types, one.value, two.type));
    return converted(types, one.value, commonType(types, one.type, two.type));
  },
};
