import { quoted } from "../../expressions/fixedWidth.ts";
import { halfToEven } from "../../expressions/halves.ts";
import {
  cutDivision,
  cutRest,
  holds,
  type Known,
  letter,
  notTakenApart,
  order,
  raises,
  real,
  recordedList,
  text,
  truth,
  unknown,
  whole,
} from "../../expressions/known.ts";
import { power } from "../../expressions/power.ts";
import type { Answer, ValueRules } from "../../expressions/rules.ts";
import { ownOf } from "../../source/ownOf.ts";
import type { Value } from "../../trace/trace.ts";
import { decimal, general } from "../dotnetNumbers.ts";
import { typedBasicExpressions } from "./syntax.ts";

/** Types of whole numbers with their bits, narrow ones first; what two of them make together is of the wider one. */
const bits: Readonly<Record<string, number>> = { Byte: 8, Short: 16, Integer: 32, Long: 64 };
const overflow = "OverflowException: Arithmetic operation resulted in an overflow.";
const noNumber = (value: string, type: string) =>
  raises(`InvalidCastException: Conversion from string "${value}" to type '${type}' is not valid.`);

const bool = (value: boolean) => truth(value, "Boolean");
const string = (value: string) => text(value, "String");
const double = (value: number) => real(value, "Double");

/** A whole number of a type; one that does not fit stops the program. */
function checked(value: bigint, type: string): Answer {
  const size = BigInt(ownOf(bits, type) ?? 64);
  const [from, to] = type === "Byte" ? [0n, 255n] : [-(2n ** (size - 1n)), 2n ** (size - 1n) - 1n];
  return value < from || value > to ? raises(overflow) : whole(value, type);
}

function recorded(value: Value): Answer {
  const { type, text: written } = value;
  if (written === undefined) return recordedList(value, recorded);
  if (type === "null") return { kind: "nothing", type: "Nothing" };
  if (type === "Boolean") return bool(written === "True");
  if (ownOf(bits, type) !== undefined) return whole(BigInt(written), type);
  if (type === "Double" || type === "Single") return real(Number(written), type);
  if (type === "Char" && /^"[^\\]"c$/.test(written)) return letter(written.charCodeAt(1), "Char");
  if (type === "String" && !/[\\…]/.test(written)) return string(written.slice(1, -1));
  return notTakenApart(type);
}

type Counted = { value: bigint | number; type: string };

/** The number that a value counts as: True is -1, a text what it says; what stops the program where it says none. */
function counted(value: Known): Counted | Answer {
  if (value.kind === "whole" || value.kind === "real") return { value: value.value, type: value.type };
  if (value.kind === "truth") return { value: value.value ? -1n : 0n, type: "Short" };
  // A text that is nothing counts as a decimal number, an object that is as a whole one; which it is is not recorded.
  if (value.kind === "nothing") return unknown("What nothing counts as here is not worked out.");
  if (value.kind !== "text") return unknown("What this counts as is not worked out here.");
  const said = value.value.trim();
  if (/^[+-]?(?:\d+(?:\.\d*)?|\.\d+)(?:[eE][+-]?\d{1,2})?$/.test(said)) return { value: Number(said), type: "Double" };
  return /\d/.test(said)
    ? unknown("Whether this text says a number is not worked out here.")
    : noNumber(value.value, "Double");
}
const isCounted = (value: Counted | Answer): value is Counted => !("kind" in value);

/** A value as text; null for what has none. */
function shown(value: Known): string | null {
  if (value.kind === "nothing") return "";
  if (value.kind === "text") return value.value;
  if (value.kind === "letter") return String.fromCharCode(value.value);
  if (value.kind === "truth") return value.value ? "True" : "False";
  if (value.kind === "whole") return String(value.value);
  return value.kind === "real" ? general(value.value, value.type === "Single" ? 7 : 15) : null;
}

const comparisons: Readonly<Record<string, "==" | "!=" | "<" | "<=" | ">" | ">=">> = {
  ...{ "=": "==", "<>": "!=", "<": "<", "<=": "<=", ">": ">", ">=": ">=" },
};

/** The type of what two numbers make. */
function commonOf(one: Counted, other: Counted): string {
  if (one.type === "Double" || other.type === "Double") return "Double";
  if (one.type === "Single" || other.type === "Single") return "Single";
  return (ownOf(bits, one.type) ?? 32) >= (ownOf(bits, other.type) ?? 32) ? one.type : other.type;
}

