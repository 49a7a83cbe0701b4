import { close, type Open, readLines } from "./blocks.ts";
import { readExpression, readTypeName } from "./expressions.ts";
import {
  ended,
  expect,
  herePlace,
  lineEnded,
  note,
  peek,
  placeOf,
  type Reader,
  readerOf,
  refuse,
  skipLine,
  take,
  takeIf,
  takeName,
  word,
} from "./reader.ts";
import { readBody, readDeclarators } from "./statements.ts";
import type {
  Container,
  Enumeration,
  Expression,
  Field,
  Member,
  Modifiers,
  Parameter,
  Place,
  Problem,
  Property,
  Routine,
  Unit,
} from "./tree.ts";

const modifierWords = new Set(
  "public private protected friend shared overridable overrides mustoverride notoverridable overloads shadows readonly writeonly withevents partial mustinherit notinheritable default static const dim".split(
    " ",
  ),
);

function readModifiers(reader: Reader): Modifiers {
  const found = new Set<string>();
  while (modifierWords.has(word(reader))) found.add(take(reader).text.toLowerCase());
  return found;
}

function readParameters(reader: Reader): Parameter[] {
  const found: Parameter[] = [];
  if (word(reader) !== "(" || lineEnded(reader)) return found;
  take(reader);
  if (takeIf(reader, ")")) return found;
  do {
    const words = new Set<string>();
    while (/^(?:byval|byref|optional|paramarray)$/.test(word(reader))) words.add(take(reader).text.toLowerCase());
    const { name, place } = takeName(reader, words.size > 0 ? ([...words].at(-1) ?? "(") : "(");
    let ranks = 0;
    if (word(reader) === "(" && /^[,)]$/.test(word(reader, 1))) {
      take(reader);
      ranks = 1;
      while (takeIf(reader, ",")) ranks += 1;
      expect(reader, ")", "BC30198", "A bracket is not closed: ) is expected.");
    }
    let type = takeIf(reader, "as") ? readTypeName(reader) : null;
    if (ranks > 0 && type) type = { ...type, ranks: [...type.ranks, ranks] };
    const value = takeIf(reader, "=") ? readExpression(reader) : null;
    found.push({
      ...{ name, place, type, value, many: words.has("paramarray") },
      ...{ byReference: words.has("byref"), optional: words.has("optional") },
    });
  } while (takeIf(reader, ","));
  expect(reader, ")", "BC30198", "The bracket behind a routine's name is not closed: ) is expected.");
  return found;
}

function readRoutine(open: Open, place: Place, modifiers: Modifiers): Routine {
  const { reader } = open;
  const kind = take(reader).text.toLowerCase() === "function" ? "function" : "sub";
  const isNew = kind === "sub" && word(reader) === "new" && !lineEnded(reader);
  const named = isNew
    ? { name: "New", place: placeOf(take(reader)) }
    : takeName(reader, kind === "sub" ? "Sub" : "Function");
  const parameters = readParameters(reader);
  const type = takeIf(reader, "as") ? readTypeName(reader) : null;
  if (type && kind === "sub")
    note(reader, type.place, "BC30205", "A Sub gives no result, so that no type stands behind it: is it a Function?");
  const handles: Routine["handles"] = [];
  if (takeIf(reader, "handles"))
    do {
      const at = herePlace(reader);
      const control =
        word(reader) === "me" || word(reader) === "mybase" ? take(reader).text : takeName(reader, "Handles").name;
      expect(reader, ".", "BC30287", "A dot and an event are expected behind what is listened to.");
      handles.push({ control, event: takeName(reader, ".").name, place: at });
    } while (takeIf(reader, ","));
  const routine: Routine = {
    ...{
      kind: "routine",
      word: kind,
      name: named.name,
      place: { ...place, length: named.place.column + named.place.length - place.column },
    },
    ...{ modifiers, parameters, type, handles, body: [], endLine: place.line, empty: modifiers.has("mustoverride") },
  };
  if (routine.empty) return routine;
  if (!ended(reader)) {
    note(reader, herePlace(reader), "BC30205", `The statement is over before “${peek(reader)?.text}”.`);
    skipLine(reader);
  }
  open.blocks.push({ block: kind, place });
  routine.body = readBody(open);
  routine.endLine = close(open, kind, place);
  return routine;
}

function readProperty(open: Open, place: Place, modifiers: Modifiers): Property {
  const { reader } = open;
  take(reader);
  const { name } = takeName(reader, "Property");
  const parameters = readParameters(reader);
  let isNew = false;
  let type = null;
  if (takeIf(reader, "as")) {
    isNew = takeIf(reader, "new") !== null;
    type = readTypeName(reader);
    if (isNew && takeIf(reader, "(")) expect(reader, ")", "BC30198", "A bracket is not closed: ) is expected.");
  }
  let value: Expression | null = null;
  if (takeIf(reader, "=")) value = readExpression(reader);
  else if (isNew && type) value = { kind: "new", type, given: [], from: null, members: [], place };
  const property: Property = {
    kind: "property",
    name,
    place,
    modifiers,
    parameters,
    type,
    value,
    get: null,
    set: null,
    endLine: place.line,
  };
  // Without a Get or Set below it the property is only a place for a value.
  const ahead = word(reader);
  const hasParts =
    /^(?:get|set)$/.test(ahead) ||
    (/^(?:private|public|friend|protected)$/.test(ahead) && /^(?:get|set)$/.test(word(reader, 1)));
  if (!hasParts || !lineEnded(reader)) return property;
  open.blocks.push({ block: "property", place });
  readLines(open, [], () => {
    readModifiers(reader);
    const at = herePlace(reader);
    const part = word(reader);
    if (part !== "get" && part !== "set") refuse(reader, "BC30630", "In a property only Get and Set stand.");
    take(reader);
    const given = part === "set" ? readParameters(reader) : [];
    open.blocks.push({ block: part, place: at });
    const body = readBody(open);
    const endLine = close(open, part, at);
    if (part === "get") property.get = { line: at.line, body, endLine };
    else property.set = { line: at.line, body, endLine, parameter: given[0]?.name ?? "value" };
  });
  property.endLine = close(open, "property", place);
  return property;
}

