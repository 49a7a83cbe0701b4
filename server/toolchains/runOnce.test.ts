import { expect, test } from "vitest";
import { type Outcome, type RunRequest, unknownOutcome } from "../../core/outcome/outcome.ts";
import { usualLimits } from "../judge/run.ts";
import { runOnce } from "./runOnce.ts";
import type { Toolchain, Variant } from "./toolchain.ts";
import type { Toolchains } from "./toolchains.ts";

const ended = { ...unknownOutcome("broken", ""), stoppedBy: "none" as const, finished: true, started: true };

const requestOf = (text: string, input = "3\n"): RunRequest => ({
  files: [{ name: "legs.py", bytes: Buffer.from(text) }],
  input,
  limits: usualLimits,
});

/** Translators of one language that tell what they really did; what a text "cut off" gives tells nothing, "no room" is thrown. */
function counted(
  company: (variants: readonly Variant[]) => Promise<Array<Outcome | null>> = async (variants) =>
    variants.map(() => null),
) {
  const done: string[] = [];
  const outcomeOf = async (kind: string, { files, input }: RunRequest) => {
    const text = Buffer.from(files[0]?.bytes ?? []).toString();
    done.push(`${kind} ${text} ${input.trim()}`);
    if (text === "no room") throw new Error(text);
    return text === "cut off" ? unknownOutcome("not taken", "It did not get its turn.") : { ...ended };
  };
  const toolchain = {
    language: "python",
    run: (request: RunRequest) => outcomeOf("run", request),
    runMany: (_: RunRequest, variants: readonly Variant[]) => company(variants),
    trace: async (request: RunRequest) => ({ outcome: await outcomeOf("record", request), files: [], steps: [] }),
  } as unknown as Toolchain;
  const find = (language: string) => (language === "python" ? toolchain : undefined);
  const toolchains = runOnce({ find } as unknown as Toolchains);
  const python = toolchains.find("python");
  if (!python) throw new Error("no translator");
  return { done, python, toolchains };
}

test("a text is run once with an input, also when it is asked for twice at a time, and recorded once beside it", async () => {
  const { done, python, toolchains } = counted();
  const [first, second] = await Promise.all([python.run(requestOf("right")), python.run(requestOf("right"))]);
  expect(first).toBe(second);
  await toolchains.find("python")?.run(requestOf("right"));
  await python.trace(requestOf("right"));
  await python.trace(requestOf("right"));
  expect(done).toEqual(["run right 3", "record right 3"]);
  expect(toolchains.find("c")).toBeUndefined();
});

test("another input, another text, other limits and another change are other runs", async () => {
  const { done, python } = counted();
  await python.run(requestOf("right"));
  await python.run(requestOf("right", "4\n"));
  await python.run(requestOf("faulty"));
  await python.run({ ...requestOf("right"), limits: { ...usualLimits, cpuSeconds: 9 } });
  expect(done).toEqual(["run right 3", "run right 4", "run faulty 3", "run right 3"]);
});

test("a run that told nothing, or for which there was no room, is made again", async () => {
  const { done, python } = counted();
  await python.run(requestOf("cut off"));
  await python.run(requestOf("cut off"));
  await expect(python.run(requestOf("no room"))).rejects.toThrow("no room");
  await expect(python.run(requestOf("no room"))).rejects.toThrow("no room");
  expect(done).toEqual(["run cut off 3", "run cut off 3", "run no room 3", "run no room 3"]);
});

test("what is told in company is not run alone again; what was ended at a limit or left something is", async () => {
  const { done, python } = counted(async (variants) =>
    variants.map(({ input }) => {
      if (input === "loops") return { ...ended, stoppedBy: "time" as const, finished: false };
      if (input === "writes") return { ...ended, effects: [{ name: "a", change: "new" as const, size: 1, text: "" }] };
      return input === "alone" ? null : ended;
    }),
  );
  const inputs = ["told", "loops", "writes", "alone"];
  const main = Buffer.from("right");
  await python.runMany?.(
    requestOf("other"),
    inputs.map((input) => ({ main, input })),
    9,
  );
  const told = await Promise.all(inputs.map((input) => python.run(requestOf("right", input))));
  expect(told[0]).toMatchObject({ inCompany: true });
  expect(done).toEqual(["run right loops", "run right writes", "run right alone"]);
  // Of another text nothing is known by it.
  await python.run(requestOf("other", "told"));
  expect(done).toHaveLength(4);
});
