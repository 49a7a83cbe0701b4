import { nodesOf, part } from "../../syntax/tree.ts";
import { type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { lineEndOf, ofKind, wholeLines } from "../places.ts";

/** A variable of the program that a function changes as one of its own: `global` names it. */
function mends(context: EditContext): Proposal[] {
  const { wholeProgram } = context.writing;
  if (!wholeProgram) return [];
  const { word, apart } = wholeProgram;
  return ofKind(context, "function").flatMap(({ node }) => {
    const body = part(node, "body");
    const first = body?.children[0];
    if (!body || !first) return [];
    const own = node.children.flatMap((child) => (child.kind === "parameter" ? [child.sign] : []));
    const assigned = nodesOf(body).flatMap((each) =>
      each.kind === "name" && each.role === "target" ? [each.sign ?? ""] : [],
    );
    const outside = new Set(
      context.nodes.flatMap((each) =>
        each.node.role === "target" && !each.around.some((around) => around.kind === "function")
          ? [each.node.sign ?? ""]
          : [],
      ),
    );
    const names = [...new Set(assigned)].filter((name) => outside.has(name) && !own.includes(name));
    const said = context.code.findIndex(
      (token) => token.text === word && token.from >= body.from && token.to <= body.to,
    );
    const line = wholeLines(context, first);
    return names.flatMap((name) => {
      const listed = context.code.slice(said + 1).filter((token) => token.line === context.code[said]?.line);
      if (said >= 0 && listed.some((token) => token.text === name)) return [];
      const last = listed.at(-1);
      if (said >= 0 && last) return [insert(last.to, `${apart}${name}`, { name }, 1.2)];
      return line ? [insert(line.from, `${line.first.indent}${word} ${name}${lineEndOf(context)}`, { name }, 1)] : [];
    });
  });
}

function plants(context: EditContext): Proposal[] {
  const { wholeProgram } = context.writing;
  return context.lines.flatMap((line) => {
    const [word, ...names] = line.code;
    const next = context.lines[line.number];
    if (!word || word.text !== wholeProgram?.word || !next) return [];
    const last = names.at(-1);
    const before = names.at(-3) ?? names.at(-2);
    const found: Proposal[] = [
      { from: line.from, to: next.from, text: "", parameters: { name: last?.text ?? "" }, odds: 1 },
    ];
    if (names.length > 1 && last && before)
      found.push({ from: before.to, to: last.to, text: "", parameters: { name: last.text }, odds: 1 });
    return found;
  });
}

export const scopeWord: EditFamily = {
  id: "scope-word",
  says: "a variable of the whole program that a function takes for its own",
  weight: 8,
  reads: "tree",
  mends,
  plants,
  examples: [
    {
      language: "python",
      right: "total = 0\ndef add(load):\n    global total\n    total += load\n",
      faulty: "total = 0\ndef add(load):\n    total += load\n",
    },
    {
      language: "python",
      right: "total = 0\nn = 0\ndef add(load):\n    global n, total\n    n += 1\n    total += load\n",
      faulty: "total = 0\nn = 0\ndef add(load):\n    global n\n    n += 1\n    total += load\n",
    },
  ],
};
