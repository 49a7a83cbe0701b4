import { asText, asTruth, asValue, converted } from "./convert.ts";
import { type Context, note, type Value } from "./program.ts";
import type { Place } from "./tree.ts";
import {
  basic,
  commonNumber,
  isEnumeration,
  isNamed,
  isNumber,
  isObject,
  isText,
  isWhole,
  limitsOf,
  nameOfBasic,
  shownType,
  type Type,
} from "./types.ts";

const signsBelow: Readonly<Record<string, string>> = {
  "=": "==",
  "<>": "!=",
  mod: "%",
  "\\": "/",
  and: "&",
  or: "|",
  xor: "^",
};
const comparisons = new Set(["=", "<>", "<", "<=", ">", ">="]);
const calculations = new Set(["+", "-", "*", "mod", "\\", "/", "^"]);

/** An enumeration counts as the whole number behind it; a truth value as -1 or 0. */
const counted = (type: Type): Type =>
  isEnumeration(type) ? basic("Integer") : isNamed(type, "Boolean") ? basic("Short") : type;

/** Two values and the sign between them. Where the sign has no meaning for their types it is refused (BC30452). */
export function combined(context: Context, sign: string, left: Value, right: Value, place: Place): Value {
  if (left.type.kind === "none" || right.type.kind === "none") {
    note(context, place, "BC30491", "This gives no value: what is called is a Sub.");
    return asValue("default(object)", { kind: "any" });
  }
  if (sign === "&") {
    const constant = left.constant !== null && right.constant !== null && isText(left.type) && isText(right.type);
    return asValue(
      `(${asText(left)} + ${asText(right)})`,
      basic("String"),
      constant ? `${left.constant}${right.constant}` : null,
    );
  }
  if (sign === "is" || sign === "isnot") return identity(context, sign, left, right, place);
  if (sign === "like") {
    const [text, form] = [
      converted(context, left, basic("String"), place),
      converted(context, right, basic("String"), place),
    ];
    return asValue(`BentNail.Basic.Texts.Like(${text}, ${form})`, basic("Boolean"));
  }
  if (sign === "andalso" || sign === "orelse")
    return asValue(
      `(${asTruth(context, left, place)} ${sign === "andalso" ? "&&" : "||"} ${asTruth(context, right, place)})`,
      basic("Boolean"),
    );
  if (isLate(left) || isLate(right)) return late(context, sign, left, right, place);
  if (comparisons.has(sign)) return compared(context, sign, left, right, place);
  if (sign === "and" || sign === "or" || sign === "xor") return bits(context, sign, left, right, place);
  if (sign === "<<" || sign === ">>") {
    const type = isWhole(left.type) ? left.type : basic("Long");
    return asValue(
      `(${converted(context, left, type, place)} ${sign} ${converted(context, right, basic("Integer"), place)})`,
      type,
    );
  }
  if (calculations.has(sign)) return calculated(context, sign, left, right, place);
  return undefinedFor(context, sign, left, right, place);
}

const isLate = ({ type }: Value): boolean => isObject(type) || type.kind === "any";

function undefinedFor(context: Context, sign: string, left: Value, right: Value, place: Place): Value {
  note(
    context,
    place,
    "BC30452",
    `'${sign}' is not defined for values of the types '${shownType(left.type)}' and '${shownType(right.type)}'.`,
  );
  return asValue("default(object)", { kind: "any" });
}

function identity(context: Context, sign: string, left: Value, right: Value, place: Place): Value {
  for (const each of [left, right])
    if (each.type.kind === "basic" && !isNamed(each.type, "String", "Object"))
      note(context, place, "BC30020", `Is compares objects; '${shownType(each.type)}' is a plain value.`);
  return asValue(`${sign === "is" ? "" : "!"}object.ReferenceEquals(${left.code}, ${right.code})`, basic("Boolean"));
}

