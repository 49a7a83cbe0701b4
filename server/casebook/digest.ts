import type { Database } from "../database/database.ts";
import { countByWeek } from "./questionStore.ts";
import { type Answer, questions } from "./questions.ts";
import { type TopMistake, topMistakes } from "./topMistakes.ts";
import { lastDayOf } from "./weeks.ts";

/** A week of a course in short: how many programs and faults, how that is to the week before, and what is worth talking about. */
export type Digest = {
  weeks: string[];
  week: string;
  /** Its last day. */
  until: string;
  programs: number;
  faults: number;
  before: { programs: number; faults: number } | null;
  classes: Array<{ class: "syntax" | "runtime" | "logic"; faults: number }>;
  mistakes: TopMistake[];
  students: Answer;
  messages: Answer;
};

const answerTo = async (database: Pick<Database, "query">, id: string, filter: object): Promise<Answer> => {
  const question = questions.find((each) => each.id === id);
  if (!question) throw new Error(`no question ${id}`);
  return question.answer(database, filter);
};

/** The digest of a course for a week (its Monday), the last one with programs where none is named; null where there are no programs at all. */
export async function digestOf(
  database: Pick<Database, "query">,
  course: string,
  wanted: string | null,
): Promise<Digest | null> {
  const weeks = await countByWeek(database.query, { course });
  const at = wanted === null ? weeks.length - 1 : weeks.findIndex(({ week }) => week === wanted);
  const week = weeks[at] ?? weeks.at(-1);
  if (!week) return null;
  const before = weeks[weeks.indexOf(week) - 1];
  const until = lastDayOf(week.week);
  const filter = { course, since: week.week, until };
  const [mistakes, students, messages] = await Promise.all([
    topMistakes(database, filter, course),
    // Who needs help shows over several weeks.
    answerTo(database, "students", { course, until }),
    answerTo(database, "messages", filter),
  ]);
  return {
    ...{
      weeks: weeks.map((each) => each.week),
      week: week.week,
      programs: week.programs,
      faults: week.faults,
      mistakes,
      students,
    },
    messages: { ...messages, rows: messages.rows.filter(({ cells }) => Number(cells[1]) + Number(cells[5]) > 0) },
    until,
    before: before ? { programs: before.programs, faults: before.faults } : null,
    classes: (["syntax", "runtime", "logic"] as const).map((of) => ({ class: of, faults: week[of] })),
  };
}
