import type { Language } from "../languages/language.ts";
import { part, parts, type SyntaxNode } from "../syntax/tree.ts";
import { isUnknown, type Known, unknown } from "./known.ts";
import { expressionTree } from "./readExpression.ts";
import type { Answer } from "./rules.ts";
import { bracketed, came, type Names, note, putIn, type State, type Way, type Worked } from "./workedLines.ts";

export type { Names, Way, Worked, WorkedLine } from "./workedLines.ts";

/**
 * Takes an expression apart: first as it stands, then with the values of its names, then one operation a line, in the order in
 * which the language works it out. Null where the text is no expression of the language.
 */
export function workOut(language: Language, text: string, names: Names, way: Way = "machine"): Worked | null {
  const { values: rules } = language;
  const tree = expressionTree(language, text);
  if (!rules || !tree) return null;
  const state: State = {
    ...{
      rules,
      text,
      names,
      way,
      now: new Map(),
      skipped: new Set(),
      leftOut: [],
      lines: [],
      root: tree,
      quiet: false,
    },
  };
  note(state, null, "");
  putIn(state, tree);
  if (state.now.size > 0) note(state, null, "");
  const value = evaluate(state, tree);
  return {
    lines: state.lines,
    value,
    written: isUnknown(value) ? "" : rules.write(value),
    leftOut: state.leftOut,
  };
}

function evaluate(state: State, node: SyntaxNode): Answer {
  const { rules } = state;
  switch (node.kind) {
    case "number":
    case "text":
    case "constant":
      return rules.literal(node);
    case "name":
      return state.names.value(node.sign ?? "") ?? unknown(`${node.sign} has no value here.`);
    case "group":
      return group(state, node);
    case "unary":
      return unary(state, node);
    case "binary":
      return binary(state, node);
    case "choice":
      return choice(state, node);
    case "index":
      return index(state, node);
    case "field":
      return field(state, node);
    case "call":
      return call(state, node);
    case "cast":
      return cast(state, node);
    case "list":
      return list(state, node);
    case "assignment":
      return unknown("It changes a variable while it is worked out.");
    default:
      return unknown("This is not taken apart here.");
  }
}

const written = (state: State, value: Known) => state.rules.write(value);

function group(state: State, node: SyntaxNode): Answer {
  if (node.children.length !== 1) return list(state, node);
  return evaluate(state, node.children[0] as SyntaxNode);
}

function unary(state: State, node: SyntaxNode): Answer {
  const operand = part(node, "operand");
  if (!operand) return unknown("Something is missing here.");
  const value = evaluate(state, operand);
  if (isUnknown(value)) return value;
  const sign = node.sign ?? "";
  const done = state.rules.unary(sign, value);
  // A number with its sign is a number.
  if (operand.kind === "number" && !isUnknown(done)) {
    if (!state.quiet && node === state.root) state.now.set(node, written(state, done));
    return done;
  }
  const blank = /\w$/.test(sign) ? " " : "";
  return came(state, node, done, `${sign}${blank}${bracketed(state, value)}`);
}

function binary(state: State, node: SyntaxNode): Answer {
  const { rules } = state;
  const [left, right] = [part(node, "left"), part(node, "right")];
  const sign = node.sign ?? "";
  if (!left || !right) return unknown("Something is missing here.");
  const cut = rules.cuts[sign.toLowerCase()];
  if (cut) return decide(state, node, left, right, cut.when);
  // A chain of comparisons asks each pair of neighbours.
  if (rules.chains?.has(sign) && left.kind === "binary" && rules.chains.has(left.sign ?? "")) return chain(state, node);
  const one = evaluate(state, left);
  return isUnknown(one) ? one : operate(state, node, one, right);
}

/** An operation of two values, the left one worked out already. */
function operate(state: State, node: SyntaxNode, one: Known, right: SyntaxNode): Answer {
  const sign = node.sign ?? "";
  const other = evaluate(state, right);
  if (isUnknown(other)) return other;
  const says = `${written(state, one)} ${sign} ${written(state, other)}`;
  return came(state, node, state.rules.binary(sign, one, other), says);
}

