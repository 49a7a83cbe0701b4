import type { Language, Token } from "../languages/language.ts";
import { lineTexts } from "../source/lines.ts";
import type { Trace } from "../trace/trace.ts";

/** Why a loop is taken not to end, in words, with the line of its header. */
export type EndlessFinding = { ground: "condition never changes"; line: number; text: string };

/** Passes that must have been recorded before a loop is judged. */
const leastPasses = 50;

function byLine(tokens: readonly Token[]): Map<number, Token[]> {
  const lines = new Map<number, Token[]>();
  for (const token of tokens) if (token.kind !== "comment") lines.set(token.line, [...(lines.get(token.line) ?? []), token]);
  return lines;
}

/** Lines of the block that a header opens: those indented deeper, up to the next line that is not. */
function bodyLines(text: readonly string[], header: number): number[] {
  const indentation = (line: string) => line.length - line.trimStart().length;
  const own = indentation(text[header - 1] ?? "");
  const body: number[] = [];
  for (let line = header + 1; line <= text.length; line++) {
    const content = text[line - 1] ?? "";
    if (content.trim() === "") continue;
    if (indentation(content) <= own) break;
    body.push(line);
  }
  return body;
}

/**
 * Looks whether a recorded run that was cut goes round a loop whose condition can never change: over all recorded passes
 * none of the names in the condition got a value, the condition calls nothing, and no line of the body leaves the loop.
 * A limit alone is never a ground. Returns null where nothing can be said.
 */
export function findEndlessLoop(language: Language, program: string, trace: Trace): EndlessFinding | null {
  const text = lineTexts(program);
  const tokens = byLine(language.tokens(program));
  const passes = new Map<number, number>();
  for (const step of trace.steps) if (step.file === 0) passes.set(step.line, (passes.get(step.line) ?? 0) + 1);
  const last = trace.steps.at(-1);
  if (!last) return null;

  for (const [header, lineTokens] of tokens) {
    const condition = language.loopCondition(lineTokens);
    if (!condition || condition.calls || (passes.get(header) ?? 0) < leastPasses) continue;
    const body = bodyLines(text, header);
    if (!body.includes(last.line) && last.line !== header) continue;
    const leaves = body.some((line) => tokens.get(line)?.some((token) => language.loopExits.includes(token.text)));
    if (leaves) continue;
    const first = trace.steps.findIndex((step) => step.line === header);
    const lastHeader = trace.steps.findLastIndex((step) => step.line === header);
    const round = trace.steps.slice(first + 1, lastHeader);
    // A change inside an object that a name of the condition holds counts too, so any object change is taken as one.
    const changed = round.some((step) =>
      step.writes.some(
        (write) =>
          (write.scope === "object" && condition.names.length > 0 && usesObjects(trace, condition.names)) || condition.names.includes(String(write.path[0])),
      ),
    );
    if (changed) continue;
    const names = condition.names.map((name) => `“${name}”`).join(" and ");
    const count = passes.get(header) ?? 0;
    return {
      ground: "condition never changes",
      line: header,
      text: condition.constant
        ? `The loop at line ${header} has a condition that is always the same and nothing in it leaves the loop: it does not end.`
        : `In ${count} recorded passes of the loop at line ${header}, ${names} never changed, and nothing in the loop leaves it: it does not end.`,
    };
  }
  return null;
}

/** True when one of the names ever held something that can change inside. */
function usesObjects(trace: Trace, names: readonly string[]): boolean {
  return trace.steps.some((step) =>
    step.writes.some((write) => write.path.length === 1 && names.includes(String(write.path[0])) && write.value?.id !== undefined),
  );
}
