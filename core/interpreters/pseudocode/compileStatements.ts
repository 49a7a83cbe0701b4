import { op } from "./code.ts";
import { call, expression, store } from "./compileExpression.ts";
import {
  boundsOf,
  type Compiling,
  declared,
  emit,
  find,
  knowType,
  ownSlot,
  patch,
  problem,
  sets,
  slotIn,
} from "./compiling.ts";
import { folded, type Statement } from "./syntaxTree.ts";

/** Statements that hold no others: what stands behind one on its line belongs to the same step. */
const simple: ReadonlySet<Statement["is"]> = new Set([
  ...(["assign", "output", "input", "call", "declare", "constant"] as const),
  ...(["openfile", "readfile", "writefile", "closefile"] as const),
]);

/** Writes statements one behind the other; `from`: the line whose step goes on straight into them, 0: none. */
export function statements(unit: Compiling, all: readonly Statement[], from = 0): void {
  unit.onLine = from;
  for (const each of all) {
    statement(unit, each);
    unit.onLine = simple.has(each.is) ? each.line : 0;
  }
}

/** Begins a step, but where a statement stands behind another one on the same line. */
function beginLine(unit: Compiling, each: Statement): void {
  if (each.line !== unit.onLine) emit(unit, each, op.line);
}
function statement(unit: Compiling, each: Statement): void {
  switch (each.is) {
    case "assign":
      beginLine(unit, each);
      expression(unit, each.value);
      store(unit, each.target);
      return;
    case "output":
      beginLine(unit, each);
      for (const item of each.items) expression(unit, item);
      emit(unit, each, op.output, each.items.length);
      return;
    case "input":
      beginLine(unit, each);
      if (each.prompt) {
        expression(unit, each.prompt);
        emit(unit, each, op.output, 1, 1);
      }
      for (const target of each.targets) {
        emit(unit, each, op.input);
        store(unit, target);
      }
      return;
    case "if": {
      const ends: number[] = [];
      for (const [at, arm] of each.arms.entries()) {
        emit(unit, arm, op.line);
        expression(unit, arm.condition);
        const next = emit(unit, arm, op.jumpUnless, 0, 1, "The condition of IF");
        statements(unit, arm.body, arm.line);
        if (at < each.arms.length - 1 || each.otherwise) ends.push(emit(unit, each, op.jump));
        patch(unit, next);
      }
      statements(unit, each.otherwise ?? [], each.arms.at(-1)?.line);
      for (const end of ends) patch(unit, end);
      return;
    }
    case "case": {
      const value = ownSlot(unit);
      emit(unit, each, op.line);
      expression(unit, each.of);
      emit(unit, each, unit.scope === unit.main ? op.setGlobal : op.setLocal, value, 1);
      const ends: number[] = [];
      for (const arm of each.arms) {
        emit(unit, arm, op.line);
        const hits: number[] = [];
        for (const test of arm.tests) {
          emit(unit, arm, unit.scope === unit.main ? op.global : op.local, value, 1);
          expression(unit, test.from);
          if (test.to) expression(unit, test.to);
          emit(unit, arm, op.caseTest, 0, test.to ? 1 : 0);
          const miss = emit(unit, arm, op.jumpUnless, 0, 0, "A case");
          hits.push(emit(unit, arm, op.jump));
          patch(unit, miss);
        }
        const over = emit(unit, arm, op.jump);
        for (const hit of hits) patch(unit, hit);
        statements(unit, arm.body, arm.line);
        ends.push(emit(unit, arm, op.jump));
        patch(unit, over);
      }
      statements(unit, each.otherwise ?? [], each.arms.at(-1)?.line);
      for (const end of ends) patch(unit, end);
      return;
    }
    case "for": {
      const found = find(unit, each.counter) ?? { slot: slotIn(unit.scope, each.counter), where: "local" as const };
      const isGlobal = found.where === "global";
      if (found.where === "reference")
        problem(unit, each, "counter by reference", `${each.counter} is given by reference and cannot count a loop.`);
      const saved = unit.scope;
      if (isGlobal) unit.scope = unit.main;
      const [limit, step] = [ownSlot(unit), ownSlot(unit)];
      unit.scope = saved;
      const slots = { counter: found.slot, limit, step, isGlobal, name: each.counter };
      emit(unit, each, op.line);
      expression(unit, each.from);
      expression(unit, each.to);
      if (each.step) expression(unit, each.step);
      else emit(unit, each, op.constant, 0, 0, 1);
      emit(unit, each, op.forBegin, 0, 0, slots);
      const test = emit(unit, each, op.forTest, 0, 0, slots);
      statements(unit, each.body, each.line);
      // The header stands in the recording once for each pass.
      emit(unit, each, op.line);
      emit(unit, each, op.forNext, 0, 0, slots);
      emit(unit, each, op.jump, test);
      patch(unit, test);
      return;
    }
    case "each": {
      const found = find(unit, each.name) ?? { slot: slotIn(unit.scope, each.name), where: "local" as const };
      const [list, at] = [ownSlot(unit), ownSlot(unit)];
      const isGlobal = unit.scope === unit.main;
      emit(unit, each, op.line);
      expression(unit, each.of);
      emit(unit, each, isGlobal ? op.setGlobal : op.setLocal, list, 1);
      emit(unit, each, op.constant, 0, 0, 0);
      emit(unit, each, isGlobal ? op.setGlobal : op.setLocal, at, 1);
      const test = emit(unit, each, op.eachTest, 0, 0, { list, at, isGlobal });
      emit(unit, each, sets[found.where], found.slot, 0, each.name);
      statements(unit, each.body, each.line);
      emit(unit, each, op.line);
      emit(unit, each, op.jump, test);
      patch(unit, test);
      return;
    }
    case "while": {
      const begin = emit(unit, each, op.line);
      expression(unit, each.condition);
      const leave = emit(unit, each, op.jumpUnless, 0, 1, "The condition of WHILE");
      statements(unit, each.body, each.line);
      emit(unit, each, op.jump, begin);
      patch(unit, leave);
      return;
    }
    case "repeat": {
      const begin = unit.code.length;
      statements(unit, each.body);
      emit(unit, { ...each, line: each.untilLine }, op.line);
      expression(unit, each.condition);
      emit(unit, { ...each, line: each.untilLine }, op.jumpUnless, begin, 1, "The condition of UNTIL");
      return;
    }
    case "call":
      beginLine(unit, each);
      call(unit, each, each.name, each.given, false);
      return;
    case "return":
      beginLine(unit, each);
      if (!unit.scope.routine) problem(unit, each, "return outside", "RETURN stands in no function or procedure.");
      else if (unit.scope.routine.gives !== (each.value !== null))
        problem(
          unit,
          each,
          "return without value",
          unit.scope.routine.gives
            ? "A function gives a value back: behind RETURN it is missing."
            : "A procedure gives no value back; only a function does.",
        );
      if (each.value) expression(unit, each.value);
      emit(unit, each, op.giveBack, each.value ? 1 : 0);
      return;
    case "declare":
      // A declaration without a value has no step; that of an array or record makes one.
      if (each.type.is === "array" || each.type.is === "record") beginLine(unit, each);
      knowType(unit, each, each.type);
      for (const name of each.names) {
        for (const [from, to] of boundsOf(each.type)) {
          expression(unit, from);
          expression(unit, to);
        }
        const slot = slotIn(unit.scope, name);
        emit(
          unit,
          each,
          unit.scope === unit.main ? op.declareGlobal : op.declareLocal,
          slot,
          boundsOf(each.type).length,
          {
            ...{ type: declared(each.type), name },
          },
        );
      }
      return;
    case "constant": {
      beginLine(unit, each);
      expression(unit, each.value);
      const slot = slotIn(unit.scope, each.name);
      emit(unit, each, unit.scope === unit.main ? op.setGlobal : op.setLocal, slot, 0, each.name);
      const own = unit.scope.routine?.name ?? "";
      unit.constants.set(own, (unit.constants.get(own) ?? new Set()).add(folded(each.name)));
      return;
    }
    case "openfile":
      beginLine(unit, each);
      expression(unit, each.file);
      emit(unit, each, op.openFile, 0, 0, each.use);
      return;
    case "readfile":
      beginLine(unit, each);
      expression(unit, each.file);
      emit(unit, each, op.readFile);
      store(unit, each.target);
      return;
    case "writefile":
      beginLine(unit, each);
      expression(unit, each.file);
      expression(unit, each.value);
      emit(unit, each, op.writeFile);
      return;
    case "closefile":
      beginLine(unit, each);
      expression(unit, each.file);
      emit(unit, each, op.closeFile);
      return;
    case "stop":
      beginLine(unit, each);
      emit(unit, each, op.stop);
      return;
  }
}
