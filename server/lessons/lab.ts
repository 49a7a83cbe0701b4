import { editContext } from "../../core/edits/context.ts";
import { proposeEdits } from "../../core/edits/families.ts";
import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import { oneSignApart } from "../../core/lessons/oneSign.ts";
import type { Came, LabChange } from "../../core/lessons/parts/labPart.ts";
import { consoleText } from "../../core/outcome/outcome.ts";
import { messageOf } from "../../core/verdict/words.ts";
import { runOfText } from "../exercises/runForCheck.ts";
import { judgeProgram, languageOf } from "../judge/judge.ts";
import { quickLimits } from "../judge/run.ts";
import type { Services } from "../services.ts";

type Needs = Pick<Services, "toolchains">;
type EndlessClass = "logic" | "runtime";

/** Milliseconds that the right program may have taken, bytes that a changed one may print, and signs of that which are kept. */
const slowest = 500;
const mostBytes = 20_000;
const mostPrinted = 2000;

/**
 * What comes of a text in the place of an exercise's program: its class by evidence, the message, the named line and what it
 * printed. Words for a person where it was not run.
 */
export async function tryChange(
  services: Needs,
  content: ExerciseContent,
  text: string,
  endlessClass: EndlessClass,
): Promise<Came | string> {
  const [check = { input: "" }] = content.checks;
  const run = runOfText(content, text, check);
  const start = services.toolchains.find(run.language.id)?.startSeconds ?? 1;
  const judged = await judgeProgram(services.toolchains, {
    ...run,
    limits: quickLimits(slowest, start, mostBytes),
    policies: { endlessClass },
    ...("expected" in check && check.expected !== null
      ? { expected: check.expected, intended: check.pieces, comparison: check.comparison }
      : {}),
    glance: true,
  });
  if (!judged.outcome || judged.unknown !== null) return judged.unknown ?? judged.notRun ?? "It was not run.";
  const { class: of, diagnostic, reportedLine } = judged.judgement;
  return {
    class: of,
    message: diagnostic ? messageOf(diagnostic) : "",
    line: reportedLine,
    printed: consoleText(judged.outcome.console, ["out"]).slice(0, mostPrinted),
  };
}

/** Programs that differ from a right one by one sign, one of each kind of slip before a second one of any. */
export function oneSignChanges(content: Pick<ExerciseContent, "language">, right: string, most: number): string[] {
  const context = editContext(languageOf(content), right);
  if (!context) return [];
  const byFamily = new Map<string, string[]>();
  for (const { family, from, to, text } of proposeEdits(context, "plant").sort((one, other) => other.odds - one.odds)) {
    const changed = right.slice(0, from) + text + right.slice(to);
    if (!oneSignApart(right, changed)) continue;
    byFamily.set(family, [...(byFamily.get(family) ?? []), changed]);
  }
  const found: string[] = [];
  const families = [...byFamily.values()];
  for (let turn = 0; found.length < most && families.some((each) => turn < each.length); turn++)
    found.push(...families.flatMap((each) => each[turn] ?? []));
  return found.slice(0, most);
}

/** How many changes are tried for each one that is wanted. */
const triedForEach = 3;

/**
 * Changes of one sign of an exercise's mended program, run, of different outcome: a change of each class before a second one
 * of any, and messages that differ. Fewer than `wanted` where it has no more; none where it is not mended or does not run here.
 */
export async function proposeLab(
  services: Needs,
  content: ExerciseContent,
  wanted: number,
  endlessClass: EndlessClass,
): Promise<LabChange[]> {
  if (content.mended === null) return [];
  const tried: LabChange[] = [];
  for (const text of oneSignChanges(content, content.mended, wanted * triedForEach)) {
    const came = await tryChange(services, content, text, endlessClass);
    if (typeof came === "string") break;
    if (came.class !== null) tried.push({ text, came });
  }
  const chosen: LabChange[] = [];
  const left = new Set(tried);
  while (chosen.length < wanted && left.size > 0) {
    const had = (change: LabChange) => {
      const same = chosen.filter(({ came }) => came.class === change.came.class);
      return same.length + (same.some(({ came }) => came.message === change.came.message) ? 0.5 : 0);
    };
    const [next] = [...left].sort((one, other) => had(one) - had(other));
    if (!next) break;
    left.delete(next);
    chosen.push(next);
  }
  return chosen;
}
