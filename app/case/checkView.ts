import * as z from "zod";
import type { listFormerOf } from "../../server/cases/formerStore.ts";
import type { CheckResult } from "../../server/judge/judge.ts";
import { shortConsole } from "../components/shortConsole.ts";
import { pictureView } from "./pictureView.ts";

type FormerCheck = Awaited<ReturnType<typeof listFormerOf>>[number];

/** What should have come out by a check's former editions, where that was changed: a trace of it stays. */
function formerExpected(check: CheckResult["check"], former: readonly FormerCheck[]) {
  let now = check.expected;
  return former.flatMap((each) => {
    const before = z.object({ expected: z.string().nullable() }).safeParse(each.former);
    if (each.about_key !== check.key || !before.success || before.data.expected === now) return [];
    now = before.data.expected;
    return [{ expected: now, at: each.changed_at, who: each.name ?? each.who }];
  });
}

/** What the run says of a check: why it fails, else the last that is said. */
export function reasonOf({ judgement }: CheckResult): string {
  const failed = judgement.gates.find((gate) => gate.passes === false);
  const spoken = failed?.evidence.findLast((each) => each.speaks === "fails" && each.source === "run");
  return spoken?.text ?? judgement.reasons.at(-1) ?? "";
}

/** A check with what the current version did under it, as the page shows it. `tells`: whether it judges anything. */
export function checkView(result: CheckResult, former: readonly FormerCheck[], tells: boolean) {
  return {
    former: formerExpected(result.check, former),
    key: result.check.key,
    handedIn: result.check.handed_in,
    name: result.check.name,
    ofAssignment: result.check.of_assignment,
    from: result.check.from,
    conflict: result.check.conflict ? result.check.recorded : null,
    recorded: result.check.recorded,
    input: result.check.input,
    expected: result.check.expected,
    kind: result.check.kind,
    ignorePrompts: result.check.comparison.prompts === "ignored",
    surroundings: result.check.surroundings,
    passes: tells ? result.passes : null,
    tells,
    class: result.judgement.class,
    symptom: result.judgement.symptom,
    reason: reasonOf(result),
    onlyPromptsDiffer:
      result.judgement.comparison !== null &&
      !result.judgement.comparison.same &&
      result.judgement.comparison.onlyPromptsDiffer,
    console: result.outcome ? shortConsole(result.outcome.console) : null,
    inputRanOut: result.outcome?.inputRanOut ?? false,
    found: result.outcome?.found ?? null,
    sheets: result.outcome?.sheets ?? [],
    forms: result.outcome?.forms ?? null,
    picture: result.outcome?.drawing ? pictureView(result.outcome.drawing) : null,
    effects: (result.outcome?.effects ?? []).map((effect) => ({ ...effect, text: effect.text.slice(0, 2000) })),
  };
}
