import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import { hunksIfTheyFit } from "../../core/fixes/hunks.ts";
import { actionsIn } from "../../core/languages/language.ts";
import { revealsOf } from "../../core/lessons/reveals.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { runForCheck } from "../../server/exercises/runForCheck.ts";
import { languageOf } from "../../server/judge/judge.ts";
import type { Services } from "../../server/services.ts";
import { type ConsoleView, shortConsole } from "../components/shortConsole.ts";

/** What a run gave, or words why there was none. */
type Shown = { console: ConsoleView } | { notRun: string };

/** The program with none of its faults mended, with the first, with the first two, as far as their changes fit together. */
function stepByStep({ program, faults }: ExerciseContent): string[] {
  const programs = [program];
  for (let mended = 1; mended <= faults.length; mended++) {
    const hunks = faults.slice(0, mended).flatMap((fault) => fault.hunks);
    const text = hunksIfTheyFit(program, hunks);
    if (text === null || text === programs.at(-1)) break;
    programs.push(text);
  }
  return programs;
}

/** Everything that a presentation shows of a faulty program, with what its runs give now. */
export async function presentation(
  services: Pick<Services, "toolchains">,
  content: ExerciseContent,
  given: { title: string; back: string },
) {
  const [check] = content.checks;
  const programs = stepByStep(content);
  const runs: Shown[] = [];
  for (const program of programs) {
    const ran = await runForCheck(services, content, program, {
      ...{ input: check?.input ?? "", expected: null, ignorePrompts: false },
      files: check?.files ?? {},
    });
    runs.push("notRun" in ran ? { notRun: ran.notRun } : { console: shortConsole(ran.outcome.console) });
  }
  const lines = lineTexts(content.program);
  // Where a mending has moved lines, the line that a later message names is another one on the listing.
  const faults = content.faults.slice(0, programs.length).map((fault, at) => ({
    ...{ class: fault.class, faultyLines: fault.faultyLines },
    hunks: at + 1 < programs.length ? fault.hunks : [],
    reportedLine: lineTexts(programs[at] ?? "").length === lines.length ? fault.reportedLine : null,
  }));
  return {
    ...given,
    ...{ intro: content.intro, fileName: content.fileName, userActions: content.userActions, lines, runs, faults },
    typed: check?.input ?? "",
    typedLabel: actionsIn(languageOf(content), content.program)?.label ?? "Typed in",
    intended: check?.expected ?? null,
    reveals: revealsOf(faults),
  };
}
export type Presentation = Awaited<ReturnType<typeof presentation>>;
