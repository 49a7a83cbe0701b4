import { expect, test } from "vitest";
import { c } from "../languages/c/c.ts";
import { csharp } from "../languages/csharp/csharp.ts";
import { java } from "../languages/java/java.ts";
import { python } from "../languages/python/python.ts";
import { createRecordingReader } from "../trace/readRecording.ts";
import type { Step, Trace } from "../trace/trace.ts";
import { type EndlessFinding, findEndlessLoop, isToGoOn } from "./endless.ts";

const outcome: Trace["outcome"] = {
  started: true,
  finished: false,
  stoppedBy: "steps",
  exit: { code: 0, signal: 0 },
  diagnostics: [],
  console: [],
  effects: [],
  inputRanOut: false,
  milliseconds: 1,
  translator: "CPython",
};

/** A recording of `passes` rounds of a two-line loop at line 2, where line 3 gives `name` the values of `value`. */
function looping(name: string, start: unknown, value: (pass: number) => unknown, passes = 200): Trace {
  const tokens: unknown[] = [1, ["d", 1, 0, name], -1, start];
  for (let pass = 0; pass < passes; pass++) tokens.push(2, 3, -1, value(pass));
  return { outcome, files: ["a.py"], steps: createRecordingReader().read(JSON.stringify(tokens)) ?? [] };
}
const ground = (program: string, trace: Trace) => findEndlessLoop(python, program, trace)?.ground ?? null;

test("a condition whose names never change", () => {
  expect(
    ground(
      "low = 1\nwhile high > 0:\n    low = low + 1\n",
      looping("low", 1, (pass) => pass + 2),
    ),
  ).toBe("condition never changes");
  expect(
    ground(
      "low = 1\nwhile True:\n    low = low + 1\n",
      looping("low", 1, (pass) => pass + 2),
    ),
  ).toBe("condition never changes");
});

test("a comparison that only moves away from failing", () => {
  expect(
    ground(
      "low = 1\nwhile low > 0:\n    low = low + 1\n",
      looping("low", 1, (pass) => pass + 2),
    ),
  ).toBe("moves away");
  expect(
    ground(
      "low = 1\nwhile low < 10:\n    low = low - 1\n",
      looping("low", 1, (pass) => -pass),
    ),
  ).toBe("moves away");
});

test("a loop that comes nearer to its end, however slowly, is not judged", () => {
  expect(
    ground(
      "low = 1\nwhile low < 100000:\n    low = low + 1\n",
      looping("low", 1, (pass) => pass + 2),
    ),
  ).toBeNull();
  expect(
    ground(
      "low = 1\nwhile low > 0:\n    low = low + 1\n",
      looping("low", 1, (pass) => 1000 - pass),
    ),
  ).toBeNull();
});

test("only a repeated state is a proof; else no more is claimed than was seen", () => {
  const program = "low = 1\nwhile low > 0:\n    low = low + 1\n";
  const away = findEndlessLoop(
    python,
    program,
    looping("low", 1, (pass) => pass + 2, 1200),
  );
  expect(away).toMatchObject({ proof: false, line: 2 });
  expect(away?.text).toBe(
    "It has not ended: in all 1 000 recorded passes of the loop at line 2 “low > 0” only moved away from ending it.",
  );
  const flip = looping("low", 1, (pass) => pass % 2);
  expect(findEndlessLoop(python, "low = 1\nwhile low < 5:\n    low = 1 - low\n", flip)).toMatchObject({ proof: true });
});

