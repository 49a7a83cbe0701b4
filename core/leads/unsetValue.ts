import { compareOutput } from "../assignments/compareOutput.ts";
import { consoleText } from "../outcome/outcome.ts";
import { isSameRun } from "../trace/sameRun.ts";
import { outputLine } from "../verdict/runEvidence.ts";
import type { LeadRule } from "./lead.ts";

/**
 * A value that is read before it was set, seen only in the recording: there, variables without a value hold a mark of
 * ours, and what is printed from one is another text than in the plain run. Nothing is said of programs that draw on
 * chance or the clock, whose runs differ anyway.
 */
export const unsetValue: LeadRule = ({ verdict, language, outcome, trace, codeLines }) => {
  if (!language.recordingMarksUnset || (verdict.class !== null && verdict.class !== "logic")) return [];
  if (!outcome?.finished || !trace?.outcome.finished || trace.cut || isSameRun(language, outcome, trace)) return [];
  const draws = [...codeLines.values()].some((tokens) => tokens.some((token) => language.chanceWords.has(token.text)));
  const compared = compareOutput(trace.outcome.console, consoleText(outcome.console, ["out"]));
  if (draws || compared.same) return [];
  const line = outputLine(trace.outcome, compared);
  const why =
    "What is printed here comes from a value that was read before it was set: in the recording, where such variables hold something else, it prints something else.";
  return line === undefined ? [] : [{ line, why, weight: verdict.class === null ? 45 : 80 }];
};
