/**
 * What a piece of a program is, the same words for every language. `statement` is a simple statement (an expression, an
 * assignment or a call that stands alone); `other` and `error` are pieces that are not taken apart and that do not fit.
 */
export type SyntaxKind =
  | "program"
  | "class"
  | "function"
  | "parameter"
  | "block"
  | "if"
  | "while"
  | "do"
  | "for"
  | "foreach"
  | "switch"
  | "case"
  | "try"
  | "declaration"
  | "statement"
  | "return"
  | "leave"
  | "import"
  | "assignment"
  | "binary"
  | "unary"
  | "call"
  | "index"
  | "field"
  | "group"
  | "cast"
  | "choice"
  | "list"
  | "name"
  | "number"
  | "text"
  | "constant"
  | "type"
  | "other"
  | "error";

/**
 * What a piece is to the one around it. `start`, `limit` and `step` belong to loops; `otherwise` is what is done where a
 * condition does not hold; `definition` is a name that is made known there.
 */
export type SyntaxRole =
  | "condition"
  | "body"
  | "otherwise"
  | "start"
  | "limit"
  | "step"
  | "target"
  | "source"
  | "value"
  | "left"
  | "right"
  | "operand"
  | "callee"
  | "argument"
  | "object"
  | "definition"
  | "type";

/**
 * A piece of a program: UTF-16 offsets from `from` to before `to` of the whole text. `sign` is its operator (`+`, `==`,
 * `and`, `+=`, `++`), or for a name what it is called. Children are in the order of the text and lie within their parent.
 */
export type SyntaxNode = {
  kind: SyntaxKind;
  role?: SyntaxRole;
  from: number;
  to: number;
  sign?: string;
  children: SyntaxNode[];
};

/** Reads a program's text as a tree. It never fails: what does not fit comes as `error` or `other`. */
export type SyntaxReader = (text: string) => SyntaxNode;

/** The first child in a role. */
export function part(node: SyntaxNode, role: SyntaxRole): SyntaxNode | undefined {
  return node.children.find((child) => child.role === role);
}

/** Every child in a role, in order. */
export function parts(node: SyntaxNode, role: SyntaxRole): SyntaxNode[] {
  return node.children.filter((child) => child.role === role);
}

/** Calls `visit` for a tree's nodes from the outside in, in the order of the text, with those around them (nearest last). */
export function walk(
  node: SyntaxNode,
  visit: (node: SyntaxNode, around: readonly SyntaxNode[]) => void,
  around: readonly SyntaxNode[] = [],
): void {
  visit(node, around);
  const inner = [...around, node];
  for (const child of node.children) walk(child, visit, inner);
}

/** Every node of a tree, from the outside in. */
export function nodesOf(node: SyntaxNode): SyntaxNode[] {
  const found: SyntaxNode[] = [];
  walk(node, (each) => found.push(each));
  return found;
}

const statements: ReadonlySet<SyntaxKind> = new Set([
  ...(["if", "while", "do", "for", "foreach", "switch", "try"] as const),
  ...(["declaration", "statement", "return", "leave"] as const),
]);

/** True for what may stand where a statement may. */
export function isStatement(node: SyntaxNode): boolean {
  return statements.has(node.kind) && node.role !== "start" && node.role !== "step";
}

/** True for what goes round: `while`, `do`, `for`, `foreach`. */
export function isLoop(node: SyntaxNode): boolean {
  return node.kind === "while" || node.kind === "do" || node.kind === "for" || node.kind === "foreach";
}
