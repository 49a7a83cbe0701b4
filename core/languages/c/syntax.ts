import { parser } from "@lezer/cpp";
import { as, type Builder, fromLezer, inOrder, type LezerTable, leaf, plain, statement } from "../../syntax/lezer.ts";
import type { SyntaxNode, SyntaxReader } from "../../syntax/tree.ts";

/** The name that a declarator makes known, whatever stands around it (`*name`, `name[10]`, `name(...)`). */
function known(node: SyntaxNode | undefined): SyntaxNode | undefined {
  if (!node) return undefined;
  return node.kind === "name"
    ? node
    : known(node.children.find((child) => child.kind === "name" || child.kind === "index"));
}

const inclusion: Builder = (_, { from, to, text }) => [{ kind: "import", from, to, sign: text.trim(), children: [] }];

const functionDefinition: Builder = (pieces, { from, to }) => [
  {
    ...{ kind: "function", from, to },
    children: pieces
      .flatMap((piece) => piece.nodes)
      .map((node) =>
        node.kind === "block" ? { ...node, role: "body" } : node.kind === "type" ? { ...node, role: "type" } : node,
      ),
  },
];

const functionDeclarator: Builder = (pieces) => {
  const [name, ...rest] = pieces.flatMap((piece) => piece.nodes);
  return name ? [...as("definition", [name]), ...rest] : [];
};

const parameter: Builder = (pieces, { from, to }) => {
  const children = pieces.flatMap((piece) => piece.nodes);
  const name = known(children.find((child) => child.kind === "name" || child.kind === "index"));
  return [{ kind: "parameter", from, to, sign: name?.sign ?? "", children }];
};

/** Everything that a declaration makes known is a definition. */
const declaration: Builder = (pieces, { from, to }) => [
  {
    ...{ kind: "declaration", from, to },
    children: pieces
      .flatMap((piece) => piece.nodes)
      .map((node) =>
        node.kind === "name"
          ? { ...node, role: "definition" }
          : node.kind === "type"
            ? { ...node, role: "type" }
            : node,
      ),
  },
];

const withFirstValue: Builder = (pieces, { from, to }) => {
  // Between the name and its first value stand the sizes of an array.
  const [target, ...others] = pieces.flatMap((piece) => piece.nodes);
  const [sizes, value] = [others.slice(0, -1), others.at(-1)];
  const name = known(target);
  const children = [...(name ? as("definition", [name]) : []), ...sizes, ...(value ? as("value", [value]) : [])];
  return [{ kind: "assignment", from, to, sign: "=", children }];
};

/** `name[10]` of a declaration: the name is what is made known. */
const arrayDeclarator: Builder = (pieces) => {
  const [name, ...sizes] = pieces.flatMap((piece) => piece.nodes);
  return name ? [...as("definition", [name]), ...sizes] : [];
};

const pointerDeclarator: Builder = (pieces) =>
  as(
    "definition",
    pieces.flatMap((piece) => piece.nodes),
  );

/** `for (start; condition; step)`: the grammar keeps the signs between them to itself, so that the text is looked at. */
const countedFor: Builder = (pieces, { from, to, text }) => {
  const close = pieces.findLastIndex((piece) => piece.text === ")");
  const role = ["start", "condition", "step"] as const;
  let at = 0;
  const children = pieces.flatMap((piece, index) => {
    const gap = text.slice((pieces[index - 1]?.to ?? from) - from, piece.from - from);
    at += [...gap].filter((sign) => sign === ";").length;
    const found = as(index > close ? "body" : (role[Math.min(at, 2)] ?? "step"), piece.nodes);
    if (piece.text.endsWith(";")) at += 1;
    return found;
  });
  return [{ kind: "for", from, to, children }];
};

/** The condition of an `if` or a loop stands in brackets that belong to the statement. */
const clause: Builder = (pieces) =>
  as(
    "condition",
    pieces.flatMap((piece) => piece.nodes),
  );

const doStatement: Builder = (pieces, { from, to }) => {
  const nodes = pieces.flatMap((piece) => piece.nodes);
  const children = nodes.map((node, index): SyntaxNode => {
    const inner = node.children[0];
    if (index === 0) return { ...node, role: "body" };
    return { ...(node.kind === "group" && inner ? inner : node), role: "condition" };
  });
  return [{ kind: "do", from, to, children }];
};

/** A cast binds to what stands next to it; the grammar takes all that follows. */
const cast: Builder = (pieces, { from, to }) => {
  const [type, operand] = pieces.flatMap((piece) => piece.nodes);
  if (!type || !operand) return [{ kind: "cast", from, to, children: type ? as("type", [type]) : [] }];
  const around = (node: SyntaxNode): SyntaxNode => {
    const left = node.kind === "binary" ? node.children.find((child) => child.role === "left") : undefined;
    if (!left) return { kind: "cast", from, to: node.to, children: [...as("type", [type]), ...as("operand", [node])] };
    const children = node.children.map((child) =>
      child === left ? { ...around(left), role: "left" as const } : child,
    );
    return { ...node, from, children };
  };
  return [around(operand)];
};

