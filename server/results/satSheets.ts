import { earnedInAll, listMarks } from "../marks/markStore.ts";
import type { Services } from "../services.ts";
import { listSittingsOf } from "../sittings/sittingStore.ts";

/** A sheet that a student has sat, with what was earned; `waiting`: items that wait for the teacher. */
export type SatSheet = {
  key: string;
  sheet: string;
  title: string;
  attempt: number;
  handedInAt: string | null;
  earned: number;
  possible: number;
  waiting: number;
};

/** Everything that a student has sat, in the order of time. */
export async function satBy({ database }: Pick<Services, "database">, student: string): Promise<SatSheet[]> {
  const sittings = await listSittingsOf(database, student);
  const marks = await listMarks(
    database,
    sittings.map(({ key }) => key),
  );
  return sittings.map(({ key, sheet, title, attempt, handed_in_at }) => {
    const own = marks.filter((mark) => mark.sitting === key);
    return {
      ...{ key, sheet, title, attempt, handedInAt: handed_in_at },
      earned: earnedInAll(own),
      possible: own.reduce((sum, mark) => sum + mark.possible, 0),
      waiting: own.filter((mark) => mark.earned === null).length,
    };
  });
}
