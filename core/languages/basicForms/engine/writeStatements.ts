import { asTruth, asValue, converted } from "./convert.ts";
import { type Lines, put } from "./lines.ts";
import { combined } from "./operators.ts";
import { type Context, escaped, firstValue, type Local, note, typeNamed, type Value, writtenType } from "./program.ts";
import type { CaseTest, Declarator, Expression, Place, Statement } from "./tree.ts";
import { any, arrayOf, basic, isNamed, isNumber, type Type, withRanks } from "./types.ts";
import { reached, settled, size, written, writtenArray } from "./values.ts";

/** Blocks that can be left or gone on with: what is put behind their body, and behind them, if somebody leaves from further inside. */
type Around = {
  kind: "for" | "do" | "while" | "select" | "try";
  leave: string;
  next: string;
  leaves: boolean;
  goesOn: boolean;
};

/** What the statements of a routine share. `hoisted`: variables that are declared in a loop without a value: they keep theirs from turn to turn. */
export type Body = { context: Context; lines: Lines; around: Around[]; hoisted: Local[] };

const fresh = (context: Context, what: string): string => {
  context.count.made += 1;
  return `__bn${what}${context.count.made}`;
};

/** Writes statements; names that they declare are known to their end. */
export function writeBody(body: Body, statements: readonly Statement[]): void {
  body.context.scopes.push(new Map());
  for (const statement of statements) writeStatement(body, statement);
  body.context.scopes.pop();
}

/** Makes a name known; refuses one that is known in the routine already. */
export function declare(context: Context, name: string, type: Type, place: Place, more: Partial<Local> = {}): Local {
  const low = name.toLowerCase();
  const [last, ...outer] = [...context.scopes].reverse();
  if (last?.has(low)) note(context, place, "BC30288", `'${name}' is declared already in this block.`);
  else if (outer.some((scope) => scope.has(low)))
    note(context, place, "BC30616", `'${name}' is declared already around this block.`);
  else if (context.routine?.word === "function" && context.routine.name.toLowerCase() === low)
    note(context, place, "BC30290", `'${name}' is the name of the function itself.`);
  const local: Local = { name, code: escaped(name), type, constant: null, fixed: false, ...more };
  last?.set(low, local);
  return local;
}

/** The type of what is declared, and its first value. */
function declaredAs(context: Context, declared: Declarator): { type: Type; value: string | null; known: Value | null } {
  const { bounds, ranks } = declared;
  let said: Type | null = declared.type ? typeNamed(context, declared.type) : null;
  if (ranks.length > 0 && (said || !declared.value)) said = withRanks(said ?? basic("Object"), ranks);
  if (bounds) said = arrayOf(said ?? basic("Object"), bounds.length);
  if (bounds && said?.kind === "array") {
    const sizes = bounds.map((bound) => size(context, bound)).join(", ");
    if (declared.value)
      note(context, declared.place, "BC30672", "An array that says its bounds is not given its values at once.");
    return { type: said, value: `new ${writtenArray(said.of, sizes)}`, known: null };
  }
  if (!declared.value) {
    if (!said && context.unit.strict)
      note(context, declared.place, "BC30209", `Option Strict On: '${declared.name}' needs a type behind As.`);
    return { type: said ?? basic("Object"), value: null, known: null };
  }
  const value = written(context, declared.value, said ?? undefined);
  if (value.type.kind === "none")
    note(context, declared.value.place, "BC30491", "This gives no value: what is called is a Sub.");
  const type =
    said ??
    (context.unit.infer && value.type.kind !== "none"
      ? value.type.kind === "nothing"
        ? basic("Object")
        : value.type
      : basic("Object"));
  return { type, value: converted(context, value, type, declared.value.place), known: value };
}

function writeDeclaration(body: Body, statement: Extract<Statement, { kind: "declare" }>): void {
  const { context, lines } = body;
  for (const declared of statement.declared) {
    const { type, value, known } = declaredAs(context, declared);
    const { line } = declared.place;
    if (statement.word === "const") {
      declare(context, declared.name, type, declared.place, { constant: known?.constant ?? "" });
      put(
        lines,
        line,
        `${constantWord(type, known)}${writtenType(type)} ${escaped(declared.name)} = ${value ?? firstValue(type)};`,
      );
      continue;
    }
    const local = declare(context, declared.name, type, declared.place);
    if (value === null && body.around.some(({ kind }) => kind !== "select" && kind !== "try")) {
      body.hoisted.push(local);
      continue;
    }
    put(lines, line, `${writtenType(type)} ${local.code} = ${value ?? firstValue(type)};`);
  }
}

