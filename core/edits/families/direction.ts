import { part, parts } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { bracketed, calledName, ofKind } from "../places.ts";

/** Loops that count the other way: `to` and `downto`, a step of 1 and of -1. */
function otherDirections(context: EditContext): Proposal[] {
  const counted = ofKind(context, "for").flatMap(({ node }) => {
    if (node.sign === undefined || !/^(down)?to$/i.test(node.sign)) return [];
    const word = context.code.find(
      (token) => token.from > node.from && token.to < node.to && /^(down)?to$/i.test(token.text),
    );
    if (!word) return [];
    const other = word.text.toLowerCase() === "to" ? "downto" : "to";
    return [change(word, other, { before: word.text, after: other })];
  });
  const ranges = ofKind(context, "call").flatMap(({ node }) => {
    const [first, second, step] = parts(node, "argument");
    if (calledName(node) !== context.writing.countingCall || !first || !second) return [];
    if (!step) return [change({ from: second.to, to: second.to }, ", -1", { before: "", after: ", -1" }, 0.6)];
    const text = context.sourceOf(step);
    const turned = text.startsWith("-") ? text.slice(1) : `-${text}`;
    return [
      change(step, turned, { before: text, after: turned }),
      change({ from: second.to, to: step.to }, "", { before: text, after: "" }, 0.5),
    ];
  });
  const sections = ofKind(context, "foreach").flatMap(({ node }) => {
    const source = part(node, "source");
    const [left, right] = source?.sign === ":" ? [part(source, "left"), part(source, "right")] : [];
    if (!left || !right || left.kind === "binary") return [];
    return [change({ from: left.to, to: right.from }, ":-1:", { before: ":", after: ":-1:" }, 0.6)];
  });
  const noStep = ofKind(context, "foreach").flatMap(({ node }) => {
    const source = part(node, "source");
    const [left, right] = source?.sign === ":" ? [part(source, "left"), part(source, "right")] : [];
    const [first, step] = left?.sign === ":" ? [part(left, "left"), part(left, "right")] : [];
    if (!first || !step || !right) return [];
    return [change({ from: first.to, to: right.from }, ":", { before: bracketed(context, step), after: "" }, 0.6)];
  });
  return [...counted, ...ranges, ...sections, ...noStep, ...stepWords(context)];
}

/** A step of -1 that is left out, too many, or turned, where a word stands before it. */
function stepWords(context: EditContext): Proposal[] {
  const { stepWord } = context.writing;
  if (stepWord === undefined) return [];
  return ofKind(context, "for").flatMap(({ node }) => {
    const [limit, step] = [part(node, "limit"), part(node, "step")];
    if (!limit) return [];
    if (!step) return [insert(limit.to, ` ${stepWord} -1`, { before: "", after: `${stepWord} -1` }, 0.8)];
    const text = context.sourceOf(step);
    const turned = text.startsWith("-") ? text.slice(1) : `-${text}`;
    return [
      change({ from: limit.to, to: step.to }, "", { before: `${stepWord} ${text}`, after: "" }, 0.9),
      change(step, turned, { before: text, after: turned }, 0.7),
    ];
  });
}

export const direction: EditFamily = {
  id: "direction",
  says: "a loop that counts the wrong way",
  weight: 6,
  reads: "tree",
  mends: otherDirections,
  plants: otherDirections,
  examples: [
    {
      language: "python",
      right: "for n in range(10, 0, -1):\n    print(n)\n",
      faulty: "for n in range(10, 0):\n    print(n)\n",
    },
    {
      language: "pascal",
      right: "begin\n  for i := 9 downto 1 do x := i;\nend.",
      faulty: "begin\n  for i := 9 to 1 do x := i;\nend.",
    },
    {
      language: "pseudocode",
      right: "FOR i <- 9 TO 1 STEP -1\n  OUTPUT i\nNEXT i\n",
      faulty: "FOR i <- 9 TO 1\n  OUTPUT i\nNEXT i\n",
    },
    { language: "octave", right: "for i = 9:-1:1\n  x = i;\nend\n", faulty: "for i = 9:1\n  x = i;\nend\n" },
  ],
};
