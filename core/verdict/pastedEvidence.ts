import type { Evidence, GateNumber } from "./evidence.ts";
import type { Observations } from "./observations.ts";
import { messageOf, otherFile, placeWords, stop } from "./words.ts";

/** The evidence of what a tool said elsewhere, by the word of who handed it in. */
export function judgePasted(observations: Observations): Evidence[] {
  const evidence: Evidence[] = [];
  const primary = observations.pasted?.find((diagnostic) => diagnostic.primary);
  const add = (gate: GateNumber, speaks: Evidence["speaks"], text: string, line?: number) =>
    evidence.push({ gate, source: "pasted output", speaks, text, ...(line ? { line } : {}) });
  if (!primary) {
    if (observations.pastedText?.trim())
      add(1, "open", "The pasted output holds no message that is recognised. It is kept whole.");
    return evidence;
  }
  const elsewhere = otherFile(primary, observations.fileNames);
  const ownLine = elsewhere ? undefined : primary.line;
  if (ownLine && observations.lineCount !== undefined && ownLine > observations.lineCount) {
    add(
      1,
      "open",
      `The pasted message names line ${ownLine}, but the program has ${observations.lineCount} lines: it seems to belong to another version.`,
    );
    return evidence;
  }
  const stage =
    primary.stage === "unknown"
      ? observations.language.namesCheckedAt === "run"
        ? "run"
        : "translation"
      : primary.stage;
  if (stage === "result") {
    add(1, "passes", "The pasted message is about a result, so the program had started.");
    add(2, "passes", "The pasted message is about a result, so the program had come to it.");
    add(3, "fails", stop(`A test in the pasted output got another result: ${messageOf(primary)}`), ownLine);
  } else if (stage === "translation")
    add(1, "fails", stop(`The pasted message says it was refused: ${messageOf(primary)}`), ownLine);
  else {
    add(1, "passes", "The pasted message comes from a running program, so it had started.");
    add(
      2,
      "fails",
      stop(
        `The pasted message says it was stopped${primary.line ? ` at ${placeWords(primary.line, elsewhere)}` : ""}: ${messageOf(primary)}`,
      ),
      ownLine,
    );
  }
  return evidence;
}
