import { asValue } from "./convert.ts";
import { type LibraryMember, libraryFunction, libraryMember, libraryNamed, libraryValue } from "./library.ts";
import {
  baseOf,
  type Context,
  controlNamed,
  escaped,
  isShared,
  membersNamed,
  note,
  pathOf,
  resultOf,
  typeNamed,
  type Value,
  writtenType,
} from "./program.ts";
import type { Container, Enumeration, Member, Place, Routine } from "./tree.ts";
import { any, arrayOf, basic, basicNamed, shownType, type Type, withRanks } from "./types.ts";

/** What a name leads to. */
export type Found =
  | { is: "value"; value: Value }
  | { is: "type"; type: Type }
  | { is: "space" }
  | { is: "base" }
  | { is: "routines"; routines: Routine[]; of: Container; code: string }
  | { is: "library"; code: string; member: LibraryMember & { special: string }; owner: Value | null }
  | { is: "failed" };

const spaces = new Set([
  "system",
  "microsoft",
  "my",
  "io",
  "collections",
  "generic",
  "text",
  "windows",
  "forms",
  "drawing",
  "visualbasic",
]);

const value = (code: string, type: Type, target: Value["target"], constant: Value["constant"] = null): Found => ({
  is: "value",
  value: { code, type, constant, target },
});

/** What a name by itself leads to: a local name, one of the class or module, of another module, a type, or what the library offers. */
export function found(context: Context, name: string, place: Place): Found {
  const low = name.toLowerCase();
  for (const scope of [...context.scopes].reverse()) {
    const local = scope.get(low);
    if (local)
      return value(
        local.code,
        local.type,
        local.constant !== null ? "constant" : local.fixed ? "readonly" : "variable",
        local.constant,
      );
  }
  const { routine } = context;
  if (routine && routine.name.toLowerCase() === low && (routine.word === "function" || routine.word === "get")) {
    routine.usesOwnName = true;
    return value(escaped(routine.name), routine.type, "variable");
  }
  const own = ownMember(context, name, place);
  if (own) return own;
  for (const module of context.program.modules) {
    const members = membersNamed(context, module, name);
    if (module !== context.container && members[0]) return fromMembers(context, members, pathOf(module), name);
  }
  const declared = context.program.types.get(low);
  if (declared) return { is: "type", type: { kind: "own", declared } };
  const offered = libraryFunction(name);
  if (offered) return { is: "library", code: offered.name, member: offered, owner: null };
  const known = libraryValue(name);
  if (known) return value(known[0], known[1], "constant");
  if (context.unit.imports.some((each) => /^(?:system\.)?math$/i.test(each))) {
    const member = libraryMember("Math", name);
    if (member?.shared) return ofLibrary(member, "System.Math", null);
  }
  const type = basicNamed(name);
  if (type) return { is: "type", type: basic(type) };
  const library = libraryNamed(name);
  if (library) return { is: "type", type: { kind: "library", name: library, of: [] } };
  if (spaces.has(low)) return { is: "space" };
  if (!context.unit.explicit) {
    const local = { name, code: escaped(name), type: basic("Object"), constant: null, fixed: false };
    context.undeclared.push(local);
    context.scopes[0]?.set(low, local);
    return value(local.code, local.type, "variable");
  }
  note(context, place, "BC30451", `'${name}' is not declared.`);
  return { is: "failed" };
}

function ownMember(context: Context, name: string, place: Place): Found | null {
  const { container } = context;
  const members = membersNamed(context, container, name);
  const first = members[0];
  if (first) {
    const shared = isShared(first.of, first.member) || first.member.kind === "enum";
    if (!shared && context.routine?.shared) {
      note(context, place, "BC30369", `'${name}' belongs to an object, and a Shared routine has none.`);
      return { is: "failed" };
    }
    return fromMembers(context, members, shared ? pathOf(first.of) : "this", name);
  }
  const control = container.kind === "class" ? controlNamed(context, container, name) : null;
  if (control)
    return value(`this.${escaped(control.name)}`, { kind: "library", name: control.kind, of: [] }, "readonly");
  const base = baseOf(context, container);
  if (base && "library" in base && container.kind === "class") {
    const member = libraryMember(base.library, name);
    if (member && !/^(?:ToString|Equals|GetType|GetHashCode)$/.test(member.name))
      return ofLibrary(member, "this", null);
  }
  return null;
}

