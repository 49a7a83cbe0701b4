import { builtins } from "./builtins.ts";
import {
  type CompiledProgram,
  type CompiledRoutine,
  type DeclaredType,
  type Instruction,
  type Op,
  op,
} from "./code.ts";
import type { Problem } from "./lexer.ts";
import { namesIn } from "./names.ts";
import {
  type At,
  type Expression,
  folded,
  type ProgramTree,
  type Routine,
  type Statement,
  type TypeName,
} from "./syntaxTree.ts";

const plainTypes: Readonly<Record<string, DeclaredType>> = {
  ...{ integer: { is: "integer" }, real: { is: "real" }, text: { is: "text" }, character: { is: "character" } },
  ...{ truth: { is: "truth" }, any: { is: "any" } },
};

/** Statements that hold no others: what stands behind one on its line belongs to the same step. */
const simple: ReadonlySet<Statement["is"]> = new Set([
  ...(["assign", "output", "input", "call", "declare", "constant"] as const),
  ...(["openfile", "readfile", "writefile", "closefile"] as const),
]);

/** Where names are found: in the routine that is compiled, else in the whole program. */
type Scope = { routine: CompiledRoutine | null; slots: Array<string | null>; bySlot: Map<string, number> };

/**
 * A program as instructions for the machine. `nameProblems` are names that nothing is known of: they show when their line is
 * reached, or before anything runs, as the style of a course says.
 */
