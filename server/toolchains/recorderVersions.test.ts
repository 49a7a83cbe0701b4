import { execFileSync } from "node:child_process";
import { existsSync, readdirSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "vitest";
import { pythonResultSchema } from "../../core/languages/python/runnerResult.ts";
import { buildTable } from "../../core/trace/table.ts";
import type { Trace } from "../../core/trace/trace.ts";
import { productFolder } from "../productFolder.ts";
import { readBlock } from "./readBlock.ts";

/** Every CPython 3 of this machine, by the usual places of system and side-by-side installations. */
const sideBySide = join(process.env.HOME ?? "/root", ".pyenv/versions");
const interpreters = [
  ...["/usr/bin/python3", "/usr/local/bin/python3"],
  ...(existsSync(sideBySide) ? readdirSync(sideBySide).map((version) => join(sideBySide, version, "bin/python3")) : []),
].filter(
  (path) =>
    existsSync(path) &&
    /^3\.(?:[89]|1\d)$/.test(
      execFileSync(path, ["-c", "import sys; print('%d.%d' % sys.version_info[:2])"], { encoding: "utf8" }).trim(),
    ),
);

/** Our own program: every way of giving a value that the recorder knows. */
const program = `class Boat:
    seats = 4
    def __init__(self, load):
        self.load = load
    def add(self, more):
        self.load += more
        return self.load

def share(loads, cars=2):
    total = 0
    for number, load in enumerate(loads):
        total += load
    half = [load // cars for load in loads]
    return total, half

loads = [3, 9]
loads[0] = 4
loads += [1]
boat = Boat(5)
boat.add(2)
total, half = share(loads)
names = {"a": loads}
names["b"] = (1, 2.5)
del names["a"]
try:
    loads[9] = 1
except IndexError as problem:
    text = "past the end"
counter = 0
def count():
    global counter
    counter = counter + 1
    inner = 1
    def deeper():
        nonlocal inner
        inner = inner + counter
    deeper()
    return inner
count()
with open("/dev/null") as source:
    while counter < 3: counter += 1
gen = (n for n in range(2))
first = next(gen)
del boat
`;

const driver = `
import json, mmap, sys
sys.path[0:0] = sys.argv[1:3]
from bent_nail_runner.program import run
source = sys.argv[3].encode()
block = mmap.mmap(-1, 8 << 20)
kept = sys.stdout, sys.stderr, sys.stdin
run({"mode": "trace", "main": "p.py", "files": {"p.py": source}, "order": ["p.py"], "folder": "/nowhere", "input": b"", "outputLimit": 1000, "stepLimit": 2000, "seed": 0, "change": json.loads(sys.argv[4])}, block)
sys.stdout = kept[0]
kept[0].buffer.write(block[:int.from_bytes(block[:4], "little")])
kept[0].flush()
`;

const outcome: Trace["outcome"] = {
  started: true,
  finished: true,
  stoppedBy: "none",
  exit: { code: 0, signal: 0 },
  diagnostics: [],
  console: [],
  effects: [],
  inputRanOut: false,
  milliseconds: 1,
  translator: "",
};

/** The rows that an interpreter records, with something changed at a step where that is wanted. */
function rowsOf(interpreter: string, change: readonly string[] | null = null, text = program): string[] {
  const block = execFileSync(interpreter, [
    "-B",
    "-c",
    driver,
    join(productFolder, "runners/python"),
    join(productFolder, "runners/sandbox"),
    text,
    JSON.stringify(change),
  ]);
  const { steps, result, damaged } = readBlock(block, [], pythonResultSchema);
  expect([result?.stoppedBy, damaged]).toEqual(["none", false]);
  return buildTable({ outcome, files: ["p.py"], steps }, { rows: "change" }).rows.map(
    (row) => `${row.line} ${JSON.stringify(row.cells)}${row.raised ? ` ${row.raised}` : ""}`,
  );
}

test("some interpreter is here", () => {
  expect(interpreters.length).toBeGreaterThan(0);
});

test.each(interpreters)("%s records the same rows", (interpreter) => {
  expect(rowsOf(interpreter).filter((row) => !row.includes('"gen"') && !row.includes('"source"'))).toEqual([
    '2 {"Boat.seats":"4"}',
    '16 {"loads":"[3, 9]"}',
    '17 {"loads":"[4, 9]"}',
    '18 {"loads":"[4, 9, 1]"}',
    '3 {"__init__.self":"Boat()","__init__.load":"5"}',
    '4 {"__init__.self":"Boat(load=5)"}',
    '19 {"boat":"Boat(load=5)"}',
    '5 {"add.self":"Boat(load=5)","add.more":"2"}',
    '6 {"boat":"Boat(load=7)","add.self":"Boat(load=7)"}',
    "7 {}",
    '9 {"share.loads":"[4, 9, 1]","share.cars":"2"}',
    '10 {"share.total":"0"}',
    '11 {"share.number":"0","share.load":"4"}',
    '12 {"share.total":"4"}',
    '11 {"share.number":"1","share.load":"9"}',
    '12 {"share.total":"13"}',
    '11 {"share.number":"2","share.load":"1"}',
    '12 {"share.total":"14"}',
    '13 {"share.half":"[2, 4, 0]"}',
    "14 {}",
    '21 {"total":"14","half":"[2, 4, 0]"}',
    `22 {"names":"{'a': [4, 9, 1]}"}`,
    `23 {"names":"{'a': [4, 9, 1], 'b': (1, 2.5)}"}`,
    `24 {"names":"{'b': (1, 2.5)}"}`,
    "26 {} IndexError: list assignment index out of range",
    `27 {"problem":"IndexError('list assignment index out of range')"}`,
    `28 {"text":"'past the end'"}`,
    '29 {"counter":"0"}',
    '32 {"counter":"1"}',
    '33 {"count.inner":"1"}',
    '34 {"deeper.inner":"1"}',
    '36 {"deeper.inner":"2"}',
    '37 {"count.inner":"2"}',
    "38 {}",
    '41 {"counter":"2"}',
    '41 {"counter":"3"}',
    '43 {"first":"0"}',
    '44 {"boat":"(gone)"}',
  ]);
});

/** A variable of a function, one that an inner function shares, one of the program, an element. */
const changing = `trips = 1
def total(loads):
    result = 0
    def add(load):
        nonlocal result
        result += load
    for load in loads:
        add(load)
    return result + trips
deck = [4, 5]
print(total(deck))
`;

test.each(interpreters)("%s puts values in before a step", (interpreter) => {
  /** What the sum is after each load, with something put in when the first one is about to be added. */
  const sums = (name: string, value: string) =>
    rowsOf(interpreter, ["8", "8", name, value], changing).flatMap((row) => /^6 .*"(\d+)"/.exec(row)?.[1] ?? []);
  expect(sums("", "")).toEqual(["4", "9"]);
  expect(sums("result", "90 + 10")).toEqual(["104", "109"]);
  expect(sums("load", "result + 7")).toEqual(["7", "12"]);
  expect(sums("loads[1]", "len(loads)")).toEqual(["4", "6"]);
  // The loop goes on with the list that it began with.
  expect(sums("loads", "[1]")).toEqual(["4", "9"]);
  expect(sums("berth", "1")).toEqual(["4", "9"]);
});
