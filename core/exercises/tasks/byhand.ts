import * as z from "zod";
import { intendedOf } from "../../assignments/intended.ts";
import { findLanguage } from "../../languages/languages.ts";
import { consolePieceSchema, consoleText } from "../../outcome/outcome.ts";
import type { ExerciseContent } from "../exercise.ts";
import { markOutput, outputParts } from "../outputMarking.ts";
import { definePartsKind } from "../partsKind.ts";
import { shareOut } from "../shareOut.ts";

const wantedSchema = z.object({ check: z.number().int().min(0), console: z.array(consolePieceSchema) });
const schema = z.object({
  ...{ key: z.string(), kind: z.literal("byhand"), marks: z.number().int().min(1) },
  wanted: z.array(wantedSchema).min(1),
});
type ByHandTask = z.infer<typeof schema>;

/** How many inputs are asked about. */
const asked = 3;
const nameOf = (check: number) => `check ${check + 1}`;

/** Whether anything is printed: nobody could tell that nothing is right from no answer. */
const saysSomething = ({ console }: ByHandTask["wanted"][number]) => consoleText(console, ["out"]).trim() !== "";

/** What is typed in, on one line. */
const typedIn = (exercise: ExerciseContent, check: number) =>
  (exercise.checks[check]?.input ?? "").trim().split("\n").join(" / ");

/** Say what is intended to come out for given inputs, worked out by hand, before the program is looked at. */
export const byhand = definePartsKind<ByHandTask>({
  kind: "byhand",
  title: "What should come out?",
  schema,
  answeredBeforeTrying: true,
  make: async ({ exercise, run }, { key, marks }) => {
    const known: ByHandTask["wanted"] = [];
    for (const [check, each] of exercise.checks.entries()) {
      if (known.filter(saysSomething).length === asked) break;
      if (each.expected === null) continue;
      if (exercise.mended === null) {
        known.push({ check, console: [{ kind: "out", text: each.expected }] });
        continue;
      }
      const ran = await run(exercise.mended, each);
      if (!("notRun" in ran) && ran.passes) known.push({ check, console: [...ran.outcome.console] });
    }
    const wanted = known.filter(saysSomething);
    if (known.length === 0) return "What should come out cannot be asked: no check says what is intended.";
    if (wanted.length === 0) return "What should come out cannot be asked: nothing is to be printed.";
    return { key, kind: "byhand", marks: Math.max(marks, wanted.length), wanted };
  },
  parts: (task, exercise) => [
    {
      says: "Work out by hand what should come out, as it is intended, whatever the program does.",
      shown: [],
      fields: task.wanted.map(({ check }) => ({
        ...{ name: nameOf(check), rows: 3, code: true },
        says: typedIn(exercise, check) === "" ? "What should it print?" : `Typed in: ${typedIn(exercise, check)}`,
      })),
    },
  ],
  right: (task) =>
    Object.fromEntries(task.wanted.map(({ check, console }) => [nameOf(check), consoleText(console, ["out"])])),
  rule: () =>
    "The marks are shared over the inputs. Of each, the values count, in halves, rounded down; what asks for input may be written or left out, other words beside right values cost a half.",
  scheme: (task, exercise) =>
    shareOut(task.marks, task.wanted.length).map((marks, at) => {
      const { check = 0, console = [] } = task.wanted[at] ?? {};
      const words = intendedOf(console, exercise.mended ?? exercise.program)
        .filter(({ kind }) => kind === "out")
        .map(({ text }) => text)
        .join("");
      return { item: nameOf(check), marks, words: words || consoleText(console, ["out"]) };
    }),
  mark: (task, texts, { exercise }) =>
    shareOut(task.marks, task.wanted.length).map((possible, at) => {
      const { check = 0, console = [] } = task.wanted[at] ?? {};
      const written = texts[nameOf(check)] ?? "";
      const item = nameOf(check);
      if (written.trim() === "") return { item, possible, earned: 0, reason: "Nothing was written." };
      const parts = outputParts(findLanguage(exercise.language), exercise.mended ?? exercise.program, console);
      const marked = markOutput(parts, written, "");
      const halves = Math.floor(possible * marked.share * 2 + 1e-9) / 2;
      return {
        ...{ item, possible, reason: marked.reason },
        earned: marked.wordsDiffer ? Math.max(0, halves - 0.5) : halves,
      };
    }),
});
