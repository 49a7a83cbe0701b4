import { escaped } from "../../source/escaped.ts";
import { part, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { calledName, ofKind } from "../places.ts";

/** One character and no text, where a sign around it says so: two of them are equal by what they are. */
function isCharacter({ writing, sourceOf }: EditContext, node: SyntaxNode): boolean {
  return writing.letterQuote !== undefined && sourceOf(node).startsWith(writing.letterQuote);
}

/** What compares texts and answers with a number, by its name, and the answer for equal ones; no answer where there is none such. */
function answering({ writing }: EditContext): { name: string; zero?: string | undefined } {
  const [call = "", zero] = writing.equalTexts?.("a", "b").split(` ${writing.equal} `) ?? [];
  return { name: call.split("(")[0] ?? "", zero };
}

/** Where a comparison of texts gives 0 for equal ones, and its answer is asked as if it were the truth: `if (strcmp(a, b))`. */
function bareAnswers(context: EditContext): Proposal[] {
  const { equal, and, or } = context.writing;
  const { name, zero } = answering(context);
  if (zero === undefined) return [];
  return ofKind(context, "call").flatMap(({ node, around }) => {
    const parent = around.at(-1);
    const isAsked =
      node.role === "condition" ||
      (parent?.kind === "group" && parent.role === "condition") ||
      (parent?.kind === "binary" && (parent.sign === and || parent.sign === or));
    if (calledName(node) !== name || !isAsked) return [];
    const text = context.sourceOf(node);
    return [change(node, `${text} ${equal} ${zero}`, { one: text, other: zero, asks: "the answer" }, 1.9)];
  });
}

/** Where such an answer is compared with another number than the one that it gives for equal texts. */
function otherAnswers(context: EditContext): Proposal[] {
  const { equal, unequal } = context.writing;
  const { name, zero } = answering(context);
  if (zero === undefined) return [];
  return ofKind(context, "binary").flatMap(({ node }) => {
    const [left, right] = [part(node, "left"), part(node, "right")];
    if (node.sign !== equal && node.sign !== unequal) return [];
    if (left?.kind !== "call" || calledName(left) !== name || right?.kind !== "number") return [];
    return right.sign === zero
      ? []
      : [change(right, zero, { one: context.sourceOf(right), other: zero, asks: "the answer" }, 1.9)];
  });
}

function mends(context: EditContext): Proposal[] {
  return [...bareAnswers(context), ...otherAnswers(context), ...unlikeTexts(context)];
}

/** True for a name or a part that the program declares as a text: `String owner`, `char name[16]`. */
function isDeclaredText({ text }: EditContext, { kind, sign }: SyntaxNode): boolean {
  if (kind !== "name" && kind !== "field") return false;
  const declared = String.raw`\bString\s+(?:\w+\s*(?:=[^;,()]*)?,\s*)*${escaped(sign ?? "")}\b|\bchar\s*\*\s*${escaped(sign ?? "")}\b|\bchar\s+${escaped(sign ?? "")}\s*\[`;
  return new RegExp(declared).test(text);
}

function unlikeTexts(context: EditContext): Proposal[] {
  const { equalTexts, equal, unequal, not } = context.writing;
  if (!equalTexts) return [];
  return ofKind(context, "binary").flatMap(({ node }) => {
    const [left, right] = [part(node, "left"), part(node, "right")];
    if (!left || !right || (node.sign !== equal && node.sign !== unequal)) return [];
    if (left.kind === "number" || right.kind === "number") return [];
    if ([left, right].some((side) => side.kind === "text" && isCharacter(context, side))) return [];
    const text = equalTexts(context.sourceOf(left), context.sourceOf(right));
    const negated = / == 0$/.test(text) ? text.replace(/ == 0$/, " != 0") : `${not}${text}`;
    const isNothing = left.kind === "constant" || right.kind === "constant";
    const isText = [left, right].some((side) => side.kind === "text" || (!isNothing && isDeclaredText(context, side)));
    const odds = isText ? 2 : 0.4;
    return [
      change(
        node,
        node.sign === equal ? text : negated,
        { one: context.sourceOf(left), other: context.sourceOf(right) },
        odds,
      ),
    ];
  });
}

/** A right answer of such a comparison for another number. */
function plantedAnswers(context: EditContext): Proposal[] {
  const { name, zero } = answering(context);
  if (zero === undefined) return [];
  return ofKind(context, "binary").flatMap(({ node }) => {
    const [left, right] = [part(node, "left"), part(node, "right")];
    if (left?.kind !== "call" || calledName(left) !== name || right?.sign !== zero) return [];
    return [change(right, "1", { one: zero, other: "1" }, 0.3)];
  });
}

function plants(context: EditContext): Proposal[] {
  const { equalTexts, equal } = context.writing;
  if (!equalTexts) return [];
  const signs = context.nodes.flatMap(({ node }) => {
    const found =
      /^([\w.]+)\.equals\(([^()]*)\)$/.exec(context.sourceOf(node)) ??
      /^strcmp\(([^,()]*), ([^,()]*)\)(?: == 0)?$/.exec(context.sourceOf(node));
    if (!found || (node.kind !== "call" && node.kind !== "binary")) return [];
    if (node.kind === "call" && equalTexts("a", "b").endsWith("== 0")) return [];
    return [change(node, `${found[1]} ${equal} ${found[2]}`, { one: found[1] ?? "", other: found[2] ?? "" })];
  });
  return [...signs, ...plantedAnswers(context)];
}

export const equalTextsFamily: EditFamily = {
  id: "equal-texts",
  says: "texts that are compared by where they lie and not by what they say",
  weight: 12,
  reads: "tree",
  mends,
  plants,
  examples: [
    {
      language: "c",
      right: "int f(char *a) { return strcmp(a, g()) == 0; }",
      faulty: "int f(char *a) { return strcmp(a, g()) == 1; }",
    },
    {
      language: "c",
      right:
        "struct load { char name[16]; };\nint f(struct load all[], const char *name) { return strcmp(all[0].name, name) == 0; }",
      faulty:
        "struct load { char name[16]; };\nint f(struct load all[], const char *name) { return all[0].name == name; }",
    },
    {
      language: "java",
      right: 'class Main { boolean f(String s) { return s.equals("sail"); } }',
      faulty: 'class Main { boolean f(String s) { return s == "sail"; } }',
    },
    {
      language: "c",
      right: 'int f(char *s) { return strcmp(s, "sail") == 0; }',
      faulty: 'int f(char *s) { return s == "sail"; }',
    },
    { language: "octave", right: 'if strcmp(s, "sail")\n  x = 1;\nend\n', faulty: 'if s == "sail"\n  x = 1;\nend\n' },
  ],
};