test("where a type has a range, the passes until it is left are said, and a near one lets the run go on", () => {
  const program = "int main(void) {\nwhile (low > 0)\n    low = low + step;\n}\n";
  const passesLeft = (type: string, step: number) => {
    const trace = looping("low", 1, (pass) => pass + 2);
    const steps = trace.steps.map((each) => ({
      ...each,
      writes: each.writes.map((write) => ({ ...write, value: { type, text: String(lowAt(each.index, step)) } })),
    }));
    return findEndlessLoop(c, program, { ...trace, steps });
  };
  const lowAt = (index: number, step: number) => 1 + step * Math.floor(index / 2);
  const near = passesLeft("int", 3);
  // The state of the last compared pass has 1 + 3 * 199, and (2147483647 - 598) / 3 + 1 rounds go on from there.
  expect(near?.passesLeft).toBe((2147483647n - 598n) / 3n + 1n);
  expect(near?.text).toContain("leaves the range of its type after at most 715 827 684 more passes");
  expect([isToGoOn(near as EndlessFinding, 2000), isToGoOn(near as EndlessFinding, 60_000)]).toEqual([true, false]);
  const far = passesLeft("long int", 1);
  expect(far && isToGoOn(far, 2000)).toBe(false);
  expect(passesLeft("double", 1)?.passesLeft).toBeUndefined();
});

test("everything the same at two passes", () => {
  const flip = looping("low", 1, (pass) => pass % 2);
  expect(ground("low = 1\nwhile low < 5:\n    low = 1 - low\n", flip)).toBe("state repeats");
  expect(findEndlessLoop(python, "low = 1\nwhile low < 5:\n    low = 1 - low\n", flip)?.text).toContain(
    "goes round the same for ever",
  );
});

test("a repeated state proves nothing where something unseen may change", () => {
  const flip = looping("low", 1, (pass) => pass % 2);
  expect(ground("low = 1\nwhile low < 5:\n    low = int(input())\n", flip)).toBeNull();
  expect(ground("low = 1\nwhile low < 5:\n    low = choose()\n", flip)).toBeNull();
});

test("a way out of the loop, or a condition that calls something, leaves it open", () => {
  const trace = looping("low", 1, (pass) => pass + 2);
  expect(ground("low = 1\nwhile True:\n    low = low + 1; break\n", trace)).toBeNull();
  expect(ground("low = 1\nwhile more():\n    low = low + 1\n", trace)).toBeNull();
});

test("a few passes are no ground, nor a loop that the run had left", () => {
  expect(
    ground(
      "low = 1\nwhile True:\n    low = low + 1\n",
      looping("low", 1, (pass) => pass + 2, 20),
    ),
  ).toBeNull();
  const left = looping("low", 1, (pass) => pass + 2);
  const steps = [...left.steps, { index: left.steps.length, line: 9, file: 0, frame: 0, depth: 0, writes: [] }];
  expect(ground("low = 1\nwhile True:\n    low = low + 1\n", { ...left, steps })).toBeNull();
});

/** A step of a call; `writes` gives own names of that call whole numbers. */
function stepOf(line: number, frame: number, depth: number, writes: Record<string, number> = {}): Step {
  return {
    ...{ index: 0, file: 0, line, frame, depth, ended: [] },
    writes: Object.entries(writes).map(([name, value]) => ({
      ...{ scope: "frame" as const, owner: frame, path: [name] },
      value: { type: "int", text: String(value) },
    })),
  };
}
const power =
  "def power(times):\n    result = 1\n    while times > 0:\n        result = result * 0\n    return result\n";

test("passes of an earlier call of the same function say nothing of the loop that goes on", () => {
  const steps = [
    ...[stepOf(1, 1, 2, { times: 0 }), stepOf(2, 1, 2, { result: 1 }), stepOf(3, 1, 2), stepOf(5, 1, 2)],
    ...[stepOf(1, 2, 2, { times: 1 }), stepOf(2, 2, 2, { result: 1 })],
    ...Array.from({ length: 100 }, () => [stepOf(3, 2, 2), stepOf(4, 2, 2, { result: 0 })]).flat(),
  ];
  expect(findEndlessLoop(python, power, { outcome, files: ["a.py"], steps })).toMatchObject({
    ground: "condition never changes",
    line: 3,
  });
});

