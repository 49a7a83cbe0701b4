import { spawnSync } from "node:child_process";
import { mkdtemp, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { consoleText, limitsSchema } from "../../core/outcome/outcome.ts";
import { buildTable } from "../../core/trace/table.ts";
import { createPythonToolchain } from "./python.ts";
import type { Toolchain } from "./toolchain.ts";

let toolchain: Toolchain;
beforeAll(() => {
  toolchain = createPythonToolchain();
});
afterAll(() => toolchain.close());

const limits = limitsSchema.parse({});
const request = (text: string, input = "") => ({
  files: [{ name: "fares.py", bytes: Buffer.from(text, "utf8") }],
  input,
  limits,
});
const run = (text: string, input = "") => toolchain.run(request(text, input));
const table = async (text: string, input = "", rows: "line" | "change" = "line") =>
  buildTable(await toolchain.trace(request(text, input)), { rows });

test("prompts, typed lines and output interleave as on a terminal, each with its line", async () => {
  const outcome = await run('stops = input("Stops? ")\nprint("got", stops)\nname = input("Name? ")\n', "2\nTern\n");
  expect(outcome.console).toEqual([
    { kind: "out", text: "Stops? ", line: 1 },
    { kind: "in", text: "2\n", line: 1 },
    { kind: "out", text: "got 2\n", line: 2 },
    { kind: "out", text: "Name? ", line: 3 },
    { kind: "in", text: "Tern\n", line: 3 },
  ]);
});

test("a stop is told as the interpreter itself tells it, what may have been meant included", async () => {
  const program =
    "def f():\n    total = 4\n    try:\n        print(totl)\n    except NameError as noticed:\n        raise ValueError('deck') from noticed\nf()\n";
  const folder = await mkdtemp(join(tmpdir(), "bent-nail-plain-"));
  await writeFile(join(folder, "fares.py"), program);
  const plain = spawnSync("/usr/bin/python3", ["fares.py"], { cwd: folder, encoding: "utf8" });
  await rm(folder, { recursive: true });
  expect(plain.stderr).toContain("Did you mean: 'total'?");
  expect(consoleText((await run(program)).console, ["err"])).toBe(plain.stderr.replaceAll(`${folder}/`, ""));
  // A program that takes the hook away is told all the same.
  const taken = "import sys\nsys.excepthook = sys.__excepthook__ = print\nsys.stderr = None\nlod = 4\nprint(lo)\n";
  expect(consoleText((await run(taken)).console, ["err"])).toContain("name 'lo' is not defined. Did you mean: 'lod'?");
});

test("input that runs out is said", async () => {
  const outcome = await run("a = input()\nb = input()\n", "one\n");
  expect(outcome).toMatchObject({
    stoppedBy: "fault",
    inputRanOut: true,
    diagnostics: [{ errorName: "EOFError", line: 2 }],
  });
});

test("check translates and runs nothing", async () => {
  const outcome = await toolchain.check(request('print("ran")\n'));
  expect(outcome).toMatchObject({ started: null, console: [] });
  expect((await toolchain.check(request("if True\n    pass\n"))).diagnostics[0]).toMatchObject({
    errorName: "SyntaxError",
    line: 1,
    primary: true,
  });
});

test("a warning is no error, and never decides", async () => {
  const outcome = await run('deck = 3\nif deck is 3:\n    print("x")\n');
  expect(outcome.diagnostics).toMatchObject([
    { severity: "warning", errorName: "SyntaxWarning", line: 2, primary: false },
  ]);
  expect(outcome.finished).toBe(true);
});

test("a grammar fault in a second file shows where that is imported, after what ran before", async () => {
  const outcome = await toolchain.run({
    files: [
      { name: "main.py", bytes: Buffer.from('print("ran")\nimport tides\n') },
      { name: "tides.py", bytes: Buffer.from("low = = 2\n") },
    ],
    input: "",
    limits,
  });
  expect(outcome).toMatchObject({ started: true, stoppedBy: "fault", diagnostics: [{ file: "tides.py", line: 1 }] });
  expect(consoleText(outcome.console, ["out"])).toBe("ran\n");
});

test("a second file is imported, and a file called like a library module hides it as it would", async () => {
  const outcome = await toolchain.run({
    files: [
      { name: "main.py", bytes: Buffer.from("import random\nprint(random.tide)\n") },
      { name: "random.py", bytes: Buffer.from("tide = 3\n") },
    ],
    input: "",
    limits,
  });
  expect(consoleText(outcome.console, ["out", "err"])).toBe("3\n");
});

test("chance and the order of sets are the same in every run", async () => {
  const text = 'import random\nprint(random.randint(1, 1000), {"a", "b", "c"}, hash("tide"))\n';
  const outcomes = await Promise.all([run(text), run(text), run(text)]);
  expect(new Set(outcomes.map((outcome) => consoleText(outcome.console, ["out"]))).size).toBe(1);
});

test.each([
  ["", ""],
  ["\ufeffprint('mark')\n", "mark\n"],
  ["print('a')\r\nprint('b')\r\n", "a\nb\n"],
  ["größe = 3\nprint(größe)\n", "3\n"],
  ["import sys\nprint('x')\nsys.exit(0)\n", "x\n"],
  ["exit()\n", ""],
  ["print(open(0).read())", "\n"],
])("runs as it would by hand: %j", async (text, expected) => {
  const outcome = await run(text);
  expect([consoleText(outcome.console, ["out"]), outcome.stoppedBy]).toEqual([expected, "none"]);
});

test("a null byte and an impossible encoding are refused with words", async () => {
  const outcome = await run("print(1)\0\n");
  expect(outcome).toMatchObject({ stoppedBy: "refused" });
  expect(outcome.diagnostics[0]?.message).toContain("null bytes");
  const latin = await toolchain.run({
    files: [{ name: "a.py", bytes: Buffer.from([0x23, 0xe4, 0x0a, 0x61, 0x3d, 0x31]) }],
    input: "",
    limits,
  });
  expect(latin).toMatchObject({ stoppedBy: "refused", diagnostics: [{ errorName: "SyntaxError", line: 1 }] });
});

test("recursion without end is a runtime error with its own name", async () => {
  const outcome = await run("def down(n):\n    return down(n + 1)\ndown(0)\n");
  expect(outcome.diagnostics[0]).toMatchObject({ errorName: "RecursionError", line: 2 });
});

test("the value after the line, the call as steps of its own, the write after the callee last", async () => {
  const trace = await toolchain.trace(
    request("def fare(age):\n    half = age // 2\n    return half\nb = fare(9) + 1\n"),
  );
  expect(
    trace.steps.map((step) => [
      step.line,
      step.depth,
      step.call ?? null,
      Boolean(step.resumes),
      step.writes.map((write) => `${write.path.join(".")}=${write.value?.text ?? ""}`).join(" "),
    ]),
  ).toEqual([
    [1, 0, null, false, ""],
    [4, 0, null, false, ""],
    [1, 1, "fare", false, "age=9"],
    [2, 1, null, false, "half=4"],
    [3, 1, null, false, ""],
    [4, 0, null, true, "b=5"],
  ]);
  expect(trace.steps[4]?.returned).toMatchObject({ text: "4" });
});

test("what was printed and typed stands on its step", async () => {
  const rows = (await table('n = int(input("n? "))\nprint(n * 2)\n', "4\n")).rows;
  expect(rows.map((row) => [row.line, row.output, row.input ?? ""])).toEqual([
    [1, "n? ", "4\n"],
    [2, "8\n", ""],
  ]);
});

test("lines of a branch not taken are never steps; the step that was stopped says by what", async () => {
  const trace = await toolchain.trace(
    request("deck = 3\nif deck > 5:\n    deck = 0\nelse:\n    deck = 9\ndeck = deck / 0\n"),
  );
  expect(trace.steps.map((step) => step.line)).toEqual([1, 2, 5, 6]);
  expect(trace.steps.at(-1)?.raised).toEqual({ errorName: "ZeroDivisionError", message: "division by zero" });
});

test.each([
  [
    "a list changed in place",
    "loads = [1, 2]\nloads[0] = 5\nloads.append(7)\nloads.pop(1)\nloads.sort(reverse=True)\n",
    ["[1, 2]", "[5, 2]", "[5, 2, 7]", "[5, 7]", "[7, 5]"],
  ],
  ["a dictionary", "loads = {'a': 1}\nloads['b'] = 2\ndel loads['a']\n", ["{'a': 1}", "{'a': 1, 'b': 2}", "{'b': 2}"]],
  ["a set", "loads = {1}\nloads.add(2)\n", ["{1}", "{1, 2}"]],
  ["a list in a list", "loads = [[1], [2]]\nloads[1][0] = 9\n", ["[[1], [2]]", "[[1], [9]]"]],
  ["a list extended by +=", "loads = [1]\nloads += [2]\n", ["[1]", "[1, 2]"]],
])("%s", async (_, text, expected) => {
  expect((await table(text, "", "change")).rows.map((row) => row.cells.loads)).toEqual(expected);
});

test("a change through one name shows in every column that names the object", async () => {
  const { rows } = await table("one = [1]\nother = one\nother.append(2)\n", "", "change");
  expect(rows.at(-1)?.cells).toEqual({ one: "[1, 2]", other: "[1, 2]" });
});

test("an object's fields, changed in a method, show in the caller's column after the call", async () => {
  const { rows } = await table(
    "class Boat:\n    def __init__(self, load):\n        self.load = load\n    def add(self, more):\n        self.load += more\nboat = Boat(3)\nboat.add(4)\n",
    "",
    "change",
  );
  expect(rows.map((row) => row.cells.boat).filter((cell) => cell)).toEqual(["Boat(load=3)", "Boat(load=7)"]);
});

test("a name that is deleted is gone; a global set in a function shows as a global", async () => {
  const { rows } = await table(
    "deck = 1\ndef fill():\n    global deck\n    deck = 9\nfill()\ndel deck\n",
    "",
    "change",
  );
  expect(rows.map((row) => row.cells.deck).filter((cell) => cell)).toEqual(["1", "9", "(gone)"]);
});

test("comprehensions and generators keep their own names to themselves", async () => {
  const found = await table("loads = [n * 2 for n in range(3)]\ntotal = sum(n for n in loads)\n");
  expect(found.columns.map((column) => column.title)).toEqual(["loads", "total"]);
});

test("caught exceptions and several calls on one line keep the steps in order", async () => {
  const trace = await toolchain.trace(
    request(
      "def f(x):\n    if x > 1:\n        raise ValueError(x)\n    return x\ntry:\n    a = f(1) + f(2)\nexcept ValueError:\n    a = -1\n",
    ),
  );
  expect(trace.steps.filter((step) => step.depth === 0).map((step) => step.line)).toEqual([1, 5, 6, 6, 6, 7, 8]);
  expect(trace.steps.at(-1)?.writes[0]?.value?.text).toBe("-1");
});

test("the recorded run prints what the plain run prints", async () => {
  const text =
    "class Count:\n    seen = 0\n    def __repr__(self):\n        Count.seen += 1\n        return 'c'\nc = Count()\nfor i in range(3):\n    d = [c, c]\nprint(Count.seen, d)\n";
  const [plain, trace] = [await run(text), await toolchain.trace(request(text))];
  expect(consoleText(trace.outcome.console, ["out"])).toBe(consoleText(plain.console, ["out"]));
});

test("a recording is cut at the step limit and says so; what had happened so far is kept", async () => {
  const trace = await toolchain.trace({
    ...request("n = 0\nwhile True:\n    n = n + 1\n"),
    limits: { ...limits, steps: 500 },
  });
  expect([trace.steps.length, trace.outcome.stoppedBy]).toEqual([500, "steps"]);
  expect(trace.cut).toContain("first 500 steps");
  const sleeping = await toolchain.trace({
    ...request("import time\nprint('before')\ntime.sleep(60)\n"),
    limits: { ...limits, wallSeconds: 0.5 },
  });
  expect([sleeping.steps.length, sleeping.outcome.stoppedBy, consoleText(sleeping.outcome.console, ["out"])]).toEqual([
    3,
    "time",
    "before\n",
  ]);
});

test("each limit gives its own outcome", async () => {
  const short = { ...limits, cpuSeconds: 0.3, wallSeconds: 0.6 };
  expect((await toolchain.run({ ...request("while True: pass\n"), limits: short })).stoppedBy).toBe("time");
  expect((await toolchain.run({ ...request("import time\ntime.sleep(60)\n"), limits: short })).stoppedBy).toBe("time");
  expect(
    (await toolchain.run({ ...request("print('x' * 5000)\n"), limits: { ...limits, outputBytes: 1000 } })).stoppedBy,
  ).toBe("output");
  expect(
    (
      await toolchain.run({
        ...request("x = bytearray(80 * 1024 * 1024)\n" + "import time\ntime.sleep(1)\n"),
        limits: { ...limits, memoryBytes: 32 * 1024 * 1024 },
      })
    ).stoppedBy,
  ).toBe("memory");
});

test("a worker killed from outside is replaced, and the run is made again", async () => {
  const pending = run("import time\ntime.sleep(0.5)\nprint('made')\n");
  const { execFileSync } = await import("node:child_process");
  await new Promise((resolve) => setTimeout(resolve, 150));
  execFileSync("pkill", ["-9", "-P", String(process.pid), "bwrap"]);
  expect(consoleText((await pending).console, ["out"])).toBe("made\n");
});

test("What a program leaves open at its end is written and said, as its interpreter does it", async () => {
  const text = `class Deck:
    def __del__(self):
        print("cleared")


deck = Deck()
left = open("loads.txt", "w")
left.write("18.5")
`;
  const outcome = await toolchain.run({ files: [{ name: "main.py", bytes: Buffer.from(text) }], input: "", limits });
  expect(consoleText(outcome.console, ["out"])).toBe("cleared\n");
  expect(outcome.effects).toEqual([{ name: "loads.txt", change: "new", size: 4, text: "18.5" }]);
});
