import { ownOf } from "../../../source/ownOf.ts";
import { argumentsOf, isKindOf, libraryNamed, writtenLibrary } from "./library.ts";
import type { Container, Enumeration, Expression, Member, Place, Problem, Routine, TypeName, Unit } from "./tree.ts";
import { any, arrayOf, basic, basicNamed, basicTypes, isNumber, type Type } from "./types.ts";

/** What stands on a form: its name and its kind (`TextBox`, `Label` …); `text`: what it shows at first, where that is said. */
export type Control = { name: string; kind: string; text?: string };

/** A whole program: its files, what they declare, and what stands on its forms (by the form's name in lower case). */
export type Program = {
  units: readonly Unit[];
  types: ReadonlyMap<string, Container | Enumeration>;
  modules: readonly Container[];
  forms: ReadonlyMap<string, readonly Control[]>;
};

/** A name that is known inside of a routine. */
export type Local = { name: string; code: string; type: Type; constant: Constant | null; fixed: boolean };

export type Constant = number | string | boolean;

/** A value in the text that is translated. `target`: what may be done with it on a statement's left side. */
export type Value = {
  code: string;
  type: Type;
  constant: Constant | null;
  target: "variable" | "property" | "constant" | "readonly" | "none";
};

/** Where something is written: the file, the class or module, the routine, the names that are known, and what is still to be told. */
export type Context = {
  program: Program;
  unit: Unit;
  container: Container;
  routine: {
    name: string;
    word: "sub" | "function" | "get" | "set";
    type: Type;
    shared: boolean;
    usesOwnName: boolean;
  } | null;
  scopes: Array<Map<string, Local>>;
  withs: Array<{ code: string; type: Type }>;
  problems: Problem[];
  /** How an expression is written (values.ts); `wanted`: the type of the place that it is for. */
  written: (context: Context, expression: Expression, wanted?: Type) => Value;
  /** Declared where no declaration is asked for, to be written at the routine's beginning. */
  undeclared: Local[];
  count: { made: number };
};

export function note(
  context: Context,
  place: Place,
  code: string,
  says: string,
  severity: Problem["severity"] = "error",
): void {
  context.problems.push({ place, code, says, severity });
}

/** Types that are declared, by their names in lower case, those inside of others as well. */
export function declaredTypes(units: readonly Unit[]): {
  types: Map<string, Container | Enumeration>;
  modules: Container[];
} {
  const types = new Map<string, Container | Enumeration>();
  const modules: Container[] = [];
  const add = (member: Member, outer: Container | null) => {
    if (member.kind === "enum" || member.kind === "module" || member.kind === "class" || member.kind === "structure")
      member.outer = outer;
    if (member.kind === "enum") types.set(member.name.toLowerCase(), member);
    if (member.kind !== "module" && member.kind !== "class" && member.kind !== "structure") return;
    const known = types.get(member.name.toLowerCase());
    // The halves of a class that stands in two places are one.
    if (known && known.kind === "class" && member.kind === "class") {
      known.halves.push(member);
      known.base ??= member.base;
    } else types.set(member.name.toLowerCase(), member);
    if (member.kind === "module") modules.push(member);
    for (const inner of member.members) add(inner, member);
  };
  for (const unit of units) for (const member of unit.members) add(member, null);
  return { types, modules };
}

/** What is declared, by the way to it. */
export const pathOf = (declared: Container | Enumeration): string =>
  declared.outer ? `${pathOf(declared.outer)}.${escaped(declared.name)}` : `global::${escaped(declared.name)}`;

/** A type as it is written in the text that is translated. */
export function writtenType(type: Type): string {
  switch (type.kind) {
    case "basic":
      return basicTypes[type.name];
    case "array": {
      // The ranks of lists of lists are written the other way round.
      let inner: Type = type;
      let ranks = "";
      while (inner.kind === "array") {
        ranks += `[${",".repeat(inner.rank - 1)}]`;
        inner = inner.of;
      }
      return writtenType(inner) + ranks;
    }
    case "own":
      return pathOf(type.declared);
    case "library": {
      const name = writtenLibrary(type.name);
      return type.of.length === 0 ? name : `${name}<${type.of.map(writtenType).join(", ")}>`;
    }
    case "optional":
      return `${writtenType(type.of)}?`;
    case "none":
      return "void";
    case "nothing":
    case "any":
      return "object";
  }
}

const reservedBelow = new Set(
  "abstract as base bool break byte case catch char checked class const continue decimal default delegate do double else enum event explicit extern false finally fixed float for foreach goto if implicit in int interface internal is lock long namespace new null object operator out override params private protected public readonly ref return sbyte sealed short sizeof stackalloc static string struct switch this throw true try typeof uint ulong unchecked unsafe ushort using virtual void volatile while".split(
    " ",
  ),
);

