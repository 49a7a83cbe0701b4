import {
  type Known,
  notTakenApart,
  raises,
  real,
  recordedList,
  text,
  truth,
  unknown,
  whole,
} from "../../expressions/known.ts";
import type { Answer, ValueRules } from "../../expressions/rules.ts";
import { builtins } from "../../interpreters/pseudocode/builtins.ts";
import {
  isReal,
  negate,
  Stop,
  textOf,
  type Value,
  whole as wholeForm,
  worked,
} from "../../interpreters/pseudocode/values.ts";
import type { Value as Recorded } from "../../trace/trace.ts";
import { pseudocodeExpressions } from "./syntax.ts";

const boolean = (value: boolean) => truth(value, "BOOLEAN");
const string = (value: string) => text(value, "STRING");

/** The signs that stand for all of their spellings, as the interpreter knows them. */
const signs: Readonly<Record<string, string>> = {
  ...{ "==": "=", "<>": "≠", "!=": "≠", "<=": "≤", "=<": "≤", ">=": "≥", "=>": "≥" },
  ...{ "−": "-", "–": "-", "×": "*", "÷": "/" },
};
const signOf = (written: string): string => signs[written] ?? written.toLowerCase();

/** A value as the interpreter has it; null for what it is not asked about here. */
function own(value: Known): Value | null {
  if (value.kind === "whole") return wholeForm(value.value);
  if (value.kind === "real") return { real: value.value };
  return value.kind === "truth" || value.kind === "text" ? value.value : null;
}

function known(value: Value): Known | null {
  if (typeof value === "number" || typeof value === "bigint") return whole(value, "INTEGER");
  if (typeof value === "string") return string(value);
  if (typeof value === "boolean") return boolean(value);
  return isReal(value) ? real(value.real, "REAL") : null;
}

/** What the interpreter itself makes of values; where it stops, what it says. */
function asked(given: readonly Known[], work: (...values: Value[]) => Value): Answer {
  const values = given.map(own);
  if (values.some((value) => value === null)) return unknown("Arrays and records are not worked out with here.");
  try {
    return known(work(...(values as Value[]))) ?? unknown("This is not worked out here.");
  } catch (stop) {
    if (stop instanceof Stop) return raises(stop.says);
    throw stop;
  }
}

function recorded(value: Recorded): Answer {
  const { type, text: written } = value;
  if (written === undefined) return recordedList(value, recorded);
  if (type === "STRING") return string(written.slice(1, -1));
  if (type === "BOOLEAN") return boolean(written === "TRUE");
  if (type === "INTEGER" && /^-?\d+$/.test(written)) return whole(BigInt(written), type);
  if (type === "REAL" && !Number.isNaN(Number(written))) return real(Number(written), type);
  return notTakenApart(type);
}

const binary = (sign: string, left: Known, right: Known): Answer =>
  asked([left, right], (one, other) => worked(signOf(sign), one, other));

function isTrue(value: Known): boolean | ReturnType<typeof unknown> {
  return value.kind === "truth" ? value.value : raises("A condition is TRUE or FALSE and nothing else.");
}

/** Where the elements of an array begin, as its recorded type says; 1 where it says nothing. */
const firstOf = (type: string): number => Number(/^list from (-?\d+)$/.exec(type)?.[1] ?? 1);

function index(object: Known, places: readonly Known[]): Answer {
  let found: Known = object;
  for (const place of places) {
    if (found.kind !== "many" || place.kind !== "whole") return unknown("This place is not looked up here.");
    const at = Number(place.value) - firstOf(found.type);
    const item: Known | undefined = found.items[at];
    if (!item) return raises(`There is no position ${place.value}.`);
    found = item;
  }
  return found;
}

function call(name: string, given: readonly Known[]): Answer | null {
  const builtin = builtins.get(name.toLowerCase());
  if (!builtin || given.length < builtin.least || given.length > builtin.most) return null;
  const [first] = given;
  if (builtin.name === "LENGTH" && first?.kind === "many") return whole(first.items.length, "INTEGER");
  return asked(given, (...values) => builtin.gives(values));
}

function write(value: Known): string {
  if (value.kind === "text") return `"${value.value}"`;
  if (value.kind === "many") return `[${value.items.map(write).join(", ")}]`;
  const plain = own(value);
  return plain === null ? value.kind : textOf(plain);
}

/** How pseudocode works out expressions: by the interpreter's own operations. */
export const pseudocodeValues: ValueRules = {
  ...{ reads: pseudocodeExpressions, recorded, isTrue, truth: boolean, binary, index, call, write },
  unary: (sign, operand) => {
    if (sign.toLowerCase() === "not") {
      const holds = isTrue(operand);
      return typeof holds === "boolean" ? boolean(!holds) : holds;
    }
    return sign === "+" ? operand : asked([operand], negate);
  },
  literal: (node) => {
    const source = node.sign ?? "";
    if (node.kind === "text") return string(source.slice(1, -1));
    if (/^(?:true|false)$/i.test(source)) return boolean(source.toLowerCase() === "true");
    if (/^\d+$/.test(source)) return whole(BigInt(source), "INTEGER");
    return /^\d+\.\d+$/.test(source) ? real(Number(source), "REAL") : unknown("This is not taken apart here.");
  },
  cuts: { and: { when: false }, or: { when: true } },
  list: (items) => ({ kind: "many", type: "list", items }),
};
