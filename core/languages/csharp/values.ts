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
import { isUnknown, type Known, letter, raises, real, text, truth, unknown, whole } from "../../expressions/known.ts";
import { power } from "../../expressions/power.ts";
import type { Answer, ValueRules } from "../../expressions/rules.ts";
import { ownOf } from "../../source/ownOf.ts";
import type { Value } from "../../trace/trace.ts";
import { decimal, general } from "../dotnetNumbers.ts";
import { csharpExpressions } from "./syntax.ts";

const types: NumberTypes = {
  whole: new Map(
    Object.entries({
      ...{ sbyte: [8, true], byte: [8, false], short: [16, true], ushort: [16, false], char: [16, false] },
      ...{ int: [32, true], uint: [32, false], long: [64, true], ulong: [64, false] },
    }).map(([name, [bits, hasSign]]) => [name, { bits: Number(bits), signed: hasSign === true }]),
  ),
  real: new Map([
    ["float", 32],
    ["double", 64],
  ]),
  promoted: "int",
  // C# language specification, "Binary numeric promotions".
  common: (one, other) => {
    const both = [one, other];
    if (both.includes("ulong")) return "ulong";
    if (both.includes("long") || both.some((each) => types.whole.get(each)?.signed)) return "long";
    return "uint";
  },
  byZero: "DivideByZeroException: Attempted to divide by zero.",
  shiftsMasked: true,
};

/** The language's names of the types under which values are recorded. */
const plain: Readonly<Record<string, string>> = {
  ...{ Int32: "int", Int64: "long", Int16: "short", Byte: "byte", SByte: "sbyte" },
  ...{ UInt32: "uint", UInt64: "ulong", UInt16: "ushort" },
};

const int = (value: bigint | number) => whole(value, "int");
const double = (value: number) => real(value, "double");
const bool = (value: boolean) => truth(value, "bool");
const string = (value: string) => text(value, "string");

const recorded = (value: Value): Answer => recordedBoxed(value, types, { plain, truth: "bool", text: "string" });

/** A value as it is put behind a text. */
function shown(value: Known): string {
  if (value.kind === "nothing") return "";
  if (value.kind === "text") return value.value;
  if (value.kind === "letter") return String.fromCharCode(value.value);
  if (value.kind === "truth") return value.value ? "True" : "False";
  return value.kind === "real" ? general(value.value, value.type === "float" ? 7 : 15) : write(value);
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
  const isText = (value: Known) => value.kind === "text";
  if (sign === "+" && (isText(left) || isText(right))) {
    if (left.kind === "many" || right.kind === "many")
      return unknown("A list put behind a text is the name of its type.");
    return string(shown(left) + shown(right));
  }
  if (sign === "??") return left.kind === "nothing" ? right : left;
  const plainly = betweenTruths(sign, left, right) ?? betweenNothing(sign, left, right, "bool");
  if (plainly) return plainly;
  if (sign === "==" || sign === "!=") {
    if (left.kind === "text" && right.kind === "text") return bool((left.value === right.value) === (sign === "=="));
  }
  const [one, other] = [numberOf(left), numberOf(right)];
  if (!one || !other) return refused(sign);
  // A constant without a minus counts as a number without a sign there; whether it is one is not known any more.
  const kinds = new Set([one.type, other.type]);
  if (kinds.has("uint") && kinds.has("int") && !/[<>]{2}/.test(sign))
    return unknown("A number that may have a sign beside one that has none is not worked out here.");
  return numbers(types, sign, one, other, bool) ?? refused(sign);
}

function unary(sign: string, operand: Known): Answer {
  if (sign === "!") return operand.kind === "truth" ? bool(!operand.value) : refused(sign);
  const value = numberOf(operand);
  if (value?.type === "uint" && sign === "-") return converted(types, -value.value, "long");
  return (value && signed(types, sign, value)) ?? refused(sign);
}

function cast(type: string, value: Known): Answer {
  const number = numberOf(value);
  if (!number) return type === value.type ? value : refused(`(${type})`);
  const made = converted(types, number.value, type);
  if (typeof number.value === "number" && made.kind === "whole" && made.value !== BigInt(Math.trunc(number.value)))
    return unknown("What becomes of so large a number is not the same everywhere.");
  return made.kind === "whole" && type === "char" ? letter(Number(made.value), "char") : made;
}

function index(object: Known, places: readonly Known[]): Answer {
  const at = places[0] && numberOf(places[0]);
  if (!at || places.length !== 1) return unknown("What stands there is not known here.");
  const outside = raises("IndexOutOfRangeException: Index was outside the bounds of the array.");
  if (object.kind === "text") {
    const code = object.value.charCodeAt(Number(at.value));
    return Number.isNaN(code) ? outside : letter(code, "char");
  }
  // A recording tells arrays and lists alike, and the two stop by other names.
  return object.kind === "many"
    ? (object.items[Number(at.value)] ??
        raises(
          `there is no element ${at.value}: IndexOutOfRangeException of an array, ArgumentOutOfRangeException of a List`,
        ))
    : unknown("What stands there is not known here.");
}

