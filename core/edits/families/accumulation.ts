import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { startsOf } from "../gathered.ts";
import { bracketed, functionAround, loopAround, ofKind, signPlace } from "../places.ts";

const compound = ["+=", "-=", "*="];

/** True where a value adds something to the target itself: `total + x` for `total`. */
function addsToItself(context: EditContext, target: SyntaxNode, value: SyntaxNode | undefined): SyntaxNode | null {
  const [left, right] = [value && part(value, "left"), value && part(value, "right")];
  if (value?.kind !== "binary" || !left || !right || !/^[-+*]$/.test(value.sign ?? "")) return null;
  if (context.sourceOf(left) === context.sourceOf(target)) return right;
  return null;
}

/** True where a function gives a name a value that it has not made itself, in a language whose names are declared. */
function isOfAll({ writing }: EditContext, target: SyntaxNode, around: readonly SyntaxNode[]): boolean {
  const owner = functionAround(around);
  if (!owner || writing.types.length === 0 || target.kind !== "name") return false;
  return !nodesOf(owner).some(
    (each) => each.sign === target.sign && (each.kind === "parameter" || each.role === "definition"),
  );
}

/** A text joined to the name itself, on its other side; null for anything else. */
function turnedSum(context: EditContext, name: string, value: SyntaxNode): string | null {
  const [left, right] = [part(value, "left"), part(value, "right")].map((side) => side && context.sourceOf(side));
  if (value.sign !== "+" || !left || !right || ![left, right].includes(name) || !isText(context, name)) return null;
  return `${right} + ${left}`;
}

/** True for a name that begins as a text. */
function isText(context: EditContext, name: string): boolean {
  return ofKind(context, "assignment").some(({ node }) => {
    const target = part(node, "target") ?? part(node, "definition");
    return target?.sign === name && part(node, "value")?.kind === "text";
  });
}

/** True for a name that begins with 0 or an empty text before a loop that does nothing with it but give it a value in every pass. */
function isLost(context: EditContext, target: SyntaxNode, around: readonly SyntaxNode[]): boolean {
  const loop = loopAround(around);
  const body = loop && part(loop, "body");
  // In every pass: in no decision of its body.
  if (!loop || !body || !around.slice(-2).includes(body)) return false;
  const begins = startsOf(context, target.sign ?? "").some(
    ({ value, placed }) => placed.node.to <= loop.from && /^(?:0(?:\.0*)?|""|'')$/.test(value),
  );
  const others = nodesOf(loop).filter((each) => each.kind === "name" && each.sign === target.sign && each !== target);
  return begins && others.length === 0;
}

/** Adding up in place of giving a value, the other way round, and with another sign. */
function otherAssignments(context: EditContext): Proposal[] {
  return ofKind(context, "assignment").flatMap(({ node, around }) => {
    const [target, value] = [part(node, "target"), part(node, "value")];
    const sign = node.sign ?? "";
    const place = signPlace(context, node);
    if (sign === "++" || sign === "--") {
      const text = context.sourceOf(node);
      const other = text.replace(sign, sign === "++" ? "--" : "++");
      return [change(node, other, { before: text, after: other }, 0.8)];
    }
    if (!target || !value || target.kind === "list") return [];
    // A part of an object, or of the whole program, is given something in many calls, as in a loop.
    const inLoop = loopAround(around) !== undefined || isOfAll(context, target, around);
    const [name, what] = [context.sourceOf(target), context.sourceOf(value)];
    if (compound.includes(sign) && place) {
      const others = [...compound.filter((other) => other !== sign), context.writing.assign];
      const found = others.map((other) =>
        change(place, other, { before: sign, after: other }, other === "*=" ? 0.3 : 0.8),
      );
      if (sign !== "+=" || !isText(context, name)) return found;
      // A text can also be joined on its other side.
      const joined = `${name} ${context.writing.assign} ${bracketed(context, value)} + ${name}`;
      return [...found, change(node, joined, { before: context.sourceOf(node), after: joined }, 0.8)];
    }
    if (sign !== context.writing.assign || !place) return [];
    // "x =+ 1" gives x the value +1.
    if (value.kind === "unary" && (value.sign === "+" || value.sign === "-") && value.from === place.to)
      return [
        change(
          { from: place.from, to: value.from + 1 },
          `${value.sign}=`,
          { before: `=${value.sign}`, after: `${value.sign}=` },
          1,
        ),
      ];
    const added = addsToItself(context, target, value);
    const turned = turnedSum(context, name, value);
    if (added || turned)
      return [
        ...(added
          ? [change(value, context.sourceOf(added), { before: what, after: context.sourceOf(added) }, 0.3)]
          : []),
        ...(turned ? [change(value, turned, { before: what, after: turned }, 0.8)] : []),
      ];
    if (target.role === "definition" || value.kind === "list") return [];
    const found = ["+", "-"].map((operator) => {
      const longer = `${name} ${operator} ${bracketed(context, value)}`;
      return change(
        value,
        longer,
        { before: what, after: longer },
        (operator === "+" ? 0.9 : 0.4) * (inLoop ? 1 : 0.2),
      );
    });
    const mentions = context.nodes.some(
      ({ node: each }) => each.from >= value.from && each.to <= value.to && context.sourceOf(each) === name,
    );
    if (mentions) return [];
    // What begins with nothing, is given anew in each pass, and is read behind the loop alone.
    const sure = target.kind === "name" && isLost(context, target, around) ? 2 : 1;
    return context.writing.compound
      ? [...found, change(place, "+=", { before: sign, after: "+=" }, (inLoop ? 0.85 : 0.2) * sure)]
      : found.map((each, at) => (at === 0 ? { ...each, odds: each.odds * sure } : each));
  });
}

export const accumulation: EditFamily = {
  id: "accumulation",
  says: "a value that is given anew where it should be added to, or the other way round",
  weight: 8,
  reads: "tree",
  mends: otherAssignments,
  plants: otherAssignments,
  examples: [
    {
      language: "python",
      right: 'code = ""\nfor sign in "tern":\n    code = sign + code\n',
      faulty: 'code = ""\nfor sign in "tern":\n    code = code + sign\n',
    },
    {
      language: "python",
      right: "for load in loads:\n    total += load\n",
      faulty: "for load in loads:\n    total = load\n",
    },
    { language: "python", right: "count += 1\n", faulty: "count -= 1\n" },
    {
      language: "java",
      right: "class Main { void f(int[] a) { for (int x : a) { sum = sum + x; } } }",
      faulty: "class Main { void f(int[] a) { for (int x : a) { sum = x; } } }",
    },
    { language: "c", right: "void f() { n++; }", faulty: "void f() { n--; }" },
    { language: "csharp", right: "class P { void F() { n += 2; } }", faulty: "class P { void F() { n = 2; } }" },
    {
      language: "pascal",
      right: "begin\n  while a do s := s + x;\nend.",
      faulty: "begin\n  while a do s := x;\nend.",
    },
    { language: "octave", right: "for i = 1:3\n  s = s + i;\nend\n", faulty: "for i = 1:3\n  s = i;\nend\n" },
  ],
};
