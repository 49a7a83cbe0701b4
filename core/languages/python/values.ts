import { floatText } from "../../expressions/floatText.ts";
import type { Known } from "../../expressions/known.ts";
import { holds, isUnknown, order, raises, recordedList, unknown } from "../../expressions/known.ts";
import type { Answer, ValueRules } from "../../expressions/rules.ts";
import type { ExpressionRules } from "../../syntax/expressions.ts";
import type { Value } from "../../trace/trace.ts";
import { bool, float, int, realNumbers, string, wholeNumbers } from "./arithmetic.ts";

/** Operators of Python by strength (The Python Language Reference, "Operator precedence"). */
const reads: ExpressionRules = {
  binary: {
    ...{ or: 2, and: 3, in: 5, "not in": 5, is: 5, "is not": 5, "<": 5, "<=": 5, ">": 5, ">=": 5, "!=": 5, "==": 5 },
    ...{ "|": 6, "^": 7, "&": 8, "<<": 9, ">>": 9, "+": 10, "-": 10, "*": 11, "/": 11, "//": 11, "%": 11, "**": 13 },
  },
  fromRight: new Set(["**"]),
  prefix: { not: 4, "-": 12, "+": 12, "~": 12 },
  pairs: { not: "in", is: "not" },
  choice: ["if", "else"],
  assignments: new Set(),
  constants: new Set(["True", "False", "None"]),
  members: new Set(["."]),
};

const escapes: Readonly<Record<string, string>> = {
  n: "\n",
  t: "\t",
  r: "\r",
  "0": "\0",
  "\\": "\\",
  "'": "'",
  '"': '"',
};

