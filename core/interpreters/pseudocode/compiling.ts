import { type CompiledRoutine, type DeclaredType, type Instruction, type Op, op } from "./code.ts";
import type { Problem } from "./lexer.ts";
import { type At, type Expression, folded, type ProgramTree, type TypeName } from "./syntaxTree.ts";

/** Where names are found: in the routine that is compiled, else in the whole program. */
export type Scope = { routine: CompiledRoutine | null; slots: Array<string | null>; bySlot: Map<string, number> };

/** A program while it is compiled: what is written so far, what was found wrong, and where names are. */
export type Compiling = {
  tree: ProgramTree;
  code: Instruction[];
  problems: Problem[];
  /** Names that nothing is known of. */
  nameProblems: Problem[];
  /** The scope of the whole program, and the one that is written now. */
  main: Scope;
  scope: Scope;
  routines: CompiledRoutine[];
  /** The place of a routine among `routines`, by its folded name. */
  routineAt: Map<string, number>;
  /** Folded names of constants by the routine that has them; "" for the whole program. */
  constants: Map<string, Set<string>>;
  /** The line whose step has begun and goes on straight; 0 where another way may lead to what follows. */
  onLine: number;
};

export const plainTypes: Readonly<Record<string, DeclaredType>> = {
  ...{ integer: { is: "integer" }, real: { is: "real" }, text: { is: "text" }, character: { is: "character" } },
  ...{ truth: { is: "truth" }, any: { is: "any" } },
};

/** The slot of a name in a scope; a new one where it has none. */
export function slotIn(into: Scope, name: string): number {
  const known = into.bySlot.get(folded(name));
  if (known !== undefined) return known;
  into.slots.push(name);
  into.bySlot.set(folded(name), into.slots.length - 1);
  return into.slots.length - 1;
}

/** A slot of the scope that no name of the program has. */
export const ownSlot = ({ scope }: Compiling): number => scope.slots.push(null) - 1;

/** Where a name is: its slot, whether it is of the whole program, whether it is another's. */
export type Found = { slot: number; where: "global" | "local" | "reference" };

/** Where a name is found from the scope that is written now; null where nothing is known of it. */
export function find({ scope, main }: Compiling, name: string): Found | null {
  if (scope !== main) {
    const own = scope.bySlot.get(folded(name));
    if (own !== undefined)
      return { slot: own, where: scope.routine?.parameters[own]?.byReference ? "reference" : "local" };
  }
  const slot = main.bySlot.get(folded(name));
  return slot === undefined ? null : { slot, where: "global" };
}

export const gets = { global: op.global, local: op.local, reference: op.reference } as const;
export const sets = { global: op.setGlobal, local: op.setLocal, reference: op.setReference } as const;

/** Writes an instruction; gives its place in the code. */
export function emit({ code }: Compiling, at: At, does: Op, a = 0, b = 0, more: unknown = null): number {
  return code.push({ op: does, a, b, with: more, line: at.line }) - 1;
}

/** Lets the jump at a place lead to `target`, or to what is written next. */
export function patch({ code }: Compiling, place: number, target = code.length): void {
  const instruction = code[place];
  if (instruction) instruction.a = target;
}

/** Notes what is wrong at a place, by a short name and in words. */
export function problem({ problems }: Compiling, { line, column }: At, name: string, says: string): void {
  problems.push({ line, column, name, says });
}

/** A type without its bounds, which the instructions work out. */
export function declared(type: TypeName): DeclaredType {
  if (type.is === "array") return { is: "array", of: declared(type.of), dimensions: type.bounds.length };
  if (type.is === "record") return { is: "record", record: folded(type.name) };
  return plainTypes[type.is] ?? { is: "any" };
}

/** The bounds of an array and of what it holds, from the outside in. */
export const boundsOf = (type: TypeName): Array<readonly [Expression, Expression]> =>
  type.is === "array" ? [...type.bounds, ...boundsOf(type.of)] : [];

/** Notes a type that nothing defines. */
export function knowType(unit: Compiling, at: At, type: TypeName): void {
  if (type.is === "array") knowType(unit, at, type.of);
  if (type.is === "record" && !unit.tree.types.some(({ name }) => folded(name) === folded(type.name)))
    problem(unit, at, "type not known", `There is no type ${type.name}.`);
}
