import { builtins } from "./builtins.ts";
import { op } from "./code.ts";
import { type Compiling, emit, find, gets, patch, problem, sets, slotIn } from "./compiling.ts";
import { type At, type Expression, folded, type Routine } from "./syntaxTree.ts";

function unknownName(unit: Compiling, at: At, name: string): void {
  const says = `The name ${name} is given no value anywhere in the program.`;
  unit.nameProblems.push({ line: at.line, column: at.column, name: "name not known", says });
  emit(unit, at, op.unknown, 0, 0, says);
}
function getName(unit: Compiling, at: At, name: string): void {
  const found = find(unit, name);
  if (found) emit(unit, at, gets[found.where], found.slot, 0, name);
  else if (unit.routineAt.has(folded(name)) || builtins.has(folded(name))) call(unit, at, name, [], true);
  else unknownName(unit, at, name);
}

/** Writes what works an expression out: its value lies on the top. */
export function expression(unit: Compiling, each: Expression): void {
  switch (each.is) {
    case "number":
      emit(unit, each, op.constant, 0, 0, each.whole ? each.value : { real: Number(each.value) });
      return;
    case "text":
    case "truth":
      emit(unit, each, op.constant, 0, 0, each.value);
      return;
    case "name":
      getName(unit, each, each.name);
      return;
    case "list":
      for (const item of each.items) expression(unit, item);
      emit(unit, each, op.list, each.items.length);
      return;
    case "index":
      expression(unit, each.of);
      for (const place of each.places) {
        expression(unit, place);
        emit(unit, each, op.element, 0, 0, nameIn(each));
      }
      return;
    case "field":
      expression(unit, each.of);
      emit(unit, each, op.field, 0, 0, each.name);
      return;
    case "input":
      emit(unit, each, op.input);
      return;
    case "call":
      call(unit, each, each.name, each.given, true);
      return;
    case "unary":
      expression(unit, each.of);
      emit(unit, each, each.sign === "-" ? op.negate : op.not);
      return;
    case "binary": {
      expression(unit, each.left);
      if (each.sign === "and" || each.sign === "or") {
        const cut = emit(unit, each, each.sign === "and" ? op.andThen : op.orElse);
        expression(unit, each.right);
        emit(unit, each, op.truth, 0, 0, each.sign.toUpperCase());
        patch(unit, cut);
        return;
      }
      expression(unit, each.right);
      const quick = {
        "+": op.add,
        "-": op.subtract,
        "<": op.less,
        "≤": op.lessOrEqual,
        ">": op.greater,
        "=": op.equal,
      } as const;
      emit(unit, each, quick[each.sign as keyof typeof quick] ?? op.binary, 0, 0, each.sign);
      return;
    }
  }
}
/** The name whose element or field an expression is, as a message says it. */
function nameIn(each: Expression): string {
  if (each.is === "name") return each.name;
  return each.is === "index" || each.is === "field" ? nameIn(each.of) : "this";
}

/** Writes a call; `asValue`: what it gives is used. */
export function call(unit: Compiling, at: At, name: string, given: readonly Expression[], asValue: boolean): void {
  const index = unit.routineAt.get(folded(name));
  if (index === undefined) {
    if (folded(name) === "eof" && given[0]) {
      expression(unit, given[0]);
      emit(unit, at, op.endOfFile);
      return;
    }
    const builtin = builtins.get(folded(name));
    if (!builtin) {
      const says = `There is no ${asValue ? "function" : "procedure"} with the name ${name}.`;
      unit.nameProblems.push({ line: at.line, column: at.column, name: "routine not known", says });
      emit(unit, at, op.unknown, 0, 0, says);
      return;
    }
    if (given.length < builtin.least || given.length > builtin.most)
      problem(
        unit,
        at,
        "number of values",
        `${builtin.name} is given ${counted(given.length)}, but takes ${builtin.least === builtin.most ? counted(builtin.least) : `${builtin.least} or ${builtin.most}`}.`,
      );
    for (const each of given) expression(unit, each);
    emit(unit, at, op.builtin, 0, 0, { builtin, given: given.length });
    if (!asValue) emit(unit, at, op.drop);
    return;
  }
  const routine = unit.tree.routines[index] as Routine;
  if (given.length !== routine.parameters.length)
    problem(
      unit,
      at,
      "number of values",
      `${routine.name} is given ${counted(given.length)}, but takes ${counted(routine.parameters.length)}.`,
    );
  if (asValue && !routine.gives)
    problem(
      unit,
      at,
      "procedure as value",
      `${routine.name} is a procedure: it gives nothing back that could be used here.`,
    );
  for (const [place, each] of given.entries())
    if (routine.parameters[place]?.byReference) reference(unit, each);
    else expression(unit, each);
  emit(unit, at, op.call, index, asValue ? 1 : 0, given.length);
}
const counted = (count: number) => (count === 0 ? "nothing" : count === 1 ? "1 value" : `${count} values`);

/** What is given by reference: the place itself. */
function reference(unit: Compiling, each: Expression): void {
  if (each.is === "name") {
    const found = find(unit, each.name);
    if (!found) unknownName(unit, each, each.name);
    else if (found.where === "reference") emit(unit, each, op.local, found.slot, 1, each.name);
    else emit(unit, each, found.where === "global" ? op.referToGlobal : op.referToLocal, found.slot, 0, each.name);
  } else if (each.is === "index") {
    toHolder(unit, each);
    emit(unit, each, op.referToElement, 0, 0, nameIn(each));
  } else if (each.is === "field") {
    expression(unit, each.of);
    emit(unit, each, op.referToField, 0, 0, each.name);
  } else
    problem(
      unit,
      each,
      "no target",
      "What is given by reference has to be a name, an element or a field: it may get another value.",
    );
}
/** An element's array and its last position. */
function toHolder(unit: Compiling, each: Extract<Expression, { is: "index" }>): void {
  expression(unit, each.of);
  for (const [at, place] of each.places.entries()) {
    expression(unit, place);
    if (at < each.places.length - 1) emit(unit, each, op.element, 0, 0, nameIn(each));
  }
}

/** Gives the value on the top to a target. */
export function store(unit: Compiling, target: Expression): void {
  if (target.is === "name") {
    if (isConstant(unit, target.name))
      problem(unit, target, "constant changed", `${target.name} is a constant and cannot be given another value.`);
    const found =
      find(unit, target.name) ??
      ({ slot: slotIn(unit.scope, target.name), where: unit.scope === unit.main ? "global" : "local" } as const);
    emit(unit, target, sets[found.where], found.slot, 0, target.name);
  } else if (target.is === "index") {
    toHolder(unit, target);
    emit(unit, target, op.setElement, 0, 0, nameIn(target));
  } else if (target.is === "field") {
    expression(unit, target.of);
    emit(unit, target, op.setField, 0, 0, target.name);
  }
}
function isConstant(unit: Compiling, name: string): boolean {
  const own = unit.scope.routine ? unit.constants.get(unit.scope.routine.name)?.has(folded(name)) : false;
  const isHidden = unit.scope !== unit.main && unit.scope.bySlot.has(folded(name));
  return own === true || (!isHidden && unit.constants.get("")?.has(folded(name)) === true);
}
