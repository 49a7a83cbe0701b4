import { calledName, ofKind } from "../../edits/places.ts";
import { nodesOf, part, parts, type SyntaxNode } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** What a read gave is a text, and is worked with as a number. */
export const inputKeptAsText: Mistake = {
  id: "input-kept-as-text",
  weight: 93,
  find: (context) => {
    const { countingCall, library, variables } = context.writing;
    if (variables !== "by assignment") return [];
    const isRead = (node: SyntaxNode | undefined) =>
      node?.kind === "call" && library.readsText(calledName(node)) && part(node, "callee")?.kind === "name";
    const read = new Map<string, number>();
    for (const { node } of ofKind(context, "assignment")) {
      const target = part(node, "target");
      if (isRead(part(node, "value")) && target?.kind === "name")
        read.set(target.sign ?? "", context.lineOf(node.from));
    }
    const worked = new Map<string, string>();
    for (const { node } of ofKind(context, "binary")) {
      if (!/^([-+*/%<>]|\/\/|<=|>=|\*\*)$/.test(node.sign ?? "")) continue;
      const sides = [part(node, "left"), part(node, "right")];
      const text = sides.some((side) => side && nodesOf(side).some((each) => each.kind === "text"));
      const number = sides.some(
        (side) => side?.kind === "number" || (side?.kind === "name" && !read.has(side.sign ?? "")),
      );
      for (const side of sides)
        if (side?.kind === "name" && read.has(side.sign ?? "") && !text && (number || node.sign !== "+"))
          worked.set(side.sign ?? "", node.sign ?? "");
    }
    for (const { node } of ofKind(context, "assignment")) {
      const value = part(node, "value");
      if (/^[-+*/]=$/.test(node.sign ?? "") && value?.kind === "name" && read.has(value.sign ?? ""))
        worked.set(value.sign ?? "", node.sign ?? "");
    }
    for (const { node } of ofKind(context, "call"))
      for (const given of parts(node, "argument"))
        if (calledName(node) === countingCall && given.kind === "name" && read.has(given.sign ?? ""))
          worked.set(given.sign ?? "", calledName(node));
    const found = [...worked].map(([name, sign]) => ({
      line: read.get(name) ?? 1,
      why: `“${name}” is a text as it is read here, and is worked with as a number (“${sign}”).`,
    }));
    // Texts that are gathered in a list and then summed, compared or sorted.
    const gathered = ofKind(context, "call").flatMap(({ node }) => {
      const [given] = parts(node, "argument");
      if (calledName(node) !== "append" || !isRead(given)) return [];
      const worksWith = nodesOf(context.tree).some(
        (each) => each.kind === "call" && /^(sum|max|min|sorted)$/.test(calledName(each)),
      );
      const counts = ofKind(context, "binary").some((each) => /^[-+*/<>]/.test(each.node.sign ?? ""));
      return worksWith || counts
        ? [{ line: context.lineOf(node.from), why: "What is gathered here are texts; numbers are worked with later." }]
        : [];
    });
    return [...found, ...gathered];
  },
  examples: [
    { language: "python", text: 'cars = input("Cars? ")\nfare = cars * 4\nprint(fare)\n', line: 1 },
    { language: "python", text: "a = []\na.append(input())\nprint(max(a))\n", line: 2 },
  ],
};
