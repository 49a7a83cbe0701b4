import { isLoop, part, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { givenBy } from "../exchanged.ts";
import { startsOf } from "../gathered.ts";
import { countersOf, lineEndOf, loopAround, namesIn, ofKind, wholeLines } from "../places.ts";

/** `break` at the end of each case that has none; `break` for `continue`; either taken out. */
function mends(context: EditContext): Proposal[] {
  const { statementEnd, blocks } = context.writing;
  const ends =
    blocks.by !== "braces"
      ? []
      : caseEnds(context).map((at) => insert(at, ` break${statementEnd}`, { word: "break" }, 1.2));
  const others = ofKind(context, "leave").flatMap(({ node }) => {
    const word = /break|continue/i.exec(context.sourceOf(node))?.[0];
    if (!word) return [];
    const other = word.toLowerCase() === "break" ? "continue" : "break";
    const whole = wholeLines(context, node);
    const place = { from: node.from, to: node.from + word.length };
    return [
      change(place, other, { word: other }, 0.7),
      ...(whole && blocks.by !== "indentation" ? [change(whole, "", { word }, 0.5)] : []),
    ];
  });
  if (!context.language.loopExits.includes("break")) return [...ends, ...others];
  // A loop that goes on although what it looks for is found.
  const found = ofKind(context, "if").flatMap(({ node, around }) => {
    const body = part(node, "body");
    const last = body?.kind === "block" ? body.children.at(-1) : undefined;
    if (!last || last.kind === "leave" || last.kind === "return" || !around.some(isLoop)) return [];
    return wordBehind(context, last, "break", keepsFirst(context, node, last, around) ? 3 : 0.35);
  });
  return [...ends, ...others, ...found, ...skips(context)];
}

/**
 * True for a decision that keeps where a loop is in a name that begins as no place, and asks nothing of that name: the first
 * place is wanted, not the last.
 */
function keepsFirst(
  context: EditContext,
  decision: SyntaxNode,
  last: SyntaxNode,
  around: readonly SyntaxNode[],
): boolean {
  const given = givenBy(last);
  const condition = part(decision, "condition");
  const loop = loopAround(around);
  const name = given?.target.kind === "name" ? (given.target.sign ?? "") : "";
  if (!given || !condition || !loop || name === "" || namesIn(condition).includes(name)) return false;
  const begins = startsOf(context, name).some(({ value }) => value.replace(/\s+/g, "") === "-1");
  return begins && countersOf(loop).includes(given.value.sign ?? "");
}

/** A word that leaves, on a line of its own behind a statement. */
function wordBehind(context: EditContext, statement: SyntaxNode, word: "break" | "continue", odds = 0.35): Proposal[] {
  const whole = wholeLines(context, statement);
  if (!whole) return [];
  const end = /[\r\n]$/.test(context.text.slice(0, whole.to)) ? "" : lineEndOf(context);
  const line = `${end}${whole.first.indent}${word}${context.writing.statementEnd}${lineEndOf(context)}`;
  return [{ ...insert(whole.to, line, { word }, odds), about: statement.from }];
}

/** `continue` at the end of what is done in one case, where the rest of the loop's body is meant for the others. */
function skips(context: EditContext): Proposal[] {
  if (!context.language.loopExits.includes("break")) return [];
  return ofKind(context, "if").flatMap(({ node, around }) => {
    const [body, outer, loop] = [part(node, "body"), around.at(-1), around.at(-2)];
    const last = body?.kind === "block" ? body.children.at(-1) : undefined;
    if (!last || !outer || !loop || !isLoop(loop) || outer.children.at(-1) === node || part(node, "otherwise"))
      return [];
    if (last.kind === "leave" || last.kind === "return") return [];
    const asked = namesIn(part(node, "condition") ?? node);
    const behind = outer.children.slice(outer.children.indexOf(node) + 1).flatMap((each) => namesIn(each));
    return wordBehind(context, last, "continue", asked.some((name) => behind.includes(name)) ? 0.8 : 0.35);
  });
}

/** Where the cases of a switch end that go on into the next one. */
function caseEnds(context: EditContext): number[] {
  return ofKind(context, "switch").flatMap(({ node }) => {
    const body = part(node, "body");
    if (!body) return [];
    const cases = context.code.filter(
      (token) => token.from > body.from && token.to < body.to && (token.text === "case" || token.text === "default"),
    );
    return cases.slice(1).flatMap((token) => {
      const at = context.code.indexOf(token);
      const before = context.code[at - 1];
      if (before?.text !== ";" && before?.text !== "}") return [];
      const statement = context.code
        .slice(0, at)
        .findLastIndex((each, index) => index < at - 1 && /^[;:{}]$/.test(each.text));
      if (context.code[statement + 1]?.text === "break" || context.code[statement + 1]?.text === "return") return [];
      return [before.to];
    });
  });
}

function plants(context: EditContext): Proposal[] {
  return ofKind(context, "leave").flatMap(({ node, around }) => {
    const word = /break|continue/i.exec(context.sourceOf(node))?.[0] ?? "";
    const other = word.toLowerCase() === "break" ? "continue" : "break";
    const inSwitch = around.findLast((each) => each.kind === "switch" || isLoop(each))?.kind === "switch";
    const blank = /[ \t]*$/.exec(context.text.slice(0, node.from))?.[0].length ?? 0;
    const end = context.text[node.to] === context.writing.statementEnd ? node.to + 1 : node.to;
    const out = change({ from: node.from - blank, to: end }, "", { word });
    const whole = wholeLines(context, node);
    if (inSwitch) return [out];
    return [
      change({ from: node.from, to: node.from + word.length }, other, { word: other }),
      ...(whole && context.writing.blocks.by !== "indentation" ? [change(whole, "", { word })] : []),
    ];
  });
}

export const leaving: EditFamily = {
  id: "leaving",
  says: "a word that leaves a loop or a case: left out, too many, or the other one",
  weight: 7,
  reads: "tree",
  mends,
  plants,
  examples: [
    {
      language: "java",
      right:
        "class Main { void f(int[] cars) {\n  for (int car : cars) {\n    if (car < 0) {\n      bad++;\n      continue;\n    }\n    sum += car;\n  }\n} }\n",
      faulty:
        "class Main { void f(int[] cars) {\n  for (int car : cars) {\n    if (car < 0) {\n      bad++;\n    }\n    sum += car;\n  }\n} }\n",
    },
    {
      language: "python",
      right: "for x in loads:\n    if x > 3:\n        break\n",
      faulty: "for x in loads:\n    if x > 3:\n        continue\n",
    },
    {
      language: "java",
      right: 'class Main { void f(int d) { switch (d) { case 1: s = "a"; break; case 2: s = "b"; } } }',
      faulty: 'class Main { void f(int d) { switch (d) { case 1: s = "a"; case 2: s = "b"; } } }',
    },
    {
      language: "c",
      right: "void f(int d) { switch (d) { case 1: s = 4; break; default: s = 5; } }",
      faulty: "void f(int d) { switch (d) { case 1: s = 4; default: s = 5; } }",
    },
    {
      language: "csharp",
      right: "class P { void F(int d) { while (d > 0) { if (d == 3) break; d--; } } }",
      faulty: "class P { void F(int d) { while (d > 0) { if (d == 3) continue; d--; } } }",
    },
    {
      language: "pascal",
      right: "begin\n  while a do\n    break;\nend.",
      faulty: "begin\n  while a do\n    continue;\nend.",
    },
    { language: "octave", right: "while a\n  break;\nend\n", faulty: "while a\n  continue;\nend\n" },
  ],
};
