import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import { actionsIn } from "../../core/languages/language.ts";
import { revealsOf } from "../../core/lessons/reveals.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { programsStepByStep, withLooks } from "../../server/exercises/looks.ts";
import { runForCheck } from "../../server/exercises/runForCheck.ts";
import { languageOf } from "../../server/judge/judge.ts";
import type { Services } from "../../server/services.ts";
import { type ConsoleView, shortConsole } from "../components/shortConsole.ts";

/** What a run gave, or words why there was none. */
type Shown = { console: ConsoleView } | { notRun: string };

/** Everything that a presentation shows of a faulty program, with what its runs give now. */
export async function presentation(
  services: Pick<Services, "toolchains">,
  content: ExerciseContent,
  given: { title: string; back: string },
) {
  const [check] = content.checks;
  const programs = programsStepByStep(content);
  const searched = await withLooks(services, content);
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
  const faults = searched.slice(0, programs.length).map((fault, at) => ({
    ...{ class: fault.class, faultyLines: fault.faultyLines, looks: fault.looks ?? [] },
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
