import { findLanguage } from "../languages/languages.ts";
import { tokensByLine } from "../languages/lexical.ts";
import { lineTexts } from "../source/lines.ts";
import type { ExerciseContent } from "./exercise.ts";
import { kindOfTask } from "./taskKinds.ts";

export type Level = { level: number; points: number; reasons: Array<{ points: number; words: string }> };

/**
 * A first measure of how hard an exercise is, from 1 to 5, with its reasons. Everything that is counted adds points;
 * the level is 1 + points / 2, rounded down, at most 5. Classes weigh as teachers rank them: syntax easiest to find,
 * then runtime, logic hardest.
 */
export function levelOf(content: ExerciseContent): Level {
  const reasons: Level["reasons"] = [];
  const add = (points: number, words: string) => {
    if (points > 0) reasons.push({ points, words });
  };
  const hardest = content.faults.some((fault) => fault.class === "logic")
    ? 2
    : content.faults.some((fault) => fault.class === "runtime")
      ? 1
      : 0;
  add(
    hardest,
    hardest === 2 ? "a logic error: no message leads to it" : "a runtime error: it shows only when the line is reached",
  );
  add(Math.max(0, content.faults.length - 1), `${content.faults.length} faults, one behind the other`);
  const apart = content.faults.filter(
    (fault) => fault.reportedLine !== null && !fault.faultyLines.includes(fault.reportedLine),
  ).length;
  add(apart > 0 ? 1 : 0, "a message that names another line than the faulty one");
  const lines = lineTexts(content.program).filter((line) => line.trim() !== "").length;
  add(lines > 30 ? 2 : lines > 12 ? 1 : 0, `${lines} lines of program`);
  const language = findLanguage(content.language);
  const codeLines = [...tokensByLine(language?.tokens(content.program) ?? []).values()];
  add(
    codeLines.some((line) =>
      line.some((token) => token.kind === "keyword" && language?.loopWords.has(token.text.toLowerCase())),
    )
      ? 1
      : 0,
    "a loop",
  );
  add(
    codeLines.filter((line) => language?.definesFunction(line)).length > (language?.mainIsFunction ? 1 : 0) ? 1 : 0,
    "functions",
  );
  for (const task of content.tasks) {
    const own = kindOfTask(task).difficulty(task);
    if (own) add(own.points, own.words);
  }
  const points = reasons.reduce((sum, reason) => sum + reason.points, 0);
  return { level: Math.min(5, 1 + Math.floor(points / 2)), points, reasons };
}
