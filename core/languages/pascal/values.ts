import { floatText } from "../../expressions/floatText.ts";
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
  wrapped,
} from "../../expressions/known.ts";
import type { Answer, ValueRules } from "../../expressions/rules.ts";
import { ownOf } from "../../source/ownOf.ts";
import type { Value } from "../../trace/trace.ts";
import { pascalExpressions } from "./syntax.ts";

const realTypes = new Set("real double single extended".split(" "));

/** How many bits the whole types have, and whether they have a sign. */
const widths: Readonly<Record<string, readonly [number, boolean]>> = {
  ...{ shortint: [8, true], smallint: [16, true], longint: [32, true], integer: [32, true], int64: [64, true] },
  ...{ byte: [8, false], word: [16, false], longword: [32, false], cardinal: [32, false], qword: [64, false] },
};
const widthOf = (type: string) => ownOf(widths, type.toLowerCase()) ?? [64, true];

/** A number in the text has the narrowest type that holds it. */
function literalType(value: bigint): string {
  const order = ["ShortInt", "Byte", "SmallInt", "Word", "LongInt", "LongWord"];
  const fits = (type: string) => {
    const [bits, signed] = widthOf(type);
    return wrapped(value, bits, signed) === value;
  };
  return order.find(fits) ?? "Int64";
}

/** Whole numbers are worked out in 64 bits, whatever their variables hold (Free Pascal Reference guide, "Integers"). */
const int = (value: bigint | number) => whole(wrapped(BigInt(value), 64, true), "Int64");
const double = (value: number) => real(value, "Double");
const boolean = (value: boolean) => truth(value, "Boolean");
const string = (value: string) => text(value, "String");

/** A text between quotes, with `''` for one of them. */
const inside = (source: string) => source.slice(1, -1).replaceAll("''", "'");

function recorded(value: Value): Answer {
  const { type, text: written } = value;
  const name = type.toLowerCase();
  if (written === undefined) return recordedList(value, recorded);
  if (written.startsWith("'"))
    return name === "char" && inside(written).length === 1
      ? letter(inside(written).charCodeAt(0), type)
      : string(inside(written));
  if (name === "boolean") return boolean(written === "true");
  if (ownOf(widths, name)) return whole(BigInt(written), type);
  return realTypes.has(name)
    ? real(name === "single" ? Math.fround(Number(written)) : Number(written), type)
    : notTakenApart(type);
}

/** A text or a character as a text; null for what is neither. */
function textOf(value: Known): string | null {
  if (value.kind === "text") return value.value;
  return value.kind === "letter" ? String.fromCharCode(value.value) : null;
}

const numberOf = (value: Known) => (value.kind === "whole" || value.kind === "real" ? value.value : null);
const refused = (sign: string) => unknown(`The translator refuses ${sign} between these.`);
const comparisons: Readonly<Record<string, "==" | "!=" | "<" | "<=" | ">" | ">=">> = {
  ...{ "=": "==", "<>": "!=", "<": "<", "<=": "<=", ">": ">", ">=": ">=" },
};

function compared(left: Known, right: Known): number | null {
  const [one, other] = [numberOf(left), numberOf(right)];
  if (one !== null && other !== null) {
    // biome-ignore lint/suspicious/noDoubleEquals: a whole and a decimal number of one value are equal
    return one < other ? -1 : one > other ? 1 : one == other ? 0 : Number.NaN;
  }
  const [first, second] = [textOf(left), textOf(right)];
  if (first !== null && second !== null) return order(first, second);
  return left.kind === "truth" && right.kind === "truth" ? Number(left.value) - Number(right.value) : null;
}

function wholeNumbers(sign: string, left: bigint, right: bigint): Answer | null {
  if (sign === "+") return int(left + right);
  if (sign === "-") return int(left - right);
  if (sign === "*") return int(left * right);
  if (sign === "div" || sign === "mod") {
    if (right === 0n) return raises("EDivByZero: Division by zero");
    return int(sign === "div" ? cutDivision(left, right) : cutRest(left, right));
  }
  return null;
}

