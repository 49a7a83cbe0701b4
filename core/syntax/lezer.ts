import type { Tree } from "@lezer/common";
import { highest } from "./shallow.ts";
import type { SyntaxKind, SyntaxNode, SyntaxRole } from "./tree.ts";

/** A child as the grammar names it, with what became of it: nothing for a sign or a word of the language. */
export type Piece = { name: string; from: number; to: number; text: string; nodes: SyntaxNode[] };

/** Makes our node (or nodes that take its place) of a grammar's one. `whole` is the place of all of it. */
export type Builder = (pieces: readonly Piece[], whole: { from: number; to: number; text: string }) => SyntaxNode[];

/** How a grammar's names become ours; a name that is not here is passed through. */
export type LezerTable = Readonly<Record<string, Builder>>;

/** A node of a kind with all that became of the pieces as its children. */
export function plain(kind: SyntaxKind): Builder {
  return (pieces, { from, to }) => [{ kind, from, to, children: pieces.flatMap((piece) => piece.nodes) }];
}

/** A node without anything inside; its text is its sign. */
export function leaf(kind: SyntaxKind): Builder {
  return (_, { from, to, text }) => [{ kind, from, to, sign: text, children: [] }];
}

/** Nothing of its own: its children stand where it stood. */
export const through: Builder = (pieces) => pieces.flatMap((piece) => piece.nodes);

const signed: ReadonlySet<SyntaxKind> = new Set(["binary", "unary", "assignment"]);

/** A node whose children have these roles, in order; what is more than the roles has the last one. Its sign is what is no child. */
export function inOrder(kind: SyntaxKind, ...roles: Array<SyntaxRole | null>): Builder {
  return (pieces, { from, to }) => {
    const children = pieces.flatMap((piece) => piece.nodes);
    const sign = pieces.filter((piece) => piece.nodes.length === 0 && !/^[()[\]{};,.:]$/.test(piece.text));
    return [
      {
        ...{ kind, from, to },
        ...(signed.has(kind) && sign.length > 0 ? { sign: sign.map((each) => each.text).join(" ") } : {}),
        children: children.map((child, index) => {
          const role = roles[Math.min(index, roles.length - 1)];
          return role ? { ...child, role } : child;
        }),
      },
    ];
  };
}

/** A statement around what its pieces became. */
export const statement: Builder = (pieces, { from, to }) => [
  { kind: "statement", from, to, children: pieces.flatMap((piece) => piece.nodes) },
];

/** Gives nodes a role. */
export function as(role: SyntaxRole, nodes: readonly SyntaxNode[]): SyntaxNode[] {
  return nodes.map((node) => ({ ...node, role }));
}

/** A name that is made known where it stands. */
export const definition: Builder = (_, { from, to, text }) => [
  { kind: "name", role: "definition", from, to, sign: text, children: [] },
];

/**
 * Our tree of a grammar's tree, by the table of its language. What the grammar could not read comes as `error`; of a text
 * whose pieces lie in one another more deeply than anybody writes, nothing is read.
 */
export function fromLezer(tree: Tree, text: string, table: LezerTable): SyntaxNode {
  const program: SyntaxNode = { kind: "program", from: 0, to: text.length, children: [] };
  if (heightOf(tree) > highest) return program;
  // One cursor goes through all of it: a grammar's nodes are made anew whenever one is asked for.
  const cursor = tree.cursor();
  const piecesOf = (): Piece[] => {
    if (!cursor.firstChild()) return [];
    const pieces: Piece[] = [];
    do pieces.push(pieceAt());
    while (cursor.nextSibling());
    cursor.parent();
    return pieces;
  };
  const pieceAt = (): Piece => {
    const { name, from, to, type } = cursor;
    const whole = { from, to, text: text.slice(from, to) };
    const pieces = piecesOf();
    const inside = () => pieces.flatMap((piece) => piece.nodes);
    if (type.isError) return { name: "error", ...whole, nodes: [{ kind: "error", from, to, children: inside() }] };
    return { name, ...whole, nodes: table[name]?.(pieces, whole) ?? inside() };
  };
  return { ...program, children: piecesOf().flatMap((piece) => piece.nodes) };
}

/** How many nodes of a grammar's tree lie in one another. */
function heightOf(tree: Tree): number {
  let [height, most] = [0, 0];
  tree.iterate({
    enter: () => {
      height += 1;
      most = Math.max(most, height);
    },
    leave: () => {
      height -= 1;
    },
  });
  return most;
}