/** What is known only when the program runs is worked out by its types there (runners/basic/Late.cs). */
function late(context: Context, sign: string, left: Value, right: Value, place: Place): Value {
  if (context.unit.strict && (isObject(left.type) || isObject(right.type)))
    note(context, place, "BC30038", `Option Strict On: '${sign}' is not there for values of the type 'Object'.`);
  const truth = comparisons.has(sign);
  return asValue(
    `BentNail.Basic.Late.${truth ? "Compare" : "Work"}(${JSON.stringify(sign)}, ${left.code}, ${right.code})`,
    basic(truth ? "Boolean" : "Object"),
  );
}

function compared(context: Context, sign: string, left: Value, right: Value, place: Place): Value {
  const truth = basic("Boolean");
  const [one, other] = [left.type, right.type];
  const below = signsBelow[sign] ?? sign;
  const textual = (type: Type) => isNamed(type, "String", "Char") || type.kind === "nothing";
  if (textual(one) && textual(other) && (isText(one) || isText(other) || one.kind === "nothing")) {
    const texts = [left, right].map((each) =>
      each.type.kind === "nothing" ? "null" : converted(context, each, basic("String"), place),
    );
    return asValue(`(BentNail.Basic.Texts.Compare(${texts.join(", ")}) ${below} 0)`, truth);
  }
  if (isNamed(one, "Char") && isNamed(other, "Char")) return asValue(`(${left.code} ${below} ${right.code})`, truth);
  if (isNamed(one, "Date") && isNamed(other, "Date")) return asValue(`(${left.code} ${below} ${right.code})`, truth);
  if (isNamed(one, "Boolean") && isNamed(other, "Boolean") && (sign === "=" || sign === "<>"))
    return asValue(`(${left.code} ${below} ${right.code})`, truth);
  const pair = numbers(context, left, right, place);
  if (!pair) return undefinedFor(context, sign, left, right, place);
  return asValue(`(${pair.left} ${below} ${pair.right})`, truth);
}

/** Two values as numbers of one type; a text as a decimal number, which strict rules forbid. Null where one is no number. */
function numbers(
  context: Context,
  left: Value,
  right: Value,
  place: Place,
): { left: string; right: string; type: Type } | null {
  const types = [left.type, right.type].map(counted);
  const isOne = (type: Type | undefined) =>
    type !== undefined && (isNumber(type) || isText(type) || type.kind === "nothing");
  if (!types.every(isOne)) return null;
  const [one = basic("Double"), other = basic("Double")] = types.map((type) => (isText(type) ? basic("Double") : type));
  const name =
    one.kind === "nothing"
      ? (nameOfBasic(other) ?? "Integer")
      : other.kind === "nothing"
        ? (nameOfBasic(one) ?? "Integer")
        : commonNumber(one, other);
  const type = basic(name);
  return { left: converted(context, left, type, place), right: converted(context, right, type, place), type };
}

function bits(context: Context, sign: string, left: Value, right: Value, place: Place): Value {
  const truths = [left, right].every(({ type }) => isNamed(type, "Boolean"));
  if (truths) return asValue(`(${left.code} ${signsBelow[sign]} ${right.code})`, basic("Boolean"));
  const pair = numbers(context, left, right, place);
  if (!pair) return undefinedFor(context, sign, left, right, place);
  const type = isWhole(pair.type) ? pair.type : basic("Long");
  const [one, other] = [left, right].map((each) => converted(context, each, type, place));
  return asValue(`(${one} ${signsBelow[sign]} ${other})`, type);
}