const rounded = (value: number, type: string): Answer => real(type === "Single" ? Math.fround(value) : value, type);

function calculated(sign: string, one: Counted, other: Counted): Answer {
  const type = commonOf(one, other);
  const [left, right] = [Number(one.value), Number(other.value)];
  if (sign === "^") {
    const found = power(left, right);
    return found === null ? unknown("So large or uneven a power is not worked out here.") : double(found);
  }
  if (sign === "/") return type === "Single" ? rounded(left / right, type) : double(left / right);
  if (typeof one.value === "bigint" && typeof other.value === "bigint") {
    if ((sign === "\\" || sign === "mod") && other.value === 0n)
      return raises("DivideByZeroException: Attempted to divide by zero.");
    if (sign === "+") return checked(one.value + other.value, type);
    if (sign === "-") return checked(one.value - other.value, type);
    if (sign === "*") return checked(one.value * other.value, type);
    return checked((sign === "\\" ? cutDivision : cutRest)(one.value, other.value), type);
  }
  if (sign === "\\") {
    const [a, b] = [one, other].map(({ value }) =>
      typeof value === "bigint" ? value : Number.isFinite(value) ? BigInt(halfToEven(value)) : null,
    );
    if (a === null || b === null || a === undefined || b === undefined) return raises(overflow);
    if (b === 0n) return raises("DivideByZeroException: Attempted to divide by zero.");
    return checked(cutDivision(a, b), "Long");
  }
  if (sign === "+") return rounded(left + right, type);
  if (sign === "-") return rounded(left - right, type);
  if (sign === "*") return rounded(left * right, type);
  return rounded(left % right, type);
}

function bitwise(sign: string, left: Known, right: Known): Answer {
  if (left.kind === "truth" && right.kind === "truth")
    return bool(
      sign === "and"
        ? left.value && right.value
        : sign === "or"
          ? left.value || right.value
          : left.value !== right.value,
    );
  const [one, other] = [counted(left), counted(right)];
  if (!isCounted(one)) return one;
  if (!isCounted(other)) return other;
  if (typeof one.value !== "bigint" || typeof other.value !== "bigint")
    return unknown("What becomes of decimal numbers bit by bit is not worked out here.");
  const [a, b] = [one.value, other.value];
  return whole(sign === "and" ? a & b : sign === "or" ? a | b : a ^ b, commonOf(one, other));
}

const isTextual = (value: Known) => value.kind === "text" || value.kind === "letter" || value.kind === "nothing";

function binary(written: string, left: Known, right: Known): Answer {
  const sign = written.toLowerCase();
  if (sign === "is" || sign === "isnot") {
    if (left.kind !== "nothing" && right.kind !== "nothing")
      return unknown("Whether two names hold one object is not worked out here.");
    return bool((left.kind === right.kind) === (sign === "is"));
  }
  const comparison = comparisons[sign];
  if (comparison && isTextual(left) && isTextual(right) && (left.kind !== "nothing" || right.kind !== "nothing")) {
    const [one, other] = [shown(left) ?? "", shown(right) ?? ""];
    return bool(holds(comparison, order(one, other)));
  }
  if (comparison && left.kind === "truth" && right.kind === "truth" && (sign === "=" || sign === "<>"))
    return bool((left.value === right.value) === (sign === "="));
  if (sign === "&" || (sign === "+" && isTextual(left) && isTextual(right))) {
    const [one, other] = [shown(left), shown(right)];
    return one === null || other === null ? notTakenApart(left.type) : string(one + other);
  }
  if (sign === "and" || sign === "or" || sign === "xor") return bitwise(sign, left, right);
  // Where both sides are always worked out already, these two say the same.
  if (sign === "andalso" || sign === "orelse") return bitwise(sign === "andalso" ? "and" : "or", left, right);
  const [one, other] = [counted(left), counted(right)];
  if (!isCounted(one)) return one;
  if (!isCounted(other)) return other;
  if (!comparison)
    return /^(?:[-+*/\\^]|mod)$/.test(sign)
      ? calculated(sign, one, other)
      : unknown(`What ${written} gives is not worked out here.`);
  const [a, b] = [one.value, other.value];
  const compared = typeof a === "bigint" && typeof b === "bigint" ? order(a, b) : order(Number(a), Number(b));
  return bool(holds(comparison, compared));
}