/** Only what is known before the program runs may be a constant below. */
const constantWord = (type: Type, known: Value | null): string =>
  known?.constant !== null && known && type.kind === "basic" && !isNamed(type, "Date", "Object") ? "const " : "";

/** Stores a value in what stands on a statement's left side. */
function writeAssignment(body: Body, { target, sign, value, place }: Extract<Statement, { kind: "assign" }>): void {
  const { context, lines } = body;
  const where = settled(context, reached(context, target), target.place);
  const given = written(context, value, where.type);
  if (where.target === "constant") note(context, target.place, "BC30074", "A constant is given a value here.");
  else if (where.target === "readonly")
    note(context, target.place, "BC30526", "This can only be read: nothing is stored in it.");
  else if (where.target === "none" && where.type.kind !== "any")
    note(context, target.place, "BC30068", "What stands on the left is a value that nothing can be stored in.");
  const result = sign === "=" ? given : combined(context, sign.slice(0, -1), where, given, place);
  put(lines, place.line, `${where.code} = ${converted(context, result, where.type, value.place)};`);
}

function writeCall(body: Body, call: Expression, place: Place): void {
  const { context, lines } = body;
  // What a class that it is made after does at first is written on the routine's own line.
  if (
    call.kind === "apply" &&
    call.of.kind === "member" &&
    call.of.owner?.kind === "base" &&
    /^new$/i.test(call.of.name)
  )
    return;
  const value = settled(context, reached(context, call), call.place);
  const isCall = call.kind === "apply" || call.kind === "new" || value.code.endsWith(")");
  if (!isCall || (value.target !== "none" && value.type.kind !== "any")) {
    note(context, place, "BC30454", "A value by itself does nothing: what stands here is no routine.");
    return;
  }
  put(lines, place.line, `${value.code};`);
}

const isPositive = (step: Value | null): boolean | null =>
  step === null ? true : typeof step.constant === "number" && step.constant !== 0 ? step.constant > 0 : null;

function enter(body: Body, kind: Around["kind"]): Around {
  const around: Around = {
    kind,
    leave: fresh(body.context, "Exit"),
    next: fresh(body.context, "Next"),
    leaves: false,
    goesOn: false,
  };
  body.around.push(around);
  return around;
}

/** Writes what ends a loop's body, and where one who leaves it from further inside goes on. */
function leave(body: Body, around: Around, line: number, end: string): void {
  body.around.pop();
  put(
    body.lines,
    line,
    `${around.goesOn ? `${around.next}:; ` : ""}${end}${around.leaves ? ` ${around.leave}:;` : ""}`,
  );
}

