import { type Expression, folded, type Statement } from "./syntaxTree.ts";

/** The blocks that lie in a statement. */
export function bodiesOf(statement: Statement): ReadonlyArray<readonly Statement[]> {
  switch (statement.is) {
    case "if":
    case "case":
      return [...statement.arms.map((arm) => arm.body), ...(statement.otherwise ? [statement.otherwise] : [])];
    case "for":
    case "each":
    case "while":
    case "repeat":
      return [statement.body];
    default:
      return [];
  }
}

/** The targets to which a statement itself gives values. */
function targetsOf(statement: Statement): readonly Expression[] {
  if (statement.is === "assign" || statement.is === "readfile") return [statement.target];
  return statement.is === "input" ? statement.targets : [];
}

/** The names to which a statement itself gives values, as they are written. */
function namesBy(statement: Statement): string[] {
  if (statement.is === "for") return [statement.counter];
  if (statement.is === "each") return [statement.name];
  return targetsOf(statement).flatMap((target) => (target.is === "name" ? [target.name] : []));
}

const declaredBy = (statement: Statement): readonly string[] =>
  statement.is === "declare" ? statement.names : statement.is === "constant" ? [statement.name] : [];

/** Names that statements declare (constants among them), and, where `given`, those to which they give values; by how they are written first. */
export function namesIn(statements: readonly Statement[], wanted: "declared" | "given"): Map<string, string> {
  const names = new Map<string, string>();
  const visit = (statement: Statement): void => {
    for (const name of [...declaredBy(statement), ...(wanted === "given" ? namesBy(statement) : [])])
      if (!names.has(folded(name))) names.set(folded(name), name);
    for (const body of bodiesOf(statement)) body.forEach(visit);
  };
  statements.forEach(visit);
  return names;
}

/** True if statements may give a name another value; a call may. */
export function mayChange(statements: readonly Statement[], name: string): boolean {
  return statements.some(
    (each) =>
      each.is === "call" ||
      targetsOf(each).some((target) => target.is === "name" && folded(target.name) === folded(name)) ||
      bodiesOf(each).some((body) => mayChange(body, name)),
  );
}
