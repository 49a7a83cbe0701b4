import type { ExerciseFault } from "../exercises/exercise.ts";

/**
 * What a presentation shows next. "think": a stop with a question to the class. The others show what they are named after,
 * of the fault with this number (from 0).
 */
export type Reveal =
  | { shows: "think"; words: string }
  | { shows: "run" }
  | { shows: "class" | "named line" | "faulty line" | "fix"; fault: number };

const think = (words: string): Reveal => ({ shows: "think", words });

/**
 * The order in which a faulty program is taken through with a class: read, guess, run, tell the kind of error, look for the
 * line, mend; fault by fault. Every answer has its question before it, so nothing is seen before it was asked.
 */
export function revealsOf(faults: ReadonlyArray<Pick<ExerciseFault, "class" | "reportedLine" | "hunks">>): Reveal[] {
  const reveals: Reveal[] = [
    think("Read it. What should it do, and what will happen when it is run?"),
    { shows: "run" },
  ];
  for (const [fault, { reportedLine, hunks }] of faults.entries()) {
    const again = faults.length > 1 ? (fault === 0 ? " Take the one that shows first." : " Now the next one.") : "";
    reveals.push(think(`Which kind of error is it, and how do you know?${again}`), { shows: "class", fault });
    if (reportedLine !== null) reveals.push(think("Which line does the message name?"), { shows: "named line", fault });
    reveals.push(think(reportedLine === null ? "Which line is it in?" : "Is that where the mistake is?"), {
      shows: "faulty line",
      fault,
    });
    if (hunks.length > 0) reveals.push(think("How would you mend it?"), { shows: "fix", fault });
  }
  return reveals;
}

/** What is to be seen after so many reveals. Of the questions only the last one, where nothing has come after it. */
export type Seen = {
  question: string | null;
  run: boolean;
  /** Number of the fault that is being looked at; null before the first. */
  fault: number | null;
  class: boolean;
  namedLine: boolean;
  faultyLine: boolean;
  /** Numbers of the faults whose mending is shown. */
  fixes: number[];
};

export function seenAfter(reveals: readonly Reveal[], count: number): Seen {
  const seen: Seen = {
    ...{ question: null, run: false, fault: null },
    ...{ class: false, namedLine: false, faultyLine: false, fixes: [] },
  };
  for (const reveal of reveals.slice(0, count)) {
    seen.question = reveal.shows === "think" ? reveal.words : null;
    if (reveal.shows === "run") seen.run = true;
    if (!("fault" in reveal)) continue;
    if (reveal.fault !== seen.fault) Object.assign(seen, { fault: reveal.fault, namedLine: false, faultyLine: false });
    if (reveal.shows === "class") seen.class = true;
    if (reveal.shows === "named line") seen.namedLine = true;
    if (reveal.shows === "faulty line") seen.faultyLine = true;
    if (reveal.shows === "fix") seen.fixes.push(reveal.fault);
  }
  return seen;
}