function writeFor(body: Body, statement: Extract<Statement, { kind: "for" }>): void {
  const { context, lines } = body;
  const { place, counter } = statement;
  context.scopes.push(new Map());
  const from = written(context, statement.from);
  const to = written(context, statement.to);
  const step = statement.step ? written(context, statement.step) : null;
  const known = statement.type === null && counter.kind === "name" ? lookedUp(context, counter.name) : null;
  let type: Type;
  let code: string;
  let own = false;
  if (statement.type || (!known && counter.kind === "name" && context.unit.infer)) {
    const widest = [from, to, ...(step ? [step] : [])].map((each) => each.type);
    type = statement.type
      ? typeNamed(context, statement.type)
      : (widest.find((each) => isNamed(each, "Double", "Decimal", "Long")) ??
        (isNumber(from.type) ? from.type : basic("Integer")));
    code = counter.kind === "name" ? declare(context, counter.name, type, counter.place).code : "";
    own = true;
  } else {
    const target = settled(context, reached(context, counter), counter.place);
    type = target.type;
    code = target.code;
  }
  if (!isNumber(type) && type.kind !== "any" && !isNamed(type, "Object"))
    note(context, counter.place, "BC30337", "The counter of a For is a number.");
  const [first, last] = [
    converted(context, from, type, statement.from.place),
    converted(context, to, type, statement.to.place),
  ];
  const late = !isNumber(type);
  const by = step ? converted(context, step, type, statement.step?.place ?? place) : "1";
  const up = isPositive(step);
  const simple = typeof to.constant === "number";
  const limit = simple ? last : fresh(context, "To");
  const pace = step && step.constant === null ? fresh(context, "Step") : by;
  const test = late
    ? `BentNail.Basic.Late.Before(${code}, ${limit}, ${pace})`
    : up === null
      ? `(${pace} >= 0 ? ${code} <= ${limit} : ${code} >= ${limit})`
      : `${code} ${up ? "<=" : ">="} ${limit}`;
  const goOn = late ? `${code} = BentNail.Basic.Late.Work("+", ${code}, ${pace})` : `${code} += ${pace}`;
  const extra = [...(simple ? [] : [`${limit} = ${last}`]), ...(pace === by ? [] : [`${pace} = ${by}`])];
  const written_ = writtenType(type);
  const begin = own
    ? `for (${written_} ${[`${code} = ${first}`, ...extra].join(", ")}; ${test}; ${goOn}) {`
    : `{ ${extra.length > 0 ? `${written_} ${extra.join(", ")}; ` : ""}for (${code} = ${first}; ${test}; ${goOn}) {`;
  put(lines, place.line, begin);
  const around = enter(body, "for");
  writeBody(body, statement.body);
  context.scopes.pop();
  leave(body, around, statement.endLine, own ? "}" : "}}");
}

const lookedUp = (context: Context, name: string): boolean => {
  const low = name.toLowerCase();
  if (context.scopes.some((scope) => scope.has(low))) return true;
  const quiet: Context = { ...context, problems: [], undeclared: [], unit: { ...context.unit, explicit: true } };
  return reached(quiet, { kind: "name", name, place: { line: 1, column: 1, length: 1 } }).is === "value";
};

/** What one of the things in a value is. */
function elementOf(type: Type): Type {
  if (type.kind === "array") return type.of;
  if (isNamed(type, "String")) return basic("Char");
  if (type.kind !== "library") return type.kind === "any" ? any : basic("Object");
  if (type.name === "Dictionary") return { kind: "library", name: "KeyValuePair", of: type.of };
  return type.of[0] ?? basic("Object");
}

function writeEach(body: Body, statement: Extract<Statement, { kind: "each" }>): void {
  const { context, lines } = body;
  const { place, counter } = statement;
  context.scopes.push(new Map());
  const source = written(context, statement.source);
  const isSource =
    source.type.kind === "array" ||
    source.type.kind === "library" ||
    source.type.kind === "any" ||
    isNamed(source.type, "String", "Object");
  if (!isSource) note(context, statement.source.place, "BC32023", "This is no list that can be gone through.");
  const element = elementOf(source.type);
  const known = statement.type === null && counter.kind === "name" ? lookedUp(context, counter.name) : false;
  const list =
    isNamed(source.type, "Object") || source.type.kind === "any"
      ? `(System.Collections.IEnumerable)(${source.code})`
      : source.code;
  if (known) {
    const target = settled(context, reached(context, counter), counter.place);
    const one = fresh(context, "Each");
    put(
      lines,
      place.line,
      `foreach (var ${one} in ${list}) { ${target.code} = ${converted(context, asValue(one, element), target.type, counter.place)};`,
    );
  } else {
    const type = statement.type
      ? typeNamed(context, statement.type)
      : element.kind === "any"
        ? basic("Object")
        : element;
    const name = counter.kind === "name" ? declare(context, counter.name, type, counter.place).code : "";
    put(lines, place.line, `foreach (${writtenType(type)} ${name} in ${list}) {`);
  }
  const around = enter(body, "for");
  writeBody(body, statement.body);
  context.scopes.pop();
  leave(body, around, statement.endLine, "}");
}

const tested = (context: Context, { until, condition }: { until: boolean; condition: Expression }): string => {
  const code = asTruth(context, written(context, condition), condition.place);
  return until ? `!(${code})` : code;
};

function writeLoop(body: Body, statement: Extract<Statement, { kind: "loop" }>): void {
  const { context, lines } = body;
  const { head, tail, place } = statement;
  put(lines, place.line, head ? `while (${tested(context, head)}) {` : tail ? "do {" : "while (true) {");
  const around = enter(body, statement.word);
  writeBody(body, statement.body);
  leave(body, around, statement.endLine, tail ? `} while (${tested(context, tail)});` : "}");
}