/** `and` and `or` where the right side may not be looked at. */
function decide(state: State, node: SyntaxNode, left: SyntaxNode, right: SyntaxNode, cutsWhen: boolean): Answer {
  const { rules } = state;
  const sign = node.sign ?? "";
  const one = evaluate(state, left);
  if (isUnknown(one)) return one;
  if (rules.cutsTruths && one.kind !== "truth") return operate(state, node, one, right);
  const holds = rules.isTrue(one);
  if (typeof holds !== "boolean") return holds;
  if (holds === cutsWhen) {
    const what = rules.givesSide ? one : rules.truth(holds);
    if (state.way === "machine") {
      state.skipped.add(right);
      if (!state.quiet) state.leftOut.push({ from: right.from, to: right.to });
      note(state, null, `${written(state, one)} ${sign} …: ${state.text.slice(right.from, right.to)} is not looked at`);
      if (!state.quiet) state.skipped.delete(right);
      return came(state, node, what, `${written(state, one)} ${sign} …`);
    }
    const aside = evaluate(state, right);
    const shown = isUnknown(aside) ? "…" : written(state, aside);
    return came(state, node, what, `${written(state, one)} ${sign} ${shown}`);
  }
  const other = evaluate(state, right);
  if (isUnknown(other)) return other;
  const also = rules.isTrue(other);
  if (typeof also !== "boolean") return also;
  const what = rules.givesSide ? other : rules.truth(also);
  return came(state, node, what, `${written(state, one)} ${sign} ${written(state, other)}`);
}

function chain(state: State, node: SyntaxNode): Answer {
  const { rules } = state;
  const pieces: SyntaxNode[] = [];
  const signs: string[] = [];
  const take = (each: SyntaxNode): void => {
    const [left, right] = [part(each, "left"), part(each, "right")];
    if (!left || !right) return;
    if (left.kind === "binary" && rules.chains?.has(left.sign ?? "")) take(left);
    else pieces.push(left);
    signs.push(each.sign ?? "");
    pieces.push(right);
  };
  take(node);
  let before = evaluate(state, pieces[0] as SyntaxNode);
  let result: Answer = rules.truth(true);
  for (const [at, sign] of signs.entries()) {
    if (isUnknown(before)) return before;
    const next = evaluate(state, pieces[at + 1] as SyntaxNode);
    if (isUnknown(next)) return next;
    result = rules.binary(sign, before, next);
    if (isUnknown(result)) return result;
    const says = `${written(state, before)} ${sign} ${written(state, next)}`;
    const holds = rules.isTrue(result);
    if (at === signs.length - 1 || holds !== true) return came(state, node, result, says);
    note(state, null, `${says} is ${written(state, result)}`);
    before = next;
  }
  return result;
}

function choice(state: State, node: SyntaxNode): Answer {
  const { rules } = state;
  const [condition, value, otherwise] = [part(node, "condition"), part(node, "value"), part(node, "otherwise")];
  if (!condition || !value || !otherwise) return unknown("Something is missing here.");
  const asked = evaluate(state, condition);
  if (isUnknown(asked)) return asked;
  const holds = rules.isTrue(asked);
  if (typeof holds !== "boolean") return holds;
  const [taken, left] = holds ? [value, otherwise] : [otherwise, value];
  state.skipped.add(left);
  const found = evaluate(state, taken);
  state.skipped.delete(left);
  if (isUnknown(found)) return found;
  const result = rules.choice
    ? rules.choice(found, aside(state, left), { taken: isConstant(taken), other: isConstant(left) })
    : found;
  return came(state, node, result, `the side where it is ${written(state, rules.truth(holds))}`);
}

const isConstant = (node: SyntaxNode): boolean =>
  node.kind !== "name" && node.kind !== "call" && node.children.every(isConstant);

/** What a piece would come to, without anything being written down. */
function aside(state: State, node: SyntaxNode): Answer {
  const { quiet } = state;
  state.quiet = true;
  const value = evaluate(state, node);
  state.quiet = quiet;
  return value;
}