export function compileProgram(tree: ProgramTree): {
  program: CompiledProgram;
  problems: Problem[];
  nameProblems: Problem[];
} {
  const code: Instruction[] = [];
  const problems: Problem[] = [];
  const nameProblems: Problem[] = [];
  const globals: Array<string | null> = [];
  const globalSlots = new Map<string, number>();
  const constants = new Map<string, Set<string>>();
  const main: Scope = { routine: null, slots: globals, bySlot: globalSlots };
  let scope = main;

  const slotIn = (into: Scope, name: string): number => {
    const known = into.bySlot.get(folded(name));
    if (known !== undefined) return known;
    into.slots.push(name);
    into.bySlot.set(folded(name), into.slots.length - 1);
    return into.slots.length - 1;
  };
  for (const name of namesIn(tree.body, "given").values()) slotIn(main, name);
  const ownSlot = (): number => scope.slots.push(null) - 1;

  const records = new Map<string, { name: string; fields: Array<{ name: string; type: DeclaredType }> }>();
  const routines: CompiledRoutine[] = [];
  const routineAt = new Map<string, number>();
  for (const routine of tree.routines) {
    const { line, column } = routine;
    if (routineAt.has(folded(routine.name)))
      problems.push({
        line,
        column,
        name: "routine twice",
        says: `There are two routines with the name ${routine.name}.`,
      });
    else if (builtins.has(folded(routine.name)))
      problems.push({
        line,
        column,
        name: "name of the language",
        says: `${routine.name} is a function of the language; call yours otherwise.`,
      });
    routineAt.set(folded(routine.name), routines.length);
    routines.push({
      ...{ name: routine.name, line, endLine: routine.endLine, begin: 0, slots: [], gives: routine.gives },
      ...{ parameters: [], returns: plainTypes.any as DeclaredType },
    });
  }

  const emit = (at: At, does: Op, a = 0, b = 0, more: unknown = null): number =>
    code.push({ op: does, a, b, with: more, line: at.line }) - 1;
  const patch = (place: number, target = code.length): void => {
    const instruction = code[place];
    if (instruction) instruction.a = target;
  };

  /** A type without its bounds, which the instructions work out. */
  const declared = (type: TypeName): DeclaredType => {
    if (type.is === "array") return { is: "array", of: declared(type.of), dimensions: type.bounds.length };
    if (type.is === "record") return { is: "record", record: folded(type.name) };
    return plainTypes[type.is] ?? { is: "any" };
  };
  const boundsOf = (type: TypeName): Array<readonly [Expression, Expression]> =>
    type.is === "array" ? [...type.bounds, ...boundsOf(type.of)] : [];
  const knowType = (at: At, type: TypeName): void => {
    if (type.is === "array") knowType(at, type.of);
    if (type.is === "record" && !tree.types.some(({ name }) => folded(name) === folded(type.name)))
      problems.push({
        line: at.line,
        column: at.column,
        name: "type not known",
        says: `There is no type ${type.name}.`,
      });
  };
  for (const type of tree.types) {
    for (const field of type.fields) knowType(type, field.type);
    const fields = type.fields.map(({ name, type: own }) => ({ name, type: declared(own) }));
    records.set(folded(type.name), { name: type.name, fields });
  }

  /** Where a name is: its slot, whether it is of the whole program, whether it is another's. */
  const find = (name: string): { slot: number; where: "global" | "local" | "reference" } | null => {
    if (scope !== main) {
      const own = scope.bySlot.get(folded(name));
      if (own !== undefined)
        return { slot: own, where: scope.routine?.parameters[own]?.byReference ? "reference" : "local" };
    }
    const slot = globalSlots.get(folded(name));
    return slot === undefined ? null : { slot, where: "global" };
  };
  const gets = { global: op.global, local: op.local, reference: op.reference } as const;
  const sets = { global: op.setGlobal, local: op.setLocal, reference: op.setReference } as const;

  const unknownName = (at: At, name: string): void => {
    const says = `The name ${name} is given no value anywhere in the program.`;
    nameProblems.push({ line: at.line, column: at.column, name: "name not known", says });
    emit(at, op.unknown, 0, 0, says);
  };
  const getName = (at: At, name: string): void => {
    const found = find(name);
    if (found) emit(at, gets[found.where], found.slot, 0, name);
    else if (routineAt.has(folded(name)) || builtins.has(folded(name))) call(at, name, [], true);
    else unknownName(at, name);
  };

  const expression = (each: Expression): void => {
    switch (each.is) {
      case "number":
        emit(each, op.constant, 0, 0, each.whole ? each.value : { real: Number(each.value) });
        return;
      case "text":
      case "truth":
        emit(each, op.constant, 0, 0, each.value);
        return;
      case "name":
        getName(each, each.name);
        return;
      case "list":
        for (const item of each.items) expression(item);
        emit(each, op.list, each.items.length);
        return;
      case "index":
        expression(each.of);
        for (const place of each.places) {
          expression(place);
          emit(each, op.element, 0, 0, nameIn(each));
        }
        return;
      case "field":
        expression(each.of);
        emit(each, op.field, 0, 0, each.name);
        return;
      case "input":
        emit(each, op.input);
        return;
      case "call":
        call(each, each.name, each.given, true);
        return;
      case "unary":
        expression(each.of);
        emit(each, each.sign === "-" ? op.negate : op.not);
        return;
      case "binary": {
        expression(each.left);
        if (each.sign === "and" || each.sign === "or") {
          const cut = emit(each, each.sign === "and" ? op.andThen : op.orElse);
          expression(each.right);
          emit(each, op.truth, 0, 0, each.sign.toUpperCase());
          patch(cut);
          return;
        }
        expression(each.right);
        const quick = {
          "+": op.add,
          "-": op.subtract,
          "<": op.less,
          "≤": op.lessOrEqual,
          ">": op.greater,
          "=": op.equal,
        } as const;
        emit(each, quick[each.sign as keyof typeof quick] ?? op.binary, 0, 0, each.sign);
        return;
      }
    }
  };
  /** The name whose element or field an expression is, as a message says it. */
  const nameIn = (each: Expression): string =>
    each.is === "name" ? each.name : each.is === "index" || each.is === "field" ? nameIn(each.of) : "this";

  const call = (at: At, name: string, given: readonly Expression[], asValue: boolean): void => {
    const index = routineAt.get(folded(name));
    if (index === undefined) {
      if (folded(name) === "eof" && given[0]) {
        expression(given[0]);
        emit(at, op.endOfFile);
        return;
      }
      const builtin = builtins.get(folded(name));
      if (!builtin) {
        const says = `There is no ${asValue ? "function" : "procedure"} with the name ${name}.`;
        nameProblems.push({ line: at.line, column: at.column, name: "routine not known", says });
        emit(at, op.unknown, 0, 0, says);
        return;
      }
      if (given.length < builtin.least || given.length > builtin.most)
        problems.push({
          ...{ line: at.line, column: at.column, name: "number of values" },
          says: `${builtin.name} is given ${counted(given.length)}, but takes ${builtin.least === builtin.most ? counted(builtin.least) : `${builtin.least} or ${builtin.most}`}.`,
        });
      for (const each of given) expression(each);
      emit(at, op.builtin, 0, 0, { builtin, given: given.length });
      if (!asValue) emit(at, op.drop);
      return;
    }
    const routine = tree.routines[index] as Routine;
    if (given.length !== routine.parameters.length)
      problems.push({
        ...{ line: at.line, column: at.column, name: "number of values" },
        says: `${routine.name} is given ${counted(given.length)}, but takes ${counted(routine.parameters.length)}.`,
      });
    if (asValue && !routine.gives)
      problems.push({
        ...{ line: at.line, column: at.column, name: "procedure as value" },
        says: `${routine.name} is a procedure: it gives nothing back that could be used here.`,
      });
    for (const [place, each] of given.entries())
      if (routine.parameters[place]?.byReference) reference(each);
      else expression(each);
    emit(at, op.call, index, asValue ? 1 : 0, given.length);
  };
  const counted = (count: number) => (count === 0 ? "nothing" : count === 1 ? "1 value" : `${count} values`);

  /** What is given by reference: the place itself. */
  const reference = (each: Expression): void => {
    if (each.is === "name") {
      const found = find(each.name);
      if (!found) unknownName(each, each.name);
      else if (found.where === "reference") emit(each, op.local, found.slot, 1, each.name);
      else emit(each, found.where === "global" ? op.referToGlobal : op.referToLocal, found.slot, 0, each.name);
    } else if (each.is === "index") {
      toHolder(each);
      emit(each, op.referToElement, 0, 0, nameIn(each));
    } else if (each.is === "field") {
      expression(each.of);
      emit(each, op.referToField, 0, 0, each.name);
    } else
      problems.push({
        ...{ line: each.line, column: each.column, name: "no target" },
        says: "What is given by reference has to be a name, an element or a field: it may get another value.",
      });
  };
  /** An element's array and its last position. */
  const toHolder = (each: Extract<Expression, { is: "index" }>): void => {
    expression(each.of);
    for (const [at, place] of each.places.entries()) {
      expression(place);
      if (at < each.places.length - 1) emit(each, op.element, 0, 0, nameIn(each));
    }
  };

  /** Gives the value on the top to a target. */
  const store = (target: Expression): void => {
    if (target.is === "name") {
      if (isConstant(target.name))
        problems.push({
          ...{ line: target.line, column: target.column, name: "constant changed" },
          says: `${target.name} is a constant and cannot be given another value.`,
        });
      const found =
        find(target.name) ??
        ({ slot: slotIn(scope, target.name), where: scope === main ? "global" : "local" } as const);
      emit(target, sets[found.where], found.slot, 0, target.name);
    } else if (target.is === "index") {
      toHolder(target);
      emit(target, op.setElement, 0, 0, nameIn(target));
    } else if (target.is === "field") {
      expression(target.of);
      emit(target, op.setField, 0, 0, target.name);
    }
  };
  const isConstant = (name: string): boolean => {
    const own = scope.routine ? constants.get(scope.routine.name)?.has(folded(name)) : false;
    const isHidden = scope !== main && scope.bySlot.has(folded(name));
    return own === true || (!isHidden && constants.get("")?.has(folded(name)) === true);
  };

  /** The line whose step has begun and goes on straight; 0 where another way may lead to what follows. */
  let onLine = 0;
  const statements = (all: readonly Statement[], from = 0): void => {
    onLine = from;
    for (const each of all) {
      statement(each);
      onLine = simple.has(each.is) ? each.line : 0;
    }
  };
  /** Begins a step, but where a statement stands behind another one on the same line. */
  const beginLine = (each: Statement): void => {
    if (each.line !== onLine) emit(each, op.line);
  };
  const statement = (each: Statement): void => {
    switch (each.is) {
      case "assign":
        beginLine(each);
        expression(each.value);
        store(each.target);
        return;
      case "output":
        beginLine(each);
        for (const item of each.items) expression(item);
        emit(each, op.output, each.items.length);
        return;
      case "input":
        beginLine(each);
        if (each.prompt) {
          expression(each.prompt);
          emit(each, op.output, 1, 1);
        }
        for (const target of each.targets) {
          emit(each, op.input);
          store(target);
        }
        return;
      case "if": {
        const ends: number[] = [];
        for (const [at, arm] of each.arms.entries()) {
          emit(arm, op.line);
          expression(arm.condition);
          const next = emit(arm, op.jumpUnless, 0, 1, "The condition of IF");
          statements(arm.body, arm.line);
          if (at < each.arms.length - 1 || each.otherwise) ends.push(emit(each, op.jump));
          patch(next);
        }
        statements(each.otherwise ?? [], each.arms.at(-1)?.line);
        for (const end of ends) patch(end);
        return;
      }
      case "case": {
        const value = ownSlot();
        emit(each, op.line);
        expression(each.of);
        emit(each, scope === main ? op.setGlobal : op.setLocal, value, 1);
        const ends: number[] = [];
        for (const arm of each.arms) {
          emit(arm, op.line);
          const hits: number[] = [];
          for (const test of arm.tests) {
            emit(arm, scope === main ? op.global : op.local, value, 1);
            expression(test.from);
            if (test.to) expression(test.to);
            emit(arm, op.caseTest, 0, test.to ? 1 : 0);
            const miss = emit(arm, op.jumpUnless, 0, 0, "A case");
            hits.push(emit(arm, op.jump));
            patch(miss);
          }
          const over = emit(arm, op.jump);
          for (const hit of hits) patch(hit);
          statements(arm.body, arm.line);
          ends.push(emit(arm, op.jump));
          patch(over);
        }
        statements(each.otherwise ?? [], each.arms.at(-1)?.line);
        for (const end of ends) patch(end);
        return;
      }
      case "for": {
        const found = find(each.counter) ?? { slot: slotIn(scope, each.counter), where: "local" as const };
        const isGlobal = found.where === "global";
        if (found.where === "reference")
          problems.push({
            ...{ line: each.line, column: each.column, name: "counter by reference" },
            says: `${each.counter} is given by reference and cannot count a loop.`,
          });
        const saved = scope;
        if (isGlobal) scope = main;
        const [limit, step] = [ownSlot(), ownSlot()];
        scope = saved;
        const slots = { counter: found.slot, limit, step, isGlobal, name: each.counter };
        emit(each, op.line);
        expression(each.from);
        expression(each.to);
        if (each.step) expression(each.step);
        else emit(each, op.constant, 0, 0, 1);
        emit(each, op.forBegin, 0, 0, slots);
        const test = emit(each, op.forTest, 0, 0, slots);
        statements(each.body, each.line);
        // The header stands in the recording once for each pass.
        emit(each, op.line);
        emit(each, op.forNext, 0, 0, slots);
        emit(each, op.jump, test);
        patch(test);
        return;
      }
      case "each": {
        const found = find(each.name) ?? { slot: slotIn(scope, each.name), where: "local" as const };
        const [list, at] = [ownSlot(), ownSlot()];
        const isGlobal = scope === main;
        emit(each, op.line);
        expression(each.of);
        emit(each, isGlobal ? op.setGlobal : op.setLocal, list, 1);
        emit(each, op.constant, 0, 0, 0);
        emit(each, isGlobal ? op.setGlobal : op.setLocal, at, 1);
        const test = emit(each, op.eachTest, 0, 0, { list, at, isGlobal });
        emit(each, sets[found.where], found.slot, 0, each.name);
        statements(each.body, each.line);
        emit(each, op.line);
        emit(each, op.jump, test);
        patch(test);
        return;
      }
      case "while": {
        const begin = emit(each, op.line);
        expression(each.condition);
        const leave = emit(each, op.jumpUnless, 0, 1, "The condition of WHILE");
        statements(each.body, each.line);
        emit(each, op.jump, begin);
        patch(leave);
        return;
      }
      case "repeat": {
        const begin = code.length;
        statements(each.body);
        emit({ ...each, line: each.untilLine }, op.line);
        expression(each.condition);
        emit({ ...each, line: each.untilLine }, op.jumpUnless, begin, 1, "The condition of UNTIL");
        return;
      }
      case "call":
        beginLine(each);
        call(each, each.name, each.given, false);
        return;
      case "return":
        beginLine(each);
        if (!scope.routine)
          problems.push({
            line: each.line,
            column: each.column,
            name: "return outside",
            says: "RETURN stands in no function or procedure.",
          });
        else if (scope.routine.gives !== (each.value !== null))
          problems.push({
            ...{ line: each.line, column: each.column, name: "return without value" },
            says: scope.routine.gives
              ? "A function gives a value back: behind RETURN it is missing."
              : "A procedure gives no value back; only a function does.",
          });
        if (each.value) expression(each.value);
        emit(each, op.giveBack, each.value ? 1 : 0);
        return;
      case "declare":
        // A declaration without a value has no step; that of an array or record makes one.
        if (each.type.is === "array" || each.type.is === "record") beginLine(each);
        knowType(each, each.type);
        for (const name of each.names) {
          for (const [from, to] of boundsOf(each.type)) {
            expression(from);
            expression(to);
          }
          const slot = slotIn(scope, name);
          emit(each, scope === main ? op.declareGlobal : op.declareLocal, slot, boundsOf(each.type).length, {
            ...{ type: declared(each.type), name },
          });
        }
        return;
      case "constant": {
        beginLine(each);
        expression(each.value);
        const slot = slotIn(scope, each.name);
        emit(each, scope === main ? op.setGlobal : op.setLocal, slot, 0, each.name);
        const own = scope.routine?.name ?? "";
        constants.set(own, (constants.get(own) ?? new Set()).add(folded(each.name)));
        return;
      }
      case "openfile":
        beginLine(each);
        expression(each.file);
        emit(each, op.openFile, 0, 0, each.use);
        return;
      case "readfile":
        beginLine(each);
        expression(each.file);
        emit(each, op.readFile);
        store(each.target);
        return;
      case "writefile":
        beginLine(each);
        expression(each.file);
        expression(each.value);
        emit(each, op.writeFile);
        return;
      case "closefile":
        beginLine(each);
        expression(each.file);
        emit(each, op.closeFile);
        return;
      case "stop":
        beginLine(each);
        emit(each, op.stop);
        return;
    }
  };

  statements(tree.body);
  emit({ line: 0, column: 0 }, op.stop);
  for (const [index, routine] of tree.routines.entries()) {
    const compiled = routines[index] as CompiledRoutine;
    compiled.begin = code.length;
    compiled.returns = declared(routine.returns);
    scope = { routine: compiled, slots: compiled.slots, bySlot: new Map() };
    for (const { name, type, byReference } of routine.parameters) {
      knowType(routine, type);
      if (scope.bySlot.has(folded(name)))
        problems.push({
          line: routine.line,
          column: routine.column,
          name: "parameter twice",
          says: `${routine.name} has two parameters with the name ${name}.`,
        });
      slotIn(scope, name);
      compiled.parameters.push({ name, byReference, type: declared(type) });
    }
    const declaredHere = namesIn(routine.body, "declared");
    // What is declared in a routine is its own; what is only given a value is, unless the whole program has it.
    for (const [key, name] of namesIn(routine.body, "given"))
      if (declaredHere.has(key) || !globalSlots.has(key)) slotIn(scope, name);
    statements(routine.body);
    emit({ line: routine.endLine, column: 1 }, op.leave, index);
    scope = main;
  }
  return { program: { code, globals, routines, records }, problems, nameProblems };
}
