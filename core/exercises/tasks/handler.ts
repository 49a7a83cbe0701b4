import * as z from "zod";
import { proposeInputs } from "../../assignments/proposeInputs.ts";
import { consoleText, type Outcome } from "../../outcome/outcome.ts";
import { messageOf } from "../../verdict/words.ts";
import type { ExerciseCheck, ExerciseContent } from "../exercise.ts";
import { inputsOf } from "../inputValues.ts";
import { withLineEndsOf } from "../mendMarking.ts";
import { definePartsKind } from "../partsKind.ts";
import type { ItemMark } from "../taskKind.ts";
import { createTries } from "../tries.ts";

const schema = z.object({
  ...{ key: z.string(), kind: z.literal("handler"), marks: z.number().int().min(2) },
  /** With this typed in the program stops, with this message; the other inputs stop it too. */
  ...{ input: z.string(), message: z.string(), others: z.array(z.string()) },
});
type HandlerTask = z.infer<typeof schema>;

const mostTried = 10;

const checkOf = ({ checks }: Pick<ExerciseContent, "checks">, input: string): ExerciseCheck => ({
  ...{ input, expected: null, kind: "erroneous", ignorePrompts: false, files: checks[0]?.files ?? {} },
});

/** What a run says to its user: what it prints beside what it asks, with what it asks again left out. */
function saidTo(outcome: Outcome, program: string): string {
  const asked = new Set(
    [...program.matchAll(/"([^"\n]*)"|'([^'\n]*)'/g)].map(([, one, other]) => (one ?? other ?? "").trim()),
  );
  return consoleText(outcome.console, ["out"])
    .split("\n")
    .map((line) =>
      [...asked].filter((each) => each.length > 2).reduce((rest, each) => rest.split(each).join(" "), line),
    )
    .map((line) => line.trim())
    .filter((line) => /\p{L}{2}/u.test(line))
    .join("\n");
}

/** Write a version that tells its user, in friendly words, what it cannot take, and does not stop with an error. */
export const handler = definePartsKind<HandlerTask>({
  kind: "handler",
  title: "A friendly message",
  schema,
  shows: "the mended program",
  besideRight: null,
  make: async (context, { key, marks }) => {
    const { exercise, run } = context;
    if (exercise.mended === null) return "A friendly message cannot be asked: the case is not mended yet.";
    const { shape, limits } = inputsOf(exercise);
    const wrong = proposeInputs(shape, limits).filter(({ kind }) => kind === "erroneous");
    const stops: Array<{ input: string; message: string }> = [];
    for (const { input } of wrong.slice(0, mostTried)) {
      if (stops.length === 3) break;
      const ran = await run(exercise.mended, checkOf(exercise, input));
      if ("notRun" in ran || ran.outcome.stoppedBy !== "fault") continue;
      const primary = ran.outcome.diagnostics.find((each) => each.primary);
      stops.push({ input, message: primary ? messageOf(primary) : "" });
    }
    const [first, ...rest] = stops;
    if (!first) return "A friendly message is not asked: nothing that can be typed in stops the program.";
    return {
      ...{ key, kind: "handler", marks: Math.max(2, marks), input: first.input, message: first.message },
      others: rest.map(({ input }) => input),
    };
  },
  parts: (task, exercise) => [
    {
      says: "This program does what it should, but something that its user may type in stops it. Make a version that says in friendly words what is wrong with it instead, and does what it did with everything else.",
      shown: [
        { says: "With this typed in it stops:", text: task.input.trimEnd() },
        { says: "Its message is then:", text: task.message },
      ],
      fields: [
        {
          ...{ name: "program", says: "Your version", code: true, starts: exercise.mended ?? "" },
          rows: Math.min(24, (exercise.mended ?? "").split("\n").length + 6),
        },
      ],
    },
  ],
  right: () => ({}),
  rule: (task) =>
    `That it does not stop any more, says something, and does what it did with everything else earns ${task.marks - 1}; it is run with other inputs as well. How friendly and clear its words are earns 1, and is read by your teacher.`,
  scheme: (task) => [
    {
      item: "handling",
      marks: task.marks - 1,
      words: `with ${task.input.trim()} it comes to its end and says so; else it does what it did`,
    },
    { item: "words", marks: 1, words: "They say to somebody who does not program what was wrong and what to do." },
  ],
  worthless: (_, exercise) => [{ program: exercise.mended ?? "" }],
  mark: async (task, texts, context): Promise<ItemMark[]> => {
    const { exercise, run } = context;
    const mended = exercise.mended ?? "";
    const possible = task.marks - 1;
    const both = (earned: number | null, reason: string, words: string): ItemMark[] => [
      { item: "handling", possible, earned, reason },
      words === ""
        ? { item: "words", possible: 1, earned: 0, reason: "It says nothing of its own." }
        : { item: "words", possible: 1, earned: null, reason: `It says: ${words}` },
    ];
    const text = withLineEndsOf(mended, texts.program ?? mended);
    if (text === mended || text.trim() === "") return both(0, "Nothing was changed.", "");
    let said = "";
    for (const input of [task.input, ...task.others]) {
      const ran = await run(text, checkOf(exercise, input));
      if ("notRun" in ran) return both(null, `This waits for the teacher: ${ran.notRun}`, "");
      if (ran.outcome.stoppedBy === "refused") return both(0, "It is refused before any line runs.", "");
      // A program that asks again is right, and here has nothing more to read.
      if (ran.outcome.stoppedBy !== "none" && !ran.outcome.inputRanOut)
        return both(0, `With ${input.trim() || "nothing"} typed in it still does not come to its end.`, "");
      const words = saidTo(ran.outcome, mended);
      if (words === "") return both(0, `With ${input.trim() || "nothing"} typed in it says nothing.`, "");
      said ||= words;
    }
    const tried = await createTries(context)(text);
    if ("passes" in tried)
      return both(possible, "It goes on, says so, and does what it did with everything else.", said);
    if ("notRun" in tried) return both(null, `This waits for the teacher: ${tried.notRun}`, said);
    return both(
      Math.floor(possible) / 2,
      "It goes on and says so, but with other inputs it does not do what it did.",
      said,
    );
  },
});