/** Bits put together are as wide as the wider of the two, at least 32. */
function bitwise(sign: string, left: bigint, right: bigint, types: readonly string[]): Answer | null {
  const widest = types.some((type) => widthOf(type)[0] > 32 || /^(?:longword|cardinal)$/i.test(type))
    ? "Int64"
    : "LongInt";
  if (sign === "and") return whole(left & right, widest);
  if (sign === "or") return whole(left | right, widest);
  return sign === "xor" ? whole(left ^ right, widest) : null;
}

/** A shift is made in the width of what is shifted, at least in 32 bits. */
function shifted(sign: string, left: bigint, by: bigint, type: string): Answer | null {
  const [own, signed] = widthOf(type);
  const bits = Math.max(32, own);
  if ((sign !== "shl" && sign !== "shr") || by < 0n || by >= BigInt(bits)) return null;
  const width = own < 32 || signed;
  if (sign === "shl") return int(wrapped(left << by, bits, width));
  return int(wrapped(BigInt.asUintN(bits, left) >> by, bits, width));
}

function realNumbers(sign: string, left: number, right: number): Answer | null {
  if (sign === "+") return double(left + right);
  if (sign === "-") return double(left - right);
  if (sign === "*") return double(left * right);
  if (sign !== "/") return null;
  return right === 0 ? raises("EZeroDivide: Division by zero") : double(left / right);
}

function binary(written: string, left: Known, right: Known): Answer {
  const sign = written.toLowerCase();
  const comparison = comparisons[sign];
  if (comparison) {
    const found = compared(left, right);
    return found === null ? refused(sign) : boolean(holds(comparison, found));
  }
  if (sign === "in" && right.kind === "many") {
    const bounds = right.items.flatMap((item) => (item.kind === "many" ? item.items : [item]));
    if (bounds.some((item) => item.kind === "whole" && (item.value < 0n || item.value > 255n)))
      return unknown("A set holds whole numbers from 0 to 255 only.");
    const found = right.items.some((item) =>
      item.kind === "many" && item.type === ".."
        ? (compared(item.items[0] as Known, left) ?? 1) <= 0 && (compared(left, item.items[1] as Known) ?? 1) <= 0
        : compared(item, left) === 0,
    );
    return boolean(found);
  }
  if (sign === "..") return { kind: "many", type: "..", items: [left, right] };
  if (left.kind === "truth" && right.kind === "truth") {
    if (sign === "and") return boolean(left.value && right.value);
    if (sign === "or") return boolean(left.value || right.value);
    return sign === "xor" ? boolean(left.value !== right.value) : refused(sign);
  }
  const [one, other] = [numberOf(left), numberOf(right)];
  if (one !== null && other !== null) {
    const bothWhole = typeof one === "bigint" && typeof other === "bigint" && sign !== "/";
    const result = bothWhole
      ? (shifted(sign, one, other, left.type) ??
        bitwise(sign, one, other, [left.type, right.type]) ??
        wholeNumbers(sign, one, other))
      : realNumbers(sign, Number(one), Number(other));
    return result ?? refused(sign);
  }
  const [first, second] = [textOf(left), textOf(right)];
  return sign === "+" && first !== null && second !== null ? string(first + second) : refused(sign);
}

function unary(written: string, operand: Known): Answer {
  const sign = written.toLowerCase();
  if (sign === "not") {
    if (operand.kind === "truth") return boolean(!operand.value);
    if (operand.kind !== "whole") return refused(sign);
    return whole(wrapped(~operand.value, ...widthOf(operand.type)), operand.type);
  }
  if (operand.kind === "whole") return int(sign === "-" ? -operand.value : operand.value);
  return operand.kind === "real" ? double(sign === "-" ? -operand.value : operand.value) : refused(sign);
}

/** Half to even, as `Round` does. */
function rounded(value: number): bigint {
  const floor = Math.floor(value);
  const over = value - floor;
  return BigInt(over > 0.5 || (over === 0.5 && floor % 2 !== 0) ? floor + 1 : floor);
}

