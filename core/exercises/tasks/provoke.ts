import * as z from "zod";
import { findHunks } from "../../fixes/hunks.ts";
import { findLanguage } from "../../languages/languages.ts";
import { withoutLayout } from "../layoutOnly.ts";
import { withLineEndsOf } from "../mendMarking.ts";
import { definePartsKind } from "../partsKind.ts";
import { slipsIn } from "../planting/slips.ts";
import { isCutOff, type Seen, seenIn, wordsShared } from "../seen.ts";
import type { ItemMark, MarkContext } from "../taskKind.ts";

const schema = z.object({
  ...{ key: z.string(), kind: z.literal("provoke"), marks: z.number().int().min(3) },
  ...{ wanted: z.enum(["syntax", "runtime", "logic"]), example: z.string(), gives: z.string() },
});
type ProvokeTask = z.infer<typeof schema>;

const mostTried = 24;
const classes = ["runtime", "syntax", "logic"] as const;

/** What a changed program shows with the first check that shows anything; null where a run told nothing. */
async function shownBy({ exercise, run }: MarkContext, program: string): Promise<Seen | null> {
  for (const check of exercise.checks) {
    const ran = await run(program, check);
    if ("outcome" in ran && isCutOff(ran.outcome) && ran.outcome.stoppedBy === "fault") continue;
    const seen = seenIn(ran);
    if (seen === null || seen.class !== "none") return seen;
  }
  return { class: "none", message: "", line: null, output: "" };
}

/** Plant an error of a kind into a right program and say what it will show; what was planted is run. */
export const provoke = definePartsKind<ProvokeTask>({
  kind: "provoke",
  title: "Plant an error",
  schema,
  shows: "the mended program",
  answeredBeforeTrying: true,
  make: async (context, { key, marks }) => {
    const { exercise } = context;
    const language = findLanguage(exercise.language);
    if (exercise.mended === null || !language) return "Planting an error cannot be asked: the case is not mended yet.";
    const examples = new Map<string, { program: string; seen: Seen }>();
    for (const { program } of slipsIn(language, exercise.mended).slice(0, mostTried)) {
      if (examples.has("runtime")) break;
      const seen = await shownBy(context, program);
      if (seen && seen.class !== "none" && !examples.has(seen.class)) examples.set(seen.class, { program, seen });
    }
    const wanted = classes.find((each) => examples.has(each));
    const example = wanted && examples.get(wanted);
    if (!wanted || !example) return "Planting an error is not asked: no small change of this program shows anything.";
    const gives = example.seen.message || example.seen.output.trim();
    return { key, kind: "provoke", marks: Math.max(3, marks), wanted, example: example.program, gives };
  },
  parts: (task, exercise) => [
    {
      says: `This program does what it should. Change one line of it so that it has a ${task.wanted} error, and say what will be seen then.`,
      shown: [],
      fields: [
        {
          ...{ name: "program", says: "The program with the error", code: true, starts: exercise.mended ?? "" },
          rows: Math.min(24, (exercise.mended ?? "").split("\n").length + 1),
        },
        { name: "says", says: "What will be seen: the message, or what comes out", rows: 2 },
      ],
    },
  ],
  right: (task) => ({ program: task.example, says: task.gives }),
  rule: (task) =>
    `A change of one line that shows as a ${task.wanted} error when it is run earns ${task.marks - 1}; one that shows as another kind, or of more lines, half of it. What you say of it earns 1 and is read by your teacher.`,
  scheme: (task, { mended }) => [
    {
      ...{ item: "error", marks: task.marks - 1 },
      words: `a change of one line that shows as a ${task.wanted} error, for instance ${findHunks(
        mended ?? "",
        task.example,
      )
        .map(({ start, after }) => `line ${start}: ${after.join("").trim() || "(taken out)"}`)
        .join("; ")}`,
    },
    { item: "says", marks: 1, words: "what the message says, or what comes out" },
  ],
  worthless: (_, exercise) => [{ program: exercise.mended ?? "" }],
  mark: async (task, texts, context): Promise<ItemMark[]> => {
    const { exercise } = context;
    const mended = exercise.mended ?? "";
    const [possible, said] = [task.marks - 1, (texts.says ?? "").trim()];
    const nothing: ItemMark = { item: "says", possible: 1, earned: 0, reason: "Nothing was written." };
    const text = withoutLayout(
      findLanguage(exercise.language),
      mended,
      withLineEndsOf(mended, texts.program ?? mended),
    );
    if (text === mended || text.trim() === "")
      return [
        { item: "error", possible, earned: 0, reason: "Nothing was changed." },
        { ...nothing, reason: "There is no error to be seen." },
      ];
    const seen = await shownBy(context, text);
    if (seen === null)
      return [
        { item: "error", possible, earned: null, reason: "This waits for the teacher: it could not be run." },
        said === "" ? nothing : { ...nothing, earned: null, reason: "This is read by the teacher." },
      ];
    if (seen.class === "none")
      return [
        { item: "error", possible, earned: 0, reason: "With this change every check still passes." },
        { ...nothing, reason: "There is no error to be seen." },
      ];
    const lines = findHunks(mended, text).reduce(
      (sum, hunk) => sum + Math.max(hunk.before.length, hunk.after.length),
      0,
    );
    const isWanted = seen.class === task.wanted && lines <= 1;
    const gives = seen.message || seen.output.trim();
    const shared = wordsShared(gives, said);
    return [
      {
        ...{ item: "error", possible, earned: isWanted ? possible : Math.floor(possible) / 2 },
        reason: isWanted
          ? `It shows as a ${seen.class} error.`
          : seen.class === task.wanted
            ? `${lines} lines were changed where one was asked for.`
            : `It shows as a ${seen.class} error, not as a ${task.wanted} error.`,
      },
      said === ""
        ? nothing
        : {
            ...{ item: "says", possible: 1, earned: null, suggested: shared >= 0.5 ? 1 : shared >= 0.2 ? 0.5 : 0 },
            reason: `What is seen: ${gives}`,
          },
    ];
  },
});
