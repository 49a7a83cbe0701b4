import fc from "fast-check";
import { expect, test } from "vitest";
import type { ConsolePiece } from "../outcome/outcome.ts";
import { compareOutput } from "./compareOutput.ts";
import { intendedOf, textOfResults } from "./intended.ts";

const out = (text: string, line?: number): ConsolePiece => ({ kind: "out", text, ...(line ? { line } : {}) });
const typed = (text: string, line?: number): ConsolePiece => ({ kind: "in", text, ...(line ? { line } : {}) });
const run = [out("Stops? "), typed("2\n"), out("Minutes: 45\n")];
const ignored = { prompts: "ignored" } as const;

test("line ends, blanks at line ends and blank lines at the end do not count", () => {
  expect(compareOutput([out("Fare: 6 \r\n\n\n")], "Fare: 6").same).toBe(true);
  expect(compareOutput([out("Fare:  6\n")], "Fare: 6").same).toBe(false);
});

test("an intended text may hold the typed values where they were echoed", () => {
  expect(compareOutput(run, "Stops? Minutes: 45\n").same).toBe(true);
  expect(compareOutput(run, "Stops? 2\nMinutes: 45\n").same).toBe(true);
});

test("if only the prompts differ, that is said, and prompts can be ignored", () => {
  expect(compareOutput(run, "Minutes: 45\n")).toMatchObject({ same: false, onlyPromptsDiffer: true });
  expect(compareOutput(run, "Minutes: 45\n", ignored)).toEqual({ same: true, promptsIgnored: true });
  expect(compareOutput(run, "Minutes: 40\n", ignored).same).toBe(false);
});

test("the place of the first difference", () => {
  expect(compareOutput([out("a\nFare: 6\n")], "a\nFare: 12\n")).toMatchObject({
    line: 2,
    column: 7,
    actual: "Fare: 6",
    intended: "Fare: 12",
  });
  expect(compareOutput([out("a\n")], "a\nb\n")).toMatchObject({ line: 2, actual: null, intended: "b" });
});

test("nothing intended and nothing printed is as intended", () => {
  expect(compareOutput([], "").same).toBe(true);
});

/** A program that asks for two loads, in its own words, and says their sum. */
function deck(prompts: readonly [string, string], sum: string): ConsolePiece[] {
  return [out(prompts[0]), typed("4\n"), out(prompts[1]), typed("5\n"), out(`Load: ${sum}\n`)];
}
const model = intendedOf(
  [out("First load: ", 1), typed("4\n", 1), out("Second load: ", 2), typed("5\n", 2), out("Load: 9\n", 3)],
  'a = int(input("First load: "))\nb = int(input("Second load: "))\nprint("Load:", a + b)\n',
);

test.each([
  [["First load: ", "Second load: "]],
  [["", ""]],
  [["Hello\nPlease type a load\n", "and now\n\nanother > "]],
  [["Load? 1\n", "Load? 2\n"]],
])("whatever a program says before it reads is no result: %j", (prompts) => {
  const words = prompts as [string, string];
  expect(compareOutput(deck(words, "9"), model, ignored).same).toBe(true);
  expect(compareOutput(deck(words, "8"), model, ignored)).toMatchObject({
    ...{ same: false, resultLine: 1, intended: "Load: 9", actual: "Load: 8" },
  });
});

test("a result that stands before the next read is no prompt of the model, and may not be left out", () => {
  const program = 'while True:\n    load = int(input("Load: "))\n    print("Sum so far:", load)\n';
  const pieces = (first: string) => [
    ...[out("Load: ", 2), typed("4\n", 2), out(`Sum so far: ${first}\n`, 3)],
    ...[out("Load: ", 2), typed("5\n", 2), out("Sum so far: 9\n", 3)],
  ];
  const intended = intendedOf(pieces("4"), program);
  expect(textOfResults(intended)).toBe("Sum so far: 4\nSum so far: 9\n");
  expect(compareOutput(pieces("4"), intended, ignored).same).toBe(true);
  expect(compareOutput(pieces("7"), intended, ignored)).toMatchObject({
    ...{ same: false, intended: "Sum so far: 4", actual: "Sum so far: 7", resultLine: 1 },
  });
  // A program without any prompts keeps its result lines.
  const bare = [typed("4\n"), out("Sum so far: 4\n"), typed("5\n"), out("Sum so far: 9\n")];
  expect(compareOutput(bare, intended, ignored).same).toBe(true);
});

test("words that only some values bring about are part of what is intended", () => {
  const program =
    'age = int(input("Age: "))\nwhile age < 0:\n    print("Not valid")\n    age = int(input("Age: "))\nprint("Fare: 6")\n';
  const intended = intendedOf(
    [out("Age: ", 1), typed("9\n", 1), out("Not valid\n", 3), out("Age: ", 4), typed("9\n", 4), out("Fare: 6\n", 5)],
    program,
  );
  // Only one read was made at line 4, so the words before it may be its prompt; nothing was worked out in them.
  expect(textOfResults(intended)).toBe("Fare: 6\n");
  const again = intendedOf(
    [
      ...[out("Age: ", 1), typed("9\n", 1), out("Not valid\n", 3), out("Age: ", 4), typed("9\n", 4)],
      ...[out("Age: ", 4), typed("9\n", 4), out("Fare: 6\n", 5)],
    ],
    program,
  );
  expect(textOfResults(again)).toBe("Not valid\nFare: 6\n");
});

test("what a program prints and never ends with a line may go on after the read", () => {
  const pieces = [out("Load: "), typed("4\n"), out("8 t\n"), out("More? "), typed("n\n"), out("Bye\n")];
  expect(compareOutput(pieces, "Load: 8 t\nBye\n", ignored).same).toBe(true);
});

