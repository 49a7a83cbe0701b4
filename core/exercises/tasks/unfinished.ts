import * as z from "zod";
import { findHunks } from "../../fixes/hunks.ts";
import { splitLines } from "../../source/lines.ts";
import { spreadOver, statementLines } from "../outlineOf.ts";
import { definePartsKind } from "../partsKind.ts";
import { shareOut } from "../shareOut.ts";
import type { ItemMark } from "../taskKind.ts";
import { createTries } from "../tries.ts";

const schema = z.object({
  ...{ key: z.string(), kind: z.literal("unfinished"), marks: z.number().int().min(1) },
  /** Lines (1-based) of the mended program that are left out. */
  gaps: z.array(z.number().int().positive()).min(1),
});
type UnfinishedTask = z.infer<typeof schema>;

const mostGaps = 3;
const nameOf = (line: number) => `line ${line}`;

/** The program with something in each gap, in the blanks of the line that stood there. */
function filled(mended: string, gaps: readonly number[], own: (line: number) => string | null): string {
  return splitLines(mended)
    .map(({ text, end }, index) => {
      const put = gaps.includes(index + 1) ? own(index + 1) : null;
      if (put === null) return text + end;
      const indent = /^[ \t]*/.exec(text)?.[0] ?? "";
      // What is written over several lines stands where the gap stands.
      const lines = put.replace(/\r\n?/g, "\n").replace(/\n+$/, "").split("\n");
      const first = /^[ \t]*/.exec(lines[0] ?? "")?.[0] ?? "";
      return (
        lines
          .map((line) => indent + (line.startsWith(first) ? line.slice(first.length) : line.trimStart()))
          .join(end || "\n") + end
      );
    })
    .join("");
}

/** Complete a program of which some lines are left out. */
export const unfinished = definePartsKind<UnfinishedTask>({
  kind: "unfinished",
  title: "Complete the program",
  schema,
  // What it leaves out is what others show.
  ...{ shows: "the mended program", asksFor: "the mended program" },
  make: async (context, { key, marks }) => {
    const { exercise } = context;
    const { mended } = exercise;
    if (mended === null) return "Completing cannot be asked: the case is not mended yet.";
    const own = findHunks(mended, exercise.program).flatMap((hunk) => hunk.before.map((_, at) => hunk.start + at));
    const lines = statementLines(exercise, mended);
    const others = lines.filter((line) => !own.includes(line));
    const tryIt = createTries(context);
    const gaps: number[] = [];
    // A line belongs in only if the program does not do without it.
    for (const line of [...own.filter((each) => lines.includes(each)), ...spreadOver(others, mostGaps * 2)]) {
      if (gaps.length === Math.min(mostGaps, Math.ceil(lines.length / 4))) break;
      if ("passes" in (await tryIt(filled(mended, [line], () => "")))) continue;
      gaps.push(line);
    }
    if (gaps.length === 0) return "Completing is not asked: the program does without any of its lines.";
    return { key, kind: "unfinished", marks: Math.max(marks, 1), gaps: gaps.sort((one, other) => one - other) };
  },
  parts: (task, { mended }) => [
    {
      says: "Some lines of this program are missing. Write what belongs there.",
      shown: [
        { says: "The unfinished program", text: filled(mended ?? "", task.gaps, () => "……………"), isProgram: true },
      ],
      fields: task.gaps.map((line) => ({ name: nameOf(line), says: `Line ${line}`, rows: 2, code: true })),
    },
  ],
  right: (task, { mended }) => {
    const lines = splitLines(mended ?? "");
    return Object.fromEntries(task.gaps.map((line) => [nameOf(line), (lines[line - 1]?.text ?? "").trim()]));
  },
  rule: () =>
    "The whole program is run with all checks, with other inputs and other data as well: it earns all if it does what is intended, however you wrote it. Else each line is tried with the others as they are meant.",
  scheme: (task, { mended }) => {
    const lines = splitLines(mended ?? "");
    const shares = shareOut(task.marks, task.gaps.length);
    return task.gaps.map((line, at) => ({
      ...{ item: nameOf(line), marks: shares[at] ?? 0, words: (lines[line - 1]?.text ?? "").trim() },
    }));
  },
  mark: async (task, texts, context) => {
    const mended = context.exercise.mended ?? "";
    const tryIt = createTries(context);
    const ownOf = (line: number) => texts[nameOf(line)] ?? "";
    const isBlank = (line: number) => ownOf(line).trim() === "";
    const whole = task.gaps.every(isBlank) ? null : await tryIt(filled(mended, task.gaps, ownOf));
    const shares = shareOut(task.marks, task.gaps.length);
    const marks: ItemMark[] = [];
    for (const [at, line] of task.gaps.entries()) {
      const possible = shares[at] ?? 0;
      const give = (earned: number | null, reason: string) =>
        marks.push({ item: nameOf(line), possible, earned, reason });
      if (isBlank(line) && !(whole !== null && "passes" in whole)) {
        give(0, "Nothing was written.");
        continue;
      }
      const alone =
        whole !== null && "passes" in whole
          ? whole
          : await tryIt(filled(mended, task.gaps, (each) => (each === line ? ownOf(each) : null)));
      if ("passes" in alone) give(possible, "With it the program does what is intended.");
      else if ("notRun" in alone) give(null, `This waits for the teacher: ${alone.notRun}`);
      else if ("hides" in alone) give(0, `It gives the results of the checks only: ${alone.hides}.`);
      else give(0, "With it the program does not do what is intended.");
    }
    return marks;
  },
});
