import { parser } from "@lezer/java";
import {
  as,
  type Builder,
  definition,
  fromLezer,
  inOrder,
  type LezerTable,
  leaf,
  plain,
  statement,
} from "../../syntax/lezer.ts";
import type { SyntaxNode, SyntaxReader } from "../../syntax/tree.ts";

/** A function or class: the name it gives, its parameters, and its body last. */
function defining(kind: "function" | "class"): Builder {
  return (pieces, { from, to }) => [
    {
      ...{ kind, from, to },
      children: pieces
        .flatMap((piece) => piece.nodes)
        .map((node) => (node.kind === "block" ? { ...node, role: "body" } : node)),
    },
  ];
}

const parameter: Builder = (pieces, { from, to }) => [
  {
    ...{ kind: "parameter", from, to },
    sign: pieces.find((piece) => piece.name === "Definition")?.text ?? "",
    children: pieces.flatMap((piece) => piece.nodes),
  },
];

/** A sign that ends a statement and stands alone is an empty statement. */
function withEmpty(build: Builder): Builder {
  return (pieces, whole) =>
    build(
      pieces.map((piece) =>
        piece.text === ";" && piece.nodes.length === 0
          ? { ...piece, nodes: [{ kind: "statement", from: piece.from, to: piece.to, children: [] }] }
          : piece,
      ),
      whole,
    );
}

/** `for (start; condition; step)`: by the two terminators, since each of the three may be missing. */
const countedFor: Builder = (pieces, { from, to }) => {
  const spec = pieces.find((piece) => piece.name === "ForSpec");
  const body = pieces.filter((piece) => piece !== spec).flatMap((piece) => piece.nodes);
  return [{ kind: "for", from, to, children: [...(spec?.nodes ?? []), ...as("body", body)] }];
};

/** The three parts of a counted loop between its brackets; a declaration brings its own terminator along. */
const forParts: Builder = (pieces) => {
  const role = ["start", "condition", "step"] as const;
  let at = 0;
  return pieces.flatMap((piece) => {
    const found = as(role[Math.min(at, 2)] ?? "step", piece.nodes);
    if (piece.text.endsWith(";")) at += 1;
    return found;
  });
};

const eachFor: Builder = (pieces, { from, to }) => {
  const spec = pieces.find((piece) => piece.name === "ForSpec")?.nodes ?? [];
  const body = pieces.filter((piece) => piece.name !== "ForSpec").flatMap((piece) => piece.nodes);
  // The two signs of a counted loop are not there: what the parts are tells what they are for.
  const target = spec.find((node) => node.kind === "name");
  const inside = spec.map(
    (node): SyntaxNode => ({
      ...node,
      role: node.kind === "type" ? "type" : node === target ? "target" : "source",
    }),
  );
  return [{ kind: "foreach", from, to, children: [...inside, ...as("body", body)] }];
};

/** One name of a declaration, with its first value or without. */
const declarator: Builder = (pieces, { from, to }) => {
  const [target, ...values] = pieces.flatMap((piece) => piece.nodes);
  if (!target || values.length === 0) return target ? [target] : [];
  return [{ kind: "assignment", from, to, sign: "=", children: [target, ...as("value", values.slice(-1))] }];
};

const invocation: Builder = (pieces, { from, to }) => {
  const callee = pieces.filter((piece) => piece.name !== "ArgumentList" && piece.text !== ".");
  const given = pieces.filter((piece) => piece.name === "ArgumentList").flatMap((piece) => piece.nodes);
  const name = callee.at(-1);
  const object = callee.slice(0, -1).flatMap((piece) => piece.nodes);
  const called: SyntaxNode = object.length
    ? {
        kind: "field",
        role: "callee",
        from,
        to: name?.to ?? to,
        sign: name?.text ?? "",
        children: as("object", object),
      }
    : {
        kind: "name",
        role: "callee",
        from: name?.from ?? from,
        to: name?.to ?? to,
        sign: name?.text ?? "",
        children: [],
      };
  return [{ kind: "call", from, to, children: [called, ...given] }];
};