function readEnumeration(open: Open, place: Place, modifiers: Modifiers): Enumeration {
  const { reader } = open;
  take(reader);
  const { name } = takeName(reader, "Enum");
  if (takeIf(reader, "as")) readTypeName(reader);
  open.blocks.push({ block: "enum", place });
  const members: Enumeration["members"] = [];
  readLines(open, [], () => {
    const named = takeName(reader, "Enum");
    members.push({ name: named.name, place: named.place, value: takeIf(reader, "=") ? readExpression(reader) : null });
  });
  return { kind: "enum", outer: null, name, place, modifiers, members, endLine: close(open, "enum", place) };
}

function readContainer(open: Open, place: Place, modifiers: Modifiers): Container {
  const { reader } = open;
  const kind = take(reader).text.toLowerCase() as Container["kind"];
  const { name } = takeName(reader, kind);
  const container: Container = {
    outer: null,
    halves: [],
    kind,
    name,
    place,
    modifiers,
    base: null,
    members: [],
    endLine: place.line,
  };
  open.blocks.push({ block: kind, place });
  readLines(open, [], () => {
    if (takeIf(reader, "inherits")) {
      container.base = readTypeName(reader);
      return;
    }
    if (takeIf(reader, "implements")) {
      readTypeName(reader);
      return;
    }
    const found = readMember(open);
    if (found) container.members.push(found);
  });
  container.endLine = close(open, kind, place);
  return container;
}

function readMember(open: Open): Member | null {
  const { reader } = open;
  const place = herePlace(reader);
  while (word(reader) === "<") passAttribute(reader);
  const modifiers = readModifiers(reader);
  switch (word(reader)) {
    case "sub":
    case "function":
      return readRoutine(open, place, modifiers);
    case "property":
      return readProperty(open, place, modifiers);
    case "enum":
      return readEnumeration(open, place, modifiers);
    case "module":
    case "class":
    case "structure":
      return readContainer(open, place, modifiers);
    case "event":
    case "delegate":
    case "interface":
    case "operator":
    case "declare":
      return refuse(reader, "BN30001", `“${peek(reader)?.text}” is known, but our engine does not run it.`);
  }
  if (modifiers.size > 0) {
    const field: Field = {
      kind: "field",
      place,
      modifiers,
      declared: readDeclarators(reader, [...modifiers].at(-1) ?? ""),
      lastLine: place.line,
    };
    return { ...field, lastLine: reader.tokens[reader.at - 1]?.endLine ?? place.line };
  }
  if (
    /^(?:if|for|while|do|select|try|return|console|exit|with|call|next|throw)$/.test(word(reader)) ||
    /^[=(.]$|^[-+*/&]=$/.test(word(reader, 1))
  )
    return refuse(reader, "BC30689", "A statement stands here outside of every routine.");
  return refuse(reader, "BC30188", `A declaration is expected here, not “${peek(reader)?.text ?? ""}”.`);
}

/** Passes over what stands between < and > before a declaration. */
function passAttribute(reader: Reader): void {
  while (peek(reader) && word(reader) !== ">") take(reader);
  takeIf(reader, ">");
}

const isOn = (reader: Reader): boolean => {
  if (takeIf(reader, "off")) return false;
  takeIf(reader, "on");
  return true;
};

/** Reads a file. What cannot be read is told by `problems`, in the order of the text. */
export function readUnit(text: string, found: Problem[]): Unit {
  const reader = readerOf(text);
  const open: Open = { reader, blocks: [] };
  const unit: Unit = { strict: false, explicit: true, infer: true, imports: [], members: [] };
  readLines(open, [], () => {
    if (takeIf(reader, "option")) {
      const what = peek(reader)?.text.toLowerCase() ?? "";
      take(reader);
      if (what === "strict") unit.strict = isOn(reader);
      else if (what === "explicit") unit.explicit = isOn(reader);
      else if (what === "infer") unit.infer = isOn(reader);
      else if (what === "comparison") take(reader);
      else refuse(reader, "BC30206", "Behind Option stands Strict, Explicit, Infer or Compare.");
      return;
    }
    if (takeIf(reader, "imports")) {
      do unit.imports.push(readTypeName(reader).name);
      while (takeIf(reader, ","));
      return;
    }
    if (word(reader) === "namespace") {
      note(reader, herePlace(reader), "BN30001", "Namespaces are known, but our engine does not run them.");
      skipLine(reader);
      return;
    }
    const member = readMember(open);
    if (member) unit.members.push(member);
  });
  reader.problems.sort((one, other) => one.place.line - other.place.line);
  found.push(...reader.problems);
  return unit;
}
