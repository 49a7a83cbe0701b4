import { editContext } from "../../core/edits/context.ts";
import { applyEdit } from "../../core/edits/edit.ts";
import { proposeEdits } from "../../core/edits/families.ts";
import type { ExerciseCheck } from "../../core/exercises/exercise.ts";
import type { PlantedFault, PlantRequest } from "../../core/exercises/planting/planted.ts";
import { withLevel } from "../../core/exercises/planting/plantedExercise.ts";
import { rankCandidates } from "../../core/fixes/candidates.ts";
import { findHunks } from "../../core/fixes/hunks.ts";
import { consoleText, type Limits } from "../../core/outcome/outcome.ts";
import { evidenceOf } from "../../core/patterns/evidence.ts";
import { patterns } from "../../core/patterns/patterns.ts";
import { suggestPatterns } from "../../core/patterns/suggest.ts";
import { messageOf } from "../../core/verdict/words.ts";
import { judgeProgram } from "../judge/judge.ts";
import { runVariants } from "../judge/run.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { isIntended, runOfText } from "./runForCheck.ts";

/** Other changes that are tried on a planted program, to see that none but the planted one mends it. */
const mostOthers = 48;

/**
 * Proves a planted fault by a run of its own in the ordinary way, with the message as students see it, and by trying other
 * small changes: null where it shows otherwise than before, or another one mends it as well.
 */
export async function provePlanted(
  toolchains: Toolchains,
  request: PlantRequest,
  checks: readonly ExerciseCheck[],
  planted: PlantedFault,
  limits: Limits,
  until: number,
): Promise<PlantedFault | null> {
  const { language } = request;
  const content = { language: language.id, fileName: request.fileName };
  for (const check of checks) {
    const judged = await judgeProgram(toolchains, {
      ...runOfText(content, planted.program, check),
      policies: { endlessClass: "logic" },
      expected: check.expected ?? undefined,
      intended: check.pieces,
      comparison: check.comparison,
      glance: true,
    });
    const { judgement } = judged;
    if (judgement.class === null) {
      if (judged.outcome?.finished) continue;
      return null;
    }
    if (judgement.class !== planted.class) return null;
    if (await hasOtherMending(toolchains, request, checks, planted, check, limits, until)) return null;
    const message = judgement.diagnostic ? messageOf(judgement.diagnostic) : "";
    const hunks = findHunks(planted.program, planted.mended);
    const fix = { hunks, families: hunks.map(() => planted.family), lines: planted.lines, repairs: "repairs" as const };
    const outputs = judged.outcome
      ? { intended: check.expected ?? "", printed: consoleText(judged.outcome.console, ["out"]) }
      : null;
    const own = patterns.find((pattern) => pattern.id === planted.family);
    const evidence = evidenceOf(
      language,
      planted.program,
      judgement,
      [fix],
      planted.class === "logic" ? outputs : null,
    );
    return withLevel(request, {
      ...planted,
      ...{ kind: judgement.kind, message: planted.class === "logic" ? "" : message, symptom: judgement.symptom },
      reportedLine: judgement.reportedLine,
      pattern: patternOf(
        request.pattern,
        own?.id,
        suggestPatterns(evidence).map(({ id }) => id),
      ),
    });
  }
  return null;
}

/** Which kind of mistake it is told to be: the wanted one where the evidence speaks for it among the first. */
function patternOf(wanted: string | undefined, own: string | undefined, suggested: readonly string[]): string | null {
  if (wanted !== undefined && (own === wanted || suggested.slice(0, 3).includes(wanted))) return wanted;
  return own ?? suggested[0] ?? null;
}

/** True if another small change than the undoing, on another line, passes all checks. */
async function hasOtherMending(
  toolchains: Toolchains,
  { language, fileName }: PlantRequest,
  checks: readonly ExerciseCheck[],
  planted: PlantedFault,
  first: ExerciseCheck,
  limits: Limits,
  until: number,
): Promise<boolean> {
  const context = editContext(language, planted.program);
  if (!context) return false;
  const refused = planted.class === "syntax";
  const leads = planted.lines.map((line) => ({ line, why: "", weight: 1 }));
  const edits = proposeEdits(context, refused ? "mend a refusal" : "mend");
  const known = { leads, refused, reported: planted.reportedLine };
  const others = rankCandidates(context, edits, known)
    .map(({ edit }) => applyEdit(planted.program, edit))
    .filter((text) => text !== planted.mended && !onlyOn(planted, text))
    .slice(0, mostOthers);
  const content = { language: language.id, fileName };
  let open = others;
  for (const check of [first, ...checks.filter((each) => each !== first)]) {
    const left = Math.min(4, (until - Date.now()) / 1000);
    if (open.length === 0 || left < 0.3) break;
    const run = { ...runOfText(content, "", check), limits, hurried: true };
    const variants = open.map((text) => ({ main: Buffer.from(text, "utf8"), input: check.input }));
    const outcomes = await runVariants(toolchains, run, variants, left);
    if (!outcomes) return false;
    open = open.filter((_, index) => {
      const outcome = outcomes[index];
      return outcome?.finished === true && isIntended(outcome, check);
    });
  }
  return open.length > 0;
}

/** True if a text differs from a planted program on its faulty lines alone: another way to mend the same place. */
function onlyOn(planted: PlantedFault, text: string): boolean {
  return findHunks(planted.program, text).every((hunk) =>
    planted.lines.some((line) => hunk.start <= line && line <= hunk.start + Math.max(1, hunk.before.length)),
  );
}
