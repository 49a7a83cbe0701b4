import * as z from "zod";
import { findLanguage } from "../../languages/languages.ts";
import { lineTexts } from "../../source/lines.ts";
import type { TaskPart } from "../asked.ts";
import type { ExerciseContent } from "../exercise.ts";
import { spreadOver, statementLines } from "../outlineOf.ts";
import { definePartsKind, sharedMark } from "../partsKind.ts";

const statementSchema = z.object({ line: z.number().int().positive(), text: z.string(), faulty: z.boolean() });
const schema = z.object({
  ...{ key: z.string(), kind: z.literal("suspects"), marks: z.number().int().min(1) },
  statements: z.array(statementSchema).min(2),
});
type SuspectsTask = z.infer<typeof schema>;

const options = [
  { value: "right", words: "no error" },
  { value: "wrong", words: "an error" },
] as const;
/** How many lines are asked about, faulty ones among them. */
const asked = 5;
const nameOf = (line: number) => `line ${line}`;
const againOf = (line: number) => `line ${line} again`;
const rightOf = ({ faulty }: SuspectsTask["statements"][number]) => (faulty ? "wrong" : "right");

/** What was answered wrongly at first. */
const missed = (task: SuspectsTask, texts: Readonly<Record<string, string>>) =>
  task.statements.filter((each) => (texts[nameOf(each.line)] ?? "") !== rightOf(each));

/** What kind of piece is missing on a line, or is one too many, by what mends it; no word of how it is mended. */
function hintFor(exercise: ExerciseContent, line: number): string {
  const language = findLanguage(exercise.language);
  const hunk = exercise.faults.flatMap(({ hunks }) => hunks).find((each) => each.start === line);
  if (!language || !hunk) return "something on it is not as it should be";
  const tokens = (lines: readonly string[]) => language.tokens(lines.join("")).filter(({ kind }) => kind !== "comment");
  const [before, after] = [tokens(hunk.before), tokens(hunk.after)];
  const left = [...before];
  const added = after.filter(({ text }) => {
    const at = left.findIndex((each) => each.text === text);
    if (at >= 0) left.splice(at, 1);
    return at < 0;
  });
  const what = { name: "name", number: "number", text: "text", keyword: "word of the language" };
  const wordsOf = (kind: string) => what[kind as keyof typeof what] ?? "sign";
  const [first] = added;
  if (first && left.length === 0) return `a ${wordsOf(first.kind)} is missing on it`;
  if (!first && left[0]) return `a ${wordsOf(left[0].kind)} on it is one too many`;
  return left[0] ? `a ${wordsOf(left[0].kind)} on it is not the one that is meant` : "the order on it is not right";
}

/** Which of some statements has an error; correct ones are among them, and a second look after a hint counts half. */
export const suspects = definePartsKind<SuspectsTask>({
  kind: "suspects",
  title: "Which of these lines has an error?",
  schema,
  asksFor: "the mended program",
  answeredBeforeTrying: true,
  make: async ({ exercise }, { key, marks }) => {
    const texts = lineTexts(exercise.program);
    const faulty = [...new Set(exercise.faults.flatMap((fault) => fault.faultyLines))].filter(
      (line) => (texts[line - 1] ?? "").trim() !== "",
    );
    if (exercise.faults.length > 0 && faulty.length === 0)
      return "Which line has an error cannot be asked: no faulty line is marked.";
    const clean = statementLines(exercise, exercise.program).filter((line) => !faulty.includes(line));
    const lines = [...faulty.slice(0, asked - 2), ...spreadOver(clean, asked - Math.min(asked - 2, faulty.length))];
    if (lines.length < 2) return "Which line has an error cannot be asked: the program has too few lines.";
    const statements = lines
      .sort((one, other) => one - other)
      .map((line) => ({ line, text: (texts[line - 1] ?? "").trim(), faulty: faulty.includes(line) }));
    return { key, kind: "suspects", marks, statements };
  },
  parts: (task, exercise, texts): TaskPart[] => {
    const wrong = missed(task, texts);
    return [
      {
        says: "Each of these lines may be right or have an error; it may be that none has.",
        shown: [],
        fields: task.statements.map(({ line, text }) => ({
          ...{ name: nameOf(line), says: `${line}  ${text}`, rows: 1, code: true, options },
        })),
      },
      {
        says: "Look again at what was not right. What you find now counts half.",
        shown: [
          {
            says: "",
            text:
              wrong.length === 0
                ? "All of your answers are right."
                : wrong
                    .map((each) => {
                      const hint = each.faulty ? hintFor(exercise, each.line) : "look at it again, sign by sign";
                      return `Line ${each.line}: ${hint}.`;
                    })
                    .join("\n"),
          },
        ],
        fields: wrong.map(({ line, text }) => ({
          ...{ name: againOf(line), says: `${line}  ${text}`, rows: 1, code: true, options },
        })),
      },
    ];
  },
  right: (task) => Object.fromEntries(task.statements.map((each) => [nameOf(each.line), rightOf(each)])),
  rule: () =>
    "The marks are shared over the lines, in halves, rounded down. A line that is answered wrongly takes one that is right away; one that is left open costs nothing. A line that is right only after the hint counts half.",
  scheme: (task) => [
    {
      ...{ item: "lines", marks: task.marks },
      words: task.statements.map((each) => `line ${each.line}: ${each.faulty ? "an error" : "no error"}`).join("\n"),
    },
  ],
  worthless: (task) => [
    Object.fromEntries(task.statements.map((each) => [nameOf(each.line), each.faulty ? "right" : "wrong"])),
  ],
  mark: (task, texts) => {
    const wrong = missed(task, texts);
    const claimed = wrong.filter((each) => (texts[nameOf(each.line)] ?? "") !== "");
    const later = wrong.filter((each) => texts[againOf(each.line)] === rightOf(each));
    const hits = task.statements.length - wrong.length;
    // What was corrected after the hint is no wrong answer any more.
    const costs = claimed.filter((each) => !later.includes(each)).length;
    const words = [
      `${hits} of ${task.statements.length} are right at first${later.length > 0 ? `, ${later.length} after the hint` : ""}.`,
    ];
    for (const each of wrong) words.push(`Line ${each.line} has ${each.faulty ? "an error" : "no error"}.`);
    const given = { item: "lines", possible: task.marks, reason: words.join(" ") };
    return [sharedMark(given, hits + later.length / 2 - costs, task.statements.length)];
  },
});
