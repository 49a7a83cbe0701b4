import { expect, test } from "vitest";
import type { OwnRun } from "./ownPython.ts";
import { orderOf, shownOf, stoppedByOf } from "./tryHere.ts";

const result = {
  ...{ started: true, stoppedBy: "none" as const, exit: 0, crash: "", errorName: "", problems: [] },
  ...{ ranOut: false, steps: 0 },
};
const run: OwnRun = {
  ...{ console: [{ kind: "out", text: "Deck load: 7\n", line: 3 }], steps: [], notChanged: undefined },
  ...{ filesAt: undefined, result, damaged: false, how: "ended" },
};

test("a text runs as the exercise's program, beside the files that lie there and none that does not", () => {
  const exercise = {
    fileName: "deck.py",
    dataFiles: [
      { name: "loads.txt", text: "4\n9\n" },
      { name: "gone.txt", text: null },
    ],
  };
  expect(orderOf(exercise, "print(1)\n", "3\n")).toMatchObject({
    mode: "run",
    main: "deck.py",
    files: [
      ["deck.py", "print(1)\n"],
      ["loads.txt", "4\n9\n"],
    ],
    input: "3\n",
  });
});

test.each([
  ["its own end", {}, "none"],
  ["an error", { result: { ...result, stoppedBy: "fault" as const } }, "fault"],
  ["a refusal", { result: { ...result, started: false } }, "refused"],
  ["the time limit", { how: "time" as const, result: null }, "time"],
  ["a press on Stop", { how: "person" as const, result: null }, "person"],
  ["an interpreter that gave up", { how: "broken" as const, result: null }, "broken"],
  ["a worker that was closed from inside, with nothing told", { result: null }, "broken"],
])("a run that ended by %s", (_what, part, stoppedBy) => {
  expect(stoppedByOf({ ...run, ...part })).toBe(stoppedBy);
});

test("the student sees the console, the server hears what the interpreter said last, and no more than it takes", () => {
  expect(shownOf(run)).toEqual({
    shown: { console: { pieces: run.console, cut: 0 }, ended: "It ended by itself.", inputRanOut: false },
    told: { console: { pieces: run.console, cut: 0 }, stoppedBy: "none", messages: "" },
  });
  const problem = { severity: "error" as const, file: "deck.py", line: 1, text: "SyntaxError: invalid syntax\n" };
  const refused = shownOf({ ...run, result: { ...result, started: false, problems: [problem] } });
  expect(refused.told).toMatchObject({ stoppedBy: "refused", messages: problem.text });
  expect(refused.shown.ended).toBe("It was refused before any line ran.");
  const crash = `${"x".repeat(30_000)}\nRecursionError: too deep\n`;
  const pieces = Array.from({ length: 6000 }, () => ({ kind: "out" as const, text: "-" }));
  const long = shownOf({ ...run, console: pieces, result: { ...result, stoppedBy: "fault", crash } });
  expect(long.told.messages).toHaveLength(20_000);
  expect(long.told.messages).toMatch(/RecursionError: too deep\n$/);
  expect(long.told.console.pieces).toHaveLength(5000);
});
