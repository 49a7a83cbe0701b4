import { halfToEven } from "../../../expressions/halves.ts";
import { type Constant, type Context, isMadeAfter, note, type Value, writtenType } from "./program.ts";
import type { Place } from "./tree.ts";
import {
  basic,
  isEnumeration,
  isNamed,
  isNumber,
  isObject,
  isWhole,
  limitsOf,
  nameOfBasic,
  sameType,
  shownType,
  type Type,
  widens,
} from "./types.ts";

export const asValue = (code: string, type: Type, constant: Constant | null = null): Value => ({
  code,
  type,
  constant,
  target: "none",
});

/** Whether a constant number fits a type without being changed. */
function fits(constant: Constant | null, to: Type): boolean {
  const limits = limitsOf[nameOfBasic(to) ?? "Double"];
  return (
    typeof constant === "number" &&
    Number.isInteger(constant) &&
    limits !== undefined &&
    constant >= limits[0] &&
    constant <= limits[1]
  );
}

/** True where a value can become one of a type at all, be it only when the program runs. */
function canBecome(context: Context, from: Type, to: Type): boolean {
  if (widens(from, to) || isObject(from) || isMadeAfter(context, from, to) || isMadeAfter(context, to, from))
    return true;
  if (from.kind === "array" && to.kind === "array") return sameType(from.of, to.of) && from.rank === to.rank;
  if (isNamed(from, "Date") || isNamed(to, "Date")) return isNamed(from, "String") || isNamed(to, "String");
  if (from.kind === "basic" && to.kind === "basic")
    return !(isNamed(from, "Char") && !isNamed(to, "String")) && !(isNamed(to, "Char") && !isNamed(from, "String"));
  if (isEnumeration(from)) return to.kind === "basic" && !isNamed(to, "Char");
  if (isEnumeration(to)) return from.kind === "basic" && !isNamed(from, "Char");
  if (from.kind === "optional") return canBecome(context, from.of, to);
  if (to.kind === "optional") return canBecome(context, from, to.of);
  return from.kind === "library" && to.kind === "library" && from.name === to.name;
}

/**
 * A value as one of a type, as it is needed at a place. Refuses what cannot be (BC30311), what strict rules forbid (BC30512), and constants that do
 * not fit (BC30439). `asked`: the program asks for it, as CInt does, so that strict rules do not count.
 */
export function converted(context: Context, value: Value, to: Type, place: Place, asked = false): string {
  const { code, type: from } = value;
  if (from.kind === "none") {
    note(context, place, "BC30491", "This gives no value: what is called is a Sub.");
    return `default(${writtenType(to)})`;
  }
  if (to.kind === "any" || to.kind === "none") return code;
  if (from.kind === "nothing")
    return to.kind === "basic" && !isNamed(to, "String", "Object") ? `default(${writtenType(to)})` : code;
  if (sameType(from, to)) return code;
  if (from.kind === "any")
    return isObject(to) ? code : to.kind === "basic" ? byConversion(code, to) : `(${writtenType(to)})(${code})`;
  if (!canBecome(context, from, to)) {
    note(
      context,
      place,
      "BC30311",
      `A value of the type '${shownType(from)}' cannot become one of the type '${shownType(to)}'.`,
    );
    return `default(${writtenType(to)})`;
  }
  const isLost = !widens(from, to) && !isMadeAfter(context, from, to);
  const numberFits = typeof value.constant === "number" && isNumber(to) && fits(value.constant, to) && isWhole(from);
  if (
    typeof value.constant === "number" &&
    isWhole(to) &&
    isNumber(from) &&
    !fits(value.constant, to) &&
    limitsOf[nameOfBasic(to) ?? "Long"]
  ) {
    const rounded = halfToEven(value.constant);
    if (!fits(rounded, to)) {
      note(context, place, "BC30439", `The constant ${value.constant} does not fit the type '${shownType(to)}'.`);
      return "0";
    }
  }
  if (isLost && !asked && context.unit.strict && !numberFits)
    note(
      context,
      place,
      "BC30512",
      `Option Strict On: no silent conversion from '${shownType(from)}' to '${shownType(to)}'.`,
    );
  return changed(context, code, from, to);
}

const literalEnds: Readonly<Record<string, string>> = { Decimal: "m", Single: "f", Double: "d" };

function changed(context: Context, code: string, from: Type, to: Type): string {
  // A number that is written down is one of the type at once, and stays a constant.
  const end = literalEnds[nameOfBasic(to) ?? ""];
  if (end && isNumber(from) && /^\(?-?[\d.]+(?:e[+-]?\d+)?[df]?\)?$/.test(code))
    return code.replace(/[df]?(\)?)$/, `${end}$1`);
  if (isObject(to)) return `(object)(${code})`;
  if (isEnumeration(from) || isEnumeration(to)) {
    if (isNumber(to) || isNumber(from))
      return `(${writtenType(to)})(${isNumber(from) && !isWhole(from) ? byConversion(code, basic("Integer")) : code})`;
    return isNamed(to, "String")
      ? `BentNail.Basic.To.Text((int)(${code}))`
      : `(${writtenType(to)})(${byConversion(code, basic("Integer"))})`;
  }
  if (from.kind === "optional") return changed(context, `(${code}).Value`, from.of, to);
  if (isNumber(from) && isNumber(to) && widens(from, to)) return `(${writtenType(to)})(${code})`;
  if (isWhole(from) && isWhole(to)) return `(${writtenType(to)})(${code})`;
  if (to.kind === "basic") return byConversion(code, to);
  return `(${writtenType(to)})(${code})`;
}

/** A value by the conversions of the language (runners/basic/To.cs). */
function byConversion(code: string, to: Type): string {
  const name = nameOfBasic(to) ?? "Object";
  return name === "Object" ? `(object)(${code})` : `BentNail.Basic.To.${name === "String" ? "Text" : name}(${code})`;
}

/** A condition. */
export const asTruth = (context: Context, value: Value, place: Place): string =>
  converted(context, value, basic("Boolean"), place);

/** A text, for what is joined: every value has one. */
export function asText({ code, type, constant }: Value): string {
  if (isNamed(type, "String")) return constant !== null ? code : `(${code})`;
  if (type.kind === "nothing") return '""';
  if (isEnumeration(type)) return `BentNail.Basic.To.Text((int)(${code}))`;
  return `BentNail.Basic.To.Text(${code})`;
}

/** A text of a program as a literal of the text that is translated. */
export function quoted(text: string): string {
  const byNumber = (sign: string) => `\\u${sign.charCodeAt(0).toString(16).padStart(4, "0")}`;
  return `"${text.replace(/["\\]/g, (sign) => `\\${sign}`).replace(/[^\x20-\x7e]/g, byNumber)}"`;
}
