import { part, parts, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Placed, type Proposal } from "../edit.ts";
import { calledName, isOrder, isSimple, nameOfFunction, ofKind } from "../places.ts";
import { uncalled } from "../prepared.ts";
import { scopesOf } from "../scopes.ts";

/** Values of which something may have to be worked out. */
const values = new Set<SyntaxNode["kind"]>(["name", "index", "field", "call", "binary", "group"]);

/** The text of a call with a value in its place: `abs(_)`, `_.trim()`. */
function filled(context: EditContext, call: string, value: SyntaxNode): string {
  const inner = value.kind === "group" && !call.startsWith("_") ? (value.children[0] ?? value) : value;
  const text = context.sourceOf(inner);
  return call.replace("_", () => (call.startsWith("_") && !isSimple(inner) ? `(${text})` : text));
}

/** Whether a text is such a call of something. */
function isCallOf(call: string, text: string): boolean {
  const [before = "", after = ""] = call.split("_");
  return text.length > before.length + after.length && text.startsWith(before) && text.endsWith(after);
}

/** The two sides of each comparison, by a sign or by a call that compares texts. */
function compared(context: EditContext): Array<{ left: SyntaxNode; right: SyntaxNode; isEquality: boolean }> {
  const { equal, unequal, equalTexts } = context.writing;
  const byCall = equalTexts && /(\w+)\(/.exec(equalTexts("", ""))?.[1];
  return ofKind(context, "binary", "call").flatMap(({ node }) => {
    const isEquality = node.kind === "call" || node.sign === equal || node.sign === unequal;
    if (node.kind === "call" ? calledName(node) !== byCall : !isEquality && !isOrder(node.sign)) return [];
    const callee = part(node, "callee");
    const [left, right] =
      node.kind === "binary"
        ? [part(node, "left"), part(node, "right")]
        : [callee && part(callee, "object"), ...parts(node, "argument")].filter((each) => each !== undefined);
    return left && right ? [{ left, right, isEquality }] : [];
  });
}

/** Sides of comparisons, of which only the other one is worked out, or none: `word > len(best)`. */
function inComparisons(context: EditContext): Proposal[] {
  const { worksOut } = context.writing;
  if (!worksOut) return [];
  const { mayCount } = scopesOf(context);
  const occurs = (call: string) => context.text.includes(call.replace("_", "")) || calledSomewhere(context, call);
  return compared(context).flatMap(({ left, right, isEquality }) => {
    return [[left, right] as const, [right, left] as const].flatMap(([value, other]) => {
      if (!values.has(value.kind)) return [];
      const against = context.sourceOf(other);
      const own = context.sourceOf(value);
      const put = (call: string, odds: number) => {
        const after = filled(context, call, value);
        return isCallOf(call, own) ? [] : [change(value, after, { before: own, after, name: call }, odds)];
      };
      const isDifference = (value.kind === "group" ? value.children[0] : value)?.sign === "-";
      const distances = isDifference ? worksOut.distances.flatMap((call, at) => put(call, at === 0 ? 1 : 0.3)) : [];
      const counts = value.kind === "name" && mayCount(value.sign ?? "") && context.writing.types.length > 0;
      const sizes = worksOut.sizes.flatMap((call, at) => {
        if (counts || value.kind === "binary" || worksOut.sizes.some((each) => isCallOf(each, own))) return [];
        if (isCallOf(call, against)) return put(call, 2);
        if (other.kind === "text") return [];
        return put(call, (occurs(call) ? 0.5 : 0.2) / (at + 1));
      });
      const texts = worksOut.texts.flatMap((call) => {
        if (!isEquality || counts || value.kind === "binary" || other.kind === "number") return [];
        return put(call, isCallOf(call, against) ? 2 : occurs(call) ? 0.8 : 0.3);
      });
      return [...distances, ...sizes, ...texts];
    });
  });
}

/** Whether something is worked out in this way anywhere in the program. */
function calledSomewhere(context: EditContext, call: string): boolean {
  const name = /[\w]+(?=\(|$)/.exec(call.replace(/^_\./, ""))?.[0] ?? call;
  return context.nodes.some(({ node }) => node.role !== "definition" && node.sign === name);
}

/** Whether a value is printed, kept, handed on or given back. */
function isUsed({ node }: Placed): boolean {
  return values.has(node.kind) && (node.role === "value" || node.role === "argument" || node.role === "source");
}

/** A difference that is printed, kept, handed on or given back, as a distance; what is read, in letters that compare. */
function inValues(context: EditContext): Proposal[] {
  const { worksOut, library } = context.writing;
  if (!worksOut) return [];
  return context.nodes.filter(isUsed).flatMap(({ node }) => {
    const text = context.sourceOf(node);
    const put = (call: string, odds: number) => {
      const after = filled(context, call, node);
      return change(node, after, { before: text, after, name: call }, odds);
    };
    if (node.kind === "binary" && node.sign === "-")
      return worksOut.distances.slice(0, 1).map((call) => put(call, 0.6));
    if (!library.readsText(calledName(node))) return [];
    return worksOut.texts.map((call) => put(call, calledSomewhere(context, call) ? 0.8 : 0.3));
  });
}

/** What a function of the program makes of one value and nothing calls, around the values that it may be meant for. */
function byOwnFunctions(context: EditContext): Proposal[] {
  const { isKnownAt } = scopesOf(context);
  return uncalled(context).flatMap(({ node: own }) => {
    const name = nameOfFunction(own);
    if (!name || own.children.filter((child) => child.kind === "parameter").length !== 1) return [];
    return context.nodes.flatMap((placed) => {
      const { node, around } = placed;
      const compared = around.at(-1)?.kind === "binary" && ["name", "index", "field"].includes(node.kind);
      if (!(isUsed(placed) || compared) || around.includes(own) || node.role === "target") return [];
      if (node.kind === "name" && (!context.names.includes(node.sign ?? "") || !isKnownAt(node.sign ?? "", around)))
        return [];
      const text = context.sourceOf(node);
      const after = filled(context, `${name}(_)`, node);
      return [change(node, after, { before: text, after, name }, 1.2)];
    });
  });
}

/** A call of one value around what is compared, kept, handed on or given back, taken away; of a function of the program its only call. */
function plants(context: EditContext): Proposal[] {
  const { worksOut, library } = context.writing;
  if (!worksOut) return [];
  const sides = new Set(compared(context).flatMap(({ left, right }) => [left, right]));
  const isAmong = (calls: readonly string[], text: string) => calls.some((call) => isCallOf(call, text));
  return ofKind(context, "call", "field").flatMap((placed) => {
    const { node, around } = placed;
    const text = context.sourceOf(node);
    const callee = part(node, "callee");
    const given = parts(node, "argument");
    const isOwn = callee?.kind === "name" && context.functions.includes(callee.sign ?? "");
    const value = isOwn ? given[0] : (given[0] ?? part(callee ?? node, "object"));
    if (!value || given.length > 1) return [];
    const used = isUsed(placed);
    const isReadText = used && isAmong(worksOut.texts, text) && library.readsText(calledName(value));
    const isDistance = isAmong(worksOut.distances, text) && value.sign === "-" && (used || sides.has(node));
    const isSide = sides.has(node) && isAmong([...worksOut.sizes, ...worksOut.texts], text);
    const isOnly =
      isOwn &&
      (used || around.at(-1)?.kind === "binary") &&
      ofKind(context, "call").filter((each) => calledName(each.node) === calledName(node)).length === 1;
    if (!isReadText && !isDistance && !isSide && !isOnly) return [];
    const after = context.sourceOf(value);
    return [change(node, after, { before: text, after }, 0.5)];
  });
}

/** What is worked out of a value before it is used: its length, its distance, its letters, by a function of the program. */
export const callLeftOut: EditFamily = {
  id: "call-left-out",
  says: "a call left out that works something out of a value",
  weight: 7,
  reads: "tree",
  mends: (context) => [...inComparisons(context), ...inValues(context), ...byOwnFunctions(context)],
  plants,
  examples: [
    {
      language: "python",
      right: 'best = ""\nfor name in names:\n    if len(name) > len(best):\n        best = name\n',
      faulty: 'best = ""\nfor name in names:\n    if name > len(best):\n        best = name\n',
    },
    {
      language: "python",
      right: 'def fare(age):\n    return age * 2\n\n\nage = 7\nprint("Fare", fare(age))\n',
      faulty: 'def fare(age):\n    return age * 2\n\n\nage = 7\nprint("Fare", age)\n',
    },
    {
      language: "java",
      right: 'class Main { boolean ends(String word) { return word.trim().equals("end") || word.length() > 9; } }',
      faulty: 'class Main { boolean ends(String word) { return word.trim().equals("end") || word > 9; } }',
    },
    {
      language: "java",
      right: 'class Main { boolean ends(String word) { return word.trim().equals("end"); } }',
      faulty: 'class Main { boolean ends(String word) { return word.equals("end"); } }',
    },
    {
      language: "c",
      right: "int near(int a, int b) { return abs(a - b) < 3; }",
      faulty: "int near(int a, int b) { return a - b < 3; }",
    },
    {
      language: "csharp",
      right: 'class P { bool Ends(string s) { return s.ToLower() == "end"; } }',
      faulty: 'class P { bool Ends(string s) { return s == "end"; } }',
    },
    {
      language: "pascal",
      right: "begin\n  gap := abs(high - low);\nend.\n",
      faulty: "begin\n  gap := high - low;\nend.\n",
    },
    {
      language: "octave",
      right: 'if strcmp(word, "end") || numel(word) > numel(longest)\n  longest = word;\nend\n',
      faulty: 'if strcmp(word, "end") || numel(word) > longest\n  longest = word;\nend\n',
    },
  ],
};
