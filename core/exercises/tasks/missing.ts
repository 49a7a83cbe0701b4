import * as z from "zod";
import { lineTexts } from "../../source/lines.ts";
import { placeProblem } from "../../trace/changePlace.ts";
import type { Trace } from "../../trace/trace.ts";
import { askedProgram } from "../askedProgram.ts";
import { definePartsKind, sharedMark } from "../partsKind.ts";
import type { MakeContext } from "../taskKind.ts";

const ends = ["none", "fault"] as const;
const momentSchema = z.object({
  /** The line that is about to run when the file goes; null: before the program starts. */
  before: z.number().int().positive().nullable(),
  ...{ ends: z.enum(ends), stopsAt: z.number().int().positive().nullable(), says: z.string() },
});
const schema = z.object({
  ...{ key: z.string(), kind: z.literal("missing"), marks: z.number().int().min(1) },
  ...{ program: z.enum(["faulty", "mended"]), file: z.string(), moments: z.array(momentSchema).min(1) },
});
type MissingTask = z.infer<typeof schema>;
type Moment = MissingTask["moments"][number];

const endingOptions = [
  { value: "none", words: "it comes to its end all the same" },
  { value: "fault", words: "it stops with an error message" },
] as const;
const endName = (at: number) => `ending ${at + 1}`;
const lineName = (at: number) => `line ${at + 1}`;
const whenWords = (moment: Moment, file: string) =>
  moment.before === null
    ? `${file} is taken away before the program starts.`
    : `${file} is there at first, and is taken away when line ${moment.before} is about to run for the first time.`;

type Ended = Pick<Trace["outcome"], "stoppedBy" | "diagnostics">;

/** What a run without the file does; null where it tells nothing of that. */
function momentOf({ stoppedBy, diagnostics }: Ended, before: number | null): Moment | null {
  if (stoppedBy !== "none" && stoppedBy !== "fault") return null;
  const primary = diagnostics.find((each) => each.primary && each.severity === "error");
  const says = primary ? `${primary.errorName ? `${primary.errorName}: ` : ""}${primary.message}` : "";
  return { before, ends: stoppedBy, stopsAt: stoppedBy === "fault" ? (primary?.line ?? null) : null, says };
}

/** The file taken away in the middle of a run: when the line after the one that opens it is about to run. */
async function midRun({ exercise, record }: MakeContext, text: string, file: string): Promise<Moment | null> {
  const [check] = exercise.checks;
  const whole = await record(text, check);
  if ("notRun" in whole) return null;
  const { steps } = whole.trace;
  const lines = lineTexts(text);
  const opened = steps.findIndex(({ line }) => (lines[line - 1] ?? "").includes(file));
  const place = steps.findIndex((step, at) => opened >= 0 && at > opened && placeProblem(steps, step) === null);
  const step = steps[place];
  if (!step || steps.slice(0, place).some(({ line }) => line === step.line)) return null;
  const changed = await record(text, check, { step: place, line: step.line, files: { [file]: null } });
  return "notRun" in changed ? null : momentOf(changed.trace.outcome, step.line);
}

/** Say what a program does when a file that it reads is gone, before it starts and while it runs. */
export const missing = definePartsKind<MissingTask>({
  kind: "missing",
  title: "The file is gone",
  schema,
  needsRun: true,
  answeredBeforeTrying: true,
  make: async (context, { key, marks }) => {
    const { exercise, run } = context;
    const asked = askedProgram(exercise);
    if (typeof asked === "string") return asked;
    const [check] = exercise.checks;
    const file = Object.entries(check?.files ?? {}).find(
      ([name, text]) => text !== null && asked.text.includes(name),
    )?.[0];
    if (!check || file === undefined) return "A file that is gone cannot be asked: the program reads no file.";
    const ran = await run(asked.text, { ...check, expected: null, files: { ...check.files, [file]: null } });
    if ("notRun" in ran) return `A file that is gone cannot be asked: ${ran.notRun}`;
    const moments = [momentOf(ran.outcome, null), await midRun(context, asked.text, file)].flatMap(
      (each) => each ?? [],
    );
    if (moments.length === 0) return "A file that is gone cannot be asked: without it the run does not end.";
    return { key, kind: "missing", marks: Math.max(marks, moments.length), program: asked.program, file, moments };
  },
  parts: (task, exercise) => [
    {
      says: "Say what the program does then.",
      shown:
        task.program === "mended" && exercise.mended !== null
          ? [{ says: "This is about the mended program:", text: exercise.mended, isProgram: true }]
          : [],
      fields: task.moments.flatMap((moment, at) => [
        { name: endName(at), says: whenWords(moment, task.file), rows: 1, options: endingOptions },
        { name: lineName(at), says: "On which line does it stop? (“-” if it does not)", rows: 1 },
      ]),
    },
  ],
  right: (task) =>
    Object.fromEntries(
      task.moments.flatMap((moment, at) => [
        [endName(at), moment.ends],
        [lineName(at), moment.stopsAt === null ? "-" : String(moment.stopsAt)],
      ]),
    ),
  rule: () =>
    "The marks are shared over the endings and the lines, in halves, rounded down. The line earns only with its ending.",
  scheme: (task) => [
    {
      ...{ item: "file", marks: task.marks },
      words: task.moments
        .map((moment) =>
          moment.ends === "fault"
            ? `${whenWords(moment, task.file)} It stops on line ${moment.stopsAt ?? "-"}: ${moment.says}`
            : `${whenWords(moment, task.file)} It comes to its end all the same.`,
        )
        .join("\n"),
    },
  ],
  worthless: (task) => [
    Object.fromEntries(task.moments.map((moment, at) => [endName(at), moment.ends === "none" ? "fault" : "none"])),
  ],
  mark: (task, texts) => {
    let hits = 0;
    const words: string[] = [];
    for (const [at, moment] of task.moments.entries()) {
      if (texts[endName(at)] !== moment.ends) {
        words.push(`${whenWords(moment, task.file)} ${moment.ends === "fault" ? "It stops." : "It goes on."}`);
        continue;
      }
      const given = (texts[lineName(at)] ?? "").trim();
      const number = /\d+/.exec(given)?.[0];
      const isLine = moment.stopsAt === null ? number === undefined : Number(number) === moment.stopsAt;
      hits += isLine ? 2 : 1;
      if (!isLine) words.push(`It stops on line ${moment.stopsAt ?? "-"}.`);
    }
    const of = task.moments.length * 2;
    const reason = [`${hits} of ${of} are right.`, ...words].join(" ");
    return [sharedMark({ item: "file", possible: task.marks, reason }, hits, of)];
  },
});