function fromMembers(
  context: Context,
  members: ReadonlyArray<{ member: Member; of: Container }>,
  owner: string,
  name: string,
): Found {
  const first = members[0];
  if (!first) return { is: "failed" };
  const { member, of } = first;
  switch (member.kind) {
    case "routine":
      return {
        is: "routines",
        routines: members.flatMap(({ member: each }) => (each.kind === "routine" ? [each] : [])),
        of,
        code: `${owner}.${escaped(member.name)}`,
      };
    case "field": {
      const declared = member.declared.find((each) => each.name.toLowerCase() === name.toLowerCase());
      if (!declared) return { is: "failed" };
      const constant = member.modifiers.has("const") ? constantOf(declared.value) : null;
      const target = member.modifiers.has("const")
        ? "constant"
        : member.modifiers.has("readonly") && context.routine?.name !== "New"
          ? "readonly"
          : "variable";
      return value(`${owner}.${escaped(declared.name)}`, fieldType(context, declared), target, constant);
    }
    case "property":
      return value(
        `${owner}.${escaped(member.name)}`,
        member.type ? typeNamed(context, member.type) : basic("Object"),
        member.modifiers.has("readonly")
          ? context.routine?.name === "New" && context.container === of
            ? "property"
            : "readonly"
          : "property",
      );
    default:
      return { is: "type", type: { kind: "own", declared: member } };
  }
}

const constantOf = (expression: { kind: string; text?: string; value?: unknown } | null): Value["constant"] =>
  expression?.kind === "number" && /^\d+$/.test(expression.text ?? "")
    ? Number(expression.text)
    : expression?.kind === "text"
      ? String(expression.value)
      : null;

type Declared = Extract<Member, { kind: "field" }>["declared"][number];

/** The type of what is declared: as it is said, else by the first value. */
function fieldType(context: Context, declared: Declared): Type {
  let type: Type = declared.type ? typeNamed({ ...context, problems: [] }, declared.type) : literalType(declared.value);
  if (declared.ranks.length > 0) type = withRanks(type, declared.ranks);
  if (declared.bounds) type = arrayOf(type, declared.bounds.length);
  if (declared.value?.kind === "array") {
    const element = typeNamed({ ...context, problems: [] }, declared.value.type);
    if (!declared.type) type = arrayOf(element, Math.max(1, declared.value.bounds.length));
  }
  return type;
}

function literalType(expression: Declared["value"]): Type {
  if (expression?.kind === "number") return basic(/^\d+$|^&/.test(expression.text) ? "Integer" : "Double");
  if (expression?.kind === "text" || expression?.kind === "pieces") return basic("String");
  return basic(expression?.kind === "truth" ? "Boolean" : "Object");
}

function ofLibrary(member: LibraryMember & { special: string }, owner: string, of: Value | null): Found {
  if (member.method) {
    const at = owner === "System.Math" && member.name === "Round" ? "BentNail.Basic.Maths" : owner;
    return { is: "library", code: `${at}.${member.name}`, member, owner: of };
  }
  return value(`${owner}.${member.name}`, member.type, member.shared ? "readonly" : "property");
}

/** A member of what was found. */
export function memberOf(context: Context, owner: Found, name: string, place: Place): Found {
  switch (owner.is) {
    case "failed":
      return owner;
    case "space":
      return inSpace(name);
    case "base": {
      const base = baseOf(context, context.container);
      if (base && "own" in base) {
        const members = membersNamed(context, base.own, name);
        if (members[0]) return fromMembers(context, members, "base", name);
      }
      const member = libraryMember(base && "library" in base ? base.library : "Object", name);
      if (member) return ofLibrary(member, "base", null);
      return unknown(context, name, "MyBase", place);
    }
    case "type":
      return ofType(context, owner.type, name, place);
    case "routines":
    case "library":
      return ofValue(context, called0(context, owner), name, place);
    case "value":
      return ofValue(context, owner.value, name, place);
  }
}

/** A routine before a dot is called without anything handed over. */
function called0(context: Context, owner: Extract<Found, { is: "routines" | "library" }>): Value {
  if (owner.is === "library") return asValue(`${owner.code}()`, owner.member.type);
  const routine = owner.routines[0];
  return asValue(`${owner.code}()`, routine ? resultOf(context, routine) : any);
}

function inSpace(name: string): Found {
  if (spaces.has(name.toLowerCase())) return { is: "space" };
  const type = basicNamed(name);
  if (type) return { is: "type", type: basic(type) };
  const library = libraryNamed(name);
  return library ? { is: "type", type: { kind: "library", name: library, of: [] } } : { is: "failed" };
}

function unknown(context: Context, name: string, of: string, place: Place): Found {
  const at = { ...place, column: place.column + Math.max(0, place.length - name.length), length: name.length };
  note(context, at, "BC30456", `'${name}' is not a member of '${of}'.`);
  return { is: "failed" };
}

