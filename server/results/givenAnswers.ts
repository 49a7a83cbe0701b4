import { type AnswerGroup, answersToTask } from "../marks/moderation.ts";
import type { Services } from "../services.ts";

/** An answer that students gave to a task, as whoever marks on paper reads it. */
export type GivenAnswer = { compared: unknown; students: number; earned: number; possible: number };

/** So many answers of a kind are named at most. */
const mostNamed = 4;

const sum = (numbers: readonly number[]) => numbers.reduce((all, each) => all + each, 0);

function asGiven({ compared, labels, items }: AnswerGroup): GivenAnswer {
  return {
    ...{ compared, students: labels.length },
    earned: sum(items.map(({ earned }) => earned ?? 0)),
    possible: sum(items.map(({ possible }) => possible)),
  };
}

/**
 * What students of an edition answered to a task: `accepted` what the teacher decided to be worth everything, `wrong` what
 * was not, the most frequent first. What still waits is in neither.
 */
export async function givenAnswers(
  services: Pick<Services, "database">,
  sheet: string,
  edition: string,
  task: string,
): Promise<{ accepted: GivenAnswer[]; wrong: GivenAnswer[] }> {
  const groups = ((await answersToTask(services, sheet, task, edition))?.groups ?? []).filter(
    ({ waits, items, compared }) => !waits && items.length > 0 && compared !== null,
  );
  const isWhole = (group: AnswerGroup) => group.items.every(({ earned, possible }) => earned === possible);
  const byTeacher = (group: AnswerGroup) => group.items.some(({ marker }) => marker === "teacher");
  return {
    accepted: groups
      .filter((group) => isWhole(group) && byTeacher(group))
      .slice(0, mostNamed)
      .map(asGiven),
    wrong: groups
      .filter((group) => !isWhole(group))
      .slice(0, mostNamed)
      .map(asGiven),
  };
}
