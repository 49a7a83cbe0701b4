import { ownOf } from "../../../source/ownOf.ts";
import { called, given, indexed } from "./calls.ts";
import { asText, asTruth, asValue, converted, quoted } from "./convert.ts";
import { type Found, found, memberOf } from "./names.ts";
import { combined, signed } from "./operators.ts";
import { type Context, escaped, membersNamed, note, typeNamed, type Value, writtenType } from "./program.ts";
import type { Expression, Place } from "./tree.ts";
import {
  any,
  arrayOf,
  type BasicName,
  basic,
  isNumber,
  isText,
  nothing,
  sameType,
  type Type,
  widens,
} from "./types.ts";

const failed = (): Value => asValue("default(object)", any);

/** What an expression is in the text that is translated. What is wrong with it is noted, and it goes on as a value of no known type. */
export function written(context: Context, expression: Expression, wanted?: Type): Value {
  const { place } = expression;
  switch (expression.kind) {
    case "number":
      return numberOf(context, expression.text, place);
    case "text":
      return expression.sign
        ? asValue(`'${charOf(expression.value)}'`, basic("Char"))
        : asValue(quoted(expression.value), basic("String"), expression.value);
    case "pieces":
      return pieces(context, expression);
    case "truth":
      return asValue(String(expression.value), basic("Boolean"), expression.value);
    case "nothing":
      return asValue("null", nothing);
    case "me":
      return me(context, place);
    case "base":
      return asValue("base", any);
    case "name":
    case "member":
    case "apply":
      return settled(context, reached(context, expression), place);
    case "new":
      return made(context, expression);
    case "list":
      return listed(context, expression.items, wanted);
    case "array": {
      const element = typeNamed(context, expression.type);
      if (expression.items?.kind === "list" && expression.items.items.length > 0)
        return listed(context, expression.items.items, arrayOf(element, Math.max(1, expression.bounds.length)));
      const sizes = expression.bounds.map((bound) => size(context, bound));
      return asValue(
        `new ${writtenArray(element, sizes.length > 0 ? sizes.join(", ") : "0")}`,
        arrayOf(element, Math.max(1, sizes.length)),
      );
    }
    case "unary":
      return signed(context, expression.sign, written(context, expression.value), place);
    case "binary":
      return combined(
        context,
        expression.sign,
        written(context, expression.left),
        written(context, expression.right),
        place,
      );
    case "convert":
      return convert(context, expression);
    case "isType": {
      const type = typeNamed(context, expression.type);
      const test = `(${written(context, expression.value).code} is ${writtenType(type)})`;
      return asValue(expression.not ? `!${test}` : test, basic("Boolean"));
    }
    case "choose":
      return chosen(context, expression.given, place);
    case "addressOf": {
      const target = reached(context, expression.of);
      if (target.is === "routines") return asValue(target.code, any);
      note(context, place, "BC30577", "Behind AddressOf stands the name of a routine.");
      return failed();
    }
  }
}

/** One more than the last position. */
export const size = (context: Context, bound: Expression): string => {
  const value = written(context, bound);
  const code = converted(context, value, basic("Integer"), bound.place);
  return typeof value.constant === "number" ? String(value.constant + 1) : `${code} + 1`;
};

/** A new list with its sizes: those of its elements stand behind them where they are lists themselves. */
export function writtenArray(element: Type, sizes: string): string {
  const whole = writtenType(arrayOf(element));
  const at = whole.indexOf("[");
  return `${whole.slice(0, at)}[${sizes}]${whole.slice(whole.indexOf("]") + 1)}`;
}

const charOf = (text: string): string => {
  const sign = text[0] ?? " ";
  return sign === "'" || sign === "\\"
    ? `\\${sign}`
    : /[\x20-\x7e]/.test(sign)
      ? sign
      : `\\u${sign.charCodeAt(0).toString(16).padStart(4, "0")}`;
};

const suffixes: Readonly<Record<string, BasicName>> = {
  ...{
    s: "Short",
    us: "UShort",
    i: "Integer",
    ui: "UInteger",
    l: "Long",
    ul: "ULong",
    f: "Single",
    r: "Double",
    d: "Decimal",
  },
};
const suffixBelow: Readonly<Partial<Record<BasicName, string>>> = {
  Long: "L",
  ULong: "UL",
  UInteger: "U",
  Single: "f",
  Double: "d",
  Decimal: "m",
};