/** A student's name in the text that is translated. */
export const escaped = (name: string): string => (reservedBelow.has(name) ? `@${name}` : name);

/** The type that is written at a place; refused where nothing is known by its name. */
export function typeNamed(context: Context, written: TypeName | null): Type {
  if (!written) return basic("Object");
  let type = plainType(context, written);
  if (written.optional) type = { kind: "optional", of: type };
  for (const rank of [...written.ranks].reverse()) type = arrayOf(type, rank);
  return type;
}

function plainType(context: Context, written: TypeName): Type {
  const last = written.name.split(".").at(-1) ?? "";
  const own = context.program.types.get(last.toLowerCase());
  if (own && own.kind !== "module") return { kind: "own", declared: own };
  const known = basicNamed(written.name);
  if (known) return basic(known);
  const library = libraryNamed(written.name);
  if (library) {
    const wanted = ownOf(argumentsOf, library) ?? 0;
    if (wanted !== written.of.length) {
      note(
        context,
        written.place,
        wanted > written.of.length ? "BC32042" : "BC32045",
        `${library} takes ${wanted} types behind Of, not ${written.of.length}.`,
      );
      return any;
    }
    return { kind: "library", name: library, of: written.of.map((each) => typeNamed(context, each)) };
  }
  note(context, written.place, "BC30002", `The type '${written.name}' is not known.`);
  return any;
}

/** What a variable of a type holds before it is given a value. */
export function firstValue(type: Type): string {
  if (isNumber(type)) return "0";
  if (type.kind === "basic") {
    if (type.name === "Boolean") return "false";
    return type.name === "String" || type.name === "Object" ? "null" : `default(${basicTypes[type.name]})`;
  }
  if (type.kind === "own") return type.declared.kind === "class" ? "null" : `default(${writtenType(type)})`;
  return type.kind === "library" && type.name === "KeyValuePair" ? `default(${writtenType(type)})` : "null";
}

/** What a class is made after: another of the program, or one of the library. */
export function baseOf(
  context: Pick<Context, "program">,
  container: Container,
): { own: Container } | { library: string } | null {
  const last = container.base?.name.split(".").at(-1) ?? "";
  const own = container.base ? context.program.types.get(last.toLowerCase()) : undefined;
  if (own && own.kind === "class") return { own };
  const library = container.base ? libraryNamed(container.base.name) : null;
  if (library) return { library };
  return context.program.forms.has(container.name.toLowerCase()) ? { library: "Form" } : null;
}

/** True for a class of the program that is the other one or made after it. */
export function isMadeAfter(context: Pick<Context, "program">, type: Type, other: Type): boolean {
  if (type.kind === "library" && other.kind === "library") return isKindOf(type.name, other.name);
  if (type.kind !== "own" || type.declared.kind === "enum") return false;
  if (other.kind === "own" && other.declared === type.declared) return true;
  const base = baseOf(context, type.declared);
  if (!base) return false;
  return "own" in base
    ? isMadeAfter(context, { kind: "own", declared: base.own }, other)
    : other.kind === "library" && isKindOf(base.library, other.name);
}

/** The members of a class with a name, the nearest first. */
export function membersNamed(
  context: Pick<Context, "program">,
  container: Container,
  name: string,
): Array<{ member: Member; of: Container }> {
  const low = name.toLowerCase();
  const found = [container, ...container.halves]
    .flatMap(({ members }) => members)
    .filter((member) =>
      member.kind === "field"
        ? member.declared.some((each) => each.name.toLowerCase() === low)
        : member.name.toLowerCase() === low,
    )
    .map((member) => ({ member, of: container }));
  if (found.length > 0) return found;
  const base = baseOf(context, container);
  return base && "own" in base ? membersNamed(context, base.own, name) : [];
}

export const controlNamed = (context: Pick<Context, "program">, container: Container, name: string): Control | null =>
  context.program.forms
    .get(container.name.toLowerCase())
    ?.find((each) => each.name.toLowerCase() === name.toLowerCase()) ?? null;

export const isShared = (container: Container, member: { modifiers: ReadonlySet<string> }): boolean =>
  container.kind === "module" || member.modifiers.has("shared") || member.modifiers.has("const");

export const resultOf = (context: Context, routine: Routine): Type =>
  routine.word === "sub" ? { kind: "none" } : routine.type ? typeNamed(context, routine.type) : basic("Object");
