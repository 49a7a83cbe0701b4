import type { Language } from "../languages/language.ts";
import { splitLines } from "../source/lines.ts";
import { lineAt, lineStarts, placed } from "../syntax/placed.ts";
import { type SyntaxNode, walk } from "../syntax/tree.ts";
import type { EditContext, EditLine, Placed } from "./edit.ts";

/** Names that a program makes known for values: parameters, declared names, targets of assignments and of loops. */
function valueNames(nodes: readonly Placed[]): string[] {
  const names = new Set<string>();
  const functions = new Set(functionNames(nodes));
  for (const { node, around } of nodes) {
    const parent = around.at(-1);
    if (node.kind === "parameter" && node.sign) names.add(node.sign);
    else if (node.kind === "name" && (node.role === "target" || node.role === "definition")) {
      if (parent?.kind !== "function" && parent?.kind !== "class" && !functions.has(node.sign ?? ""))
        names.add(node.sign ?? "");
    } else if (node.kind === "name" && parent?.kind === "list" && parent.role === "target") names.add(node.sign ?? "");
    else if (node.kind === "name" && node.role === "object" && parent?.role === "target") names.add(node.sign ?? "");
  }
  names.delete("");
  return [...names];
}

function functionNames(nodes: readonly Placed[]): string[] {
  return nodes.flatMap(({ node, around }) =>
    node.role === "definition" && around.at(-1)?.kind === "function" && node.kind === "name" ? [node.sign ?? ""] : [],
  );
}

/** The contexts that were made last: one judgement asks for the same one for its leads and for its kinds of mistake. */
const lastMade: Array<{
  language: Language;
  text: string;
  meantTexts: readonly string[];
  context: EditContext | null;
}> = [];
const keptContexts = 24;

/** Everything that families of edits look at; null for a language whose programs are not taken apart. It is shared: nobody changes it. */
export function editContext(language: Language, text: string, meantTexts: readonly string[] = []): EditContext | null {
  const known = lastMade.find(
    (each) =>
      each.language === language &&
      each.text === text &&
      each.meantTexts.length === meantTexts.length &&
      each.meantTexts.every((meant, at) => meant === meantTexts[at]),
  );
  if (known) return known.context;
  const context = contextOf(language, text, meantTexts);
  lastMade.unshift({ language, text, meantTexts, context });
  lastMade.length = Math.min(lastMade.length, keptContexts);
  return context;
}

/**
 * Signs and words of a line, and of a program, and how deep its parts stand in one another, at most: whoever writes more
 * writes it for a machine. Of such a line nothing is proposed, of such a program nothing at all.
 */
const mostInLine = 300;
const mostInProgram = 20_000;
const deepest = 80;

/** Whether parts of a tree stand in more than so many others; parts are looked at one after another, however deep they are. */
function isDeeper(tree: SyntaxNode, than: number): boolean {
  let row: readonly SyntaxNode[] = [tree];
  for (let depth = 0; row.length > 0; depth++) {
    if (depth > than) return true;
    row = row.flatMap((node) => node.children);
  }
  return false;
}

function contextOf(language: Language, text: string, meantTexts: readonly string[]): EditContext | null {
  const { syntax } = language;
  const writing = language.writingOf?.(text) ?? language.writing;
  if (!syntax || !writing) return null;
  const tree = syntax(text);
  if (isDeeper(tree, deepest)) return null;
  const nodes: Placed[] = [];
  walk(tree, (node: SyntaxNode, around) => nodes.push({ node, around }));
  const code = placed(
    text,
    language.tokens(text).filter((token) => token.kind !== "comment"),
  );
  if (code.length > mostInProgram) return null;
  const starts = lineStarts(text);
  const byLine = new Map<number, typeof code>();
  for (const token of code) {
    const line = byLine.get(token.line);
    if (line) line.push(token);
    else byLine.set(token.line, [token]);
  }
  const long = new Set([...byLine].filter(([, tokens]) => tokens.length > mostInLine).map(([line]) => line));
  const isInLong = ({ node }: Placed) => long.has(lineAt(starts, node.from));
  const lines = splitLines(text).map((line, index): EditLine => {
    const from = starts[index] ?? 0;
    return {
      ...{ number: index + 1, from, to: from + line.text.length, text: line.text },
      ...{
        indent: /^[ \t]*/.exec(line.text)?.[0] ?? "",
        code: long.has(index + 1) ? [] : (byLine.get(index + 1) ?? []),
      },
    };
  });
  return {
    ...{ language, writing, text, code, tree, lines, meantTexts },
    nodes: long.size === 0 ? nodes : nodes.filter((each) => !isInLong(each)),
    names: valueNames(nodes),
    functions: functionNames(nodes),
    lineOf: (offset) => lineAt(starts, offset),
    sourceOf: ({ from, to }) => text.slice(from, to),
  };
}