const field: Builder = (pieces, { from, to }) => [
  { kind: "field", from, to, sign: pieces.at(-1)?.text ?? "", children: as("object", pieces[0]?.nodes ?? []) },
];

const creation: Builder = (pieces, { from, to }) => {
  const given = pieces.filter((piece) => piece.name === "ArgumentList").flatMap((piece) => piece.nodes);
  const type = pieces.flatMap((piece) => piece.nodes.filter((node) => node.kind === "type"));
  return [{ kind: "call", from, to, sign: "new", children: [...as("type", type), ...given] }];
};

/** What the pieces of the grammar become. */
export const javaTable: LezerTable = {
  ImportDeclaration: plain("import"),
  PackageDeclaration: plain("import"),
  ClassDeclaration: defining("class"),
  InterfaceDeclaration: defining("class"),
  EnumDeclaration: defining("class"),
  ClassBody: plain("block"),
  MethodDeclaration: defining("function"),
  ConstructorDeclaration: defining("function"),
  ConstructorBody: plain("block"),
  FormalParameter: parameter,
  Block: withEmpty(plain("block")),
  SwitchBlock: plain("block"),
  FieldDeclaration: plain("declaration"),
  LocalVariableDeclaration: plain("declaration"),
  VariableDeclarator: declarator,
  ExpressionStatement: statement,
  ThrowStatement: statement,
  IfStatement: withEmpty(inOrder("if", "condition", "body", "otherwise")),
  WhileStatement: withEmpty(inOrder("while", "condition", "body")),
  DoStatement: inOrder("do", "body", "condition"),
  ForStatement: withEmpty(countedFor),
  ForSpec: forParts,
  EnhancedForStatement: withEmpty(eachFor),
  SwitchStatement: inOrder("switch", "condition", "body"),
  SwitchLabel: plain("case"),
  TryStatement: plain("try"),
  ReturnStatement: inOrder("return", "value"),
  BreakStatement: leaf("leave"),
  ContinueStatement: leaf("leave"),
  AssignmentExpression: inOrder("assignment", "target", "value"),
  UpdateExpression: inOrder("assignment", "target"),
  BinaryExpression: inOrder("binary", "left", "right"),
  InstanceofExpression: inOrder("binary", "left", "right"),
  UnaryExpression: inOrder("unary", "operand"),
  TernaryExpression: inOrder("choice", "condition", "value", "otherwise"),
  CastExpression: inOrder("cast", "type", "operand"),
  ParenthesizedExpression: plain("group"),
  MethodInvocation: invocation,
  ObjectCreationExpression: creation,
  ArrayCreationExpression: plain("list"),
  ArrayInitializer: plain("list"),
  ArgumentList: (pieces) =>
    as(
      "argument",
      pieces.flatMap((piece) => piece.nodes),
    ),
  ArrayAccess: inOrder("index", "object", "argument"),
  FieldAccess: field,
  ScopedIdentifier: field,
  Identifier: leaf("name"),
  Definition: definition,
  IntegerLiteral: leaf("number"),
  FloatingPointLiteral: leaf("number"),
  StringLiteral: leaf("text"),
  TextBlock: leaf("text"),
  CharacterLiteral: leaf("text"),
  BooleanLiteral: leaf("constant"),
  null: leaf("constant"),
  this: leaf("name"),
  PrimitiveType: leaf("type"),
  void: leaf("type"),
  TypeName: leaf("type"),
  GenericType: leaf("type"),
  ArrayType: leaf("type"),
  ScopedTypeName: leaf("type"),
  Modifiers: () => [],
  AssignOp: () => [],
};

/** The condition of `if (...)` stands in a group in the grammar; the brackets belong to the statement. */
export function ungroup(node: SyntaxNode): SyntaxNode {
  const children = node.children.map((child) => {
    const inner = child.children[0];
    const bare = child.role === "condition" && child.kind === "group" && child.children.length === 1 && inner;
    return ungroup(bare ? { ...inner, role: "condition" } : child);
  });
  return { ...node, children };
}

/** Java by its published grammar. */
export const javaSyntax: SyntaxReader = (text) => ungroup(fromLezer(parser.parse(text), text, javaTable));
