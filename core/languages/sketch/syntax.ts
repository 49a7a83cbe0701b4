import { parser } from "@lezer/java";
import { fromLezer } from "../../syntax/lezer.ts";
import type { SyntaxNode, SyntaxReader } from "../../syntax/tree.ts";
import { javaTable, ungroup } from "../java/syntax.ts";
import { isPlain } from "./prepare.ts";

const inClass = "class S {";
const inFunction = "class S { void s() {";

/** The nodes moved back by the signs that were put before the text, and cut where the text of this length ends. */
function moved(node: SyntaxNode, by: number, length: number): SyntaxNode {
  const [from, to] = [Math.min(node.from - by, length), Math.min(node.to - by, length)];
  return { ...node, from, to, children: node.children.map((child) => moved(child, by, length)) };
}

/** What stands in the blocks that were put around a text, in its order, and what came behind them where a bracket is missing. */
function unwrapped(nodes: readonly SyntaxNode[], kinds: readonly SyntaxNode["kind"][]): SyntaxNode[] {
  const [kind, ...others] = kinds;
  if (kind === undefined) return [...nodes];
  const at = nodes.findIndex((node) => node.kind === kind);
  const holder = nodes[at];
  if (!holder) return [...nodes];
  return [...unwrapped(holder.children, others), ...nodes.slice(at + 1)];
}

/**
 * Sketches by Java's published grammar, as what stands in a class or, without functions, in a function. What only sketches write is read as what
 * has the same length there: #1e90ff as a number, int(x) as a call.
 */
export const sketchSyntax: SyntaxReader = (text) => {
  const plain = isPlain(text);
  const before = plain ? inFunction : inClass;
  const own = `${before}${text}${plain ? "}}" : "}"}`;
  const read = own
    .replace(/#[\da-fA-F]([\da-fA-F]{7}|[\da-fA-F]{5})\b/g, "0x$1")
    .replace(/\b(int|float|boolean|char|byte)(?=\s*\()/g, (word) => word.toUpperCase());
  const tree = ungroup(fromLezer(parser.parse(read), own, javaTable));
  const inside = unwrapped(tree.children, plain ? ["class", "block", "function", "block"] : ["class", "block"]);
  const end = before.length + text.length;
  const children = inside
    .filter((node) => node.from >= before.length && node.from < end)
    .map((node) => moved(node, before.length, text.length));
  return { kind: "program", from: 0, to: text.length, children };
};
