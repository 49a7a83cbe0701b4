import { namesOf } from "../expressions/atStep.ts";
import { workOut } from "../expressions/evaluate.ts";
import { inBrackets } from "../expressions/expressionsOn.ts";
import { isUnknown } from "../expressions/known.ts";
import type { Language } from "../languages/language.ts";
import { lineAt, lineStarts } from "../syntax/placed.ts";
import { part, type SyntaxNode, walk } from "../syntax/tree.ts";
import { createStates } from "./stateAt.ts";
import type { Step, Trace } from "./trace.ts";

/** What a decision came to where its line ran; `skipped` are the parts of it that were not looked at, in the program's words. */
export type Decision = { holds: boolean; skipped: string[] };

/** A condition of the text: where its line is, and the lines of what is done where it holds. */
type Condition = {
  text: string;
  kind: "if" | "while" | "for" | "do";
  /** True where what stands below is done while it does not hold. */
  until: boolean;
  last: number;
  body: { from: number; to: number } | null;
};

/** Conditions by the line on which they begin; lines with several of them have none. */
function conditionsIn(language: Language, text: string): Map<number, Condition> {
  const found = new Map<number, Condition | null>();
  if (!language.syntax) return new Map();
  const starts = lineStarts(text);
  walk(language.syntax(text), (node: SyntaxNode) => {
    if (node.kind !== "if" && node.kind !== "while" && node.kind !== "for" && node.kind !== "do") return;
    const condition = part(node, "condition");
    if (!condition) return;
    const inner = inBrackets(condition);
    const line = lineAt(starts, inner.from);
    const last = lineAt(starts, Math.max(inner.from, inner.to - 1));
    const body = part(node, "body");
    // What stands in a block, without the words or braces around it.
    const inside = body?.kind === "block" ? body.children : body ? [body] : [];
    const [begin, end] = [inside[0], inside.at(-1)];
    const lines = begin &&
      end && { from: lineAt(starts, begin.from), to: lineAt(starts, Math.max(end.from, end.to - 1)) };
    const one = {
      text: text.slice(inner.from, inner.to),
      kind: node.kind,
      until: node.sign === "until",
      last,
      body: lines ?? null,
    };
    found.set(line, found.has(line) ? null : one);
  });
  return new Map([...found].flatMap(([line, one]) => (one ? [[line, one] as const] : [])));
}

/** The place of the next step of the same call, or -1. */
function nextInCall(steps: readonly Step[], place: number): number {
  const at = steps[place] as Step;
  for (let next = place + 1; next < steps.length; next++) {
    const step = steps[next] as Step;
    if (step.frame === at.frame) return next;
    if (step.depth < at.depth) return -1;
  }
  return -1;
}

/**
 * What each decision of a recorded run came to, by the place of its step: as the recorder tells it, else by where the run went on
 * (into what is done where it holds, or not), else worked out from the recorded values. Nothing is guessed: what none of them tells
 * is left out. Main file only.
 */
export function decisionsOf(language: Language, text: string, trace: Pick<Trace, "steps">): Map<number, Decision> {
  const conditions = conditionsIn(language, text);
  const found = new Map<number, Decision>();
  const states = createStates(trace);
  const signs = Object.keys(language.values?.cuts ?? {});
  for (const [place, step] of trace.steps.entries()) {
    const condition = step.file === 0 ? conditions.get(step.line) : undefined;
    // A line that calls has decided in the row with which it goes on.
    if (!condition || step.calls || step.raised || step.call !== undefined) continue;
    const byFlow = step.condition ?? wentOn(trace.steps, place, condition);
    const isCut = signs.some((sign) => condition.text.toLowerCase().includes(sign));
    if (byFlow !== null && !isCut) {
      found.set(place, { holds: byFlow, skipped: [] });
      continue;
    }
    const state = step.resumes ? null : states.to(place, condition.kind === "for" ? "after" : "before");
    const worked = state && workOut(language, condition.text, namesOf(language, state));
    const holds =
      byFlow ?? (worked && !isUnknown(worked.value) ? (language.values?.isTrue(worked.value) ?? null) : null);
    if (typeof holds !== "boolean") continue;
    const skipped = (worked?.leftOut ?? []).map(({ from, to }) => condition.text.slice(from, to));
    found.set(place, { holds, skipped });
  }
  return found;
}

/** What the way of the run tells of a condition; null where it tells nothing. */
function wentOn(steps: readonly Step[], place: number, { kind, until, body, last }: Condition): boolean | null {
  if (kind === "do" || !body || body.from <= last) return null;
  const next = nextInCall(steps, place);
  const step = steps[next];
  if (step?.file !== 0) return null;
  return (step.line >= body.from && step.line <= body.to) !== until;
}
