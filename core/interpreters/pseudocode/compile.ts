import { builtins } from "./builtins.ts";
import { type CompiledProgram, type CompiledRoutine, type DeclaredType, op } from "./code.ts";
import { statements } from "./compileStatements.ts";
import { type Compiling, declared, emit, knowType, plainTypes, problem, type Scope, slotIn } from "./compiling.ts";
import type { Problem } from "./lexer.ts";
import { namesIn } from "./names.ts";
import { folded, type ProgramTree } from "./syntaxTree.ts";

/**
 * A program as instructions for the machine. `nameProblems` are names that nothing is known of: they show when their line is
 * reached, or before anything runs, as the style of a course says.
 */
export function compileProgram(tree: ProgramTree): {
  program: CompiledProgram;
  problems: Problem[];
  nameProblems: Problem[];
} {
  const main: Scope = { routine: null, slots: [], bySlot: new Map() };
  const unit: Compiling = {
    ...{ tree, code: [], problems: [], nameProblems: [], main, scope: main, onLine: 0 },
    ...{ routines: [], routineAt: new Map(), constants: new Map() },
  };
  for (const name of namesIn(tree.body, "given").values()) slotIn(main, name);
  knowRoutines(unit);
  const records = recordsOf(unit);
  statements(unit, tree.body);
  emit(unit, { line: 0, column: 0 }, op.stop);
  for (const index of tree.routines.keys()) compileRoutine(unit, index);
  const { code, routines, problems, nameProblems } = unit;
  return { program: { code, globals: main.slots, routines, records }, problems, nameProblems };
}

/** Notes the routines of the program, so that they can be called before they are written. */
function knowRoutines(unit: Compiling): void {
  for (const routine of unit.tree.routines) {
    const { line, name, endLine, gives } = routine;
    if (unit.routineAt.has(folded(name)))
      problem(unit, routine, "routine twice", `There are two routines with the name ${name}.`);
    else if (builtins.has(folded(name)))
      problem(unit, routine, "name of the language", `${name} is a function of the language; call yours otherwise.`);
    unit.routineAt.set(folded(name), unit.routines.length);
    const returns: DeclaredType = plainTypes.any ?? { is: "any" };
    unit.routines.push({ name, line, endLine, begin: 0, slots: [], gives, parameters: [], returns });
  }
}

/** The record types of the program by their folded names. */
function recordsOf(unit: Compiling): CompiledProgram["records"] {
  const records = new Map<string, { name: string; fields: Array<{ name: string; type: DeclaredType }> }>();
  for (const type of unit.tree.types) {
    for (const field of type.fields) knowType(unit, type, field.type);
    const fields = type.fields.map(({ name, type: own }) => ({ name, type: declared(own) }));
    records.set(folded(type.name), { name: type.name, fields });
  }
  return records;
}

/** Writes a routine of the program, with its own scope. */
function compileRoutine(unit: Compiling, index: number): void {
  const routine = unit.tree.routines[index];
  const compiled: CompiledRoutine | undefined = unit.routines[index];
  if (!routine || !compiled) return;
  compiled.begin = unit.code.length;
  compiled.returns = declared(routine.returns);
  const scope: Scope = { routine: compiled, slots: compiled.slots, bySlot: new Map() };
  unit.scope = scope;
  for (const { name, type, byReference } of routine.parameters) {
    knowType(unit, routine, type);
    if (scope.bySlot.has(folded(name)))
      problem(unit, routine, "parameter twice", `${routine.name} has two parameters with the name ${name}.`);
    slotIn(scope, name);
    compiled.parameters.push({ name, byReference, type: declared(type) });
  }
  const declaredHere = namesIn(routine.body, "declared");
  // What is declared in a routine is its own; what is only given a value is, unless the whole program has it.
  for (const [key, name] of namesIn(routine.body, "given"))
    if (declaredHere.has(key) || !unit.main.bySlot.has(key)) slotIn(scope, name);
  statements(unit, routine.body);
  emit(unit, { line: routine.endLine, column: 1 }, op.leave, index);
  unit.scope = unit.main;
}
