import { describe, expect, test } from "vitest";
import type { FaultClass } from "../../verdict/verdict.ts";
import type { ExerciseContent } from "../exercise.ts";
import type { MakeContext } from "../taskKind.ts";
import { testExercise } from "../testExercise.ts";
import { define, suggestDefinitionMark } from "./define.ts";

const exercise = (faultClass: FaultClass, tasks: ExerciseContent["tasks"] = []) =>
  testExercise({
    ...{ program: "print(deck)\n", mended: null, checks: [], tasks },
    faults: [{ class: faultClass, symptom: "", message: "", reportedLine: 1, faultyLines: [1], hunks: [] }],
  });
/** Nothing of this kind runs a program. */
const context = (content: ExerciseContent): MakeContext => ({
  exercise: content,
  run: async () => ({ notRun: "never asked", unknown: false }),
  record: async () => ({ notRun: "never asked" }),
});
const made = async (content: ExerciseContent, marks = 2) => {
  const task = await define.make(context(content), { key: "d", marks });
  if (typeof task === "string") throw new Error(task);
  return task;
};

/** Definitions as students write them, the first half looked at while the ideas were written down. */
const answers: ReadonlyArray<[FaultClass, "what" | "effect", string, 0 | 1]> = [
  ["syntax", "what", "A rule of the language is broken.", 1],
  ["syntax", "what", "You did not follow the grammar, for example you left out a bracket", 1],
  ["syntax", "effect", "The program does not run at all.", 1],
  ["syntax", "effect", "it can't be translated", 1],
  ["syntax", "effect", "It gives the wrong result.", 0],
  ["runtime", "what", "It occurs while the program is running", 1],
  ["runtime", "what", "An error that happens during execution, like dividing by zero", 1],
  ["runtime", "effect", "The program crashes.", 1],
  ["runtime", "effect", "It stops before the end", 1],
  ["runtime", "effect", "Nothing is printed on Mondays", 0],
  ["logic", "what", "The program works but it does not do what was intended", 1],
  ["logic", "what", "there is a mistake in the algorithm", 1],
  ["logic", "effect", "It gives an unexpected output.", 1],
  ["logic", "effect", "The results are not what you want", 1],
  ["logic", "what", "A bracket is missing.", 0],
  ["syntax", "what", "A mistake against the rules of the programming language", 1],
  ["syntax", "what", "the code isn't written correctly in that language's grammar", 1],
  ["syntax", "effect", "Nothing runs, the compiler refuses it", 1],
  ["syntax", "what", "It crashes in the middle", 0],
  ["runtime", "what", "appears when a line is executed that cannot be carried out", 1],
  ["runtime", "effect", "an exception ends it early", 1],
  ["runtime", "what", "You forgot a semicolon", 0],
  ["logic", "what", "a wrong formula or condition was used", 1],
  ["logic", "effect", "the answer is wrong although it runs to the end", 1],
  ["logic", "effect", "It does not start", 0],
];

test.each(answers)("%s, %s: “%s”", (faultClass, part, text, share) => {
  expect(suggestDefinitionMark(text, faultClass, part).share).toBe(share);
});

describe("a task is made, told, marked and compared", () => {
  test("one mark for what it is, one for its effect; both wait for the teacher with a suggestion", async () => {
    const task = await made(exercise("runtime"));
    expect(define.scheme(task, exercise("runtime"))).toMatchObject([
      { item: "what it is", marks: 1, words: expect.stringContaining("while the program is running") },
      { item: "its effect", marks: 1, words: expect.stringContaining("stops before its end") },
    ]);
    const answer = { what: "It shows while it is running.", effect: "It prints something else." };
    expect(await define.mark(task, answer, context(exercise("runtime")))).toMatchObject([
      { earned: null, suggested: 1, possible: 1 },
      { earned: null, suggested: 0, possible: 1, reason: expect.stringContaining("Not found") },
    ]);
  });

  test("what was left blank earns nothing and waits for nobody; odd marks go to what it is", async () => {
    const task = await made(exercise("logic"), 3);
    const marks = await define.mark(task, { what: " ", effect: "a wrong result" }, context(exercise("logic")));
    expect(marks).toMatchObject([
      { earned: 0, possible: 2, reason: "Nothing was written." },
      { earned: null, possible: 1 },
    ]);
    expect(marks[0]).not.toHaveProperty("suggested");
  });

  test("the class of the fault is not given away where it is asked as well; the teacher may choose another", async () => {
    expect(await made(exercise("syntax"))).toMatchObject({ class: "syntax" });
    const asked = exercise("syntax", [{ key: "c", kind: "classify", marks: 2 }]);
    const task = await made(asked);
    expect(JSON.stringify(define.view(task, asked))).not.toContain("syntax");
    expect(await define.change?.(context(asked), task, { class: ["logic"] })).toMatchObject({ class: "logic" });
    expect(await define.change?.(context(asked), task, { class: ["beautiful"] })).toBe(
      "Choose one of the three classes.",
    );
  });

  test("without a verdict there is nothing to define, and less than two marks are two", async () => {
    expect(await define.make(context({ ...exercise("logic"), faults: [] }), { key: "d", marks: 2 })).toContain(
      "no verdict yet",
    );
    expect(await made(exercise("logic"), 1)).toMatchObject({ marks: 2 });
  });
});
