import {
  floorDivision,
  holds,
  isUnknown,
  type Known,
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
import { octaveExpressions } from "./syntax.ts";

/** Whole types by their bits; what does not fit becomes the least or the most that does. */
const wholeTypes: Readonly<Record<string, { bits: bigint; signed: boolean }>> = Object.fromEntries(
  [8, 16, 32, 64].flatMap((bits) => [
    [`int${bits}`, { bits: BigInt(bits), signed: true }],
    [`uint${bits}`, { bits: BigInt(bits), signed: false }],
  ]),
);

const double = (value: number) => real(value, "double");
const logical = (value: boolean) => truth(value, "logical");
const string = (value: string) => text(value, "char");

function saturated(value: number | bigint, type: string): Answer {
  const own = ownOf(wholeTypes, type);
  if (!own) return unknown(`A number of type ${type} is not taken apart here.`);
  const most = 2n ** (own.signed ? own.bits - 1n : own.bits) - 1n;
  const least = own.signed ? -(2n ** (own.bits - 1n)) : 0n;
  if (typeof value === "number") {
    if (Number.isNaN(value)) return whole(0n, type);
    // Half goes away from zero.
    const near = Math.sign(value) * Math.floor(Math.abs(value) + 0.5);
    if (near >= Number(most)) return whole(most, type);
    return near <= Number(least) ? whole(least, type) : whole(BigInt(near), type);
  }
  return whole(value > most ? most : value < least ? least : value, type);
}

function recorded(value: Value): Answer {
  const { type, text: written } = value;
  if (written === undefined) return recordedList(value, recorded);
  if (type === "logical" && /^[01]$/.test(written)) return logical(written === "1");
  if (type === "char" && written.startsWith('"')) return string(written.slice(1, -1));
  if (ownOf(wholeTypes, type) && /^-?\d+$/.test(written)) return whole(BigInt(written), type);
  if (type !== "double" && type !== "single") return notTakenApart(type);
  if (/^-?Inf$/.test(written))
    return real(written === "Inf" ? Number.POSITIVE_INFINITY : Number.NEGATIVE_INFINITY, type);
  if (written === "NaN") return real(Number.NaN, type);
  if (!/^-?[\d.]+(?:e[+-]?\d+)?$/.test(written)) return unknown("This value is not taken apart here.");
  // Octave shows a few digits; what has as many as that may have had more.
  if (/\./.test(written) && written.replace(/e.*$|[^\d]|^0\.0*/g, "").length >= 4)
    return unknown(
      "Octave shows this number rounded, so what is worked out with it would not be what the program had.",
    );
  return real(Number(written), type);
}

/** Everything is a number: truths and single characters, too. */
function numberOf(value: Known): number | null {
  if (value.kind === "real") return value.value;
  if (value.kind === "truth") return value.value ? 1 : 0;
  return value.kind === "text" && value.value.length === 1 ? value.value.charCodeAt(0) : null;
}

const comparisons: Readonly<Record<string, "==" | "!=" | "<" | "<=" | ">" | ">=">> = {
  ...{ "==": "==", "!=": "!=", "~=": "!=", "<": "<", "<=": "<=", ">": ">", ">=": ">=" },
};

function isTrue(value: Known): boolean | ReturnType<typeof unknown> {
  if (value.kind === "many") return value.items.length > 0 && value.items.every((item) => isTrue(item) === true);
  if (value.kind === "whole") return value.value !== 0n;
  if (value.kind === "text" && value.value.length > 1) return !value.value.includes("\0");
  const number = numberOf(value);
  return number === null ? unknown("This is not taken apart here.") : number !== 0;
}

function doubles(sign: string, left: number, right: number): Answer {
  if (sign === "+") return double(left + right);
  if (sign === "-") return double(left - right);
  if (sign === "*" || sign === ".*") return double(left * right);
  if (sign === "/" || sign === "./") return double(left / right);
  if (sign === "\\" || sign === ".\\") return double(right / left);
  if (sign === "^" || sign === "**" || sign === ".^") {
    if (left < 0 && !Number.isInteger(right) && Number.isFinite(right))
      return unknown("The result is a complex number.");
    const found = power(left, right);
    return found === null ? unknown("So large or uneven a power is not worked out here.") : double(found);
  }
  return unknown("This is not worked out here.");
}

/** A whole type and a number: worked out as a decimal number, rounded, held to what fits. */
function wholes(sign: string, left: Known, right: Known): Answer {
  const type = left.kind === "whole" ? left.type : right.type;
  if (left.kind === "whole" && right.kind === "whole" && left.type !== right.type)
    return raises(`binary operator '${sign}' not implemented for '${left.type}' by '${right.type}' operations`);
  const exact = (value: Known) => (value.kind === "whole" ? value.value : numberOf(value));
  const [one, other] = [exact(left), exact(right)];
  if (one === null || other === null) return unknown("This is not worked out here.");
  if (typeof one === "bigint" && typeof other === "bigint") {
    if (sign === "+") return saturated(one + other, type);
    if (sign === "-") return saturated(one - other, type);
    if (sign === "*" || sign === ".*") return saturated(one * other, type);
    if ((sign === "/" || sign === "./") && other !== 0n) return saturated(halfAway(one, other), type);
  }
  const result = doubles(sign, Number(one), Number(other));
  return result.kind === "real" ? saturated(result.value, type) : result;
}

function halfAway(left: bigint, right: bigint): bigint {
  const [one, other] = [left < 0n ? -left : left, right < 0n ? -right : right];
  const near = (2n * one + other) / (2n * other);
  return left < 0n !== right < 0n ? -near : near;
}

function binary(sign: string, left: Known, right: Known): Answer {
  if (sign === "&" || sign === "|") {
    const [one, other] = [isTrue(left), isTrue(right)];
    if (left.kind === "many" || right.kind === "many") return unknown("Lists are not worked out here.");
    if (typeof one !== "boolean" || typeof other !== "boolean") return unknown("This is not worked out here.");
    return logical(sign === "&" ? one && other : one || other);
  }
  const comparison = comparisons[sign];
  if (comparison) {
    const [one, other] = [left, right].map((each) => (each.kind === "whole" ? each.value : numberOf(each)));
    if (one === null || other === null || one === undefined || other === undefined) return texts(sign, left, right);
    // biome-ignore lint/suspicious/noDoubleEquals: a whole and a decimal number of one value are equal
    const found = one < other ? -1 : one > other ? 1 : one == other ? 0 : Number.NaN;
    return logical(holds(comparison, found));
  }
  if (left.kind === "whole" || right.kind === "whole") return wholes(sign, left, right);
  const [one, other] = [numberOf(left), numberOf(right)];
  return one === null || other === null ? texts(sign, left, right) : doubles(sign, one, other);
}

function texts(sign: string, left: Known, right: Known): Answer {
  if (
    left.kind === "text" &&
    right.kind === "text" &&
    left.value.length !== right.value.length &&
    left.value.length !== 1 &&
    right.value.length !== 1
  )
    return raises(`nonconformant arguments (op1 is 1x${left.value.length}, op2 is 1x${right.value.length})`);
  return unknown(`Texts and lists are not worked out with ${sign} here.`);
}

function unary(sign: string, operand: Known): Answer {
  if (sign === "!" || sign === "~") {
    const holdsNow = isTrue(operand);
    if (operand.kind === "many" || typeof holdsNow !== "boolean") return unknown("Lists are not worked out here.");
    return logical(!holdsNow);
  }
  if (sign === "'" || sign === ".'")
    return operand.kind === "many" ? unknown("Lists are not worked out here.") : operand;
  if (operand.kind === "whole") return sign === "-" ? saturated(-operand.value, operand.type) : operand;
  const value = numberOf(operand);
  if (value === null) return unknown("This is not worked out here.");
  return double(sign === "-" ? -value : value);
}

function index(object: Known, places: readonly Known[]): Answer {
  const at = places[0] && (places[0].kind === "whole" ? Number(places[0].value) : numberOf(places[0]));
  if (typeof at !== "number" || places.length !== 1) return unknown("This place is not looked up here.");
  const items =
    object.kind === "many" ? object.items : object.kind === "text" ? [...object.value].map(string) : [object];
  if (!Number.isInteger(at) || at < 1)
    return raises(`index (${at}): subscripts must be either integers 1 to (2^63)-1 or logicals`);
  return items[at - 1] ?? raises(`index (${at}): out of bound ${items.length}`);
}

/** Functions of Octave for single numbers, and some for lists. */
function call(name: string, given: readonly Known[]): Answer | null {
  const [first, second] = given;
  if (!first || given.length > 2) return null;
  if (!second) {
    const length = first.kind === "many" ? first.items.length : first.kind === "text" ? first.value.length : 1;
    if (name === "numel" || name === "length") return double(length);
    if (name === "isempty") return logical(length === 0);
    if (name === "double" && first.kind === "whole") return double(Number(first.value));
    if (ownOf(wholeTypes, name)) return saturated(first.kind === "whole" ? first.value : (numberOf(first) ?? 0), name);
    if (first.kind === "many" && name === "sum")
      return first.items.reduce<Answer>((sum, item) => (isUnknown(sum) ? sum : binary("+", sum, item)), double(0));
    const value = numberOf(first);
    if (value === null) return null;
    const own: Record<string, (given: number) => number> = {
      ...{ abs: Math.abs, floor: Math.floor, ceil: Math.ceil, fix: Math.trunc },
      round: (each) => Math.sign(each) * Math.floor(Math.abs(each) + 0.5),
    };
    if (name === "sqrt") return value < 0 ? unknown("The result is a complex number.") : double(Math.sqrt(value));
    const work = ownOf(own, name);
    return work ? double(work(value)) : null;
  }
  if (name === "strcmp")
    return logical(first.kind === "text" && second.kind === "text" && first.value === second.value);
  const [one, other] = [numberOf(first), numberOf(second)];
  if (one === null || other === null) return null;
  if (name === "mod" || name === "rem") return rest(name, one, other);
  if (name === "idivide") return null;
  if (name === "max" || name === "min") {
    if (Number.isNaN(one) || Number.isNaN(other)) return double(Number.isNaN(one) ? other : one);
    return double(order(one, other) > 0 === (name === "max") ? one : other);
  }
  return name === "power" ? doubles("^", one, other) : null;
}

/** `mod` has the divisor's sign, `rem` the dividend's; a rest of nothing is the number itself. */
function rest(name: string, one: number, other: number): Answer {
  if (other === 0) return double(name === "mod" ? one : Number.NaN);
  if (Number.isSafeInteger(one) && Number.isSafeInteger(other)) {
    const [left, right] = [BigInt(one), BigInt(other)];
    return double(Number(name === "rem" ? left % right : left - floorDivision(left, right) * right));
  }
  return unknown("The rest of decimal numbers is not worked out here.");
}

/** A number as Octave's short format shows it. */
function numberText(value: number): string {
  if (Number.isNaN(value)) return "NaN";
  if (!Number.isFinite(value)) return value > 0 ? "Inf" : "-Inf";
  if (Number.isInteger(value) && Math.abs(value) < 1e15) return String(value === 0 ? 0 : value);
  const size = Math.abs(value);
  const digits = size >= 0.1 && size < 1 ? 4 : 5;
  const [mantissa = "", exponent = "0"] = value.toExponential(digits - 1).split("e");
  const power = Number(exponent);
  const cut = (written: string) => (written.includes(".") ? written.replace(/\.?0+$/, "") : written);
  if (power < -4 || power >= digits)
    return `${cut(mantissa)}e${power < 0 ? "-" : "+"}${String(Math.abs(power)).padStart(2, "0")}`;
  return cut(Number(value.toPrecision(digits)).toFixed(Math.max(0, digits - 1 - power)));
}

function write(value: Known): string {
  if (value.kind === "truth") return value.value ? "1" : "0";
  if (value.kind === "text") return `"${value.value}"`;
  if (value.kind === "real") return numberText(value.value);
  if (value.kind === "many") return `[${value.items.map(write).join(", ")}]`;
  return value.kind === "nothing" ? "[]" : String(value.value);
}

/** How Octave works out expressions of single values (GNU Octave manual, "Expressions"). */
export const octaveValues: ValueRules = {
  ...{ reads: octaveExpressions, recorded, isTrue, binary, unary, index, call, write, truth: logical },
  callsPick: true,
  literal: (node) => {
    const source = node.sign ?? "";
    if (source === "true" || source === "false") return logical(source === "true");
    if (node.kind === "text") {
      const plain = source.slice(1, -1);
      return /\\|''|""/.test(plain) ? unknown("This text is not taken apart here.") : string(plain);
    }
    return /^\d*\.?\d*(?:[eE][+-]?\d+)?$/.test(source) && source !== ""
      ? double(Number(source))
      : unknown("This number is not taken apart here.");
  },
  cuts: { "&&": { when: false }, "||": { when: true } },
};