const words = fc.stringMatching(/^[A-Za-z ?:>]{0,12}$/);

test("no wording of prompts makes a right result wrong, or a wrong one right", () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(words, fc.boolean(), fc.integer({ min: 0, max: 99 })), { minLength: 1, maxLength: 6 }),
      fc.array(fc.integer({ min: 100, max: 999 }), { minLength: 1, maxLength: 4 }),
      fc.nat(3),
      (reads, results, wrong) => {
        const printed = (all: readonly number[]) => [
          ...reads.flatMap(([prompt, ends, value]) => [out(ends ? `${prompt}\n` : prompt), typed(`${value}\n`)]),
          ...all.map((result) => out(`${result}\n`)),
        ];
        const intended = `${results.join("\n")}\n`;
        expect(compareOutput(printed(results), intended, ignored).same).toBe(true);
        const spoilt = results.map((result, index) => (index === wrong % results.length ? result + 1 : result));
        expect(compareOutput(printed(spoilt), intended, ignored).same).toBe(false);
      },
    ),
  );
});

test("each rule lets pass what it says, and nothing else", () => {
  const compare = (printed: string, intended: string, rules: Parameters<typeof compareOutput>[2]) =>
    compareOutput([out(printed)], intended, rules).same;
  expect(compare("Fare:   6\n", "Fare: 6\n", { blanks: "ignored" })).toBe(true);
  expect(compare("Fare : 6\n", "Fare: 6\n", { blanks: "ignored" })).toBe(false);
  expect(compare("Fare: 6 \n", "Fare: 6\n", { blanks: "exact" })).toBe(false);
  expect(compare("Fare: 6\n\n", "Fare: 6\n", { blanks: "exact" })).toBe(false);
  expect(compare("FARE: 6\n", "Fare: 6\n", { letterCase: "ignored" })).toBe(true);
  expect(compare("Fare: 6.004\n", "Fare: 6\n", { numbers: 0.01 })).toBe(true);
  expect(compare("Fare: 6.02\n", "Fare: 6\n", { numbers: 0.01 })).toBe(false);
  expect(compare("Fare: six\n", "Fare: 6\n", { numbers: 10 })).toBe(false);
  expect(compare("berth7 3\n", "berth8 3\n", { numbers: 5 })).toBe(false);
  expect(compare("0.30000000000000004\n", "0.3\n", { numbers: 0 })).toBe(true);
  expect(compare("b\na\n", "a\nb\n", { order: "free" })).toBe(true);
  expect(compare("b\nb\n", "a\nb\n", { order: "free" })).toBe(false);
  expect(compare("a\nb\nb\n", "a\nb\n", { order: "free" })).toBe(false);
  expect(compare("dear all\na\n--\nb\n", "a\nb\n", { otherLines: "ignored" })).toBe(true);
  expect(compare("b\na\n", "a\nb\n", { otherLines: "ignored" })).toBe(false);
  expect(compare("x\nb\na\n", "a\nb\n", { otherLines: "ignored", order: "free" })).toBe(true);
});

test("where something is missing the end of the output is told, not a prompt", () => {
  expect(compareOutput([out("How many? "), typed("0\n")], "Empty deck\n", ignored)).toMatchObject({
    ...{ same: false, actual: null, intended: "Empty deck" },
  });
});

/** Every text of lines that is left where before each read lines are left aside, from any line on. */
function keptLines(segments: ReadonlyArray<readonly number[]>): number[][] {
  const [segment, ...rest] = segments;
  if (!segment) return [[]];
  if (rest.length === 0) return [[...segment]];
  return keptLines(rest).flatMap((behind) =>
    Array.from({ length: segment.length + 1 }, (_, length) => [...segment.slice(0, length), ...behind]),
  );
}

test("what is left aside before reads is any that makes the output right, and nothing else is", () => {
  const lines = fc.array(fc.integer({ min: 0, max: 2 }), { maxLength: 3 });
  fc.assert(
    fc.property(
      fc.array(lines, { minLength: 1, maxLength: 4 }),
      fc.array(fc.integer({ min: 0, max: 2 }), { maxLength: 5 }),
      (segments, wanted) => {
        const text = (all: readonly number[]) => all.map((line) => `${line}\n`).join("");
        const pieces = segments.flatMap((segment, at) => [...(at > 0 ? [typed("tide\n")] : []), out(text(segment))]);
        const ways = keptLines(segments);
        const same = ways.some((way) => way.join() === wanted.join());
        expect(compareOutput(pieces, text(wanted), ignored).same).toBe(same);
        for (const way of ways) expect(compareOutput(pieces, text(way), ignored).same).toBe(true);
        expect(compareOutput(pieces, text(wanted)).same).toBe(segments.flat().join() === wanted.join());
      },
    ),
    { numRuns: 400 },
  );
});

test("the first place where an output goes wrong is told, in order", () => {
  const lines = fc.array(fc.stringMatching(/^[a-c]{1,4}$/), { minLength: 1, maxLength: 6 });
  fc.assert(
    fc.property(lines, fc.nat(5), fc.nat(3), (all, line, column) => {
      const at = line % all.length;
      const right = all[at] ?? "";
      const place = column % right.length;
      const wrong = `${right.slice(0, place)}#${right.slice(place + 1)}`;
      const printed = all.map((each, index) => (index === at ? wrong : each));
      expect(compareOutput([out(`${printed.join("\n")}\n`)], all.join("\n"))).toMatchObject({
        ...{ same: false, line: at + 1, column: place + 1, resultLine: at + 1, intended: right, actual: wrong },
      });
    }),
  );
});