function writeSelect(body: Body, statement: Extract<Statement, { kind: "select" }>): void {
  const { context, lines } = body;
  const value = written(context, statement.value);
  const type = value.type.kind === "nothing" || value.type.kind === "none" ? basic("Object") : value.type;
  const name = fresh(context, "Case");
  put(
    lines,
    statement.place.line,
    `{ ${writtenType(type)} ${name} = ${converted(context, value, type, statement.value.place)};`,
  );
  const around = enter(body, "select");
  statement.cases.forEach((each, at) => {
    const before = at === 0 ? "" : "} else ";
    const code = each.tests
      ? `if (${each.tests.map((test) => testOf(context, test, { ...asValue(name, type) })).join(" || ") || "false"}) {`
      : "{";
    put(lines, each.line, `${before}${code}`);
    writeBody(body, each.body);
  });
  leave(body, around, statement.endLine, statement.cases.length > 0 ? "}}" : "}");
}

function testOf(context: Context, test: CaseTest, value: Value): string {
  if (test.kind === "range") {
    const [from, to] = [test.from, test.to].map((each) => written(context, each));
    if (!from || !to) return "false";
    return `(${combined(context, ">=", value, from, test.from.place).code} && ${combined(context, "<=", value, to, test.to.place).code})`;
  }
  const against = written(context, test.value);
  return combined(context, test.kind === "comparison" ? test.sign : "=", value, against, test.value.place).code;
}

function writeTry(body: Body, statement: Extract<Statement, { kind: "try" }>): void {
  const { context, lines } = body;
  put(lines, statement.place.line, "try {");
  const around = enter(body, "try");
  writeBody(body, statement.body);
  for (const each of statement.catches) {
    context.scopes.push(new Map());
    const type = each.type ? typeNamed(context, each.type) : ({ kind: "library", name: "Exception", of: [] } as const);
    const name = each.name ? declare(context, each.name, type, statement.place).code : "";
    const asked = each.when ? asTruth(context, written(context, each.when), each.when.place) : null;
    // Of the last one, what it asks is asked inside: so that what was caught is seen.
    const isLast = each === statement.catches.at(-1);
    const when = asked === null || isLast ? "" : ` when (${asked})`;
    const first = asked !== null && isLast ? ` if (!(${asked})) throw;` : "";
    put(lines, each.line, `} catch (${writtenType(type)}${name ? ` ${name}` : ""})${when} {${first}`);
    writeBody(body, each.body);
    context.scopes.pop();
  }
  if (statement.finally) {
    put(lines, statement.finally.line, "} finally {");
    writeBody(body, statement.finally.body);
  }
  if (statement.catches.length === 0 && !statement.finally) put(lines, statement.endLine, "} finally {");
  leave(body, around, statement.endLine, "}");
}

/** Leaves a block or goes on with its next turn; over others in between by a jump. */
function writeJump(body: Body, statement: Extract<Statement, { kind: "exit" | "continue" }>): void {
  const { context, lines } = body;
  const { routine } = context;
  const { what, place, kind } = statement;
  if (/^(?:sub|function|property)$/.test(what)) {
    const fits = what === "property" ? routine?.word === "get" || routine?.word === "set" : routine?.word === what;
    if (!fits)
      note(
        context,
        place,
        what === "sub" ? "BC30065" : what === "function" ? "BC30067" : "BC30066",
        `Exit ${what} stands in no ${what}.`,
      );
    put(lines, place.line, returning(context));
    return;
  }
  const index = body.around.findLastIndex((each) => each.kind === what);
  const around = body.around[index];
  if (!around) {
    const codes: Readonly<Record<string, string>> = {
      for: "BC30096",
      do: "BC30089",
      while: "BC30097",
      select: "BC30099",
      try: "BC30393",
    };
    note(
      context,
      place,
      kind === "continue" ? "BC30782" : (codes[what] ?? "BC30035"),
      `There is no ${what} around this that could be left or gone on with.`,
    );
    return;
  }
  const loops = body.around.slice(index + 1).filter((each) => each.kind !== "select" && each.kind !== "try");
  const isLoop = what !== "select" && what !== "try";
  if (isLoop && loops.length === 0) put(lines, place.line, kind === "exit" ? "break;" : "continue;");
  else if (kind === "exit") {
    around.leaves = true;
    put(lines, place.line, `goto ${around.leave};`);
  } else {
    around.goesOn = true;
    put(lines, place.line, `goto ${around.next};`);
  }
}