/** A text as the program says it; unknown where it has more than plain characters and the usual escapes. */
function readText(source: string): Answer {
  const found = /^([rR]?)("""|'''|"|')([\s\S]*)\2$/.exec(source);
  if (!found) return unknown("This text is not taken apart here.");
  const [, raw, , inside = ""] = found;
  if (raw) return string(inside);
  if (/\\[^ntr0\\'"]/.test(inside)) return unknown("This text is not taken apart here.");
  return string(inside.replace(/\\(.)/g, (_, sign: string) => escapes[sign] ?? sign));
}

/** A text as `repr` writes it. */
function textOf(value: string): string {
  const quote = value.includes("'") && !value.includes('"') ? '"' : "'";
  const inside = [...value]
    .map((sign) => {
      if (sign === quote || sign === "\\") return `\\${sign}`;
      if (sign === "\n") return "\\n";
      if (sign === "\t") return "\\t";
      if (sign === "\r") return "\\r";
      return sign < " " ? `\\x${(sign.codePointAt(0) ?? 0).toString(16).padStart(2, "0")}` : sign;
    })
    .join("");
  return quote + inside + quote;
}

function recorded(value: Value): Answer {
  const { type, text: written } = value;
  if (type === "int" && written !== undefined) return int(BigInt(written));
  if (type === "float" && written !== undefined)
    return float(
      written === "inf" ? Number.POSITIVE_INFINITY : written === "-inf" ? Number.NEGATIVE_INFINITY : Number(written),
    );
  if (type === "bool") return bool(written === "True");
  if (type === "NoneType") return { kind: "nothing", type };
  if (type === "str" && written !== undefined) return readText(written);
  return recordedList(value, recorded);
}

/** What counts as a number: truths are 0 and 1. */
function numberOf(value: Known): bigint | number | null {
  if (value.kind === "whole" || value.kind === "real") return value.value;
  return value.kind === "truth" ? (value.value ? 1n : 0n) : null;
}

function isTrue(value: Known): boolean {
  if (value.kind === "nothing") return false;
  if (value.kind === "text") return value.value !== "";
  if (value.kind === "many") return value.items.length > 0;
  if (value.kind === "truth") return value.value;
  return value.kind === "whole" ? value.value !== 0n : value.value !== 0;
}

function same(left: Known, right: Known): boolean {
  const [one, other] = [numberOf(left), numberOf(right)];
  // biome-ignore lint/suspicious/noDoubleEquals: a whole and a decimal number of one value are equal
  if (one !== null && other !== null) return one == other;
  if (left.kind === "text" && right.kind === "text") return left.value === right.value;
  if (left.kind === "many" && right.kind === "many")
    return (
      left.type === right.type &&
      left.items.length === right.items.length &&
      left.items.every((item, at) => same(item, right.items[at] as Known))
    );
  return left.kind === "nothing" && right.kind === "nothing";
}

/** -1, 0 or 1; null where the two have no order. */
function compared(left: Known, right: Known): number | null {
  const [one, other] = [numberOf(left), numberOf(right)];
  if (one !== null && other !== null)
    // biome-ignore lint/suspicious/noDoubleEquals: a whole and a decimal number of one value are equal
    return one < other ? -1 : one > other ? 1 : one == other ? 0 : Number.NaN;
  if (left.kind === "text" && right.kind === "text") return order(...codes(left.value, right.value));
  return null;
}

/** Two texts in a form whose order is that of their characters' codes. */
function codes(one: string, other: string): [string, string] {
  const [left, right] = [[...one], [...other]];
  const at = left.findIndex((sign, place) => sign !== right[place]);
  if (at < 0) return [one.length === other.length ? "b" : "a", "b"];
  const [a, b] = [left[at]?.codePointAt(0) ?? 0, right[at]?.codePointAt(0) ?? -1];
  return a < b ? ["a", "b"] : ["b", "a"];
}

function comparison(sign: string, left: Known, right: Known): Answer {
  if (sign === "==") return bool(same(left, right));
  if (sign === "!=") return bool(!same(left, right));
  const found = compared(left, right);
  if (found === null) {
    if (left.kind === "many" || right.kind === "many") return unknown("The order of lists is not worked out here.");
    return raises(`TypeError: '${sign}' not supported between instances of '${left.type}' and '${right.type}'`);
  }
  return bool(holds(sign as "<", found));
}

const wrong = (sign: string, left: Known, right: Known) =>
  raises(`TypeError: unsupported operand type(s) for ${sign}: '${left.type}' and '${right.type}'`);

const bitSigns = new Set(["&", "|", "^", "<<", ">>"]);

function binary(sign: string, left: Known, right: Known): Answer {
  if (/^(?:==|!=|<=?|>=?)$/.test(sign)) return comparison(sign, left, right);
  if (sign === "is" || sign === "is not") {
    if (left.kind !== "nothing" && right.kind !== "nothing")
      return unknown("Whether two names stand for one object is not worked out here.");
    return bool((left.kind === right.kind) === (sign === "is"));
  }
  if (sign === "in" || sign === "not in") return contains(sign, left, right);
  const [one, other] = [numberOf(left), numberOf(right)];
  if (one !== null && other !== null) {
    if (typeof one === "bigint" && typeof other === "bigint") {
      if (left.kind === "truth" && right.kind === "truth" && /^[&|^]$/.test(sign)) {
        const bits = wholeNumbers(sign, one, other);
        return bits.kind === "whole" ? bool(bits.value !== 0n) : bits;
      }
      return wholeNumbers(sign, one, other);
    }
    if (bitSigns.has(sign)) return wrong(sign, left, right);
    return realNumbers(sign, Number(one), Number(other));
  }
  return sequences(sign, left, right);
}

function contains(sign: string, left: Known, right: Known): Answer {
  const wanted = sign === "in";
  if (right.kind === "many") return bool(right.items.some((item) => same(item, left)) === wanted);
  if (right.kind === "text" && left.kind === "text") return bool(right.value.includes(left.value) === wanted);
  if (right.kind === "text")
    return raises(`TypeError: 'in <string>' requires string as left operand, not ${left.type}`);
  return raises(`TypeError: argument of type '${right.type}' is not iterable`);
}

/** Texts and lists put one behind another, or repeated. */
function sequences(sign: string, left: Known, right: Known): Answer {
  if (sign === "%" && left.kind === "text") return unknown("A text filled with values is not worked out here.");
  if (sign === "+") {
    if (left.kind === "text" && right.kind === "text") return string(left.value + right.value);
    if (left.kind === "text") return raises(`TypeError: can only concatenate str (not "${right.type}") to str`);
    if (left.kind === "many" && right.kind === "many" && left.type === right.type)
      return { ...left, items: [...left.items, ...right.items] };
    if (left.kind === "many")
      return raises(`TypeError: can only concatenate ${left.type} (not "${right.type}") to ${left.type}`);
    return wrong(sign, left, right);
  }
  if (sign === "*") {
    const [what, times] = left.kind === "text" || left.kind === "many" ? [left, right] : [right, left];
    const count = numberOf(times);
    if ((what.kind === "text" || what.kind === "many") && typeof count === "bigint") {
      const length = what.kind === "text" ? what.value.length : what.items.length;
      if (count * BigInt(length) > 2000n) return unknown("It becomes too long.");
      const often = Math.max(0, Number(count));
      if (what.kind === "text") return string(what.value.repeat(often));
      return { ...what, items: Array.from({ length: often }, () => what.items).flat() };
    }
    if (what.kind === "text" || what.kind === "many")
      return raises(`TypeError: can't multiply sequence by non-int of type '${times.type}'`);
  }
  return wrong(sign, left, right);
}

function unary(sign: string, operand: Known): Answer {
  if (sign === "not") return bool(!isTrue(operand));
  const value = numberOf(operand);
  if (value === null) return raises(`TypeError: bad operand type for unary ${sign}: '${operand.type}'`);
  if (sign === "~")
    return typeof value === "bigint" ? int(~value) : raises("TypeError: bad operand type for unary ~: 'float'");
  if (typeof value === "bigint") return int(sign === "-" ? -value : value);
  return float(sign === "-" ? -value : value);
}

function index(object: Known, places: readonly Known[]): Answer {
  const at = places[0] && numberOf(places[0]);
  if (places.length !== 1 || typeof at !== "bigint") return unknown("This place is not looked up here.");
  const items = object.kind === "many" ? object.items : object.kind === "text" ? [...object.value].map(string) : null;
  if (!items) return unknown("What stands there is not known here.");
  const place = Number(at) < 0 ? items.length + Number(at) : Number(at);
  return items[place] ?? raises(`IndexError: ${object.kind === "text" ? "string" : object.type} index out of range`);
}

/** `str` of a value, as `print` shows it. */
const shown = (value: Known) => (value.kind === "text" ? value.value : write(value));

/** Half to even, as `round` does for a whole result. */
function rounded(value: number): Answer {
  if (!Number.isFinite(value)) return unknown("This is not worked out here.");
  const floor = Math.floor(value);
  const over = value - floor;
  return int(over > 0.5 || (over === 0.5 && floor % 2 !== 0) ? floor + 1 : floor);
}

/** What the built-in functions give that students use within expressions. */
function call(name: string, given: readonly Known[]): Answer | null {
  const [first, ...rest] = given;
  if (!first) return null;
  const value = numberOf(first);
  if (rest.length === 0) {
    if (name === "len") {
      if (first.kind === "text") return int([...first.value].length);
      return first.kind === "many"
        ? int(first.items.length)
        : raises(`TypeError: object of type '${first.type}' has no len()`);
    }
    if (name === "abs" && value !== null)
      return typeof value === "bigint" ? int(value < 0n ? -value : value) : float(Math.abs(value));
    if (name === "bool") return bool(isTrue(first));
    if (name === "str") return string(shown(first));
    if (name === "float" && value !== null) return float(Number(value));
    if (name === "int" && value !== null) {
      if (typeof value === "bigint") return int(value);
      return Number.isFinite(value)
        ? int(Math.trunc(value))
        : raises("OverflowError: cannot convert float infinity to integer");
    }
    if (name === "int" && first.kind === "text")
      return /^\s*[+-]?\d+\s*$/.test(first.value)
        ? int(BigInt(first.value.trim().replace(/^\+/, "")))
        : raises(`ValueError: invalid literal for int() with base 10: ${textOf(first.value)}`);
    if (name === "round" && value !== null) return typeof value === "bigint" ? int(value) : rounded(value);
    if (name === "ord" && first.kind === "text" && [...first.value].length === 1)
      return int(first.value.codePointAt(0) ?? 0);
    if (name === "chr" && typeof value === "bigint") return string(String.fromCodePoint(Number(value)));
  }
  const items = first.kind === "many" && rest.length === 0 ? first.items : given;
  if (name === "sum" && first.kind === "many" && rest.length === 0)
    return items.reduce<Answer>((sum, item) => (isUnknown(sum) ? sum : binary("+", sum, item)), int(0));
  if ((name === "max" || name === "min") && items.length > 0) {
    let best = items[0] as Known;
    for (const item of items.slice(1)) {
      const found = compared(item, best);
      if (found === null) return unknown("These have no order.");
      if (name === "max" ? found > 0 : found < 0) best = item;
    }
    return best;
  }
  return null;
}

function method(object: Known, name: string, given: readonly Known[]): Answer | null {
  if (object.kind !== "text" || given.length > 1) return null;
  const [first] = given;
  if (!first) {
    if (name === "upper") return string(object.value.toUpperCase());
    if (name === "lower") return string(object.value.toLowerCase());
    if (name === "strip") return string(object.value.trim());
    if (name === "isdigit") return bool(/^\d+$/.test(object.value));
    return null;
  }
  if (first.kind !== "text") return null;
  if (name === "find") return int(object.value.indexOf(first.value));
  if (name === "startswith") return bool(object.value.startsWith(first.value));
  if (name === "endswith") return bool(object.value.endsWith(first.value));
  return name === "count" && first.value !== "" ? int(object.value.split(first.value).length - 1) : null;
}

function write(value: Known): string {
  if (value.kind === "nothing") return "None";
  if (value.kind === "truth") return value.value ? "True" : "False";
  if (value.kind === "text") return textOf(value.value);
  if (value.kind === "real") return floatText(value.value);
  if (value.kind !== "many") return String(value.value);
  const items = value.items.map(write);
  return value.type === "tuple" ? `(${items.join(", ")}${items.length === 1 ? "," : ""})` : `[${items.join(", ")}]`;
}

/** How Python works out expressions (The Python Language Reference, "Expressions"). */
export const pythonValues: ValueRules = {
  ...{ reads, recorded, isTrue, binary, unary, index, call, method, write },
  literal: (node) => {
    const source = node.sign ?? "";
    if (source === "None") return { kind: "nothing", type: "NoneType" };
    if (source === "True" || source === "False") return bool(source === "True");
    if (node.kind === "text") return readText(source);
    const plain = source.replaceAll("_", "");
    if (/^(?:\d+|0[xX][\da-fA-F]+|0[bB][01]+|0[oO][0-7]+)$/.test(plain)) return int(BigInt(plain));
    return /^[\d.]+(?:[eE][+-]?\d+)?$/.test(plain)
      ? float(Number(plain))
      : unknown("This number is not taken apart here.");
  },
  cuts: { and: { when: false }, or: { when: true } },
  givesSide: true,
  chains: new Set(["<", "<=", ">", ">=", "==", "!=", "in", "not in", "is", "is not"]),
  truth: bool,
  list: (items, node) => {
    if (node.kind === "group") return { kind: "many", type: "tuple", items };
    return node.sign === "["
      ? { kind: "many", type: "list", items }
      : unknown("A list that is made here is not taken apart.");
  },
};