function ofType(context: Context, type: Type, name: string, place: Place): Found {
  if (type.kind === "own") {
    if (type.declared.kind === "enum") return ofEnumeration(context, type.declared, name, place);
    const members = membersNamed(context, type.declared, name);
    const first = members[0];
    if (!first) {
      const control = controlNamed(context, type.declared, name);
      if (control)
        return value(
          `${shownForm(type.declared)}.${escaped(control.name)}`,
          { kind: "library", name: control.kind, of: [] },
          "readonly",
        );
      return unknown(context, name, type.declared.name, place);
    }
    const shared =
      isShared(first.of, first.member) ||
      first.member.kind === "enum" ||
      first.member.kind === "class" ||
      first.member.kind === "structure";
    // A form's name stands for the one that is shown.
    const isForm = context.program.forms.has(type.declared.name.toLowerCase());
    if (!shared && !isForm) {
      note(
        context,
        place,
        "BC30469",
        `'${name}' belongs to an object of '${type.declared.name}': one has to be named.`,
      );
      return { is: "failed" };
    }
    return fromMembers(context, members, shared ? pathOf(first.of) : shownForm(type.declared), name);
  }
  const table = type.kind === "basic" ? type.name : type.kind === "library" ? type.name : "";
  const member = libraryMember(table, name);
  if (!member) return unknown(context, name, table, place);
  return ofLibrary(member, writtenType(type), null);
}

const shownForm = (form: Container): string => `BentNail.Basic.Form.Shown<${pathOf(form)}>()`;

function ofEnumeration(context: Context, declared: Enumeration, name: string, place: Place): Found {
  const member = declared.members.find((each) => each.name.toLowerCase() === name.toLowerCase());
  if (!member) return unknown(context, name, declared.name, place);
  return value(`${pathOf(declared)}.${escaped(member.name)}`, { kind: "own", declared }, "constant");
}

function ofValue(context: Context, owner: Value, name: string, place: Place): Found {
  const { type, code } = owner;
  switch (type.kind) {
    case "any":
      return value(`((dynamic)(${code})).${escaped(name)}`, any, "property");
    case "none":
      note(context, place, "BC30491", "What stands before the dot gives no value.");
      return { is: "failed" };
    case "nothing":
      return { is: "failed" };
    case "own":
      return ofOwn(context, type.declared, owner, name, place);
    case "array": {
      const member = libraryMember("Array", name, [type.of]);
      return member && !member.shared ? ofLibrary(member, code, owner) : unknown(context, name, shownType(type), place);
    }
    case "optional":
      if (/^(?:hasvalue|value)$/i.test(name))
        return value(
          `${code}.${/^v/i.test(name) ? "Value" : "HasValue"}`,
          /^v/i.test(name) ? type.of : basic("Boolean"),
          "none",
        );
      return unknown(context, name, shownType(type), place);
    case "basic": {
      if (type.name === "Object") {
        const member = libraryMember("Object", name);
        if (member && !member.shared) return ofLibrary(member, code, owner);
        if (context.unit.strict) {
          note(context, place, "BC30574", "Option Strict On: what an Object has is not known before the program runs.");
          return { is: "failed" };
        }
        return value(`((dynamic)(${code})).${escaped(name)}`, any, "property");
      }
      const member = libraryMember(type.name, name);
      return member
        ? ofLibrary(member, member.shared ? writtenType(type) : code, owner)
        : unknown(context, name, type.name, place);
    }
    case "library": {
      const member = libraryMember(type.name, name, type.of);
      if (!member) return unknown(context, name, shownType(type), place);
      if (member.special === "event") return value(`${code}.${member.name}`, any, "property");
      return ofLibrary(member, member.shared ? writtenType(type) : code, owner);
    }
  }
}

function ofOwn(context: Context, declared: Container | Enumeration, owner: Value, name: string, place: Place): Found {
  if (declared.kind === "enum") {
    const member = libraryMember("Object", name);
    return member ? ofLibrary(member, owner.code, owner) : unknown(context, name, declared.name, place);
  }
  const members = membersNamed(context, declared, name);
  const first = members[0];
  if (first) {
    const hidden =
      first.member.modifiers.has("private") ||
      (first.member.kind === "field" && first.member.modifiers.has("dim") && declared.kind === "class");
    if (hidden && first.of !== context.container) {
      note(
        context,
        place,
        "BC30389",
        `'${first.of.name}.${name}' is Private: it is known only inside of '${first.of.name}'.`,
      );
      return { is: "failed" };
    }
    return fromMembers(context, members, isShared(first.of, first.member) ? pathOf(first.of) : owner.code, name);
  }
  const control = controlNamed(context, declared, name);
  if (control)
    return value(`${owner.code}.${escaped(control.name)}`, { kind: "library", name: control.kind, of: [] }, "readonly");
  const base = libraryBase(context, declared);
  const member = libraryMember(base, name);
  return member ? ofLibrary(member, owner.code, owner) : unknown(context, name, declared.name, place);
}

/** The library's type that a class is made after in the end. */
function libraryBase(context: Context, declared: Container): string {
  const base = baseOf(context, declared);
  return !base ? "Object" : "library" in base ? base.library : libraryBase(context, base.own);
}
