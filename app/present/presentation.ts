import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import { actionsIn } from "../../core/languages/language.ts";
import { revealsOf } from "../../core/lessons/reveals.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { runForCheck } from "../../server/exercises/runForCheck.ts";
import { languageOf } from "../../server/judge/judge.ts";
import type { Services } from "../../server/services.ts";
import { shortConsole } from "../components/shortConsole.ts";

/** Everything that a presentation shows of a faulty program, with what a run of it gives now. */
export async function presentation(
  services: Pick<Services, "toolchains">,
  content: ExerciseContent,
  given: { title: string; back: string },
) {
  const [check] = content.checks;
  const ran = await runForCheck(services, content, content.program, {
    ...{ input: check?.input ?? "", expected: null, ignorePrompts: false },
    files: check?.files ?? {},
  });
  return {
    ...given,
    intro: content.intro,
    fileName: content.fileName,
    lines: lineTexts(content.program),
    userActions: content.userActions,
    typed: check?.input ?? "",
    typedLabel: actionsIn(languageOf(content), content.program)?.label ?? "Typed in",
    intended: check?.expected ?? null,
    console: "notRun" in ran ? null : shortConsole(ran.outcome.console),
    notRun: "notRun" in ran ? ran.notRun : null,
    faults: content.faults.map(({ class: of, faultyLines, hunks, message, reportedLine }) => ({
      ...{ class: of, faultyLines, hunks, message, reportedLine },
    })),
    reveals: revealsOf(content.faults),
  };
}
export type Presentation = Awaited<ReturnType<typeof presentation>>;
