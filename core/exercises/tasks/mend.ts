import * as z from "zod";
import { findHunks, type Hunk, hunksIfTheyFit } from "../../fixes/hunks.ts";
import { repairsOf } from "../../fixes/repairs.ts";
import { findLanguage } from "../../languages/languages.ts";
import { lineTexts } from "../../source/lines.ts";
import { refusedSymptom } from "../../verdict/verdict.ts";
import type { AskedInAll } from "../askedInAll.ts";
import type { ExerciseContent } from "../exercise.ts";
import { withoutLayout } from "../layoutOnly.ts";
import { changedLines, programForFault, sortChanges, withLineEndsOf } from "../mendMarking.ts";
import { shareOut } from "../shareOut.ts";
import { defineTaskKind, type ItemMark, type TaskRule } from "../taskKind.ts";
import { createTries, type Tried } from "../tries.ts";

const schema = z.object({
  key: z.string(),
  kind: z.literal("mend"),
  marks: z.number().int().min(1),
  allowedExtraLines: z.number().int().min(0),
  extraCost: z.number().int().min(0),
});
const answerSchema = z.object({ text: z.string().max(200_000) });

/** What of its marking may be changed later. */
const rules: ReadonlyArray<TaskRule<z.output<typeof schema>>> = [
  {
    ...{ name: "cost", says: "What it costs to change more lines than are needed", to: (task) => task.marks },
    ...{ read: (task) => task.extraCost, write: (task, extraCost) => ({ ...task, extraCost }) },
  },
  {
    ...{ name: "lines", says: "Lines that may be changed beside what is needed", to: () => 50 },
    ...{ read: (task) => task.allowedExtraLines, write: (task, lines) => ({ ...task, allowedExtraLines: lines }) },
  },
];

/** Whether a change of a program only hides its fault, by the texts; null where nothing says so, or the key's own does. */
function hiding(exercise: ExerciseContent, index: number, before: string, after: string): string | null {
  const language = findLanguage(exercise.language);
  const fault = exercise.faults[index];
  if (!language || !fault) return null;
  const refused = fault.symptom === refusedSymptom || fault.class === "syntax";
  const passed = exercise.checks.map(({ input, expected }) => ({ input, expected }));
  const said = (text: string) => repairsOf({ language, before, after: text, refused, passed });
  const own = said(after);
  if (own.repairs !== "hides") return null;
  // Whether a value only fits was tried with other inputs and other data.
  if (own.byValue && exercise.hiddenChecks.length > 1) return null;
  return exercise.mended !== null && said(exercise.mended).repairs === "hides" ? null : own.because;
}

/** A program that only prints what the first check wants, where that can be told from one that works it out. */
function printedOnly({ language, fileName, checks, hiddenChecks }: ExerciseContent): Array<{ text: string }> {
  const onlyPrints = findLanguage(language)?.writing?.onlyPrints;
  const expected = checks[0]?.expected;
  if (!onlyPrints || !expected || hiddenChecks.length === 0) return [];
  return [{ text: onlyPrints(expected.replace(/\n$/, "").split("\n"), fileName) }];
}

/** Programs are tried this often to find what of a change is needed. */
const mostTries = 24;

/** What is needed of some changes so that a program of them passes: each is left out in turn. */
async function needed(
  changes: readonly Hunk[],
  programOf: (own: readonly Hunk[]) => string | null,
  tryIt: (program: string) => Promise<Tried>,
): Promise<Hunk[]> {
  let own = [...changes];
  if (own.length > mostTries) return own;
  for (const change of changes) {
    if (own.length < 2) break;
    const rest = own.filter((each) => each !== change);
    const program = programOf(rest);
    if (program !== null && "passes" in (await tryIt(program))) own = rest;
  }
  return own;
}

/**
 * Mend the program. Each fault is marked on its own: the student's lines for it, with the other faults mended and what else
 * was changed taken out, run against the checks.
 */
