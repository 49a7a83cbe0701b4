import * as z from "zod";
import {
  type ChoicesAnswer,
  type ChoicesCompared,
  type ChoicesView,
  choicesAnswerSchema,
  trueOrFalse,
} from "../asked.ts";
import type { ExerciseContent } from "../exercise.ts";
import { defineTaskKind, type ItemMark } from "../taskKind.ts";

const statementSchema = z.object({ says: z.string(), holds: z.boolean(), because: z.string() });
const schema = z.object({
  ...{ key: z.string(), kind: z.literal("statements"), marks: z.number().int().min(1) },
  shown: z.string(),
  statements: z.array(statementSchema).min(2),
});
type Statement = z.infer<typeof statementSchema>;
type StatementsTask = z.infer<typeof schema>;

/** What can be said of a program's message and of its error, true and false, by what was seen of it. */
function statementsOf({ faults: [fault] }: ExerciseContent): Statement[] {
  if (!fault) return [];
  const { reportedLine, faultyLines, message } = fault;
  const found: Statement[] = [];
  const onIt = reportedLine !== null && faultyLines.includes(reportedLine);
  if (message !== "" && reportedLine !== null)
    found.push(
      {
        says: `The mistake is on line ${reportedLine}, which the message names.`,
        holds: onIt,
        because: onIt ? "Here it is on that line." : `It is on line ${faultyLines.join(" and ")}.`,
      },
      {
        says: "The line that a message names must always hold the mistake.",
        holds: false,
        because: "It says where the tool gave up; the mistake is often on a line above.",
      },
    );
  if (message !== "")
    found.push({
      says: "Some lines of the program were carried out before the message came.",
      holds: fault.class !== "syntax",
      because:
        fault.class === "syntax" ? "It was refused before any line ran." : "It stops only at the line that it reached.",
    });
  else
    found.push(
      { says: "There is no message, so there is no mistake.", holds: false, because: "A logic error has no message." },
      {
        says: "The program comes to its end.",
        holds: true,
        because: "It ends by itself, with another result than intended.",
      },
    );
  found.push({
    says: "Mending the line that holds the mistake is enough for all of the checks.",
    holds: true,
    because: "There is one mistake, and it is on that line.",
  });
  return found;
}

const nameOf = (index: number) => `statement ${index + 1}`;
const questionsOf = (task: StatementsTask): ChoicesView["questions"] =>
  task.statements.map(({ says }, index) => ({ name: nameOf(index), says, options: trueOrFalse }));
const rightOf = (task: StatementsTask): Record<string, string> =>
  Object.fromEntries(task.statements.map(({ holds }, index) => [nameOf(index), String(holds)]));

/** True or false: what a message says, and what it does not. */
export const statements = defineTaskKind({
  kind: "statements",
  title: "True or false?",
  schema,
  asksFor: "the mended program",
  answerSchema: choicesAnswerSchema,
  usualMarks: () => 0,
  needsRun: false,
  answeredBeforeTrying: false,
  answeredOnProgram: false,
  make: async ({ exercise }, { key, marks }) => {
    const own = statementsOf(exercise).slice(0, exercise.faults.length > 1 ? -1 : undefined);
    if (own.length < 2) return "Statements cannot be made: the case has no verdict yet.";
    return { key, kind: "statements" as const, marks, shown: exercise.faults[0]?.message ?? "", statements: own };
  },
  view: (task): ChoicesView => ({ shown: task.shown, questions: questionsOf(task) }),
  rule: () =>
    "The marks are shared over the statements, in halves, rounded down. A statement that is answered wrongly takes one that is right away, so that guessing earns nothing; one that is left open costs nothing.",
  scheme: (task) => [
    {
      ...{ item: "statements", marks: task.marks },
      words: task.statements
        .map(({ holds, says, because }) => `${holds ? "true" : "false"}: ${says} ${because}`)
        .join("\n"),
    },
  ],
  key: () => null,
  model: (task): ChoicesAnswer => ({ choices: rightOf(task) }),
  worthless: (task): ChoicesAnswer[] => {
    const wrong = Object.fromEntries(
      Object.entries(rightOf(task)).map(([name, is]) => [name, is === "true" ? "false" : "true"]),
    );
    return [{ choices: {} }, { choices: wrong }];
  },
  mark: async (task, { choices }): Promise<ItemMark[]> => {
    const right = rightOf(task);
    const names = Object.keys(right);
    const hits = names.filter((name) => choices[name] === right[name]).length;
    const misses = names.filter(
      (name) => choices[name] !== undefined && choices[name] !== "" && choices[name] !== right[name],
    );
    const share = Math.max(0, hits - misses.length) / names.length;
    const wrong = misses.map((name) => task.statements[names.indexOf(name)]?.because ?? "");
    return [
      {
        ...{ item: "statements", possible: task.marks, earned: Math.floor(task.marks * share * 2 + 1e-9) / 2 },
        reason: [`${hits} of ${names.length} are right, ${misses.length} wrong.`, ...wrong].join(" "),
      },
    ];
  },
  compare: (task, { choices }): ChoicesCompared => ({ questions: questionsOf(task), choices, right: rightOf(task) }),
});