test("a recording that ends in what the loop has called ends in the loop; behind its call it does not", () => {
  const program = "line = ask()\nwhile line != 'end':\n    place(line)\ndef place(at):\n    return at\n";
  const round = [stepOf(2, 1, 1), stepOf(3, 1, 1), stepOf(5, 2, 2)];
  const steps = Array.from({ length: 100 }, () => round).flat();
  const found = findEndlessLoop(python, program, { outcome, files: ["a.py"], steps });
  expect(found).toMatchObject({ ground: "condition never changes", line: 2 });
  const over = [...steps, stepOf(5, 3, 0)];
  expect(findEndlessLoop(python, program, { outcome, files: ["a.py"], steps: over })).toBeNull();
});

/** A recording of a loop at line 4 that calls line 2, where `named` gives a name a value in each pass; `held` began it. */
function calling(named: Step["writes"][number], held?: Step["writes"][number]): Trace {
  const step = (line: number, own: Partial<Step>): Step => ({
    ...{ index: 0, line, file: 0, frame: 0, depth: 0, writes: [] },
    ...own,
  });
  const pass = (frame: number): Step[] => [
    step(4, {}),
    step(2, { frame, depth: 1, writes: [named.scope === "frame" ? { ...named, owner: frame } : named] }),
    step(5, {}),
  ];
  const rounds = Array.from({ length: 60 }, (_, at) => pass(at + 1)).flat();
  const steps = [step(3, { writes: held ? [held] : [] }), ...rounds].map((one, index) => ({ ...one, index }));
  return { outcome, files: ["a.py"], steps };
}
const called = "def book(people):\n    seats = people\npeople = 4\nwhile people > 0:\n    book(people)\n";
const four = { type: "int", text: "4" };

test("another call's name of the same spelling is not the name of the condition, a field may be", () => {
  const held: Step["writes"][number] = { scope: "frame", owner: 0, path: ["people"], value: four };
  const own: Step["writes"][number] = { scope: "frame", owner: 1, path: ["people"], value: four };
  expect(ground(called, calling(own, held))).toBe("condition never changes");
  const field: Step["writes"][number] = { scope: "object", owner: 7, path: ["people"], value: four };
  expect(ground(called, calling(field, held))).toBe("condition never changes");
  // Where the loop's call has no such name, the field is what is tested.
  expect(ground(called, calling(field))).not.toBe("condition never changes");
  const global: Step["writes"][number] = { scope: "global", owner: 0, path: ["people"], value: four };
  expect(ground(called, calling(global))).not.toBe("condition never changes");
});

/** A recording of a counting loop at line 2 of one call whose header gives `i` its first value; `before` is what `i` held until then. */
function counting(step: number, before?: number): Trace {
  const begun = before === undefined ? stepOf(1, 1, 1) : stepOf(1, 1, 1, { i: before });
  const rounds = Array.from({ length: 100 }, (_, pass) => [stepOf(2, 1, 1, { i: 1 + step * pass }), stepOf(3, 1, 1)]);
  return { outcome, files: ["a"], steps: [begun, ...rounds.flat()] };
}

test.each([
  ["C", c, "int main(void) {\nfor (int i = 1; i <= 5; i--) {\n    total += i;\n}\n}\n"],
  ["Java", java, "void f() {\nfor (int i = 1; i <= 5; i--) {\n    System.out.println(i);\n}\n}\n"],
  ["C#", csharp, "void F() {\nfor (int i = 1; i <= 5; i--) {\n    Console.WriteLine(i);\n}\n}\n"],
])("a counting loop of %s moves away, whatever its counter held before its header", (_, language, program) => {
  for (const before of [undefined, -700, 32767])
    expect(findEndlessLoop(language, program, counting(-1, before)), String(before)).toMatchObject({
      ground: "moves away",
      line: 2,
    });
  const inC = findEndlessLoop(
    c,
    "void f(void) {\nfor (int i = 1; i <= 5; i--) {\n    total += i;\n}\n}\n",
    counting(-1),
  );
  // The last compared pass has 1 - 99, and each round goes one further down.
  expect(inC?.passesLeft).toBe(2147483648n - 98n + 1n + 1n);
  expect(findEndlessLoop(language, program, counting(1))).toBeNull();
});

