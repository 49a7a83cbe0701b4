import { given } from "./calls.ts";
import { converted } from "./convert.ts";
import { libraryMember } from "./library.ts";
import { type Lines, put } from "./lines.ts";
import {
  baseOf,
  type Context,
  controlNamed,
  escaped,
  firstValue,
  isShared,
  membersNamed,
  note,
  type Program,
  pathOf,
  resultOf,
  typeNamed,
  writtenType,
} from "./program.ts";
import type {
  Container,
  Enumeration,
  Field,
  Member,
  Parameter,
  Place,
  Problem,
  Property,
  Routine,
  Statement,
  Unit,
} from "./tree.ts";
import { arrayOf, basic, type Type, withRanks } from "./types.ts";
import { size, written, writtenArray } from "./values.ts";
import { type Body, declare, writeBody } from "./writeStatements.ts";

type Around = { program: Program; unit: Unit; problems: Problem[]; lines: Lines; count: { made: number } };

/** All halves of a class are seen from its first. */
function wholeOf({ program }: Around, container: Container): Container {
  const known = program.types.get(container.name.toLowerCase());
  return known && known.kind !== "enum" && known.halves.includes(container) ? known : container;
}

const contextOf = (around: Around, container: Container): Context => ({
  ...{
    program: around.program,
    unit: around.unit,
    container: wholeOf(around, container),
    problems: around.problems,
    count: around.count,
  },
  ...{ written, routine: null, scopes: [new Map()], withs: [], undeclared: [] },
});

/** Everything is open below: who may use what is looked after before. */
const access = (container: Container, member: { modifiers: ReadonlySet<string> }): string =>
  `public${isShared(container, member) ? " static" : ""}`;

const inheritance = (member: { modifiers: ReadonlySet<string> }): string =>
  member.modifiers.has("mustoverride")
    ? " abstract"
    : member.modifiers.has("overridable")
      ? " virtual"
      : member.modifiers.has("overrides")
        ? " override"
        : "";

const parametersOf = (context: Context, parameters: readonly Parameter[]): string =>
  parameters
    .map(
      (parameter) =>
        `${parameter.byReference ? "ref " : ""}${writtenType(typeNamed(context, parameter.type))} ${escaped(parameter.name)}`,
    )
    .join(", ");

/** True where a list of statements never comes to its end. */
function neverEnds(statements: readonly Statement[]): boolean {
  const last = statements.at(-1);
  if (!last) return false;
  switch (last.kind) {
    case "return":
    case "throw":
    case "end":
      return true;
    case "if":
      return (
        last.branches.some(({ condition }) => condition === null) &&
        last.branches.every((branch) => neverEnds(branch.body))
      );
    case "select":
      return last.cases.some(({ tests }) => tests === null) && last.cases.every((each) => neverEnds(each.body));
    case "try":
      return last.catches.length > 0 && neverEnds(last.body) && last.catches.every((each) => neverEnds(each.body));
    default:
      return false;
  }
}