/** `*name` and `&name`; `*name = value` assigns to what is pointed at. */
const pointer: Builder = (pieces, { from, to, text }) => {
  const [operand] = pieces.flatMap((piece) => piece.nodes);
  const sign = text[0] ?? "";
  const bare = (node: SyntaxNode): SyntaxNode => ({
    kind: "unary",
    from,
    to: node.to,
    sign,
    children: as("operand", [node]),
  });
  if (!operand) return [];
  const target = operand.kind === "assignment" ? operand.children.find((child) => child.role === "target") : undefined;
  if (!target) return [bare(operand)];
  const children = operand.children.map((child) =>
    child === target ? { ...bare(target), role: "target" as const } : child,
  );
  return [{ ...operand, from, to, children }];
};

const call: Builder = (pieces, { from, to }) => {
  const [callee, ...given] = pieces.flatMap((piece) => piece.nodes);
  return [{ kind: "call", from, to, children: callee ? [...as("callee", [callee]), ...given] : [] }];
};

const field: Builder = (pieces, { from, to }) => [
  { kind: "field", from, to, sign: pieces.at(-1)?.text ?? "", children: as("object", pieces[0]?.nodes ?? []) },
];

const table: LezerTable = {
  PreprocDirective: inclusion,
  FunctionDefinition: functionDefinition,
  FunctionDeclarator: functionDeclarator,
  ParameterDeclaration: parameter,
  StructSpecifier: (pieces, { from, to, text }) =>
    pieces.some((piece) => piece.name === "FieldDeclarationList")
      ? [{ kind: "class", from, to, children: [] }]
      : [{ kind: "type", from, to, sign: text, children: [] }],
  EnumSpecifier: leaf("type"),
  TypeDefinition: plain("import"),
  Declaration: declaration,
  InitDeclarator: withFirstValue,
  ArrayDeclarator: arrayDeclarator,
  PointerDeclarator: pointerDeclarator,
  CompoundStatement: plain("block"),
  ExpressionStatement: statement,
  IfStatement: inOrder("if", "condition", "body", "otherwise"),
  ConditionClause: clause,
  WhileStatement: inOrder("while", "condition", "body"),
  DoStatement: doStatement,
  ForStatement: countedFor,
  SwitchStatement: inOrder("switch", "condition", "body"),
  CaseStatement: plain("case"),
  ReturnStatement: inOrder("return", "value"),
  BreakStatement: leaf("leave"),
  ContinueStatement: leaf("leave"),
  // The grammar keeps the plain sign to itself.
  AssignmentExpression: (pieces, whole) =>
    inOrder("assignment", "target", "value")(pieces, whole).map((node) => ({ ...node, sign: node.sign ?? "=" })),
  UpdateExpression: inOrder("assignment", "target"),
  BinaryExpression: inOrder("binary", "left", "right"),
  UnaryExpression: inOrder("unary", "operand"),
  PointerExpression: pointer,
  ConditionalExpression: inOrder("choice", "condition", "value", "otherwise"),
  CastExpression: cast,
  ParenthesizedExpression: plain("group"),
  CallExpression: call,
  ArgumentList: (pieces) =>
    as(
      "argument",
      pieces.flatMap((piece) => piece.nodes),
    ),
  SubscriptExpression: inOrder("index", "object", "argument"),
  FieldExpression: field,
  InitializerList: plain("list"),
  Identifier: leaf("name"),
  FieldIdentifier: leaf("name"),
  Number: leaf("number"),
  String: leaf("text"),
  CharLiteral: leaf("text"),
  True: leaf("constant"),
  False: leaf("constant"),
  Null: leaf("constant"),
  PrimitiveType: leaf("type"),
  TypeIdentifier: leaf("type"),
  SizedTypeSpecifier: leaf("type"),
  TypeDescriptor: leaf("type"),
};

/** Stretches in which `<` and `>` compare nothing, and the signs themselves. */
const order =
  /"(?:\\.|[^"\\\n])*"|'(?:\\.|[^'\\\n])*'|\/\/[^\n]*|\/\*[\s\S]*?(?:\*\/|$)|^[ \t]*#[^\n]*|->|<<|>>|[<>]=?/gm;

/**
 * C by a published grammar, that of C++, which reads what students write in C, but for one thing: it takes `a < 0 || b > 9` for
 * the brackets of a template, and `>` for the end of one. There is none in C, so that it is given `^` for both, which stands
 * between two values only and binds more than `&&` and less than all that is compared; the signs of the tree are those of
 * the text.
 */
export const cSyntax: SyntaxReader = (text) =>
  fromLezer(parser.parse(text.replace(order, (part) => (part === "<" || part === ">" ? "^" : part))), text, table);