function unary(written: string, operand: Known): Answer {
  const sign = written.toLowerCase();
  if (sign === "not" && operand.kind === "truth") return bool(!operand.value);
  const value = counted(operand);
  if (!isCounted(value)) return value;
  if (sign === "not")
    return typeof value.value === "bigint" && value.type !== "Byte"
      ? whole(~value.value, value.type)
      : unknown("What Not makes of this is not worked out here.");
  if (sign === "+")
    return typeof value.value === "bigint" ? whole(value.value, value.type) : real(value.value, value.type);
  return typeof value.value === "bigint"
    ? checked(-value.value, value.type === "Byte" ? "Short" : value.type)
    : real(-value.value, value.type);
}

/** Conversions by their names. */
function converted(name: string, given: Known): Answer | null {
  if (name === "cstr") {
    const found = shown(given);
    return found === null ? null : string(found);
  }
  const types = { cint: "Integer", clng: "Long", cshort: "Short", cbyte: "Byte", cdbl: "Double", csng: "Single" };
  const type = ownOf(types, name);
  if (!type) return null;
  const value = counted(given);
  if (!isCounted(value)) return "raised" in value && given.kind === "text" ? noNumber(given.value, type) : value;
  if (type === "Double" || type === "Single") return rounded(Number(value.value), type);
  if (typeof value.value === "bigint") return checked(value.value, type);
  return Number.isFinite(value.value) && Math.abs(value.value) < 1e15
    ? checked(BigInt(halfToEven(value.value)), type)
    : raises(overflow);
}

const ofReal: Readonly<Record<string, (value: number) => number>> = {
  ...{ int: Math.floor, fix: Math.trunc, sqrt: Math.sqrt, floor: Math.floor, ceiling: Math.ceil, truncate: Math.trunc },
  round: (value) => (Math.abs(value) < 2 ** 52 ? halfToEven(value) : value),
};

function ofText(name: string, value: string, given: readonly Known[]): Answer | null {
  const [second, third] = given.map((each) => (each.kind === "whole" ? Number(each.value) : null));
  const other = given[0]?.kind === "text" ? given[0].value : null;
  if (given.length === 0) {
    if (name === "len") return whole(value.length, "Integer");
    if (name === "ucase") return string(value.toUpperCase());
    if (name === "lcase") return string(value.toLowerCase());
    return name === "trim" ? string(value.replace(/^ +| +$/g, "")) : null;
  }
  if (name === "instr" && other !== null && given.length === 1) return whole(value.indexOf(other) + 1, "Integer");
  if (second === null || second === undefined || third === null) return null;
  if (name === "left" && second >= 0) return string(value.slice(0, second));
  if (name === "right" && second >= 0) return string(second === 0 ? "" : value.slice(-second));
  if (name !== "mid" || second < 1 || (third !== undefined && third < 0)) return null;
  return string(value.slice(second - 1, third === undefined ? undefined : second - 1 + third));
}

function call(written: string, given: readonly Known[]): Answer | null {
  const name = written.toLowerCase().replace(/^math\./, "");
  const [first, second] = given;
  if (!first) return null;
  if (given.length === 1) {
    const made = converted(name, first);
    if (made) return made;
  }
  if (first.kind === "text") return ofText(name, first.value, given.slice(1));
  const [one, other] = [first, second].map((each) =>
    each && (each.kind === "whole" || each.kind === "real") ? { value: each.value, type: each.type } : null,
  );
  if (!one) return null;
  if ((name === "max" || name === "min") && other && given.length === 2) {
    const type = commonOf(one, other);
    const taken = Number(one.value) > Number(other.value) === (name === "max") ? one : other;
    return typeof one.value === "bigint" && typeof other.value === "bigint"
      ? checked(BigInt(taken.value), type)
      : rounded(Number(taken.value), type);
  }
  if (name === "pow" && other) return calculated("^", one, other);
  if (given.length !== 1) return null;
  if (name === "abs")
    return typeof one.value === "bigint"
      ? checked(one.value < 0n ? -one.value : one.value, one.type)
      : rounded(Math.abs(one.value), one.type);
  const work = ownOf(ofReal, name);
  return work ? double(work(Number(one.value))) : null;
}

