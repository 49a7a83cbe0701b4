import { ownOf } from "../../source/ownOf.ts";
import { builtins } from "./builtins.ts";
import { mayChange, namesIn } from "./names.ts";
import { prelude } from "./pythonPrelude.ts";
import {
  type Expression,
  folded,
  type ProgramTree,
  type Routine,
  type Statement,
  type TypeName,
} from "./syntaxTree.ts";

/** Functions of the language as Python has them; `$0`, `$1`, `$2` are what is given. */
const functions: Readonly<Record<string, string>> = {
  ...{ length: "len($0)", mid: "piece($0, $1, $2)", left: "piece($0, 1, $1)", upper: "text($0).upper()" },
  ...{ lower: "text($0).lower()", position: "(($0).find($1) + 1)", int: "int($0)", floor: "math.floor($0)" },
  ...{ ceiling: "math.ceil($0)", abs: "abs($0)", sqrt: "math.sqrt($0)", min: "min($0, $1)", max: "max($0, $1)" },
  ...{ ord: "ord($0)", chr: "chr($0)", to_text: "text($0)", to_number: "to_number($0)", to_whole: "int(text($0))" },
};

const taken: ReadonlySet<string> = new Set(
  (
    "and as assert async await break class continue def del elif else except false finally for from global if import in is lambda none " +
    "nonlocal not or pass raise return true try while with yield array record text show number counted piece sign_at to_number copy math " +
    "len min max abs ord chr int float str print input range bool list dict set"
  ).split(" "),
);

/** The kind of what a name of a type holds in the end: of an array that of its elements. */
const elementOf = (type: TypeName): TypeName["is"] => (type.is === "array" ? elementOf(type.of) : type.is);

/** What cannot be said in Python here. */
class Untold extends Error {}

/** How strongly Python's signs bind. */
const strength: Readonly<Record<string, number>> = {
  ...{
    or: 1,
    and: 2,
    "=": 4,
    "≠": 4,
    "<": 4,
    "≤": 4,
    ">": 4,
    "≥": 4,
    "+": 5,
    "-": 5,
    "*": 6,
    "/": 6,
    div: 6,
    mod: 6,
    "^": 8,
  },
};
const signs: Readonly<Record<string, string>> = {
  ...{ "=": "==", "≠": "!=", "≤": "<=", "≥": ">=", div: "//", mod: "%", "^": "**" },
};

/**
 * A program in Python, to be read and run beside: it prints the same. Words for a person where something of it has no short form
 * there.
 */
