import {
  cutDivision,
  cutRest,
  holds,
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
import type { Answer, ValueRules } from "../../expressions/rules.ts";
import type { Value } from "../../trace/trace.ts";
import { macroExpressions } from "./syntax.ts";

/** The last whole number that Long holds; past it a result is a Double. */
const last = 2_147_483_647n;

const integer = (value: bigint | number): Answer => {
  const exact = BigInt(value);
  return exact > last || exact < -last - 1n ? real(Number(exact), "Double") : whole(exact, "Integer");
};
/** A number as it comes out: a whole one where it has no fraction, since both are written alike. */
const number = (value: number): Answer =>
  Number.isFinite(value) ? real(value, "Double") : raises("BASIC runtime error: Overflow");
const boolean = (value: boolean) => truth(value, "Boolean");
const string = (value: string) => text(value, "String");

/** A number as Basic writes it (tried): 15 digits at most. */
function numberText(value: number): string {
  if (Number.isInteger(value) && Math.abs(value) < 1e15) return String(value === 0 ? 0 : value);
  const [mantissa = "", exponent = "0"] = value.toExponential(14).split("e");
  const power = Number(exponent);
  const cut = (written: string) => (written.includes(".") ? written.replace(/\.?0+$/, "") : written);
  if (power >= 15 || power < -5)
    return `${cut(mantissa)}E${power < 0 ? "-" : "+"}${String(Math.abs(power)).padStart(3, "0")}`;
  return cut(value.toFixed(Math.max(0, 14 - power)));
}

function recorded(value: Value): Answer {
  const { type, text: written } = value;
  if (written === undefined) return recordedList(value, recorded);
  if (type === "Empty") return { kind: "nothing", type: "Empty" };
  if (type === "Boolean") return boolean(written === "True");
  if (type === "Integer") return integer(BigInt(written));
  if (type === "Double") return number(Number(written));
  if (type === "String" && !written.includes("…")) return string(written.slice(1, -1).replaceAll('""', '"'));
  return notTakenApart(type);
}

/** The number of a value in a calculation: True is -1, an empty value 0; null for a text. */
function numberOf(value: Known): bigint | number | null {
  if (value.kind === "whole" || value.kind === "real") return value.value;
  if (value.kind === "truth") return value.value ? -1n : 0n;
  return value.kind === "nothing" ? 0n : null;
}

function textOf(value: Known): string | null {
  if (value.kind === "text") return value.value;
  if (value.kind === "truth") return value.value ? "True" : "False";
  if (value.kind === "whole") return String(value.value);
  if (value.kind === "real") return numberText(value.value);
  return value.kind === "nothing" ? "" : null;
}

const comparisons: Readonly<Record<string, "==" | "!=" | "<" | "<=" | ">" | ">=">> = {
  ...{ "=": "==", "<>": "!=", "<": "<", "<=": "<=", ">": ">", ">=": ">=" },
};

function compared(left: Known, right: Known): number | null {
  // An empty value is not even equal to another one (tried).
  if (left.kind === "nothing" && right.kind === "nothing") return null;
  if (left.kind === "text" && right.kind === "text") return order(left.value, right.value);
  const [one, other] = [numberOf(left), numberOf(right)];
  if (one === null || other === null) return null;
  return Number(one) < Number(other) ? -1 : Number(one) > Number(other) ? 1 : 0;
}

/** A number rounded to a whole one, halves away from zero, as \ and Mod do. */
const rounded = (value: bigint | number): bigint =>
  typeof value === "bigint" ? value : BigInt(Math.sign(value) * Math.floor(Math.abs(value) + 0.5));

function bitwise(sign: string, left: Known, right: Known): Answer | null {
  const [one, other] = [numberOf(left), numberOf(right)];
  if (one === null || other === null) return null;
  const [first, second] = [rounded(one), rounded(other)];
  const found = sign === "and" ? first & second : sign === "or" ? first | second : first ^ second;
  return left.kind === "truth" && right.kind === "truth" ? boolean(found !== 0n) : integer(found);
}

function calculated(sign: string, one: bigint | number, other: bigint | number): Answer | null {
  if (sign === "/") {
    if (Number(other) === 0) return raises("BASIC runtime error: Division by zero");
    return number(Number(one) / Number(other));
  }
  if (sign === "\\" || sign === "mod") {
    const [first, second] = [rounded(one), rounded(other)];
    if (second === 0n) return raises("BASIC runtime error: Division by zero");
    return integer(sign === "mod" ? cutRest(first, second) : cutDivision(first, second));
  }
  if (sign === "^") return number(Number(one) ** Number(other));
  if (typeof one === "bigint" && typeof other === "bigint") {
    if (sign === "+") return integer(one + other);
    if (sign === "-") return integer(one - other);
    return sign === "*" ? integer(one * other) : null;
  }
  const [first, second] = [Number(one), Number(other)];
  if (sign === "+") return number(first + second);
  if (sign === "-") return number(first - second);
  return sign === "*" ? number(first * second) : null;
}

function binary(written: string, left: Known, right: Known): Answer {
  const sign = written.toLowerCase();
  const comparison = comparisons[sign];
  if (comparison) {
    const found = compared(left, right);
    return found === null
      ? unknown("What comparing these gives is not worked out here.")
      : boolean(holds(comparison, found));
  }
  if (sign === "&" || (sign === "+" && left.kind === "text" && right.kind === "text")) {
    const [one, other] = [textOf(left), textOf(right)];
    return one === null || other === null ? notTakenApart(left.type) : string(one + other);
  }
  if (sign === "and" || sign === "or" || sign === "xor") {
    const found = bitwise(sign, left, right);
    if (found) return found;
  }
  const [one, other] = [numberOf(left), numberOf(right)];
  if (one === null || other === null) return unknown("What a text counts as here is not worked out.");
  return calculated(sign, one, other) ?? unknown(`What ${sign} gives is not worked out here.`);
}

function unary(written: string, operand: Known): Answer {
  const sign = written.toLowerCase();
  const value = numberOf(operand);
  if (value === null) return unknown("What a text counts as here is not worked out.");
  if (sign === "not") return operand.kind === "truth" ? boolean(!operand.value) : integer(~rounded(value));
  if (sign === "+") return operand;
  if (operand.kind === "nothing") return unknown("What a minus makes of an empty value is not worked out.");
  return typeof value === "bigint" ? integer(-value) : number(-value);
}

/** Functions of one number. */
function ofNumber(name: string, value: bigint | number): Answer | null {
  const plain = Number(value);
  if (name === "int") return number(Math.floor(plain));
  if (name === "fix") return number(Math.trunc(plain));
  if (name === "abs") return number(Math.abs(plain));
  if (name === "sgn") return integer(Math.sign(plain));
  if (name === "sqr")
    return plain < 0 ? raises("BASIC runtime error: Invalid procedure call") : number(Math.sqrt(plain));
  if (name === "cint" || name === "clng") {
    const found = rounded(value);
    const most = name === "cint" ? 32_767n : last;
    return found > most || found < -most - 1n ? raises("BASIC runtime error: Overflow") : integer(found);
  }
  return name === "cdbl" ? number(plain) : null;
}

function call(written: string, given: readonly Known[]): Answer | null {
  const name = written.toLowerCase();
  const [first, second, third] = given;
  if (!first) return null;
  if (given.length === 1) {
    if (name === "cstr") {
      const found = textOf(first);
      return found === null ? null : string(found);
    }
    if (first.kind === "text") {
      const value = first.value;
      if (name === "len") return integer(value.length);
      if (name === "ucase") return string(value.toUpperCase());
      if (name === "lcase") return string(value.toLowerCase());
      if (name === "trim") return string(value.replace(/^ +| +$/g, ""));
      if (!/^[+-]?\d+(?:\.\d+)?$/.test(value)) return null;
      if (name === "val") return number(Number(value));
      return ["cint", "clng", "cdbl"].includes(name) ? ofNumber(name, Number(value)) : null;
    }
    const value = first.kind === "whole" || first.kind === "real" ? first.value : null;
    return value === null ? null : ofNumber(name, value);
  }
  if (first.kind !== "text" || second?.kind !== "whole") return null;
  const count = Number(second.value);
  if (name === "left" && count >= 0) return string(first.value.slice(0, count));
  if (name === "right" && count >= 0) return string(count === 0 ? "" : first.value.slice(-count));
  if (name !== "mid" || count < 1) return null;
  if (!third) return string(first.value.slice(count - 1));
  return third.kind === "whole" && third.value >= 0n
    ? string(first.value.slice(count - 1, count - 1 + Number(third.value)))
    : null;
}

function write(value: Known): string {
  if (value.kind === "many") return `[${value.items.map(write).join(", ")}]`;
  if (value.kind === "text") return `"${value.value.replaceAll('"', '""')}"`;
  if (value.kind === "nothing") return value.type;
  return textOf(value) ?? "";
}

/** How the office's Basic works out expressions (its Basic guide, "Operators"; what it does not say was tried). */
export const macroValues: ValueRules = {
  ...{ reads: macroExpressions, recorded, binary, unary, call, write, truth: boolean },
  literal: (node) => {
    const source = node.sign ?? "";
    const folded = source.toLowerCase();
    if (folded === "true" || folded === "false") return boolean(folded === "true");
    if (folded === "empty") return { kind: "nothing", type: "Empty" };
    if (node.kind === "text")
      return /^"(?:[^"]|"")*"$/.test(source)
        ? string(source.slice(1, -1).replaceAll('""', '"'))
        : unknown("This text is not taken apart here.");
    if (/^\d+$/.test(source)) return integer(BigInt(source));
    return /^(?:\d+(?:\.\d+)?|\.\d+)(?:e[+-]?\d+)?$/i.test(source)
      ? number(Number(source))
      : unknown("This number is not taken apart here.");
  },
  // Both sides are always worked out.
  cuts: {},
  callsPick: true,
  isTrue: (value) => {
    const found = numberOf(value);
    return found === null ? unknown("A text is asked here as a condition.") : Number(found) !== 0;
  },
  index: (object, places) => {
    const [at] = places;
    if (object.kind !== "many" || at?.kind !== "whole" || places.length !== 1)
      return unknown("What stands at this place is not known here.");
    return object.items[Number(at.value)] ?? raises("BASIC runtime error: Index out of defined range");
  },
};
