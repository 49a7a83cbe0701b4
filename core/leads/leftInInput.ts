import { editContext } from "../edits/context.ts";
import { calledName, ofKind } from "../edits/places.ts";
import type { Value } from "../trace/trace.ts";
import type { LeadRule } from "./lead.ts";

const isNothing = (value: Value | null) => value?.text !== undefined && /^["']?(\\r|\\n)*["']?$/.test(value.text);

/**
 * A read of a text that got nothing although more was typed in: an earlier read left its line end behind, so the statement
 * that looks wrong is fine, and the one before it is to be mended. By the recorded run.
 */
export const leftInInput: LeadRule = ({ language, program, trace, verdict }) => {
  if (!trace || verdict.class === null || verdict.class === "syntax") return [];
  const context = editContext(language, program);
  if (!context) return [];
  const { library } = context.writing;
  const calls = ofKind(context, "call").map(({ node }) => ({
    name: calledName(node),
    line: context.lineOf(node.from),
  }));
  const reads = new Set(calls.flatMap(({ name, line }) => (library.reads(name) ? [line] : [])));
  const readsText = new Set(calls.flatMap(({ name, line }) => (library.readsText(name) ? [line] : [])));
  let before: number | null = null;
  for (const step of trace.steps) {
    if (step.file !== 0 || !reads.has(step.line)) continue;
    const gotNothing = step.in === undefined && step.writes.some((write) => isNothing(write.value));
    if (gotNothing && readsText.has(step.line) && before !== null && before !== step.line)
      return [
        {
          line: before,
          why: `This read left the end of its line in the input; the read in line ${step.line} got that and no text.`,
          weight: 97,
        },
      ];
    if (step.in !== undefined) before = step.line;
  }
  return [];
};