function calculated(context: Context, sign: string, left: Value, right: Value, place: Place): Value {
  const textual = (type: Type) => isNamed(type, "String", "Char");
  if (sign === "+" && textual(left.type) && textual(right.type)) return combined(context, "&", left, right, place);
  const pair = numbers(context, left, right, place);
  if (!pair) return undefinedFor(context, sign, left, right, place);
  const constant = folded(context, sign, left, right, pair.type, place);
  if (sign === "^") {
    const [base, power] = [left, right].map((each) => converted(context, each, basic("Double"), place));
    return asValue(`System.Math.Pow(${base}, ${power})`, basic("Double"), constant);
  }
  if (sign === "/") {
    const type = isNamed(pair.type, "Decimal", "Single") ? pair.type : basic("Double");
    const sides = [left, right].map((each) => converted(context, each, type, place));
    return asValue(`(${sides[0]} / ${sides[1]})`, type, constant);
  }
  if (sign === "\\" && !isWhole(pair.type)) {
    const long = basic("Long");
    const sides = [left, right].map((each) => converted(context, each, long, place));
    return asValue(`(${sides[0]} / ${sides[1]})`, long);
  }
  const small = isNamed(pair.type, "Byte", "SByte", "Short", "UShort");
  // A constant 0 is no fault of the text: it is divided by when the line is reached.
  const nought = right.constant === 0 && (sign === "\\" || sign === "mod") && isWhole(pair.type);
  const code = `(${pair.left} ${signsBelow[sign] ?? sign} ${nought ? "BentNail.Basic.To.Nought" : pair.right})`;
  // What the text below makes an int of stays what it is here.
  const cast: Readonly<Record<string, string>> = { Byte: "byte", SByte: "sbyte", Short: "short", UShort: "ushort" };
  return asValue(small ? `((${cast[nameOfBasic(pair.type) ?? ""]})${code})` : code, pair.type, constant);
}

/** What two constants make, worked out before the program runs, and refused where it does not fit or is divided by 0. */
function folded(context: Context, sign: string, left: Value, right: Value, type: Type, place: Place): number | null {
  const [one, other] = [left.constant, right.constant];
  if (typeof one !== "number" || typeof other !== "number") return null;
  if ((sign === "\\" || sign === "mod") && other === 0 && isWhole(type)) {
    note(context, place, "BC30542", "A constant is divided by 0 here.");
    return null;
  }
  const results: Readonly<Record<string, number>> = {
    ...{ "+": one + other, "-": one - other, "*": one * other, "/": one / other, "^": one ** other },
    ...{ "\\": Math.trunc(Math.round(one) / Math.round(other)), mod: one % other },
  };
  const result = results[sign] ?? Number.NaN;
  const limits = sign === "/" || sign === "^" ? undefined : limitsOf[nameOfBasic(type) ?? "Double"];
  if (limits && (result < limits[0] || result > limits[1])) {
    note(context, place, "BC30439", `The constant ${result} does not fit the type '${shownType(type)}'.`);
    return null;
  }
  // Below, decimal numbers are worked out with all their digits; only whole ones are known here.
  return Number.isInteger(result) && Math.abs(result) <= Number.MAX_SAFE_INTEGER && isWhole(type) ? result : null;
}

/** One value and the sign before it. */
export function signed(context: Context, sign: string, value: Value, place: Place): Value {
  if (sign === "(") return { ...value, code: `(${value.code})`, target: "none" };
  if (sign === "not") {
    if (isNamed(value.type, "Boolean")) return asValue(`!${value.code}`, basic("Boolean"));
    if (isLate(value)) return asValue(`!${asTruth(context, value, place)}`, basic("Boolean"));
    const type = isWhole(value.type) ? value.type : basic("Long");
    if (!isNumber(value.type) && !isEnumeration(value.type))
      return asValue(`!${asTruth(context, value, place)}`, basic("Boolean"));
    return asValue(`(${writtenCast(type)}~(${converted(context, value, type, place)}))`, type);
  }
  const constant = typeof value.constant === "number" ? (sign === "-" ? -value.constant : value.constant) : null;
  const type = counted(value.type);
  if (isText(type) || isLate(value))
    return asValue(`(${sign}${converted(context, value, basic("Double"), place)})`, basic("Double"));
  if (!isNumber(type)) {
    note(context, place, "BC30487", `'${sign}' is not defined for a value of the type '${shownType(value.type)}'.`);
    return asValue("0", basic("Integer"));
  }
  const wide = isNamed(type, "Byte", "SByte", "UShort") ? basic("Short") : type;
  return asValue(`(${writtenCast(wide)}(${sign}${converted(context, value, wide, place)}))`, wide, constant);
}

const writtenCast = (type: Type): string =>
  isNamed(type, "Short") ? "(short)" : isNamed(type, "Byte") ? "(byte)" : "";
