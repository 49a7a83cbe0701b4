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
  notTakenApart,
  real,
  recordedList,
  text,
  unknown,
  whole,
} from "../../expressions/known.ts";
import { power } from "../../expressions/power.ts";
import type { Answer, ValueRules } from "../../expressions/rules.ts";
import { ownOf } from "../../source/ownOf.ts";
import { prefixStrength, readCast, sharedOperators } from "../../syntax/casts.ts";
import type { ExpressionRules } from "../../syntax/expressions.ts";
import type { Value } from "../../trace/trace.ts";

const typeWords = new Set("char short int long unsigned signed float double _Bool bool".split(" "));

/** Operators of C by strength (C11, 6.5). */
const reads: ExpressionRules = {
  binary: sharedOperators,
  prefix: Object.fromEntries(
    ["-", "+", "!", "~", "++", "--", "*", "&", "sizeof"].map((sign) => [sign, prefixStrength]),
  ),
  steps: new Set(["++", "--"]),
  assignments: new Set(["=", "+=", "-=", "*=", "/=", "%=", "&=", "|=", "^=", "<<=", ">>="]),
  constants: new Set(["true", "false", "NULL"]),
  members: new Set([".", "->"]),
  begins: (reader) => readCast(reader, typeWords),
};

/** Number types of gcc on 64-bit Linux, under the names that debug information gives them. */
const types: NumberTypes = {
  whole: new Map(
    Object.entries({
      ...{ char: [8, true], "signed char": [8, true], "unsigned char": [8, false], _Bool: [8, false] },
      ...{ "short int": [16, true], "short unsigned int": [16, false], int: [32, true], "unsigned int": [32, false] },
      ...{ "long int": [64, true], "long unsigned int": [64, false] },
      ...{ "long long int": [64, true], "long long unsigned int": [64, false] },
    }).map(([name, [bits, hasSign]]) => [name, { bits: Number(bits), signed: hasSign === true }]),
  ),
  real: new Map([
    ["float", 32],
    ["double", 64],
  ]),
  promoted: "int",
  // C11, 6.3.1.8: the higher rank; of one rank the one without a sign; a wider signed one holds all of a narrower unsigned one.
  common: (one, other) => {
    // What is narrower is an int by now, which has the lowest rank.
    const rank = ["int", "unsigned int", "long int", "long unsigned int", "long long int", "long long unsigned int"];
    const ranked = [one, other].map((each) => Math.max(0, rank.indexOf(each))).sort((a, b) => a - b);
    const [low, high] = ranked.map((each) => rank[each] ?? "int") as [string, string];
    const isUnsigned = (name: string) => name.includes("unsigned");
    const bitsOf = (name: string) => types.whole.get(name)?.bits ?? 0;
    if (isUnsigned(high) || !isUnsigned(low) || bitsOf(high) > bitsOf(low)) return high;
    return high.replace(/ int$/, " unsigned int");
  },
  byZero: "division by zero stops the program",
  shiftsMasked: false,
};

/** Names by which programs call these types. */
const spelt: Readonly<Record<string, string>> = {
  ...{ short: "short int", long: "long int", unsigned: "unsigned int", signed: "int", bool: "_Bool" },
  ...{ "long long": "long long int", "unsigned long": "long unsigned int", "unsigned short": "short unsigned int" },
  ...{
    "unsigned long long": "long long unsigned int",
    size_t: "long unsigned int",
    "unsigned long int": "long unsigned int",
  },
};
const typeName = (name: string) =>
  types.whole.has(name) || types.real.has(name) ? name : (ownOf(spelt, name) ?? name);

const int = (value: bigint | number) => whole(value, "int");
const truth = (value: boolean) => int(value ? 1 : 0);

function recorded(value: Value): Answer {
  const { type, text: written } = value;
  const name = typeName(type);
  if (written === undefined) return recordedList(value, recorded);
  if (written.startsWith("'")) return readLetter(written, name);
  if (written.startsWith('"')) {
    const inside = unescaped(written.slice(1, -1));
    return inside === null ? unknown("This text is not taken apart here.") : text(inside, type);
  }
  if (name === "_Bool") return whole(written === "true" || written === "1" ? 1n : 0n, name);
  if (types.whole.has(name) && /^-?\d+$/.test(written)) return whole(BigInt(written), name);
  if (types.real.has(name))
    return converted(types, Number(written.replace("inf", "Infinity").replace("nan", "NaN")), name);
  return notTakenApart(type);
}

function isTrue(value: Known) {
  const number = numberOf(value);
  // biome-ignore lint/suspicious/noDoubleEquals: a whole and a decimal zero are both none
  return number ? number.value != 0 : unknown("Whether an address is set is not worked out here.");
}

function binary(sign: string, left: Known, right: Known): Answer {
  const [one, other] = [numberOf(left), numberOf(right)];
  if (!one || !other) return unknown("Addresses are not worked out here.");
  return numbers(types, sign, one, other, truth) ?? unknown("This is not worked out here.");
}

