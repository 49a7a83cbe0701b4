import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import { type Level, levelOf } from "../../core/exercises/level.ts";
import { type LevelByResults, levelByResults } from "../../core/exercises/levelByResults.ts";
import type { Database } from "../database/database.ts";
import { earnedOnTasks } from "./resultStore.ts";

/** The level of an exercise: measured of its program and tasks, and, where enough have sat it, by how they did. */
export type LevelNow = Level & { measured: number; byResults: LevelByResults | null };

/** The level that an exercise has by now, wherever and on whatever sheets it was sat. */
export async function levelNow(database: Pick<Database, "query">, content: ExerciseContent): Promise<LevelNow> {
  const measured = levelOf(content);
  const earned = await earnedOnTasks(
    database,
    content.tasks.map((task) => task.key),
  );
  const byResults = levelByResults(measured.level, earned);
  return { ...measured, level: byResults?.level ?? measured.level, measured: measured.level, byResults };
}

/** What is said of a level by results, in words; "" where too few have sat the exercise. */
export function wordsOfResults({ byResults, measured }: LevelNow): string {
  if (!byResults) return "";
  const share = `${byResults.sitters} students earned ${Math.round(byResults.share * 100)} % of it`;
  return byResults.level === measured
    ? `${share}, as its level says`
    : `${share}; measured it would be level ${measured}`;
}