function numberOf(context: Context, text: string, place: Place): Value {
  const isHex = /^&/.test(text);
  const sign = isHex ? "" : (/[a-df-z]+$/i.exec(text)?.[0] ?? "").toLowerCase();
  const digits = text.slice(0, text.length - sign.length).toLowerCase();
  const amount = isHex
    ? Number.parseInt(digits.slice(2).replace(/[^\da-f]/g, ""), digits[1] === "o" ? 8 : 16)
    : Number(digits);
  const whole = isHex || /^\d+$/.test(digits);
  const type: BasicName = suffixes[sign] ?? (whole ? (amount > 2147483647 && !isHex ? "Long" : "Integer") : "Double");
  if (type === "Long" && whole && amount >= 2 ** 63) {
    note(context, place, "BC30036", "The number is too large.");
    return asValue("0", basic("Integer"));
  }
  const shown = isHex
    ? `unchecked((int)${amount})`
    : whole && (type === "Double" || type === "Single")
      ? `${digits}.0`
      : digits.startsWith(".")
        ? `0${digits}`
        : digits;
  const cast = type === "Short" || type === "UShort" ? `(${writtenType(basic(type))})` : "";
  return asValue(
    `${cast}${shown.replace(/^0+(?=\d)/, "")}${suffixBelow[type] ?? ""}`,
    basic(type),
    isHex ? amount | 0 : amount,
  );
}

function pieces(context: Context, expression: Extract<Expression, { kind: "pieces" }>): Value {
  const parts = expression.parts.map((part) => {
    if (typeof part === "string") return quoted(part);
    const value = written(context, part.value);
    return part.form === ""
      ? asText(value)
      : `System.String.Format(${quoted(`{0${part.form}}`)}, (object)(${value.code}))`;
  });
  return asValue(parts.length === 0 ? '""' : `("" + ${parts.join(" + ")})`, basic("String"));
}

function me(context: Context, place: Place): Value {
  if (context.container.kind === "module" || context.routine?.shared) {
    note(context, place, "BC30043", "Me is there only in what belongs to an object.");
    return failed();
  }
  return asValue("this", { kind: "own", declared: context.container });
}

/** What a name, a member or a call leads to. */
export function reached(context: Context, expression: Expression): Found {
  if (expression.kind === "name") return found(context, expression.name, expression.place);
  if (expression.kind === "member") {
    if (!expression.owner) {
      const within = context.withs.at(-1);
      if (!within) {
        note(context, expression.place, "BC30157", "A dot begins a member only inside of With.");
        return { is: "value", value: failed() };
      }
      return memberOf(
        context,
        { is: "value", value: { ...asValue(within.code, within.type), target: "variable" } },
        expression.name,
        expression.place,
      );
    }
    return memberOf(context, reached(context, expression.owner), expression.name, expression.place);
  }
  if (expression.kind === "apply") {
    const of = expression.of;
    const own =
      of.kind === "name" &&
      context.routine?.name.toLowerCase() === of.name.toLowerCase() &&
      context.routine.word === "function";
    const target: Found = own && of.kind === "name" ? ownRoutine(context, of.name, of.place) : reached(context, of);
    return {
      is: "value",
      value:
        target.is === "value"
          ? indexed(context, target.value, expression.given, expression.place)
          : called(context, target, expression.given, expression.place),
    };
  }
  if (expression.kind === "base") return { is: "base" };
  return { is: "value", value: written(context, expression) };
}

/** A function's own name with brackets behind it is a call, not what it gives back. */
function ownRoutine(context: Context, name: string, place: Place): Found {
  const kept = context.routine;
  context.routine = kept && { ...kept, name: "" };
  const target = found(context, name, place);
  context.routine = kept;
  return target;
}

/** A value out of what a name leads to: a routine is called. */
export function settled(context: Context, target: Found, place: Place): Value {
  if (target.is === "value") return target.value;
  if (target.is === "routines" || target.is === "library") return called(context, target, [], place);
  if (target.is === "type") note(context, place, "BC30108", "A type stands here where a value is expected.");
  if (target.is === "space") note(context, place, "BC30112", "A namespace stands here where a value is expected.");
  return failed();
}