function method(object: Known, written: string, given: readonly Known[]): Answer | null {
  const name = written.toLowerCase();
  if (object.kind === "nothing") return raises("NullReferenceException");
  if (name === "tostring" && given.length === 0) {
    const found = shown(object);
    return found === null ? null : string(found);
  }
  if (object.kind !== "text") return null;
  const [first, second] = given;
  const { value } = object;
  if (!first) {
    if (name === "toupper") return string(value.toUpperCase());
    if (name === "tolower") return string(value.toLowerCase());
    return name === "trim" ? string(value.trim()) : null;
  }
  if (name === "substring" && first.kind === "whole" && (!second || second.kind === "whole")) {
    const at = Number(first.value);
    const length = second ? Number(second.value) : value.length - at;
    if (!(at >= 0 && length >= 0 && at + length <= value.length)) return raises("ArgumentOutOfRangeException");
    return string(value.slice(at, at + length));
  }
  if (second || first.kind !== "text") return null;
  if (name === "equals") return bool(value === first.value);
  if (name === "contains") return bool(value.includes(first.value));
  if (name === "startswith") return bool(value.startsWith(first.value));
  if (name === "indexof") return whole(value.indexOf(first.value), "Integer");
  return name === "endswith" ? bool(value.endsWith(first.value)) : null;
}

function write(value: Known): string {
  if (value.kind === "nothing") return "Nothing";
  if (value.kind === "text") return quoted(value.value, '"');
  if (value.kind === "letter") return `"${String.fromCharCode(value.value)}"c`;
  if (value.kind === "real") return decimal(value.value, value.type === "Single");
  return value.kind === "many" ? `[${value.items.map(write).join(", ")}]` : (shown(value) ?? "");
}

const typeEnds: Readonly<Record<string, string>> = { s: "Short", i: "Integer", l: "Long" };

function literal(source: string): Answer {
  const folded = source.toLowerCase();
  if (folded === "true" || folded === "false") return bool(folded === "true");
  if (folded === "nothing") return { kind: "nothing", type: "Nothing" };
  if (/^"[^"]"c$/i.test(source)) return letter(source.charCodeAt(1), "Char");
  if (source.startsWith('"'))
    return /^"(?:[^"]|"")*"$/.test(source)
      ? string(source.slice(1, -1).replaceAll('""', '"'))
      : unknown("This text is not taken apart here.");
  const [, digits, end = ""] = /^(\d+)([sil]?)$/i.exec(source) ?? [];
  if (digits !== undefined) {
    const value = BigInt(digits);
    return checked(value, typeEnds[end.toLowerCase()] ?? (value < 2n ** 31n ? "Integer" : "Long"));
  }
  const [, number, kind = ""] = /^((?:\d+(?:\.\d+)?|\.\d+)(?:e[+-]?\d+)?)([fr]?)$/i.exec(source) ?? [];
  if (number === undefined) return unknown("This number is not taken apart here.");
  return kind.toLowerCase() === "f" ? rounded(Number(number), "Single") : double(Number(number));
}

/** How typed Basic works out expressions (its language reference, "Operators"; decimal numbers of the type Decimal are not taken apart). */
export const typedBasicValues: ValueRules = {
  ...{ reads: typedBasicExpressions, recorded, binary, unary, call, method, write, truth: bool },
  literal: (node) => literal(node.sign ?? ""),
  cuts: { andalso: { when: false }, orelse: { when: true }, AndAlso: { when: false }, OrElse: { when: true } },
  callsPick: true,
  isTrue: (value) => {
    if (value.kind === "truth") return value.value;
    const found = counted(value);
    return isCounted(found)
      ? Number(found.value) !== 0
      : unknown("What this counts as, as a condition, is not worked out here.");
  },
  field: (object, name) => {
    const low = name.toLowerCase();
    if (object.kind === "text" && low === "length") return whole(object.value.length, "Integer");
    if (object.kind === "many" && (low === "length" || low === "count")) return whole(object.items.length, "Integer");
    return unknown("What stands there is not known here.");
  },
  index: (object, places) => {
    const [at] = places;
    if (at?.kind !== "whole" || places.length !== 1) return unknown("What stands there is not known here.");
    const outside = raises("IndexOutOfRangeException: Index was outside the bounds of the array.");
    if (object.kind === "text") {
      const code = object.value.charCodeAt(Number(at.value));
      return Number.isNaN(code) ? outside : letter(code, "Char");
    }
    return object.kind === "many"
      ? (object.items[Number(at.value)] ?? outside)
      : unknown("What stands there is not known here.");
  },
};