function all(state: State, nodes: readonly SyntaxNode[]): Known[] | Answer {
  const found: Known[] = [];
  for (const each of nodes) {
    const value = evaluate(state, each);
    if (isUnknown(value)) return value;
    found.push(value);
  }
  return found;
}

const nameOf = (state: State, node: SyntaxNode) => state.text.slice(node.from, node.to).trim();

function index(state: State, node: SyntaxNode): Answer {
  const object = part(node, "object");
  if (!object || node.sign === ":") return unknown("A part of several elements is not taken apart here.");
  // Curly brackets pick from what holds anything, which no recording tells in full.
  if (state.text.slice(object.to).trimStart().startsWith("{")) return unknown("What “{}” picks is not known here.");
  const whole = evaluate(state, object);
  if (isUnknown(whole)) return whole;
  const places = all(state, parts(node, "argument"));
  if (!Array.isArray(places)) return places;
  const says = `${nameOf(state, object)}[${places.map((each) => written(state, each)).join(", ")}]`;
  return came(state, node, state.rules.index(whole, places), says);
}

/** Whether something is a name, or a field of a field of one (`tern.deck`). */
function isPath(node: SyntaxNode): boolean {
  const object = part(node, "object");
  return node.kind === "name" || (node.kind === "field" && object !== undefined && isPath(object));
}

function field(state: State, node: SyntaxNode): Answer {
  const object = part(node, "object");
  if (!object) return unknown("This is not taken apart here.");
  const own = isPath(object) ? state.names.value(nameOf(state, node).replace(/\s/g, "")) : null;
  if (own) return came(state, node, own, nameOf(state, node));
  if (!state.rules.field) return unknown("This is not taken apart here.");
  const whole = evaluate(state, object);
  if (!whole || isUnknown(whole)) return whole ?? unknown("This is not taken apart here.");
  return came(state, node, state.rules.field(whole, node.sign ?? ""), nameOf(state, node));
}

function call(state: State, node: SyntaxNode): Answer {
  const { rules } = state;
  const callee = part(node, "callee");
  if (!callee) return unknown("What is made new here is not taken apart.");
  const name = callee.sign ?? "";
  const given = all(state, parts(node, "argument"));
  if (!Array.isArray(given)) return given;
  const says = `${nameOf(state, callee)}(${given.map((each) => written(state, each)).join(", ")})`;
  const returned = state.quiet ? null : state.names.call(name);
  if (returned) return came(state, node, returned, says);
  if (callee.kind === "name") {
    // Where brackets pick an element as well as call, a name that holds something is picked from.
    const held = rules.callsPick ? state.names.value(name) : null;
    if (held && !isUnknown(held)) return came(state, node, rules.index(held, given), says);
    const built = rules.call(name, given);
    return built ? came(state, node, built, says) : unknown(`What ${name} gives is not known here.`);
  }
  const object = part(callee, "object");
  if (callee.kind !== "field" || !object) return unknown("This call is not taken apart here.");
  const known = rules.call(nameOf(state, callee), given);
  if (known) return came(state, node, known, says);
  const owner = evaluate(state, object);
  if (isUnknown(owner)) return owner;
  const answer = rules.method?.(owner, name, given);
  return answer ? came(state, node, answer, says) : unknown(`What ${name} gives is not known here.`);
}

function cast(state: State, node: SyntaxNode): Answer {
  const [type, operand] = [part(node, "type"), part(node, "operand")];
  if (!type || !operand || !state.rules.cast) return unknown("This is not taken apart here.");
  const value = evaluate(state, operand);
  if (isUnknown(value)) return value;
  const name = type.sign ?? nameOf(state, type);
  return came(state, node, state.rules.cast(name, value), `(${name}) ${written(state, value)}`);
}

function list(state: State, node: SyntaxNode): Answer {
  const items = all(state, node.children);
  if (!Array.isArray(items)) return items;
  return state.rules.list?.(items, node) ?? unknown("A list that is made here is not taken apart.");
}
