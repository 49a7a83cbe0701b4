import { z } from "zod";
import { findHunks, type Hunk } from "../../fixes/hunks.ts";
import type { ExerciseCheck } from "../exercise.ts";
import { changedLines, programForFault, sortChanges, withLineEndsOf } from "../mendMarking.ts";
import { shareOut } from "../shareOut.ts";
import { defineTaskKind, type ItemMark, type MarkContext } from "../taskKind.ts";

const schema = z.object({
  key: z.string(),
  kind: z.literal("mend"),
  marks: z.number().int().min(1),
  allowedExtraLines: z.number().int().min(0),
  extraCost: z.number().int().min(0),
});
const answerSchema = z.object({ text: z.string().max(200_000) });

/** Whether a program passes every check that has an intended output, or why that is not known. */
async function passesAll(
  program: string,
  checks: readonly ExerciseCheck[],
  run: MarkContext["run"],
): Promise<boolean | { notRun: string }> {
  for (const check of checks) {
    if (check.expected === null) continue;
    const result = await run(program, check);
    if ("notRun" in result) return result;
    if (!result.passes) return false;
  }
  return true;
}

/**
 * Mend the program. Each fault is marked on its own: the student's lines for it, with the other faults mended, run
 * against the checks.
 */
export const mend = defineTaskKind({
  kind: "mend",
  title: "Mend the program",
  schema,
  answerSchema,
  usualMarks: ({ faults, mended }) => (mended ? 2 * faults : 0),
  needsRun: false,
  answeredBeforeTrying: false,
  answeredOnProgram: false,
  make: async ({ exercise }, { key, marks }) =>
    exercise.mended === null
      ? "Mending cannot be asked: the case is not mended yet."
      : { key, kind: "mend", marks: Math.max(marks, exercise.faults.length), allowedExtraLines: 1, extraCost: 1 },
  key: () => null,
  compare: (_, answer, exercise) => findHunks(exercise.program, answer.text),
  view: (_, exercise) => ({ faults: exercise.faults.length }),
  rule: (task) =>
    `Each fault counts on its own, even if the program does not run yet: your lines for it are tried with the other faults mended. Change as little as you can.${task.extraCost > 0 ? ` More than ${task.allowedExtraLines} other changed ${task.allowedExtraLines === 1 ? "line" : "lines"} cost ${task.extraCost}, never more.` : ""} Rewriting or adding features earns nothing.`,
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
  mark: async (task, answer, { exercise, run }) => {
    const text = withLineEndsOf(exercise.program, answer.text);
    const { byFault, beside, extras } = sortChanges(exercise.program, text, exercise.faults);
    const shares = shareOut(task.marks, exercise.faults.length);
    const marks: ItemMark[] = [];
    const needed = new Set<Hunk>();
    const idle = new Set<Hunk>(extras);
    for (const [index] of exercise.faults.entries()) {
      const possible = shares[index] ?? 0;
      const item = `fault ${index + 1}`;
      // First the lines of the fault alone, then with lines put in beside it, then with changes elsewhere: the same
      // effect from another line counts.
      const tries = [
        byFault[index] ?? [],
        [...(byFault[index] ?? []), ...(beside[index] ?? [])],
        [...(byFault[index] ?? []), ...(beside[index] ?? []), ...extras],
      ].filter((own, at, all) => own.length > 0 && own.length !== all[at - 1]?.length);
      for (const hunk of beside[index] ?? []) idle.add(hunk);
      if (tries.length === 0) {
        marks.push({ item, earned: 0, possible, reason: "Nothing was changed for this fault." });
        continue;
      }
      let passes: boolean | { notRun: string } = false;
      for (const own of tries) {
        const alone = programForFault(exercise.program, exercise.faults, index, own);
        passes = alone === null ? false : await passesAll(alone, exercise.checks, run);
        if (passes === true) for (const hunk of own) needed.add(hunk);
        if (passes !== false) break;
      }
      if (typeof passes === "object")
        marks.push({ item, earned: null, possible, reason: `This waits for the teacher: ${passes.notRun}` });
      else
        marks.push({
          item,
          earned: passes ? possible : 0,
          possible,
          reason: passes
            ? "Mended: with the other faults mended, all checks pass."
            : "With the other faults mended, a check still fails.",
        });
    }
    const others = changedLines([...idle].filter((hunk) => !needed.has(hunk)));
    const surplus = others - task.allowedExtraLines;
    if (surplus > 0 && task.extraCost > 0) {
      let cost = task.extraCost;
      for (const mark of marks) {
        const taken = Math.min(cost, mark.earned ?? 0);
        if (taken === 0) continue;
        cost -= taken;
        mark.earned = (mark.earned ?? 0) - taken;
        mark.reason += ` ${taken} off for ${others} other changed lines.`;
      }
    }
    return marks;
  },
});
