import type { Container, Enumeration } from "./tree.ts";

/** Types that the language has words for. */
export type BasicName =
  | "Boolean"
  | "Byte"
  | "SByte"
  | "Short"
  | "UShort"
  | "Integer"
  | "UInteger"
  | "Long"
  | "ULong"
  | "Decimal"
  | "Single"
  | "Double"
  | "Char"
  | "String"
  | "Date"
  | "Object";

/** "any": not known to our tables; whatever is done with it is left to the translator below. "none": no value at all. */
export type Type =
  | { kind: "basic"; name: BasicName }
  | { kind: "array"; of: Type; rank: number }
  | { kind: "own"; declared: Container | Enumeration }
  | { kind: "library"; name: string; of: readonly Type[] }
  | { kind: "optional"; of: Type }
  | { kind: "nothing" }
  | { kind: "none" }
  | { kind: "any" };

export const basic = (name: BasicName): Type => ({ kind: "basic", name });
export const arrayOf = (of: Type, rank = 1): Type => ({ kind: "array", of, rank });
/** Arrays of arrays: `()` and `(,)` behind a name, the outermost first. */
export const withRanks = (of: Type, ranks: readonly number[]): Type => ranks.toReversed().reduce(arrayOf, of);
export const none: Type = { kind: "none" };
export const any: Type = { kind: "any" };
export const nothing: Type = { kind: "nothing" };

/** Words of types: as they are written here, and in the text that is translated. */
export const basicTypes: Readonly<Record<BasicName, string>> = {
  ...{ Boolean: "bool", Byte: "byte", SByte: "sbyte", Short: "short", UShort: "ushort", Integer: "int" },
  ...{ UInteger: "uint", Long: "long", ULong: "ulong", Decimal: "decimal", Single: "float", Double: "double" },
  ...{ Char: "char", String: "string", Date: "System.DateTime", Object: "object" },
};

/** Other names of the same types. */
const otherNames: Readonly<Record<string, BasicName>> = {
  ...{ int16: "Short", int32: "Integer", int64: "Long", uint16: "UShort", uint32: "UInteger", uint64: "ULong" },
  datetime: "Date",
};

const byLowName = new Map<string, BasicName>([
  ...(Object.keys(basicTypes) as BasicName[]).map((name) => [name.toLowerCase(), name] as const),
  ...Object.entries(otherNames),
]);

/** A type of the language by its name, in any letter case, also behind `System.`. */
export const basicNamed = (name: string): BasicName | null =>
  byLowName.get(name.toLowerCase().replace(/^system\./, "")) ?? null;

/** Numbers in the order in which each holds all of those before it (language reference, "Widening and narrowing conversions"). */
const widths: Readonly<Partial<Record<BasicName, number>>> = {
  ...{ SByte: 1, Byte: 1, Short: 2, UShort: 2, Integer: 3, UInteger: 3, Long: 4, ULong: 4 },
  ...{ Decimal: 5, Single: 6, Double: 7 },
};
const unsignedNames = new Set<BasicName>(["Byte", "UShort", "UInteger", "ULong"]);

export const nameOfBasic = (type: Type): BasicName | null => (type.kind === "basic" ? type.name : null);
export const isNamed = (type: Type, ...names: BasicName[]): boolean =>
  type.kind === "basic" && names.includes(type.name);
export const isNumber = (type: Type): boolean => type.kind === "basic" && widths[type.name] !== undefined;
export const isWhole = (type: Type): boolean => type.kind === "basic" && (widths[type.name] ?? 9) <= 4;
export const isEnumeration = (type: Type): boolean => type.kind === "own" && type.declared.kind === "enum";
export const isObject = (type: Type): boolean => isNamed(type, "Object");
export const isText = (type: Type): boolean => isNamed(type, "String");

/** The first and last number of a type of whole numbers. */
export const limitsOf: Readonly<Partial<Record<BasicName, readonly [number, number]>>> = {
  ...{ Byte: [0, 255], SByte: [-128, 127], Short: [-32768, 32767], UShort: [0, 65535] },
  ...{ Integer: [-2147483648, 2147483647], UInteger: [0, 4294967295] },
};

/** The type in which two numbers are worked out together. */
export function commonNumber(one: Type, other: Type): BasicName {
  const [first, second] = [nameOfBasic(one) ?? "Integer", nameOfBasic(other) ?? "Integer"];
  const [width, next] = [widths[first] ?? 2, widths[second] ?? 2];
  if (width === next && first !== second) {
    const wider: Readonly<Record<number, BasicName>> = { 1: "Short", 2: "Integer", 3: "Long", 4: "Decimal" };
    return wider[width] ?? "Double";
  }
  const name = width >= next ? first : second;
  // Of an unsigned and a signed number the signed one above holds both.
  const [small, large] = width >= next ? [second, first] : [first, second];
  if (unsignedNames.has(large) && !unsignedNames.has(small) && width !== next)
    return (
      ({ UShort: "Integer", UInteger: "Long", ULong: "Decimal", Byte: "Short" } as const)[large as "UShort"] ?? name
    );
  return widths[name] === undefined ? "Short" : name;
}

export function sameType(one: Type, other: Type): boolean {
  if (one.kind === "basic" && other.kind === "basic") return one.name === other.name;
  if (one.kind === "array" && other.kind === "array") return one.rank === other.rank && sameType(one.of, other.of);
  if (one.kind === "own" && other.kind === "own") return one.declared === other.declared;
  if (one.kind === "optional" && other.kind === "optional") return sameType(one.of, other.of);
  if (one.kind === "library" && other.kind === "library")
    return (
      one.name === other.name &&
      one.of.length === other.of.length &&
      one.of.every((each, at) => sameType(each, other.of[at] ?? any))
    );
  return (
    one.kind === other.kind &&
    one.kind !== "basic" &&
    one.kind !== "array" &&
    one.kind !== "own" &&
    one.kind !== "library"
  );
}

/** A type as a person writes it. */
export function shownType(type: Type): string {
  switch (type.kind) {
    case "basic":
      return type.name;
    case "array":
      return `${shownType(type.of)}(${",".repeat(type.rank - 1)})`;
    case "own":
      return type.declared.name;
    case "library":
      return type.of.length === 0 ? type.name : `${type.name}(Of ${type.of.map(shownType).join(", ")})`;
    case "optional":
      return `${shownType(type.of)}?`;
    case "nothing":
      return "Nothing";
    case "none":
      return "no value";
    case "any":
      return "Object";
  }
}

/** True where a value of one type becomes one of another without anything being lost. */
export function widens(from: Type, to: Type): boolean {
  if (sameType(from, to) || from.kind === "any" || to.kind === "any" || isObject(to) || from.kind === "nothing")
    return true;
  if (from.kind === "basic" && to.kind === "basic") {
    if (from.name === "Char") return to.name === "String";
    const [width, next] = [widths[from.name], widths[to.name]];
    if (width === undefined || next === undefined) return false;
    return width < next && !(unsignedNames.has(to.name) && !unsignedNames.has(from.name));
  }
  if (to.kind === "optional") return widens(from, to.of);
  if (from.kind === "own" && from.declared.kind === "enum" && isNumber(to))
    return (widths[nameOfBasic(to) ?? "Byte"] ?? 0) >= 3;
  return false;
}