function made(context: Context, expression: Extract<Expression, { kind: "new" }>): Value {
  const { place } = expression;
  const type = typeNamed(context, expression.type);
  if (type.kind === "any") return failed();
  let code = "";
  if (type.kind === "own" && type.declared.kind !== "enum") {
    const makers = membersNamed(context, type.declared, "New").flatMap(({ member, of }) =>
      member.kind === "routine" && of === type.declared ? [member] : [],
    );
    const handed = expression.given.map((value) => ({ name: null, value }));
    if (type.declared.modifiers.has("mustinherit"))
      note(
        context,
        place,
        "BC30376",
        `'${type.declared.name}' is a class of which no object can be made (MustInherit).`,
      );
    code =
      makers.length === 0 && handed.length === 0 ? "" : given(context, makers, handed, type.declared.name, place).code;
  } else code = expression.given.map((each) => written(context, each).code).join(", ");
  const filled = expression.members.map((each) => {
    const target = memberOf(context, { is: "value", value: asValue("", type) }, each.name, each.place);
    const wantedType = target.is === "value" ? target.value.type : any;
    return `${escaped(each.name)} = ${converted(context, written(context, each.value, wantedType), wantedType, each.place)}`;
  });
  const items =
    expression.from?.kind === "list" ? expression.from.items.map((item) => itemOf(context, item, type)) : [];
  const braces = [...filled, ...items];
  return asValue(`new ${writtenType(type)}(${code})${braces.length > 0 ? ` { ${braces.join(", ")} }` : ""}`, type);
}

/** One of the values that something new is filled with. */
function itemOf(context: Context, item: Expression, type: Type): string {
  const of = type.kind === "library" ? type.of : [];
  if (item.kind === "list")
    return `{ ${item.items.map((each, at) => converted(context, written(context, each, of[at]), of[at] ?? any, each.place)).join(", ")} }`;
  return converted(context, written(context, item, of[0]), of[0] ?? any, item.place);
}

/** Values in braces: of the type that is wanted, else of the one that holds them all. */
function listed(context: Context, items: readonly Expression[], wanted?: Type): Value {
  const element = wanted?.kind === "array" ? wanted.of : null;
  const rank = wanted?.kind === "array" ? wanted.rank : items[0]?.kind === "list" ? 2 : 1;
  const row = (each: readonly Expression[], depth: number, type: Type): string =>
    `{ ${each.map((item) => (depth < rank && item.kind === "list" ? row(item.items, depth + 1, type) : converted(context, written(context, item, type), type, item.place))).join(", ")} }`;
  if (element)
    return asValue(`new ${writtenType(arrayOf(element, rank))} ${row(items, 1, element)}`, arrayOf(element, rank));
  const flat = items
    .flatMap((item) => (item.kind === "list" ? item.items : [item]))
    .map((item) => written({ ...context, problems: [] }, item).type);
  const type =
    flat.reduce<Type | null>((known, next) => (known === null ? next : widest(known, next)), null) ?? basic("Object");
  return asValue(`new ${writtenType(arrayOf(type, rank))} ${row(items, 1, type)}`, arrayOf(type, rank));
}

function widest(one: Type, other: Type): Type {
  if (sameType(one, other) || widens(other, one)) return one;
  return widens(one, other) ? other : basic("Object");
}

const conversionTypes: Readonly<Record<string, BasicName>> = {
  ...{
    cbool: "Boolean",
    cbyte: "Byte",
    cchar: "Char",
    cdate: "Date",
    cdbl: "Double",
    cdec: "Decimal",
    cint: "Integer",
  },
  ...{ clng: "Long", cobj: "Object", cshort: "Short", csng: "Single", cstr: "String" },
};

function convert(context: Context, { word, type: to, value, place }: Extract<Expression, { kind: "convert" }>): Value {
  const type = to ? typeNamed(context, to) : basic(ownOf(conversionTypes, word) ?? "Object");
  const inner = written(context, value);
  if (word === "trycast") return asValue(`(${inner.code} as ${writtenType(type)})`, type);
  if (isText(type)) return asValue(asText(inner), type);
  return asValue(
    converted(context, inner, type, place, true),
    type,
    isNumber(type) && typeof inner.constant === "number" && Number.isInteger(inner.constant) ? inner.constant : null,
  );
}

function chosen(context: Context, list: readonly Expression[], place: Place): Value {
  const values = list.map((each) => written(context, each));
  if (values.length === 2) {
    const [one = failed(), other = failed()] = values;
    return asValue(`(${one.code} ?? ${other.code})`, one.type.kind === "optional" ? one.type.of : one.type);
  }
  const [condition = failed(), one = failed(), other = failed()] = values;
  const type =
    one.type.kind === "nothing" ? other.type : other.type.kind === "nothing" ? one.type : widest(one.type, other.type);
  return asValue(
    `(${asTruth(context, condition, place)} ? ${converted(context, one, type, place)} : ${converted(context, other, type, place)})`,
    type,
  );
}
