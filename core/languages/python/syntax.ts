import { parser } from "@lezer/python";
import {
  as,
  type Builder,
  fromLezer,
  inOrder,
  type LezerTable,
  leaf,
  type Piece,
  plain,
  statement,
  through,
} from "../../syntax/lezer.ts";
import type { SyntaxNode, SyntaxReader } from "../../syntax/tree.ts";

/** `if` with its chain: what follows an `elif` is an `if` of its own where the condition before does not hold. */
const ifStatement: Builder = (pieces, { from, to }) => {
  const link = (at: number, start: number): SyntaxNode => {
    const next = pieces.findIndex((piece, index) => index > at && (piece.text === "elif" || piece.text === "else"));
    const own = pieces.slice(at + 1, next < 0 ? undefined : next).flatMap((piece) => piece.nodes);
    const children = own.map((node): SyntaxNode => ({ ...node, role: node.kind === "block" ? "body" : "condition" }));
    const following = pieces[next];
    if (following?.text === "elif") children.push({ ...link(next, following.from), role: "otherwise" });
    else if (following)
      children.push(
        ...as(
          "otherwise",
          pieces.slice(next + 1).flatMap((piece) => piece.nodes),
        ),
      );
    return { kind: "if", from: start, to, children };
  };
  return [link(0, from)];
};

const forStatement: Builder = (pieces, { from, to }) => {
  const inside = pieces.findIndex((piece) => piece.text === "in");
  return [
    {
      ...{ kind: "foreach", from, to },
      children: pieces.flatMap((piece, index) =>
        as(piece.name === "Body" ? "body" : index < inside ? "target" : "source", piece.nodes),
      ),
    },
  ];
};

const functionDefinition: Builder = (pieces, { from, to }) => [
  {
    ...{ kind: "function", from, to },
    children: pieces.flatMap((piece) =>
      piece.name === "VariableName"
        ? as("definition", piece.nodes)
        : piece.name === "Body"
          ? as("body", piece.nodes)
          : piece.nodes,
    ),
  },
];

/** Parameters: a name before `=`, `,`, `:` or the end is one; what follows `=` is its usual value. */
const parameters: Builder = (pieces) =>
  pieces.flatMap((piece, index) => {
    const value = pieces[index - 1]?.name === "AssignOp";
    return piece.name === "VariableName" && !value
      ? [
          {
            kind: "parameter" as const,
            role: "definition" as const,
            from: piece.from,
            to: piece.to,
            sign: piece.text,
            children: [],
          },
        ]
      : piece.nodes;
  });

/** Several names to the left of several values are one list each. */
function side(pieces: readonly Piece[], role: "target" | "value"): SyntaxNode[] {
  const nodes = pieces.flatMap((piece) => piece.nodes);
  const [first] = nodes;
  const last = nodes.at(-1);
  if (!first || !last || nodes.length === 1) return as(role, nodes);
  return [{ kind: "list", role, from: first.from, to: last.to, children: nodes }];
}

const assignment: Builder = (pieces, { from, to }) => {
  const at = pieces.findLastIndex((piece) => piece.name === "AssignOp" || piece.name === "UpdateOp");
  const before = pieces.slice(0, Math.max(0, at)).filter((piece) => piece.name !== "TypeDef");
  const children = [...side(before, "target"), ...side(pieces.slice(at + 1), "value")];
  const inner: SyntaxNode = { kind: "assignment", from, to, sign: pieces[at]?.text ?? "=", children };
  return [{ kind: "statement", from, to, children: [inner] }];
};

/** `a.b` and `a[b]` have one name in the grammar. */
const member: Builder = (pieces, { from, to }) => {
  const [object, sign, ...rest] = pieces;
  if (sign?.text === ".")
    return [{ kind: "field", from, to, sign: pieces.at(-1)?.text ?? "", children: as("object", object?.nodes ?? []) }];
  const inside = rest.flatMap((piece) => piece.nodes);
  const slice = rest.some((piece) => piece.text === ":");
  return [
    {
      ...{ kind: "index", from, to },
      ...(slice ? { sign: ":" } : {}),
      children: [...as("object", object?.nodes ?? []), ...as("argument", inside)],
    },
  ];
};

/** Arguments; `name = value` is its value alone. */
const argumentList: Builder = (pieces) =>
  as(
    "argument",
    pieces.flatMap((piece, index) => (pieces[index + 1]?.name === "AssignOp" ? [] : piece.nodes)),
  );

/** A list made by going over another one: its first piece is what each element is worked out as. */
const comprehension: Builder = (pieces, { from, to }) => {
  const head = pieces.findIndex((piece) => piece.text === "for");
  return [
    {
      ...{ kind: "list", from, to },
      children: pieces.flatMap((piece, at) => (at < head ? as("value", piece.nodes) : piece.nodes)),
    },
  ];
};

const call: Builder = (pieces, { from, to }) => {
  const [callee, ...rest] = pieces.flatMap((piece) => piece.nodes);
  return [{ kind: "call", from, to, children: callee ? [...as("callee", [callee]), ...rest] : [] }];
};

const table: LezerTable = {
  ImportStatement: plain("import"),
  FunctionDefinition: functionDefinition,
  ClassDefinition: functionDefinitionAsClass(),
  ParamList: parameters,
  Body: plain("block"),
  IfStatement: ifStatement,
  WhileStatement: inOrder("while", "condition", "body", "otherwise"),
  ForStatement: forStatement,
  TryStatement: plain("try"),
  WithStatement: plain("try"),
  AssignStatement: assignment,
  UpdateStatement: assignment,
  ExpressionStatement: statement,
  ReturnStatement: inOrder("return", "value"),
  BreakStatement: leaf("leave"),
  ContinueStatement: leaf("leave"),
  PassStatement: statement,
  DeleteStatement: statement,
  ScopeStatement: statement,
  RaiseStatement: statement,
  AssertStatement: statement,
  PrintStatement: statement,
  BinaryExpression: inOrder("binary", "left", "right"),
  UnaryExpression: inOrder("unary", "operand"),
  ConditionalExpression: inOrder("choice", "value", "condition", "otherwise"),
  ParenthesizedExpression: plain("group"),
  TupleExpression: plain("list"),
  ArrayExpression: plain("list"),
  DictionaryExpression: plain("list"),
  SetExpression: plain("list"),
  ArrayComprehensionExpression: comprehension,
  ComprehensionExpression: comprehension,
  MemberExpression: member,
  CallExpression: call,
  ArgList: argumentList,
  ArithOp: through,
  VariableName: leaf("name"),
  Number: leaf("number"),
  String: leaf("text"),
  FormatString: (pieces, { from, to, text }) => [
    { kind: "text", from, to, sign: text, children: pieces.flatMap((piece) => piece.nodes) },
  ],
  ContinuedString: leaf("text"),
  Boolean: leaf("constant"),
  None: leaf("constant"),
  TypeDef: () => [],
};

function functionDefinitionAsClass(): Builder {
  return (pieces, whole) => functionDefinition(pieces, whole).map((node) => ({ ...node, kind: "class" }));
}

/** Python by its published grammar. */
export const pythonSyntax: SyntaxReader = (text) => fromLezer(parser.parse(text), text, table);