function writeRoutine(around: Around, container: Container, routine: Routine): void {
  const context = contextOf(around, container);
  const { lines } = around;
  const isNew = routine.name.toLowerCase() === "new" && routine.word === "sub";
  const result = resultOf(context, routine);
  if (routine.word === "function" && !routine.type && around.unit.strict)
    note(context, routine.place, "BC30210", `Option Strict On: the function '${routine.name}' needs a type behind As.`);
  context.routine = {
    name: routine.name,
    word: routine.word,
    type: result,
    shared: isShared(container, routine),
    usesOwnName: false,
  };
  const name = isNew ? container.name : routine.name;
  const head = `${access(container, routine)}${inheritance(routine)} ${isNew ? "" : `${writtenType(result)} `}${escaped(name)}(${parametersOf(context, routine.parameters)})`;
  if (routine.empty) {
    put(lines, routine.place.line, `${head};`);
    return;
  }
  for (const parameter of routine.parameters)
    declare(context, parameter.name, typeNamed({ ...context, problems: [] }, parameter.type), parameter.place);
  const own: Lines = [];
  const body: Body = { context, lines: own, around: [], hoisted: [] };
  checkHandles(context, container, routine);
  writeBody(body, routine.body);
  const extra = [...body.hoisted, ...context.undeclared].map(
    (local) => `${writtenType(local.type)} ${local.code} = ${firstValue(local.type)};`,
  );
  if (context.routine.usesOwnName)
    extra.unshift(`${writtenType(result)} ${escaped(routine.name)} = ${firstValue(result)};`);
  put(
    lines,
    routine.place.line,
    [`${head}${isNew ? baseCall(context, container, routine) : ""} { checked {`, ...extra].join(" "),
  );
  own.forEach((code, at) => {
    if (code) put(lines, at + 1, code);
  });
  const closing =
    result.kind === "none"
      ? "}}"
      : neverEnds(routine.body)
        ? "}}"
        : `return ${context.routine.usesOwnName ? escaped(routine.name) : firstValue(result)}; }}`;
  if (result.kind !== "none" && !context.routine.usesOwnName && !neverEnds(routine.body) && !endless(routine.body))
    note(
      context,
      { line: routine.endLine, column: 1, length: 12 },
      result.kind === "basic" && result.name !== "String" && result.name !== "Object" ? "BC42353" : "BC42105",
      `'${routine.name}' can come to its end without giving a value.`,
      "warning",
    );
  put(lines, routine.endLine, closing);
}

/** True where the last statement is a loop that nothing but Return leaves. */
function endless(statements: readonly Statement[]): boolean {
  const last = statements.at(-1);
  return last?.kind === "loop" && !last.head && !last.tail;
}

/** The events that a routine answers to are events of what is there. */
function checkHandles(context: Context, container: Container, routine: Routine): void {
  for (const { control, event, place } of routine.handles) {
    if (/^(?:me|mybase)$/i.test(control)) {
      if (libraryMember("Form", event)?.special !== "event")
        note(context, place, "BC30590", `The event '${event}' is not found.`);
      continue;
    }
    const known = controlNamed(context, container, control);
    if (!known) note(context, place, "BC30506", `Handles names '${control}', which is not on the form.`);
    else if (libraryMember(known.kind, event)?.special !== "event")
      note(context, place, "BC30590", `'${control}' has no event '${event}'.`);
  }
}

/** What the class that it is made after is handed over first. */
function baseCall(context: Context, container: Container, routine: Routine): string {
  const first = routine.body[0];
  if (
    first?.kind !== "call" ||
    first.call.kind !== "apply" ||
    first.call.of.kind !== "member" ||
    first.call.of.owner?.kind !== "base" ||
    first.call.of.name.toLowerCase() !== "new"
  )
    return "";
  const base = baseOf(context, container);
  if (!base || !("own" in base))
    return ` : base(${first.call.given.flatMap(({ value }) => (value ? [written(context, value).code] : [])).join(", ")})`;
  const makers = membersNamed(context, base.own, "New").flatMap(({ member }) =>
    member.kind === "routine" ? [member] : [],
  );
  return ` : base(${given(context, makers, first.call.given, base.own.name, first.place).code})`;
}

function writeField(around: Around, container: Container, field: Field): void {
  const context = contextOf(around, container);
  const isControl = container.kind === "class" && field.modifiers.has("withevents");
  for (const declared of field.declared) {
    // What stands on a form is made by what stands behind the text.
    if (isControl && controlNamed(context, container, declared.name)) continue;
    const { type, value, constant } = fieldOf(context, declared);
    // Below, only what is known before the program runs may be a constant; who gives it a value all the same is refused before.
    const words =
      field.modifiers.has("const") && constant
        ? "public const"
        : `${access(container, field)}${field.modifiers.has("readonly") ? " readonly" : ""}`;
    put(
      around.lines,
      declared.place.line,
      `${words} ${writtenType(type)} ${escaped(declared.name)}${value === "" ? "" : ` = ${value}`};`,
    );
  }
}