function call(name: string, given: readonly Known[]): Answer | null {
  const [first, second] = given;
  if (!first || given.length > 2) return null;
  const [one, other] = [numberOf(first), second ? numberOf(second) : null];
  if (name === "int.Parse" && first.kind === "text" && !second)
    return /^\s*[+-]?\d+\s*$/.test(first.value)
      ? int(BigInt(first.value.trim().replace(/^\+/, "")))
      : raises("FormatException: Input string was not in a correct format.");
  if (!one) return null;
  const value = Number(one.value);
  if ((name === "Math.Max" || name === "Math.Min") && other) {
    const wider = one.type === other.type ? one.type : commonType(types, one.type, other.type);
    const takesFirst = name === "Math.Max" ? one.value > other.value : one.value < other.value;
    return converted(types, takesFirst ? one.value : other.value, wider);
  }
  if (name === "Math.Abs" && !second)
    return converted(
      types,
      typeof one.value === "bigint" ? (one.value < 0n ? -one.value : one.value) : Math.abs(value),
      one.type,
    );
  if (name === "Math.Pow" && other) {
    const found = power(Number(value), Number(other.value));
    return found === null ? unknown("So large or uneven a power is not worked out here.") : double(found);
  }
  const real1: Record<string, (given: number) => number> = {
    ...{ "Math.Sqrt": Math.sqrt, "Math.Floor": Math.floor, "Math.Ceiling": Math.ceil, "Math.Truncate": Math.trunc },
  };
  const work = ownOf(real1, name);
  return work && !second ? double(work(value)) : null;
}

function method(object: Known, name: string, given: readonly Known[]): Answer | null {
  if (object.kind === "nothing") return raises("NullReferenceException");
  if (object.kind !== "text")
    return name === "ToString" && given.length === 0 && object.kind !== "many" ? string(shown(object)) : null;
  const [first, second] = given;
  const { value } = object;
  if (!first) {
    if (name === "ToUpper") return string(value.toUpperCase());
    if (name === "ToLower") return string(value.toLowerCase());
    return name === "Trim" ? string(value.trim()) : null;
  }
  if (name === "Substring") {
    const at = Number(numberOf(first)?.value);
    const length = second ? Number(numberOf(second)?.value) : value.length - at;
    if (!(at >= 0 && length >= 0 && at + length <= value.length)) return raises("ArgumentOutOfRangeException");
    return string(value.slice(at, at + length));
  }
  if (second || first.kind !== "text") return null;
  if (name === "Equals") return bool(value === first.value);
  if (name === "Contains") return bool(value.includes(first.value));
  if (name === "StartsWith") return bool(value.startsWith(first.value));
  return name === "EndsWith" ? bool(value.endsWith(first.value)) : null;
}

/** How C# works out expressions (C# language specification, "Expressions"; numbers wrap as they do unless `checked` is said). */
export const csharpValues: ValueRules = {
  ...{ reads: csharpExpressions, recorded, binary, unary, cast, index, call, method, write, truth: bool },
  literal: (node) => {
    const source = node.sign ?? "";
    if (source === "null") return { kind: "nothing", type: "null" };
    if (source === "true" || source === "false") return bool(source === "true");
    if (source.startsWith("'")) return readLetter(source, "char");
    if (/^[@$]?"/.test(source)) {
      const inside = source.startsWith('"') ? unescaped(source.slice(1, -1)) : null;
      return inside === null ? unknown("This text is not taken apart here.") : string(inside);
    }
    const suffix = /[uUlL]*$/.exec(source)?.[0].toLowerCase() ?? "";
    const value = readWhole(source.slice(0, source.length - suffix.length), false);
    if (value !== null) return whole(value, literalType(value, suffix));
    const found = /^(\d*\.?\d*(?:[eE][+-]?\d+)?)([fFdD]?)$/.exec(source.replaceAll("_", ""));
    if (!found) return unknown("This number is not taken apart here.");
    return /f/i.test(found[2] ?? "") ? real(Math.fround(Number(found[1])), "float") : double(Number(found[1]));
  },
  cuts: { "&&": { when: false }, "||": { when: true } },
  isTrue: (value) => (value.kind === "truth" ? value.value : unknown("The translator refuses this as a condition.")),
  field: (object, name) => {
    if (object.kind === "text" && name === "Length") return int(object.value.length);
    if (object.kind === "many" && (name === "Length" || name === "Count")) return int(object.items.length);
    return unknown("What stands there is not known here.");
  },
  choice: (taken, other) => {
    const [one, two] = [numberOf(taken), isUnknown(other) ? null : numberOf(other)];
    if (!one || !two || one.type === two.type) return taken;
    return converted(types, one.value, commonType(types, one.type, two.type));
  },
};

/** C# language specification, "Integer literals": the first of the types that holds the number. */
function literalType(value: bigint, suffix: string): string {
  const long = suffix.includes("l");
  const unsigned = suffix.includes("u");
  if (!long && !unsigned && value < 2n ** 31n) return "int";
  if (!long && value < 2n ** 32n) return "uint";
  return unsigned || value >= 2n ** 63n ? "ulong" : "long";
}
