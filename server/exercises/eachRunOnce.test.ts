import { expect, test } from "vitest";
import type { CheckRun, MakeContext } from "../../core/exercises/taskKind.ts";
import { eachRunOnce } from "./makeExercise.ts";

const check = { input: "3\n", expected: "3\n", kind: "normal" as const, ignorePrompts: false, files: {} };

/** A context that tells which texts were really run; a run of "cut off" tells nothing. */
function counted(): { context: MakeContext; texts: string[] } {
  const texts: string[] = [];
  const run = async (text: string): Promise<CheckRun> => {
    texts.push(text);
    return { notRun: text, unknown: true };
  };
  const ended: CheckRun = {
    passes: true,
    outcome: {
      ...{
        started: true,
        finished: true,
        stoppedBy: "none",
        exit: { code: 0, signal: 0 },
        diagnostics: [],
        console: [],
      },
      ...{ effects: [], inputRanOut: false, milliseconds: 1, peakMemory: 0 },
    } as unknown as Extract<CheckRun, { passes: boolean }>["outcome"],
  };
  const context = {
    run: async (text: string) => (text === "cut off" ? run(text) : run(text).then(() => ended)),
  } as unknown as MakeContext;
  return { context, texts };
}

test("a text is run once with a check, and again with another one", async () => {
  const { context, texts } = counted();
  const once = eachRunOnce(context);
  const [first, second] = await Promise.all([once.run("right", check), once.run("right", { ...check })]);
  expect(first).toBe(second);
  await once.run("right", { ...check, input: "4\n" });
  await once.run("faulty", check);
  expect(texts).toEqual(["right", "right", "faulty"]);
});

test("a run that told nothing is made again", async () => {
  const { context, texts } = counted();
  const once = eachRunOnce(context);
  await once.run("cut off", check);
  await once.run("cut off", check);
  expect(texts).toEqual(["cut off", "cut off"]);
});
