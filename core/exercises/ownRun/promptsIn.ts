import type { Step } from "../../trace/trace.ts";

/** What a program wrote before it read: which steps wrote nothing else, and the texts. */
export type Prompts = { texts: string[]; withoutPrompt: ReadonlyMap<number, string> };

/**
 * The prompts of a recorded run: what stands on the line on which something is typed in, and a line before that whose words
 * stand in the program as they are. `withoutPrompt` has what is left of a step's output, by its place in `steps`.
 */
export function promptsIn(steps: readonly Pick<Step, "out" | "in">[], program: string): Prompts {
  const texts = new Set<string>();
  const withoutPrompt = new Map<number, string>();
  let written: { place: number; text: string } | null = null;
  for (const [place, step] of steps.entries()) {
    if (step.out) written = { place, text: step.out };
    if (step.in === undefined || !written) continue;
    const { text } = written;
    const tail = text.endsWith("\n") ? "" : text.slice(text.lastIndexOf("\n") + 1);
    const line = tail === "" ? (/[^\n]*\n$/.exec(text)?.[0] ?? "") : tail;
    const words = line.trim();
    if (words !== "" && (tail !== "" || (program.includes(words) && !/^[\d.\s+-]*$/.test(words)))) {
      texts.add(words);
      withoutPrompt.set(written.place, text.slice(0, text.length - line.length));
    }
    written = null;
  }
  // A run that asks once more and gets nothing writes a prompt, too.
  const asks = written?.text.slice(written.text.lastIndexOf("\n") + 1) ?? "";
  if (written && texts.has(asks.trim()))
    withoutPrompt.set(written.place, written.text.slice(0, written.text.length - asks.length));
  return { texts: [...texts], withoutPrompt };
}
