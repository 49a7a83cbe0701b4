import type { ExerciseFault } from "../exercises/exercise.ts";

/**
 * What a presentation shows next. "think": a stop with a question to the class. The others show what they are named after,
 * of the fault with this number (from 0).
 * "look": one more line (number from 0) of the way on which the faulty line is found.
 */
export type Reveal =
  | { shows: "think"; words: string }
  /** What a run gives with so many of the faults mended, in their order. */
  | { shows: "run"; mended: number }
  | { shows: "class" | "named line" | "faulty line" | "fix"; fault: number }
  | { shows: "look"; fault: number; look: number };

const think = (words: string): Reveal => ({ shows: "think", words });

/** How the line of a fault is looked for: the named one, the lines on the way, the faulty one; `looks` with it. */
function lineReveals(fault: number, reportedLine: number | null, looks: number): Reveal[] {
  const named: Reveal[] =
    reportedLine === null ? [] : [think("Which line does the message name?"), { shows: "named line", fault }];
  const question = think(reportedLine === null ? "Which line is it in?" : "Is that where the mistake is?");
  // The last look is at the faulty line itself.
  const way = Array.from({ length: Math.max(0, looks - 1) }, (_, look): Reveal => ({ shows: "look", fault, look }));
  return [...named, question, ...way, { shows: "faulty line", fault }];
}

/**
 * The order in which a faulty program is taken through with a class: read, guess, run, tell the kind of error, look for the
 * line by line until it is found, mend, run again; fault by fault, as far as they can be mended one by one. Every answer has its
 * question before it, so nothing is seen before it was asked. What is left out (`without`) is not asked; without mending
 * it ends with the first fault.
 */
export function revealsOf(
  faults: ReadonlyArray<Pick<ExerciseFault, "class" | "reportedLine" | "hunks" | "looks">>,
  without: ReadonlyArray<"class" | "line" | "fix"> = [],
): Reveal[] {
  const reveals: Reveal[] = [
    think("Read it. What should it do, and what will happen when it is run?"),
    { shows: "run", mended: 0 },
  ];
  for (const [fault, { reportedLine, hunks, looks = [] }] of faults.entries()) {
    if (!without.includes("class"))
      reveals.push(think("Which kind of error is it, and how do you know?"), { shows: "class", fault });
    if (!without.includes("line")) reveals.push(...lineReveals(fault, reportedLine, looks.length));
    if (without.includes("fix") || hunks.length === 0) break;
    reveals.push(think("How would you mend it?"), { shows: "fix", fault });
    reveals.push(think("What will happen when it is run again?"), { shows: "run", mended: fault + 1 });
  }
  return reveals;
}

/** What is to be seen after so many reveals. Of the questions only the last one, where nothing has come after it. */
export type Seen = {
  question: string | null;
  /** The run whose outcome is shown: how many faults are mended in it; null before the first. */
  run: number | null;
  /** Number of the fault that is being looked at; null before the first. */
  fault: number | null;
  class: boolean;
  namedLine: boolean;
  /** How many lines of the way to the fault are shown; with the faulty line all of them. */
  looks: number;
  faultyLine: boolean;
  /** Numbers of the faults whose mending is shown. */
  fixes: number[];
};

const nothingOfFault = { class: false, namedLine: false, looks: 0, faultyLine: false };

/** What is to be seen after so many reveals. With a new run what was said of the fault before goes; its mending stays. */
export function seenAfter(reveals: readonly Reveal[], count: number): Seen {
  const seen: Seen = {
    ...{ question: null, run: null, fault: null },
    ...nothingOfFault,
    fixes: [],
  };
  for (const reveal of reveals.slice(0, count)) {
    seen.question = reveal.shows === "think" ? reveal.words : null;
    if (reveal.shows === "run") Object.assign(seen, { run: reveal.mended, fault: null }, nothingOfFault);
    if (!("fault" in reveal)) continue;
    seen.fault = reveal.fault;
    if (reveal.shows === "class") seen.class = true;
    if (reveal.shows === "named line") seen.namedLine = true;
    if (reveal.shows === "look") seen.looks = reveal.look + 1;
    if (reveal.shows === "faulty line") Object.assign(seen, { faultyLine: true, looks: Number.POSITIVE_INFINITY });
    if (reveal.shows === "fix") seen.fixes.push(reveal.fault);
  }
  return seen;
}