function call(written: string, given: readonly Known[]): Answer | null {
  const name = written.toLowerCase();
  const [first, second, third] = given;
  if (!first) return null;
  const words = textOf(first);
  if (given.length === 1) {
    if (name === "length")
      return words !== null ? int(words.length) : first.kind === "many" ? int(first.items.length) : null;
    if (name === "ord") {
      if (first.kind === "letter") return whole(first.value, "Byte");
      return first.kind === "truth" ? int(first.value ? 1 : 0) : first.kind === "whole" ? first : null;
    }
    if (name === "upcase" && words !== null)
      return first.kind === "letter" ? letter(words.toUpperCase().charCodeAt(0), "Char") : string(words.toUpperCase());
    if (name === "lowercase" && words !== null) return string(words.toLowerCase());
    if (first.kind === "whole") {
      if (name === "abs") return int(first.value < 0n ? -first.value : first.value);
      if (name === "sqr") return int(first.value * first.value);
      if (name === "succ") return int(first.value + 1n);
      if (name === "pred") return int(first.value - 1n);
      if (name === "odd") return boolean((first.value & 1n) === 1n);
      if (name === "chr" && first.value >= 0n && first.value < 256n) return letter(Number(first.value), "Char");
    }
    const value = numberOf(first);
    if (value === null) return null;
    if (name === "abs") return double(Math.abs(Number(value)));
    if (name === "sqr") return double(Number(value) * Number(value));
    if (name === "sqrt")
      return Number(value) < 0
        ? raises("EInvalidOp: Invalid floating point operation")
        : double(Math.sqrt(Number(value)));
    if (name === "trunc") return Math.abs(Number(value)) < 2 ** 53 ? int(Math.trunc(Number(value))) : null;
    if (name === "round") return Math.abs(Number(value)) < 2 ** 53 ? int(rounded(Number(value))) : null;
    if (name === "int") return double(Math.trunc(Number(value)));
    return name === "frac" ? double(Number(value) - Math.trunc(Number(value))) : null;
  }
  if (name === "copy" && words !== null && second?.kind === "whole" && third?.kind === "whole") {
    const from = Math.max(1, Number(second.value));
    return string(words.slice(from - 1, from - 1 + Math.max(0, Number(third.value))));
  }
  if (name === "pos" && words !== null && second && given.length === 2) {
    const where = textOf(second);
    return where === null ? null : int(words === "" ? 0 : where.indexOf(words) + 1);
  }
  return null;
}

function write(value: Known): string {
  if (value.kind === "nothing") return "nil";
  if (value.kind === "truth") return String(value.value);
  if (value.kind === "letter") return `'${String.fromCharCode(value.value).replace("'", "''")}'`;
  if (value.kind === "text") return `'${value.value.replaceAll("'", "''")}'`;
  if (value.kind === "real") return floatText(value.value, value.type === "Single").replace(/\.0$/, "");
  if (value.kind !== "many") return String(value.value);
  return value.type === ".." ? value.items.map(write).join("..") : `[${value.items.map(write).join(", ")}]`;
}

/** How Object Pascal works out expressions (Free Pascal Reference guide, "Expressions"; `and` and `or` are cut short). */
export const pascalValues: ValueRules = {
  ...{ reads: pascalExpressions, recorded, binary, unary, call, write, truth: boolean },
  literal: (node) => {
    const source = node.sign ?? "";
    const word = source.toLowerCase();
    if (word === "nil") return { kind: "nothing", type: "nil" };
    if (word === "true" || word === "false") return boolean(word === "true");
    if (node.kind === "text") {
      if (!/^'(?:[^']|'')*'$/.test(source)) return unknown("This text is not taken apart here.");
      const value = inside(source);
      return value.length === 1 ? letter(value.charCodeAt(0), "Char") : string(value);
    }
    if (/^(?:\d+|\$[\da-f]+)$/i.test(source)) {
      const value = BigInt(source.replace("$", "0x"));
      return whole(value, literalType(value));
    }
    return /^\d+(?:\.\d+)?(?:e[+-]?\d+)?$/i.test(source)
      ? double(Number(source))
      : unknown("This number is not taken apart here.");
  },
  cuts: { and: { when: false }, or: { when: true } },
  cutsTruths: true,
  isTrue: (value) => (value.kind === "truth" ? value.value : unknown("The translator refuses this as a condition.")),
  index: (object, places) => {
    const [at] = places;
    if (object.kind !== "text" || at?.kind !== "whole" || places.length !== 1)
      return unknown("Where its places begin is not known here.");
    const code = object.value.charCodeAt(Number(at.value) - 1);
    return Number.isNaN(code) ? unknown("There is no such place in the text.") : letter(code, "Char");
  },
  list: (items) => ({ kind: "many", type: "set", items }),
};