/** What ends a routine without a value of its own: what its name holds, or nothing. */
function returning({ routine }: Context): string {
  if (!routine || routine.type.kind === "none") return "return;";
  return routine.usesOwnName ? `return ${escaped(routine.name)};` : `return ${firstValue(routine.type)};`;
}

function writeReturn(body: Body, { value, place }: Extract<Statement, { kind: "return" }>): void {
  const { context, lines } = body;
  const type = context.routine?.type ?? { kind: "none" };
  if (!value) {
    if (type.kind !== "none") note(context, place, "BC30654", "Return in a Function needs a value.");
    put(lines, place.line, returning(context));
    return;
  }
  const result = written(context, value, type);
  if (type.kind === "none") {
    note(context, place, "BC30647", "A Sub gives no value back.");
    return;
  }
  put(lines, place.line, `return ${converted(context, result, type, value.place)};`);
}

function writeStatement(body: Body, statement: Statement): void {
  const { context, lines } = body;
  const { place } = statement;
  switch (statement.kind) {
    case "declare":
      writeDeclaration(body, statement);
      return;
    case "assign":
      writeAssignment(body, statement);
      return;
    case "call":
      writeCall(body, statement.call, place);
      return;
    case "if":
      statement.branches.forEach((branch, at) => {
        const head = branch.condition
          ? `if (${asTruth(context, written(context, branch.condition), branch.condition.place)}) {`
          : "{";
        put(lines, branch.line, at === 0 ? head : `} else ${head}`);
        writeBody(body, branch.body);
      });
      put(lines, statement.endLine, "}");
      return;
    case "select":
      writeSelect(body, statement);
      return;
    case "for":
      writeFor(body, statement);
      return;
    case "each":
      writeEach(body, statement);
      return;
    case "loop":
      writeLoop(body, statement);
      return;
    case "exit":
    case "continue":
      writeJump(body, statement);
      return;
    case "return":
      writeReturn(body, statement);
      return;
    case "throw":
      put(lines, place.line, statement.value ? `throw ${written(context, statement.value).code};` : "throw;");
      return;
    case "try":
      writeTry(body, statement);
      return;
    case "with": {
      const value = written(context, statement.value);
      const plain = /^(?:this|global::[\w.@]+|@?\w+)(?:\.@?\w+)*$/.test(value.code);
      const code = plain ? value.code : fresh(context, "With");
      put(lines, place.line, plain ? "{" : `{ var ${code} = ${value.code};`);
      context.withs.push({ code, type: value.type });
      writeBody(body, statement.body);
      context.withs.pop();
      put(lines, statement.endLine, "}");
      return;
    }
    case "using": {
      context.scopes.push(new Map());
      const { type, value } = declaredAs(context, statement.declared);
      const local = declare(context, statement.declared.name, type, statement.declared.place);
      put(lines, place.line, `using (${writtenType(type)} ${local.code} = ${value ?? "null"}) {`);
      writeBody(body, statement.body);
      context.scopes.pop();
      put(lines, statement.endLine, "}");
      return;
    }
    case "redim":
      for (const { target, bounds } of statement.targets) {
        const where = settled(context, reached(context, target), target.place);
        if (where.type.kind !== "array") {
          note(context, target.place, "BC30049", "ReDim changes an array, and this is none.");
          continue;
        }
        const sizes = bounds.map((bound) => size(context, bound)).join(", ");
        put(
          lines,
          place.line,
          `${where.code} = ${statement.preserve ? `BentNail.Basic.Arrays.Resized(${where.code}, ${sizes})` : `new ${writtenArray(where.type.of, sizes)}`};`,
        );
      }
      return;
    case "listen": {
      const event = settled(context, reached(context, statement.event), place);
      put(
        lines,
        place.line,
        `${event.code} ${statement.add ? "+=" : "-="} ${written(context, statement.handler).code};`,
      );
      return;
    }
    case "end":
      put(lines, place.line, "System.Environment.Exit(0);");
      return;
    case "nothing":
      return;
  }
}
