import * as z from "zod";
import { workOutAt } from "../../expressions/atStep.ts";
import { expressionsOn, type PlacedExpression } from "../../expressions/expressionsOn.ts";
import { isUnknown } from "../../expressions/known.ts";
import { expressionTree } from "../../expressions/readExpression.ts";
import type { Language } from "../../languages/language.ts";
import { findLanguage } from "../../languages/languages.ts";
import { part, type SyntaxNode } from "../../syntax/tree.ts";
import type { Trace } from "../../trace/trace.ts";
import type { PartField } from "../asked.ts";
import { askedProgram } from "../askedProgram.ts";
import { sameValue } from "../cellValues.ts";
import { definePartsKind, sharedMark } from "../partsKind.ts";

const stepSchema = z.object({
  /** The piece of the condition, what it is, what it comes to as the language writes it; "" where it is not looked at. */
  ...{ text: z.string(), is: z.enum(["value", "comparison", "decision"]), comes: z.string() },
  /** Where it is a comparison that is looked at: the same with its values put in. */
  putIn: z.string().default(""),
});
const schema = z.object({
  ...{ key: z.string(), kind: z.literal("condition"), marks: z.number().int().min(1) },
  ...{ program: z.enum(["faulty", "mended"]), line: z.number().int().positive(), text: z.string() },
  values: z.array(z.object({ name: z.string(), value: z.string() })),
  steps: z.array(stepSchema).min(1),
});
type ConditionTask = z.infer<typeof schema>;
type Step = ConditionTask["steps"][number];

const truths = [
  { value: "true", words: "true" },
  { value: "false", words: "false" },
  { value: "not looked at", words: "not looked at" },
] as const;
const comparing = new Set(["<", "<=", ">", ">=", "==", "!=", "=", "<>", "~=", "in", "is"]);

/** The pieces of a condition that come to something, inside out, with what they are. */
function piecesOf(language: Language, node: SyntaxNode): Array<{ node: SyntaxNode; is: Step["is"] }> {
  const cuts = language.values?.cuts ?? {};
  const inner = node.children.flatMap((child) => piecesOf(language, child));
  const sign = (node.sign ?? "").toLowerCase();
  if (node.kind === "binary" && (sign in cuts || /^(and|or|xor)$/.test(sign)))
    return [...inner, { node, is: "decision" }];
  if (node.kind === "unary" && /^(not|!|~)$/.test(sign)) return [...inner, { node, is: "decision" }];
  if (node.kind === "binary" && comparing.has(sign)) return [...inner, { node, is: "comparison" }];
  return node.kind === "binary" || node.kind === "call" || node.kind === "index"
    ? [...inner, { node, is: "value" }]
    : inner;
}

const isTrue = (written: string) => /^(true|1)$/i.test(written);

/** What is asked of a condition at a recorded step; null where it cannot be taken apart with what is known there. */
function stepsAt(language: Language, trace: Trace, place: number, expression: PlacedExpression): Step[] | null {
  const tree = expressionTree(language, expression.text);
  const whole = workOutAt(language, trace, place, expression);
  if (!tree || !whole || isUnknown(whole.value)) return null;
  const { text, loop } = expression;
  const steps: Step[] = [];
  const pieces = piecesOf(language, tree).map((each) => ({ ...each, own: text.slice(each.node.from, each.node.to) }));
  const isLeftOutAt = ({ from, to }: SyntaxNode) => whole.leftOut.some((each) => each.from <= from && to <= each.to);
  for (const [at, { node, is, own }] of pieces.entries()) {
    if (pieces.findIndex((each) => each.own === own) < at) continue;
    // What stands in the condition twice is looked at where it is in one of the places.
    if (pieces.every((each) => each.own !== own || isLeftOutAt(each.node))) {
      steps.push({ text: own, is, comes: "", putIn: "" });
      continue;
    }
    const worked = workOutAt(language, trace, place, { text: own, ...(loop ? { loop } : {}) });
    if (!worked || isUnknown(worked.value)) return null;
    const [one, other] = [part(node, "left"), part(node, "right")];
    const side = (each: SyntaxNode) =>
      workOutAt(language, trace, place, { text: text.slice(each.from, each.to), ...(loop ? { loop } : {}) })?.written ??
      "";
    const putIn = is === "comparison" && one && other ? `${side(one)} ${node.sign} ${side(other)}` : "";
    steps.push({
      text: own,
      is,
      comes: is === "value" ? worked.written : isTrue(worked.written) ? "true" : "false",
      putIn,
    });
  }
  return steps.some(({ is }) => is !== "value") ? steps : null;
}

/** Names of an expression with what they hold at a step. */
function valuesAt(
  language: Language,
  trace: Trace,
  place: number,
  expression: PlacedExpression,
): ConditionTask["values"] {
  const names = new Set<string>();
  const collect = (node: SyntaxNode): void => {
    if (node.kind === "name" && node.role !== "callee") names.add(expression.text.slice(node.from, node.to));
    for (const child of node.children) collect(child);
  };
  const tree = expressionTree(language, expression.text);
  if (tree) collect(tree);
  return [...names].flatMap((name) => {
    const worked = workOutAt(language, trace, place, {
      text: name,
      ...(expression.loop ? { loop: expression.loop } : {}),
    });
    return worked && !isUnknown(worked.value) ? [{ name, value: worked.written }] : [];
  });
}