function index(object: Known, places: readonly Known[]): Answer {
  const at = places[0] && numberOf(places[0]);
  if (!at || places.length !== 1) return unknown("This place is not looked up here.");
  const place = Number(at.value);
  const beyond = unknown("There is no such element: what stands there is not known.");
  if (object.kind === "text") {
    const bytes = [...object.value].map((sign) => sign.codePointAt(0) ?? 0);
    return place === bytes.length
      ? letter(0, "char")
      : bytes[place] === undefined
        ? beyond
        : letter(bytes[place], "char");
  }
  return object.kind === "many" ? (object.items[place] ?? beyond) : unknown("What stands there is not known here.");
}

/** Functions of the C library that give a number of numbers or texts. */
function call(name: string, given: readonly Known[]): Answer | null {
  const [first, second] = given;
  if (!first || given.length > 2) return null;
  if (name === "strlen" && first.kind === "text") return whole(first.value.length, "long unsigned int");
  const value = numberOf(first)?.value;
  if (value === undefined) return null;
  const double = (result: number) => real(result, "double");
  if (name === "abs")
    return converted(
      types,
      typeof value === "bigint" ? (value < 0n ? -value : value) : Math.trunc(Math.abs(value)),
      "int",
    );
  const real1: Record<string, (given: number) => number> = {
    ...{ fabs: Math.abs, sqrt: Math.sqrt, floor: Math.floor, ceil: Math.ceil, trunc: Math.trunc },
  };
  const work = ownOf(real1, name);
  if (work && !second) return double(work(Number(value)));
  if (name === "fmod" && second) return double(Number(value) % Number(numberOf(second)?.value));
  if (name === "pow" && second) {
    const found = power(Number(value), Number(numberOf(second)?.value));
    return found === null ? unknown("So large or uneven a power is not worked out here.") : double(found);
  }
  if (typeof value !== "bigint" || second) return null;
  const sign = String.fromCharCode(Number(value));
  if (name === "toupper" || name === "tolower") {
    const other = /^[a-z]$/i.test(sign) ? (name === "toupper" ? sign.toUpperCase() : sign.toLowerCase()) : sign;
    return int(other.charCodeAt(0));
  }
  return null;
}

function write(value: Known): string {
  if (value.kind === "letter") return quoted(String.fromCharCode(value.value & 255), "'");
  if (value.kind === "text") return quoted(value.value, '"');
  if (value.kind === "whole") return value.type === "_Bool" ? (value.value ? "true" : "false") : String(value.value);
  if (value.kind === "real") return floatText(value.value, value.type === "float").replace(/\.0$/, "");
  return value.kind === "many" ? `[${value.items.map(write).join(", ")}]` : "NULL";
}

/** How C works out expressions (C11, 6.3 and 6.5), with gcc's types on 64-bit Linux. */
export const cValues: ValueRules = {
  ...{ reads, recorded, isTrue, binary, index, call, write, truth },
  literal: (node) => {
    const source = node.sign ?? "";
    if (source === "true" || source === "false") return int(source === "true" ? 1 : 0);
    if (source.startsWith("'")) return readLetter(source, "int");
    if (source.startsWith('"')) {
      const inside = unescaped(source.slice(1, -1));
      return inside === null ? unknown("This text is not taken apart here.") : text(inside, "char*");
    }
    const suffix = /[uUlL]*$/.exec(source)?.[0].toLowerCase() ?? "";
    const value = readWhole(source.slice(0, source.length - suffix.length), true);
    if (value !== null) return whole(value, literalType(value, suffix, /^0/.test(source)));
    const found = /^(\d*\.?\d*(?:[eE][+-]?\d+)?)([fF]?)$/.exec(source);
    if (!found) return unknown("This number is not taken apart here.");
    return found[2] ? real(Math.fround(Number(found[1])), "float") : real(Number(found[1]), "double");
  },
  cuts: { "&&": { when: false }, "||": { when: true } },
  unary: (sign, operand) => {
    const value = numberOf(operand);
    if (sign === "!") {
      const holds = isTrue(operand);
      return typeof holds === "boolean" ? truth(!holds) : holds;
    }
    return (value && signed(types, sign, value)) ?? unknown("Addresses are not worked out here.");
  },
  cast: (type, value) => {
    const number = numberOf(value);
    if (!number) return unknown("Addresses are not worked out here.");
    const name = typeName(type);
    // biome-ignore lint/suspicious/noDoubleEquals: a whole and a decimal zero are both none
    if (name === "_Bool") return whole(number.value != 0 ? 1n : 0n, name);
    const made = converted(types, number.value, name);
    if (typeof number.value === "number" && made.kind === "whole" && made.value !== BigInt(Math.trunc(number.value)))
      return unknown("What becomes of so large a number is not the same everywhere.");
    return name === "char" && made.kind === "whole" ? letter(Number(made.value), name) : made;
  },
  choice: (taken, other) => {
    const [one, two] = [numberOf(taken), isUnknown(other) ? null : numberOf(other)];
    return one && two ? converted(types, one.value, commonType(types, one.type, two.type)) : taken;
  },
};

/** C11, 6.4.4.1: the first of the types that holds the number. */
function literalType(value: bigint, suffix: string, based: boolean): string {
  const long = suffix.includes("l");
  const unsigned = suffix.includes("u");
  if (!long && !unsigned && value < 2n ** 31n) return "int";
  if (!long && (unsigned || based) && value < 2n ** 32n) return "unsigned int";
  return unsigned || value >= 2n ** 63n ? "long unsigned int" : "long int";
}
