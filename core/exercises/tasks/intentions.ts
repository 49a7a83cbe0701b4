import * as z from "zod";
import { intendedOf, textWithPrompts } from "../../assignments/intended.ts";
import { findHunks } from "../../fixes/hunks.ts";
import { findLanguage } from "../../languages/languages.ts";
import { withChangedData } from "../dataChanges.ts";
import { type ExerciseCheck, exerciseCheckSchema, type HiddenCheck, hiddenCheckSchema } from "../exercise.ts";
import { changedLines, withLineEndsOf } from "../mendMarking.ts";
import { definePartsKind } from "../partsKind.ts";
import { slipsIn } from "../planting/slips.ts";
import { shareOut } from "../shareOut.ts";
import type { ItemMark, MakeContext } from "../taskKind.ts";
import { createTries } from "../tries.ts";

const schema = z.object({
  ...{ key: z.string(), kind: z.literal("intentions"), marks: z.number().int().min(2) },
  /** A program that does what is intended otherwise, with what its checks want. */
  other: z.string(),
  ...{ checks: z.array(exerciseCheckSchema), hiddenChecks: z.array(hiddenCheckSchema) },
});
type IntentionsTask = z.infer<typeof schema>;

const mostTried = 24;

/** A check as another program answers it; null where it does not come to its end. */
async function answeredBy<Check extends ExerciseCheck>(
  { run, exercise }: MakeContext,
  program: string,
  check: Check & { data?: HiddenCheck["data"] },
): Promise<Check | null> {
  const language = findLanguage(exercise.language);
  const text = check.data && language ? withChangedData(language, program, check.data) : program;
  const ran = text === null ? null : await run(text, { ...check, expected: null, pieces: undefined });
  if (!ran || "notRun" in ran || !ran.outcome.finished || ran.outcome.inputRanOut) return null;
  const pieces = intendedOf(ran.outcome.console, program);
  return { ...check, expected: textWithPrompts(pieces), pieces };
}

/** What comes out by both intentions, check by check, in words. */
function wantedOf(checks: readonly ExerciseCheck[]): string {
  return checks
    .map(({ input, expected }) => {
      const typed = input.trim() === "" ? "" : `Typed in: ${input.trim().split("\n").join(" / ")}\n`;
      return `${typed}${(expected ?? "").trimEnd()}`;
    })
    .join("\n\n");
}

/** Mend one program twice, for two intentions that differ in what should come out. */
export const intentions = definePartsKind<IntentionsTask>({
  kind: "intentions",
  title: "Mend it for two intentions",
  schema,
  asksFor: "the mended program",
  make: async (context, { key, marks }) => {
    const { exercise, run } = context;
    const language = findLanguage(exercise.language);
    if (exercise.mended === null || !language) return "Two intentions cannot be asked: the case is not mended yet.";
    const mendedLines = new Set(
      findHunks(exercise.mended, exercise.program).flatMap((hunk) => hunk.before.map((_, at) => hunk.start + at)),
    );
    const wanted = exercise.checks.filter((check) => check.expected !== null);
    const slips = slipsIn(language, exercise.mended);
    // What is intended otherwise lies where the program is mended, if it can.
    const near = [
      ...slips.filter(({ line }) => mendedLines.has(line)),
      ...slips.filter(({ line }) => !mendedLines.has(line)),
    ];
    let tried = 0;
    for (const { program } of near) {
      if (program === exercise.program) continue;
      tried += 1;
      if (tried > mostTried) break;
      const checks: ExerciseCheck[] = [];
      let [differs, isFaulty] = [false, true];
      for (const check of wanted) {
        const answered = await answeredBy(context, program, check);
        if (!answered) break;
        checks.push(answered);
        differs ||= answered.expected !== check.expected;
        const faulty = await run(exercise.program, answered);
        isFaulty &&= "outcome" in faulty && faulty.passes;
      }
      if (checks.length < wanted.length || !differs || isFaulty) continue;
      const hiddenChecks: HiddenCheck[] = [];
      for (const hidden of exercise.hiddenChecks) {
        const answered = await answeredBy(context, program, hidden);
        if (answered) hiddenChecks.push(answered);
      }
      return { key, kind: "intentions", marks: Math.max(2, marks), other: program, checks, hiddenChecks };
    }
    return "Two intentions are not asked: no small change of the mended program gives another result that could be meant.";
  },
  parts: (task, exercise) => {
    const rows = Math.min(24, exercise.program.split("\n").length + 1);
    const text = { rows, code: true, starts: exercise.program };
    return [
      {
        says: "Mend the program so that this comes out:",
        shown: [{ says: "", text: wantedOf(exercise.checks.filter((check) => check.expected !== null)) }],
        fields: [{ name: "first", says: "The program for that", ...text }],
      },
      {
        says: "Somebody else meant it otherwise. Mend the program that was handed out so that this comes out:",
        shown: [{ says: "", text: wantedOf(task.checks) }],
        fields: [{ name: "second", says: "The program for that", ...text }],
      },
    ];
  },
  right: (task, exercise) => ({ first: exercise.mended ?? "", second: task.other }),
  rule: () =>
    "Each program earns its half if all that is intended comes out, with other inputs and other data as well. More lines changed than are needed and one more cost a half, once each.",
  scheme: (task, exercise) => {
    const shares = shareOut(task.marks, 2);
    return ["first", "second"].map((item, at) => ({
      ...{ item, marks: shares[at] ?? 0 },
      words: findHunks(exercise.program, at === 0 ? (exercise.mended ?? "") : task.other)
        .map((hunk) => `line ${hunk.start}: ${hunk.after.map((line) => line.trim()).join(" / ") || "(taken out)"}`)
        .join("; "),
    }));
  },
  worthless: (_, exercise) => [{ first: exercise.program, second: exercise.program }],
  mark: async (task, texts, context) => {
    const { exercise } = context;
    const shares = shareOut(task.marks, 2);
    const marks: ItemMark[] = [];
    for (const [at, name] of ["first", "second"].entries()) {
      const possible = shares[at] ?? 0;
      const give = (earned: number | null, reason: string) => marks.push({ item: name, possible, earned, reason });
      const text = withLineEndsOf(exercise.program, texts[name] ?? "");
      if (text.trim() === "" || text === exercise.program) {
        give(0, "Nothing was changed.");
        continue;
      }
      const own =
        at === 0 ? exercise : { ...exercise, mended: task.other, checks: task.checks, hiddenChecks: task.hiddenChecks };
      const tried = await createTries({ ...context, exercise: own })(text);
      if ("notRun" in tried) give(null, `This waits for the teacher: ${tried.notRun}`);
      else if ("fails" in tried) give(0, "What is intended does not come out.");
      else if ("hides" in tried) give(0, `This hides the fault and does not mend it: ${tried.hides}.`);
      else {
        const needed = changedLines(findHunks(exercise.program, own.mended ?? ""));
        const changed = changedLines(findHunks(exercise.program, text));
        const many = changed > needed + 1;
        give(
          many ? possible - 0.5 : possible,
          many ? `Mended; ${changed} lines were changed where ${needed} would do.` : "Mended.",
        );
      }
    }
    return marks;
  },
});
