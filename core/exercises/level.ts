import { findLanguage } from "../languages/languages.ts";
import { tokensByLine } from "../languages/lexical.ts";
import { lineTexts } from "../source/lines.ts";
import { lineAt, lineStarts } from "../syntax/placed.ts";
import { isLoop, nodesOf, part, walk } from "../syntax/tree.ts";
import type { ExerciseContent, ExerciseFault } from "./exercise.ts";
import { kindOfTask } from "./taskKinds.ts";

export type Level = { level: number; points: number; reasons: Array<{ points: number; words: string }> };

/** Points by the words for them; what is not there adds nothing. */
type Knob = { points: number; words: string };

/**
 * How hard an exercise is, from 1 to 5, with its reasons. Everything that is measured adds points; the level is
 * 1 + points / 2, rounded down, at most 5. Classes weigh as teachers rank them: syntax easiest to find, then runtime, logic
 * hardest.
 */
export function levelOf(content: ExerciseContent): Level {
  const knobs: Knob[] = [
    classKnob(content.faults),
    ...faultKnobs(content),
    ...programKnobs(content),
    ...content.tasks.flatMap((task) => {
      const own = kindOfTask(task).difficulty(task);
      return own ? [own] : [];
    }),
  ];
  const reasons = knobs.filter(({ points }) => points > 0);
  const points = reasons.reduce((sum, reason) => sum + reason.points, 0);
  return { level: Math.min(5, 1 + Math.floor(points / 2)), points, reasons };
}

function classKnob(faults: readonly ExerciseFault[]): Knob {
  const has = (faultClass: ExerciseFault["class"]) => faults.some((fault) => fault.class === faultClass);
  if (has("logic")) return { points: 2, words: "a logic error: no message leads to it" };
  return { points: has("runtime") ? 1 : 0, words: "a runtime error: it shows only when the line is reached" };
}

/** What the faults and their messages make harder. */
function faultKnobs({ faults, program, language: id }: ExerciseContent): Knob[] {
  const language = findLanguage(id);
  const lines = lineTexts(program);
  const onOneLine = new Set(faults.flatMap((fault) => fault.faultyLines)).size < faults.length;
  const apart = faults.filter(
    (fault) => fault.reportedLine !== null && !fault.faultyLines.includes(fault.reportedLine),
  );
  const silent = faults.some(
    (fault) =>
      fault.message !== "" && fault.faultyLines.every((line) => !namesSomething(fault.message, lines[line - 1] ?? "")),
  );
  const rare = faults.some(({ noticed }) => noticed !== undefined && noticed.by < noticed.of);
  const seldom = faults.some(({ noticed }) => noticed !== undefined && noticed.of > 1 && noticed.by * 2 < noticed.of);
  const depth = Math.max(0, ...faults.map((fault) => nestingAt(program, language, fault.faultyLines[0] ?? 1)));
  const operators = Math.max(0, ...faults.map((fault) => operatorsAt(program, language, fault.faultyLines[0] ?? 1)));
  return [
    {
      points: Math.max(0, faults.length - 1) + (onOneLine && faults.length > 1 ? 1 : 0),
      words: `${faults.length} faults, one behind the other${onOneLine ? ", on one line" : ""}`,
    },
    { points: apart.length > 0 ? 1 : 0, words: "a message that names another line than the faulty one" },
    { points: silent ? 1 : 0, words: "a message that names nothing of the faulty line" },
    {
      points: seldom ? 2 : rare ? 1 : 0,
      words: seldom ? "it shows with few inputs only" : "it shows with certain inputs only",
    },
    {
      points: Math.min(2, depth),
      words: depth > 1 ? `inside ${depth} loops or decisions` : "inside a loop or a decision",
    },
    { points: operators > 1 ? 1 : 0, words: `${operators} comparisons or connections in one condition` },
  ];
}

/** True if a message has a word or sign of a line in it. */
function namesSomething(message: string, line: string): boolean {
  const words: string[] = line.match(/[\p{L}_][\p{L}\p{N}_]*/gu) ?? [];
  const quoted = [...message.matchAll(/['"‘“`]([^'"’”`]+)['"’”`]/g)].map((match) => match[1] ?? "");
  return quoted.some((each) => words.includes(each) || (each.length > 0 && !/\w/.test(each)));
}

type Known = ReturnType<typeof findLanguage>;

/** How many loops and decisions stand around a line. */
function nestingAt(program: string, language: Known, line: number): number {
  const tree = language?.syntax?.(program);
  if (!tree) return 0;
  const starts = lineStarts(program);
  let depth = 0;
  walk(tree, (node) => {
    if (!isLoop(node) && node.kind !== "if") return;
    const body = part(node, "body");
    if (body && lineAt(starts, node.from) < line && lineAt(starts, Math.max(node.from, node.to - 1)) >= line)
      depth += 1;
  });
  return depth;
}

/** How many comparisons and connections the condition on a line has. */
function operatorsAt(program: string, language: Known, line: number): number {
  const tree = language?.syntax?.(program);
  if (!tree) return 0;
  const starts = lineStarts(program);
  const conditions = nodesOf(tree).filter((node) => node.role === "condition" && lineAt(starts, node.from) === line);
  return Math.max(0, ...conditions.map((node) => nodesOf(node).filter((each) => each.kind === "binary").length));
}

function programKnobs({ program, language: id }: ExerciseContent): Knob[] {
  const lines = lineTexts(program).filter((line) => line.trim() !== "").length;
  const language = findLanguage(id);
  const codeLines = [...tokensByLine(language?.tokens(program) ?? []).values()];
  const loops = codeLines.some((line) =>
    line.some((token) => token.kind === "keyword" && language?.loopWords.has(token.text.toLowerCase())),
  );
  const functions = codeLines.filter((line) => language?.definesFunction(line)).length;
  return [
    { points: lines > 30 ? 2 : lines > 12 ? 1 : 0, words: `${lines} lines of program` },
    { points: loops ? 1 : 0, words: "a loop" },
    { points: functions > (language?.mainIsFunction ? 1 : 0) ? 1 : 0, words: "functions" },
  ];
}
