import { part } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { ofKind, signPlace } from "../places.ts";

/** A value is given where two are to be compared, or compared where one is to be given. */
function mends(context: EditContext): Proposal[] {
  const { assign, equal } = context.writing;
  const given = ofKind(context, "assignment").flatMap(({ node, around }) => {
    const place = signPlace(context, node);
    const inCondition = node.role === "condition" || around.some((each) => each.role === "condition");
    // What a function gives back of a comparison is asked for, too, and an assignment there is hardly ever meant.
    // An argument is no place to give a value in, either.
    const isAsked = inCondition || around.at(-1)?.kind === "return" || node.role === "argument";
    // What a call gives, kept and compared at once: while ((line = read()) != null).
    const outer = around.findLast((each) => each.kind !== "group");
    const isKept = outer?.kind === "binary" && part(node, "value")?.kind === "call";
    return place && isAsked && node.sign === assign
      ? [change(place, equal, { before: assign, after: equal }, isKept ? 0.1 : 1)]
      : [];
  });
  const compared = ofKind(context, "statement").flatMap(({ node }) => {
    const [value] = node.children;
    const place = value && signPlace(context, value);
    return place && value.kind === "binary" && value.sign === equal && part(value, "left")?.kind !== "number"
      ? [change(place, assign, { before: equal, after: assign })]
      : [];
  });
  return [...given, ...compared];
}

function plants(context: EditContext): Proposal[] {
  const { assign, equal } = context.writing;
  const compared = ofKind(context, "binary").flatMap(({ node, around }) => {
    const place = signPlace(context, node);
    const isAsked =
      node.role === "condition" || around.some((each) => each.role === "condition" || each.kind === "return");
    return place && isAsked && node.sign === equal ? [change(place, assign, { before: equal, after: assign })] : [];
  });
  const given = ofKind(context, "statement").flatMap(({ node }) => {
    const [value] = node.children;
    const place = value && signPlace(context, value);
    return place && value.kind === "assignment" && value.sign === assign
      ? [change(place, equal, { before: assign, after: equal })]
      : [];
  });
  return [...compared, ...given];
}

export const equalitySign: EditFamily = {
  id: "equality-sign",
  says: "one sign of equality too few or too many: a value is given or compared",
  weight: 14,
  reads: "tree",
  mends,
  plants,
  examples: [
    { language: "c", right: "void f(int a) { if (a == 3) g(); }", faulty: "void f(int a) { if (a = 3) g(); }" },
    {
      language: "c",
      right: "int f(char c) { return c == 'a' || c == 'e'; }",
      faulty: "int f(char c) { return c = 'a' || c == 'e'; }",
    },
    { language: "python", right: "total = 3\n", faulty: "total == 3\n" },
    {
      language: "java",
      right: "class Main { void f(boolean a) { if (a == true) g(); } }",
      faulty: "class Main { void f(boolean a) { if (a = true) g(); } }",
    },
    { language: "octave", right: "a = 3;\n", faulty: "a == 3;\n" },
  ],
};