export function toPython(tree: ProgramTree): { python: string } | { untold: string } {
  const lines: string[] = [];
  const put = (depth: number, line: string): void => {
    lines.push("    ".repeat(depth) + line);
  };
  const name = (own: string): string => (taken.has(folded(own)) ? `${folded(own)}_` : folded(own));
  const routines = new Map(tree.routines.map((routine) => [folded(routine.name), routine]));
  const globals = namesIn(tree.body, "given");
  const reals = new Set<string>();
  let temporary = 0;

  const show = (each: Expression, least = 0): string => {
    const inBrackets = (written: string, binds: number) => (binds < least ? `(${written})` : written);
    switch (each.is) {
      case "number":
        return each.whole ? String(each.value) : Number.isInteger(each.value) ? `${each.value}.0` : String(each.value);
      case "text":
        return JSON.stringify(each.value).replace(
          /[\u007f-\uffff]/g,
          (sign) => `\\u${sign.charCodeAt(0).toString(16).padStart(4, "0")}`,
        );
      case "truth":
        return each.value ? "True" : "False";
      case "name":
        return routines.has(folded(each.name)) && !globals.has(folded(each.name))
          ? call(each.name, [])
          : name(each.name);
      case "list":
        return `Array.of(${each.items.map((item) => show(item)).join(", ")})`;
      case "index":
        return each.places.reduce((of, place) => `sign_at(${of}, ${show(place)})`, show(each.of));
      case "field":
        return `${show(each.of, 9)}.${name(each.name)}`;
      case "input":
        return "number(input())";
      case "call":
        return call(each.name, each.given);
      case "unary":
        return each.sign === "not" ? inBrackets(`not ${show(each.of, 3)}`, 3) : inBrackets(`-${show(each.of, 7)}`, 7);
      case "binary": {
        if (each.sign === "&") return inBrackets(`text(${show(each.left)}) + text(${show(each.right)})`, 5);
        const binds = strength[each.sign] ?? 0;
        const isPower = each.sign === "^";
        const left = show(each.left, isPower || binds === 4 ? binds + 1 : binds);
        const right = show(each.right, isPower ? 7 : binds + 1);
        return inBrackets(`${left} ${signs[each.sign] ?? each.sign} ${right}`, binds);
      }
    }
  };
  const call = (own: string, given: readonly Expression[]): string => {
    const routine = routines.get(folded(own));
    if (routine) {
      if (routine.parameters.some(({ byReference }) => byReference))
        throw new Untold(`${routine.name} changes what it is given by reference, and gives a value back as well.`);
      return `${name(own)}(${given.map((each) => show(each)).join(", ")})`;
    }
    const builtin = builtins.get(folded(own));
    const first = builtin?.name.toLowerCase() ?? "";
    const values = given.map((each) => show(each));
    if (first === "right")
      return `piece(${values[0]}, len(${values[0]}) - ${show(given[1] as Expression, 6)} + 1, ${values[1]})`;
    // With decimals asked for it gives a number that has some, also of a whole one, and none is minus zero.
    if (first === "round")
      return values[1] === undefined ? `round(${values[0]})` : `(round(float(${values[0]}), ${values[1]}) + 0.0)`;
    const form = ownOf(functions, first);
    if (form === undefined) throw new Untold(`${own} has no short form in Python here.`);
    return form.replace(/\$(\d)/g, (_, at: string) => values[Number(at)] ?? "");
  };
  const make = (type: TypeName): string => {
    if (type.is === "array") {
      const inner = (at: number): string => {
        const [from, to] = type.bounds[at] ?? [];
        if (!from || !to) return make(type.of);
        return `Array(${show(from)}, ${show(to)}, lambda: ${inner(at + 1)})`;
      };
      return inner(0);
    }
    if (type.is !== "record") return "None";
    const record = tree.types.find((each) => folded(each.name) === folded(type.name));
    return `Record(${(record?.fields ?? []).map((field) => `${name(field.name)}=${make(field.type)}`).join(", ")})`;
  };
  const holdsMore = (each: Expression) => each.is === "name" || each.is === "index" || each.is === "field";
  const target = (each: Expression): string => {
    if (each.is === "name") return name(each.name);
    if (each.is === "index") return each.places.reduce((of, place) => `${of}[${show(place)}]`, target(each.of));
    return each.is === "field" ? `${target(each.of)}.${name(each.name)}` : show(each);
  };
  /** True for a name that is declared for numbers with decimals, and for an element of an array of such. */
  const isReal = (to: Expression): boolean =>
    to.is === "name" ? reals.has(folded(to.name)) : to.is === "index" && isReal(to.of);
  const given = (to: Expression, value: Expression): string => {
    const written = holdsMore(value) && usesObjects ? `copy.deepcopy(${show(value)})` : show(value);
    return isReal(to) ? `float(${written})` : written;
  };
  const body = (statements: readonly Statement[], depth: number): void => {
    const before = lines.length;
    for (const each of statements) statement(each, depth);
    if (lines.length === before) put(depth, "pass");
  };
  const statement = (each: Statement, depth: number): void => {
    switch (each.is) {
      case "assign":
        put(depth, `${target(each.target)} = ${given(each.target, each.value)}`);
        return;
      case "output":
        put(depth, `show(${each.items.map((item) => show(item)).join(", ")})`);
        return;
      case "input":
        if (each.prompt) put(depth, `show(${show(each.prompt)}, end="")`);
        for (const to of each.targets)
          put(depth, `${target(to)} = ${isReal(to) ? "float(input())" : "number(input())"}`);
        return;
      case "if":
        for (const [at, arm] of each.arms.entries()) {
          put(depth, `${at === 0 ? "if" : "elif"} ${show(arm.condition)}:`);
          body(arm.body, depth + 1);
        }
        if (each.otherwise) {
          put(depth, "else:");
          body(each.otherwise, depth + 1);
        }
        return;
      case "case": {
        temporary += 1;
        const value = `chosen_${temporary}`;
        put(depth, `${value} = ${show(each.of)}`);
        for (const [at, arm] of each.arms.entries()) {
          const tests = arm.tests.map(({ from, to }) =>
            to ? `${show(from, 5)} <= ${value} <= ${show(to, 5)}` : `${value} == ${show(from, 5)}`,
          );
          put(depth, `${at === 0 ? "if" : "elif"} ${tests.join(" or ")}:`);
          body(arm.body, depth + 1);
        }
        if (each.otherwise) {
          put(depth, each.arms.length === 0 ? "if True:" : "else:");
          body(each.otherwise, depth + 1);
        }
        return;
      }
      case "for": {
        const [from, to, step] = [show(each.from), show(each.to), each.step ? show(each.step) : "1"];
        if (!mayChange(each.body, each.counter)) {
          put(depth, `for ${name(each.counter)} in counted(${from}, ${to}, ${step}):`);
          body(each.body, depth + 1);
          return;
        }
        temporary += 1;
        put(depth, `${name(each.counter)}, limit_${temporary}, step_${temporary} = ${from}, ${to}, ${step}`);
        const own = temporary;
        put(
          depth,
          `while ${name(each.counter)} <= limit_${own} if step_${own} > 0 else ${name(each.counter)} >= limit_${own}:`,
        );
        body(each.body, depth + 1);
        put(depth + 1, `${name(each.counter)} = ${name(each.counter)} + step_${own}`);
        return;
      }
      case "each":
        put(depth, `for ${name(each.name)} in ${show(each.of)}:`);
        body(each.body, depth + 1);
        return;
      case "while":
        put(depth, `while ${show(each.condition)}:`);
        body(each.body, depth + 1);
        return;
      case "repeat":
        put(depth, "while True:");
        body(each.body, depth + 1);
        put(depth + 1, `if ${show(each.condition)}:`);
        put(depth + 2, "break");
        return;
      case "call": {
        const routine = routines.get(folded(each.name));
        const byReference =
          routine?.parameters.map(({ byReference: own }, at) => (own ? each.given[at] : undefined)) ?? [];
        const back = byReference.flatMap((to) => (to ? [target(to)] : []));
        const written = routine
          ? `${name(each.name)}(${each.given.map((one) => show(one)).join(", ")})`
          : call(each.name, each.given);
        if (routine?.gives && back.length > 0)
          throw new Untold(`${routine.name} changes what it is given by reference, and gives a value back as well.`);
        put(depth, back.length > 0 ? `${back.join(", ")}${back.length === 1 ? "," : ""} = ${written}` : written);
        return;
      }
      case "return":
        put(depth, each.value ? `return ${show(each.value)}` : `return ${backOf(current)}`.trimEnd());
        return;
      case "declare":
        for (const own of each.names) {
          if (elementOf(each.type) === "real") reals.add(folded(own));
          if (each.type.is === "array" || each.type.is === "record") put(depth, `${name(own)} = ${make(each.type)}`);
        }
        return;
      case "constant":
        put(depth, `${name(each.name)} = ${show(each.value)}`);
        return;
      case "stop":
        put(depth, "raise SystemExit");
        return;
      default:
        throw new Untold("Files are not said in Python here.");
    }
  };
  let current: Routine | null = null;
  const backOf = (routine: Routine | null): string => {
    const back = (routine?.parameters ?? []).flatMap(({ name: own, byReference }) => (byReference ? [name(own)] : []));
    return back.length === 0 ? "" : `(${back.join(", ")}${back.length === 1 ? "," : ""})`;
  };
  const usesObjects =
    tree.types.length > 0 ||
    /"is":"(?:array|list)"/.test(
      JSON.stringify(tree, (_, value) => (typeof value === "bigint" ? String(value) : value)),
    );

  try {
    for (const routine of tree.routines) {
      current = routine;
      const parameters = new Set(routine.parameters.map((parameter) => folded(parameter.name)));
      const declared = namesIn(routine.body, "declared");
      const shared = [...namesIn(routine.body, "given").keys()].filter(
        (each) => globals.has(each) && !declared.has(each) && !parameters.has(each),
      );
      put(0, `def ${name(routine.name)}(${routine.parameters.map((parameter) => name(parameter.name)).join(", ")}):`);
      if (shared.length > 0) put(1, `global ${shared.map(name).join(", ")}`);
      for (const { name: parameter, byReference, type } of routine.parameters) {
        if (type.is === "real") put(1, `${name(parameter)} = float(${name(parameter)})`);
        else if (usesObjects && !byReference) put(1, `${name(parameter)} = copy.deepcopy(${name(parameter)})`);
      }
      body(routine.body, 1);
      const back = backOf(routine);
      if (back !== "") put(1, `return ${back}`);
      put(0, "");
      put(0, "");
      current = null;
    }
    for (const each of tree.body) statement(each, 0);
  } catch (problem) {
    if (problem instanceof Untold) return { untold: problem.message };
    throw problem;
  }
  return { python: `${prelude}\n${lines.join("\n")}\n` };
}