export const mend = defineTaskKind({
  kind: "mend",
  title: "Mend the program",
  schema,
  asksFor: "the mended program",
  answerSchema,
  usualMarks: ({ faults, mended }) => (mended ? 2 * faults : 0),
  needsRun: false,
  answeredBeforeTrying: false,
  answeredOnProgram: false,
  make: async ({ exercise }, { key, marks }) =>
    exercise.mended === null
      ? "Mending cannot be asked: the case is not mended yet."
      : { key, kind: "mend" as const, marks, allowedExtraLines: 1, extraCost: 1 },
  rules,
  key: () => null,
  model: (_, { mended, program }) => ({ text: mended ?? program }),
  worthless: (_, exercise) => [{ text: exercise.program }, { text: "" }, ...printedOnly(exercise)],
  compare: (_, answer, exercise) => findHunks(exercise.program, answer.text),
  view: (_, exercise) => ({ faults: exercise.faults.length }),
  asks: (_, { faults, program, mended }): AskedInAll => ({
    parts: [
      {
        ...{ says: faults.length === 1 ? "Mend the fault." : `Mend the ${faults.length} faults.`, shown: [] },
        fields: [{ name: "text", says: "The mended program", rows: 12, code: true, starts: program }],
      },
    ],
    right: mended === null ? {} : { text: mended },
  }),
  rule: (task) =>
    `Each fault counts on its own, even if the program does not run yet: your lines for it are tried with the other faults mended, with other inputs and other data as well. A result that is only written down, and an error that is only caught, earn nothing. Blanks, blank lines and comments cost nothing. Change as little as you can.${task.extraCost > 0 ? ` Changing more lines than the fault needs and ${task.allowedExtraLines} more costs ${task.extraCost}, never more.` : ""}`,
  scheme: (task, exercise) => {
    const shares = shareOut(task.marks, exercise.faults.length);
    return exercise.faults.map((fault, index) => ({
      item: `fault ${index + 1}`,
      marks: shares[index] ?? 0,
      words: fault.hunks
        .map(
          (hunk) =>
            `line ${hunk.start}: ${hunk.before.map((line) => line.trim()).join(" / ") || "(nothing)"} → ${hunk.after.map((line) => line.trim()).join(" / ") || "(taken out)"}`,
        )
        .join("; "),
    }));
  },
  mark: async (task, answer, context) => {
    const { exercise } = context;
    const { program, faults } = exercise;
    const shares = shareOut(task.marks, faults.length);
    const text = withoutLayout(findLanguage(exercise.language), program, withLineEndsOf(program, answer.text));
    const { byFault, beside, extras } = sortChanges(program, text, faults);
    const all = [...new Set([...byFault.flat(), ...beside.flat(), ...extras])];
    if (all.length === 0)
      return faults.map((_, index) => ({
        ...{ item: `fault ${index + 1}`, earned: 0, possible: shares[index] ?? 0 },
        reason: "Nothing was changed for this fault.",
      }));
    const [byKey, changed] = [changedLines(faults.flatMap((fault) => fault.hunks)), changedLines(all)];
    // A program written anew has no part of its own that would do: it counts as a whole, or not at all.
    const others = lineTexts(program).filter((line) => line.trim() !== "").length - byKey;
    const gone = extras.flatMap((hunk) => hunk.before).filter((line) => line.trim() !== "").length;
    const isRewritten = gone > others / 2;
    const tryIt = createTries(context);
    const whole = await tryIt(text);
    const marks: ItemMark[] = [];
    const working = new Set<Hunk>();
    for (const index of faults.keys()) {
      const possible = shares[index] ?? 0;
      const item = `fault ${index + 1}`;
      const give = (earned: number | null, reason: string) => marks.push({ item, earned, possible, reason });
      const [own, near] = [byFault[index] ?? [], beside[index] ?? []];
      const programOf = (changes: readonly Hunk[]) => programForFault(program, faults, index, changes);
      // First the lines of the fault alone, then with lines put in beside it, then with changes elsewhere: the same effect
      // from another line counts. A program written anew counts as it is.
      const inPlace = own.filter((hunk) => hunk.before.length > 0);
      const parts = [inPlace, own, near, [...own, ...near], [...own, ...near, ...extras], all].filter(
        (changes, at, others) =>
          changes.length > 0 &&
          !others
            .slice(0, at)
            .some((other) => other.length === changes.length && other.every((each) => changes.includes(each))),
      );
      let result: Tried | null = null;
      let used: readonly Hunk[] = [];
      for (const changes of isRewritten ? [all] : parts) {
        if (changes === all && !("passes" in whole)) {
          if (isRewritten) result = "fails" in whole ? { fails: "what was written anew does not pass a check" } : whole;
          continue;
        }
        const alone = changes === all ? text : programOf(changes);
        const now: Tried = alone === null ? { fails: "the changes do not fit together" } : await tryIt(alone);
        if (result === null || "passes" in now || ("hides" in now && "fails" in result)) {
          result = now;
          used = changes;
        }
        if ("passes" in now || "notRun" in now) break;
      }
      if (result === null || (own.length === 0 && "fails" in result && !isRewritten)) {
        give(0, "Nothing was changed for this fault.");
        continue;
      }
      if ("notRun" in result) give(null, `This waits for the teacher: ${result.notRun}`);
      else if ("fails" in result) give(0, `With the other faults mended, ${result.fails}.`);
      else if ("hides" in result) give(0, `This hides the fault and does not mend it: ${result.hides}.`);
      else {
        const isWhole = used === all && programOf(used) !== text;
        const least = await needed(used, isWhole ? (rest) => hunksIfTheyFit(program, rest) : programOf, tryIt);
        const mendedByKey = programOf([]) ?? program;
        const hidden = hiding(exercise, index, mendedByKey, isWhole ? text : (programOf(least) ?? text));
        if (hidden !== null) {
          give(0, `This hides the fault and does not mend it. ${hidden}`);
          continue;
        }
        for (const hunk of least) working.add(hunk);
        give(possible, "Mended: with the other faults mended, all checks pass.");
      }
    }
    takeOffForExtras(marks, task, changed, isRewritten ? byKey : Math.max(byKey, changedLines([...working])));
    const [first] = marks;
    if (first && !("notRun" in whole))
      first.reason += ` The whole program as it was handed in ${"passes" in whole ? "passes all checks" : "does not pass all checks"}.`;
    return marks;
  },
});

/** One cost, once, where more lines were changed than the mending needs and what is allowed beside it. */
function takeOffForExtras(
  marks: ItemMark[],
  task: { allowedExtraLines: number; extraCost: number },
  changed: number,
  most: number,
): void {
  if (changed - most <= task.allowedExtraLines) return;
  let cost = task.extraCost;
  for (const mark of marks) {
    const taken = Math.min(cost, mark.earned ?? 0);
    if (taken === 0) continue;
    cost -= taken;
    mark.earned = (mark.earned ?? 0) - taken;
    mark.reason += ` ${taken} off: ${changed} lines were changed where ${most} would do.`;
  }
}