test("what Java prints leaves no loop, and what ends the program does", () => {
  const loop = (body: string) => `void f() {\nfor (int i = 1; i <= 5; i--) {\n    ${body}\n}\n}\n`;
  expect(findEndlessLoop(java, loop("System.out.println(i);"), counting(-1))).not.toBeNull();
  expect(findEndlessLoop(java, loop("if (i < -9) System.exit(1);"), counting(-1))).toBeNull();
  expect(findEndlessLoop(java, loop("if (i < -9) Runtime.getRuntime().halt(1);"), counting(-1))).toBeNull();
});

test.each([
  ["Python's !=", python, "deck = 9\nwhile deck != 0:\n    deck = deck - 2\n"],
  ["C's !=", c, "int main(void) {\nwhile (deck != 0)\n    deck -= 2;\n}\n"],
  ["Java's !=", java, "void f() {\nwhile (deck != 0) {\n    deck -= 2;\n}\n}\n"],
])("what two sides must meet by %s is stepped over: they only move away since", (_, language, program) => {
  const passing = looping("deck", 9, (pass) => 7 - 2 * pass);
  expect(findEndlessLoop(language, program, passing)).toMatchObject({ ground: "moves away", line: 2, proof: false });
  // Met on the way, not reached yet, or to and fro: nothing is said.
  const others: ReadonlyArray<readonly [string, (pass: number) => number]> = [
    ["met", (pass) => 8 - 2 * pass],
    ["coming", (pass) => 7000 - 2 * pass],
    ["to and fro", (pass) => (pass % 2 === 0 ? 5 + pass : -5 - pass)],
  ];
  for (const [name, values] of others)
    expect(findEndlessLoop(language, program, looping("deck", values(-1), values)), name).toBeNull();
});

test("a number that comes round meets the other only where its steps allow it", () => {
  const program = "int main(void) {\nwhile (deck != 0)\n    deck -= step;\n}\n";
  const by = (step: number) => {
    const trace = looping("deck", 100, () => 0);
    const valueAt = (index: number) => ({ type: "int", text: String(7 - step * Math.floor(index / 2)) });
    const steps = trace.steps.map((each) => ({
      ...each,
      writes: each.writes.map((write) => ({ ...write, value: valueAt(each.index) })),
    }));
    return findEndlessLoop(c, program, { ...trace, steps });
  };
  // 7, 5, 3, 1, -1: no even number is ever met; by 5 each number is met some time.
  expect(by(2)).toMatchObject({ ground: "moves away" });
  expect(by(2)?.passesLeft).toBeUndefined();
  expect(by(5)?.passesLeft).toBeGreaterThan(400_000_000n);
});

/** A recording of passes of a loop at line 2 whose names have these values at each. */
function passing(values: (pass: number) => Record<string, number>): Trace {
  const rounds = Array.from({ length: 120 }, (_, pass) => [stepOf(2, 1, 1), stepOf(3, 1, 1, values(pass))]);
  return { outcome, files: ["a.py"], steps: [stepOf(1, 1, 1, values(-1)), ...rounds.flat()] };
}

test("what is only counted beside it does not hide that a loop goes round the same", () => {
  const flips = (pass: number) => ({ deck: 3 + (((pass % 2) + 2) % 2), rounds: pass });
  const program = (line: string) => `deck = 3\nwhile deck != 1:\n    deck = 7 - deck\n    ${line}\nprint(deck)\n`;
  const found = findEndlessLoop(python, program("rounds = rounds + 1"), passing(flips));
  expect(found).toMatchObject({ ground: "state repeats", proof: true });
  expect(found?.text).toContain("every variable that decides where it goes had the same value");
  // Where something else reads the count, it may stop the program or end the loop.
  for (const line of [
    "rounds += loads[rounds]",
    "loads[rounds] = 1",
    "rounds = rounds + 1; print(rounds)",
    "if rounds > 900: break",
  ])
    expect(findEndlessLoop(python, program(`rounds += 1\n    ${line}`), passing(flips)), line).toBeNull();
});
