import { escaped } from "../source/escaped.ts";
import { nodesOf, part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { blocksOf, functionAround, namesIn, ofKind } from "./places.ts";

/**
 * A part of a record that is counted up or asked for and never given its first value: the record and the sign before the part as
 * they are written, and the last of the statements that give its other parts theirs.
 */
export type FieldLeft = { field: string; object: string; mark: string; last: SyntaxNode };

/** The part of a record that a statement gives a value, with the record; undefined where it gives another thing one. */
function givenIn(context: EditContext, statement: SyntaxNode): Omit<FieldLeft, "last"> | undefined {
  const { assign } = context.writing;
  const [inside] = statement.kind === "statement" ? statement.children : [statement];
  // A text is put in by a call: its first argument is what gets it.
  const copied = inside?.kind === "call" ? part(inside, "argument") : undefined;
  const target = inside?.kind === "assignment" && inside.sign === assign ? part(inside, "target") : copied;
  const object = target?.kind === "field" ? part(target, "object") : undefined;
  if (!target?.sign || !object) return undefined;
  const mark = context.text.slice(object.to, target.to - target.sign.length).trim();
  return { field: target.sign, object: context.sourceOf(object), mark };
}

/** True for a variable of a function that is declared there without a value: what it holds then is anything. */
function holdsAnything(context: EditContext, name: string, around: readonly SyntaxNode[]): boolean {
  const owner = functionAround(around);
  if (!owner) return false;
  return nodesOf(owner).some(
    (node) =>
      node.kind === "declaration" &&
      namesIn(node).includes(name) &&
      !nodesOf(node).some((each) => each.kind === "assignment") &&
      !/[={]/.test(context.sourceOf(node)),
  );
}

/**
 * Parts of records that nothing gives a first value, in languages where a variable holds anything until it is given one: they are
 * counted up or asked for, and other parts of the same record are given theirs, two or more one after another.
 */
export function fieldsLeft(context: EditContext): FieldLeft[] {
  if (!context.language.recordingMarksUnset) return [];
  const used = new Set(
    ofKind(context, "field").flatMap(({ node }) => (node.role === "callee" ? [] : [node.sign ?? ""])),
  );
  const isGiven = (field: string) =>
    new RegExp(
      String.raw`(?:\.|->)\s*${escaped(field)}\b(?:\s*\[[^\]]*\])*\s*:?=(?!=)|&[\w\[\].>-]*\b${escaped(field)}\b`,
    ).test(context.text);
  const left = [...used].filter((field) => field !== "" && !isGiven(field));
  if (left.length === 0) return [];
  return blocksOf(context).flatMap(({ block, statements, around }) => {
    const given = statements.map((statement) => givenIn(context, statement));
    const last = given.findLastIndex((each) => each !== undefined);
    const { object, mark = "." } = given[last] ?? {};
    const statement = statements[last];
    const those = given.filter((each) => each !== undefined && each.object === object).map((each) => each?.field ?? "");
    const base = /^\w+/.exec(object ?? "")?.[0] ?? "";
    if (!object || !statement || those.length < 2 || !holdsAnything(context, base, [...around, block])) return [];
    return left.filter((field) => !those.includes(field)).map((field) => ({ field, object, mark, last: statement }));
  });
}