const mostSteps = 8;
const mostPlaces = 400;
const nameOf = (at: number) => `step ${at + 1}`;
const putInOf = (at: number) => `step ${at + 1} with its values`;
const plain = (text: string) => text.replace(/\s+/g, "");
const isLeftOut = (text: string) => /^(-|–|not looked at)?$/i.test(text.trim());

/** The fields of a task with what is right in each. */
function fieldsOf(task: ConditionTask): Array<{ field: PartField; right: string }> {
  return task.steps.flatMap(({ text, is, comes, putIn }, at) => {
    const right = comes === "" ? "not looked at" : comes;
    if (is === "value") return [{ field: { name: nameOf(at), says: text, rows: 1, code: true }, right }];
    const truth = { field: { name: nameOf(at), says: text, rows: 1, code: true, options: truths }, right };
    if (is === "decision") return [truth];
    const says = `${text}, with its values put in (or “not looked at”)`;
    return [{ field: { name: putInOf(at), says, rows: 1 }, right: comes === "" ? "not looked at" : putIn }, truth];
  });
}

function isRight(field: PartField, right: string, given: string | undefined): boolean {
  const written = given ?? "";
  if (right === "not looked at") return written.trim() !== "" && isLeftOut(written);
  if (field.options) return written === right;
  return plain(written) === plain(right) || (written.trim() !== "" && sameValue(written, right));
}

/** Work a condition out step by step: what is compared with its values, and, or and not; what is not looked at. */
export const condition = definePartsKind<ConditionTask>({
  kind: "condition",
  title: "Does the condition hold?",
  schema,
  needsRun: true,
  answeredBeforeTrying: true,
  make: async ({ exercise, record }, { key, marks }) => {
    const asked = askedProgram(exercise);
    const language = findLanguage(exercise.language);
    if (typeof asked === "string" || !language) return "A condition cannot be asked: the program does not start.";
    const recording = await record(asked.text, exercise.checks[0]);
    if ("notRun" in recording) return `A condition cannot be asked: ${recording.notRun}`;
    const { trace } = recording;
    let best: { place: number; expression: PlacedExpression; steps: Step[]; weight: number } | null = null;
    for (let place = 0; place < Math.min(trace.steps.length, mostPlaces); place++) {
      for (const expression of expressionsOn(language, asked.text, trace.steps[place]?.line ?? 0)) {
        if (expression.use !== "asked") continue;
        const steps = stepsAt(language, trace, place, expression);
        if (!steps || steps.length > mostSteps) continue;
        // What has more to be worked out, and where something is not looked at, asks more.
        const weight = steps.length * 2 + (steps.some(({ comes }) => comes === "") ? 1 : 0);
        if (!best || weight > best.weight) best = { place, expression, steps, weight };
      }
    }
    if (!best) return "A condition cannot be asked: the program decides nothing that can be taken apart.";
    const { place, expression, steps } = best;
    return {
      ...{ key, kind: "condition" as const, marks, program: asked.program, line: trace.steps[place]?.line ?? 1 },
      ...{ text: expression.text, values: valuesAt(language, trace, place, expression), steps },
    };
  },
  parts: (task, exercise) => [
    {
      says: `Line ${task.line} asks whether ${task.text} holds. Work it out piece by piece, from the inside; say what the machine does not look at.`,
      shown: [
        ...(task.program === "mended" && exercise.mended !== null
          ? [{ says: "This is about the mended program:", text: exercise.mended, isProgram: true }]
          : []),
        {
          says: "What the names hold when that line is reached:",
          text: task.values.map(({ name, value }) => `${name} is ${value}`).join("\n"),
        },
      ],
      fields: fieldsOf(task).map(({ field }) => field),
    },
  ],
  right: (task) => Object.fromEntries(fieldsOf(task).map(({ field, right }) => [field.name, right])),
  rule: () => "The marks are shared over all pieces, in halves, rounded down. How values are written does not count.",
  scheme: (task) => [
    {
      ...{ item: "condition", marks: task.marks },
      words: fieldsOf(task)
        .map(({ field, right }) => `${field.says}: ${right}`)
        .join("\n"),
    },
  ],
  worthless: (task) => [
    Object.fromEntries(
      task.steps.flatMap(({ is, comes }, at) =>
        is === "value" ? [] : [[nameOf(at), comes === "true" ? "false" : "true"]],
      ),
    ),
  ],
  mark: (task, texts) => {
    const fields = fieldsOf(task);
    const wrong = fields.filter(({ field, right }) => !isRight(field, right, texts[field.name]));
    const words = wrong.slice(0, 3).map(({ field, right }) => `${field.says}: ${right}.`);
    const hits = fields.length - wrong.length;
    const reason = [`${hits} of ${fields.length} pieces are right.`, ...words].join(" ");
    return [sharedMark({ item: "condition", possible: task.marks, reason }, hits, fields.length)];
  },
  difficulty: (task) => ({
    points: task.steps.length > 3 ? 1 : 0,
    words: `a condition of ${task.steps.length} pieces`,
  }),
});