function fieldOf(
  context: Context,
  declared: Field["declared"][number],
): { type: Type; value: string; constant: boolean } {
  const said = declared.type ? typeNamed(context, declared.type) : null;
  if (declared.bounds) {
    const element = withRanks(said ?? basic("Object"), declared.ranks);
    return {
      ...{ type: arrayOf(element, declared.bounds.length), constant: false },
      value: `new ${writtenArray(element, declared.bounds.map((bound) => size(context, bound)).join(", "))}`,
    };
  }
  const wanted = said && withRanks(said, declared.ranks);
  if (!declared.value) {
    const type = wanted ?? basic("Object");
    return { type, value: "", constant: false };
  }
  const value = written(context, declared.value, wanted ?? undefined);
  const type = wanted ?? (value.type.kind === "nothing" || value.type.kind === "none" ? basic("Object") : value.type);
  const code = converted(context, value, type, declared.value.place);
  const constant = value.constant !== null && !/[A-Za-z]\w*\s*\(|^new /.test(code) && type.kind === "basic";
  return { type, value: `checked(${code})`, constant };
}

function writeProperty(around: Around, container: Container, property: Property): void {
  const context = contextOf(around, container);
  const { lines } = around;
  const type = property.type ? typeNamed(context, property.type) : basic("Object");
  const words = `${access(container, property)}${inheritance(property)} ${writtenType(type)} ${escaped(property.name)}`;
  if (!property.get && !property.set) {
    const value = property.value
      ? ` = ${converted(context, written(context, property.value, type), type, property.value.place)};`
      : "";
    // In a structure nothing can be given a value where it is declared.
    put(lines, property.place.line, `${words} { get; set; }${container.kind === "structure" ? "" : value}`);
    return;
  }
  put(lines, property.place.line, `${words} {`);
  if (property.get) writePart(around, container, property, type, "get", property.get);
  if (property.set) writePart(around, container, property, type, "set", property.set);
  put(lines, property.endLine, "}");
}

function writePart(
  around: Around,
  container: Container,
  property: Property,
  type: Type,
  word: "get" | "set",
  part: { line: number; body: Statement[]; endLine: number; parameter?: string },
): void {
  const context = contextOf(around, container);
  const result: Type = word === "get" ? type : { kind: "none" };
  context.routine = {
    name: property.name,
    word,
    type: result,
    shared: isShared(container, property),
    usesOwnName: false,
  };
  if (word === "set") declare(context, part.parameter ?? "value", type, property.place, { code: "value" });
  const own: Lines = [];
  const body: Body = { context, lines: own, around: [], hoisted: [] };
  writeBody(body, part.body);
  const extra = [...body.hoisted, ...context.undeclared].map(
    (local) => `${writtenType(local.type)} ${local.code} = ${firstValue(local.type)};`,
  );
  if (context.routine.usesOwnName)
    extra.unshift(`${writtenType(type)} ${escaped(property.name)} = ${firstValue(type)};`);
  put(around.lines, part.line, [`${word} { checked {`, ...extra].join(" "));
  own.forEach((code, at) => {
    if (code) put(around.lines, at + 1, code);
  });
  put(
    around.lines,
    part.endLine,
    word === "set" || neverEnds(part.body)
      ? "}}"
      : `return ${context.routine.usesOwnName ? escaped(property.name) : firstValue(type)}; }}`,
  );
}

function writeEnumeration(around: Around, container: Container | null, enumeration: Enumeration): void {
  const { lines } = around;
  put(lines, enumeration.place.line, `public enum ${escaped(enumeration.name)} {`);
  const context = container ? contextOf(around, container) : null;
  for (const { name, value, place } of enumeration.members) {
    const code =
      value && context
        ? ` = ${written(context, value).code}`
        : value?.kind === "number"
          ? ` = ${value.text}`
          : value?.kind === "unary" && value.value.kind === "number"
            ? ` = -${value.value.text}`
            : "";
    put(lines, place.line, `${escaped(name)}${code},`);
  }
  put(lines, enumeration.endLine, "}");
}

function checkTwice(around: Around, container: Container): void {
  const seen = new Map<string, { member: Member; place: Place }>();
  for (const member of container.members) {
    const named =
      member.kind === "field"
        ? member.declared.map((each) => ({ name: each.name, place: each.place }))
        : [{ name: member.name, place: member.place }];
    for (const { name, place } of named) {
      const before = seen.get(name.toLowerCase());
      const overloads =
        before?.member.kind === "routine" &&
        member.kind === "routine" &&
        before.member.parameters.length !== member.parameters.length;
      const typed =
        before?.member.kind === "routine" &&
        member.kind === "routine" &&
        before.member.parameters.map((each) => each.type?.name).join() !==
          member.parameters.map((each) => each.type?.name).join();
      if (before && !overloads && !typed)
        around.problems.push({
          place,
          code: before.member.kind === "routine" && member.kind === "routine" ? "BC30269" : "BC30260",
          says: `'${name}' is declared twice in '${container.name}'.`,
          severity: "error",
        });
      seen.set(name.toLowerCase(), { member, place });
    }
  }
}

function writeContainer(around: Around, container: Container): void {
  const { lines } = around;
  const context = contextOf(around, container);
  checkTwice(around, container);
  const base = baseOf(context, context.container);
  if (container.base && !base)
    note(context, container.base.place, "BC30002", `The type '${container.base.name}' is not known.`);
  const above = !base
    ? ""
    : ` : ${"own" in base ? pathOf(base.own) : writtenType({ kind: "library", name: base.library, of: [] })}`;
  const word =
    container.kind === "module" ? "static class" : container.kind === "structure" ? "struct" : "partial class";
  put(
    lines,
    container.place.line,
    `public ${container.modifiers.has("mustinherit") ? "abstract " : ""}${word} ${escaped(container.name)}${above} {`,
  );
  for (const member of container.members) writeMember(around, container, member);
  put(lines, container.endLine, "}");
}

function writeMember(around: Around, container: Container, member: Member): void {
  switch (member.kind) {
    case "routine":
      writeRoutine(around, container, member);
      return;
    case "field":
      if (container.kind === "structure") writeStructureField(around, container, member);
      else writeField(around, container, member);
      return;
    case "property":
      writeProperty(around, container, member);
      return;
    case "enum":
      writeEnumeration(around, container, member);
      return;
    default:
      writeContainer(around, member);
      return;
  }
}

/** Parts of a structure have their first values by themselves. */
function writeStructureField(around: Around, container: Container, field: Field): void {
  const context = contextOf(around, container);
  for (const declared of field.declared) {
    if (declared.bounds)
      note(context, declared.place, "BC31043", "An array in a structure cannot say its bounds: ReDim makes it.");
    let type = declared.type ? typeNamed(context, declared.type) : basic("Object");
    type = declared.bounds ? arrayOf(type, declared.bounds.length) : withRanks(type, declared.ranks);
    put(
      around.lines,
      declared.place.line,
      `${access(container, field)} ${writtenType(type)} ${escaped(declared.name)};`,
    );
  }
}

/** A file in the text that is translated: every line of it has its number. */
export function writeUnit(
  program: Program,
  unit: Unit,
  lineCount: number,
  problems: Problem[],
  count: { made: number },
): string[] {
  const lines: Lines = Array.from({ length: lineCount }, () => "");
  const around: Around = { program, unit, problems, lines, count };
  const write = (member: Member) => {
    if (member.kind === "enum") writeEnumeration(around, null, member);
    else if (member.kind === "module" || member.kind === "class" || member.kind === "structure")
      writeContainer(around, member);
  };
  for (const member of unit.members) {
    if (member.kind === "routine" || member.kind === "field" || member.kind === "property")
      problems.push({
        place: member.place,
        code: "BC30001",
        says: "This stands outside of every Module and Class.",
        severity: "error",
      });
    else write(member);
  }
  return lines;
}
