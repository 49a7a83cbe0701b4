import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { python } from "../../core/languages/python/python.ts";
import { explain } from "../../core/reading/explain.ts";
import { sharedToolchains } from "../testToolchains.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { judgeProgram } from "./judge.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

type Vector = {
  what: string;
  program: string;
  input?: string;
  expected?: string;
  class: "syntax" | "runtime" | "logic" | null;
  error?: string;
  reported?: number | null;
  /** A line that must be among the leads: where the fault is. */
  lead?: number;
  symptom?: string;
};

const refused: Vector[] = [
  {
    what: "a closing bracket missing in a nested call",
    program: 'low = 2\nprint(str(low)\nprint("done")\n',
    class: "syntax",
    error: "SyntaxError",
    reported: 2,
    lead: 2,
  },
  {
    what: "a closing bracket missing before a branch header",
    program: "load = (3 + 4\nif load > 5:\n    print(load)\n",
    class: "syntax",
    error: "SyntaxError",
    reported: 1,
    lead: 1,
  },
  {
    what: "a list over several lines that is never closed: the missing sign lies below",
    program: "tides = [\n    1.2,\n    2.4\nprint(tides)\n",
    class: "syntax",
    error: "SyntaxError",
    reported: 1,
    lead: 1,
  },
  {
    what: "a colon missing after a header",
    program: 'deck = 3\nif deck > 2\n    print("full")\n',
    class: "syntax",
    error: "SyntaxError",
    reported: 2,
    lead: 2,
  },
  {
    what: "a quote missing",
    program: 'name = "Tern\nprint(name)\n',
    class: "syntax",
    error: "SyntaxError",
    reported: 1,
    lead: 1,
  },
  {
    what: "a quote missing in a branch that is never taken",
    program: 'deck = 3\nif deck > 5:\n    print("full)\nprint(deck)\n',
    class: "syntax",
    error: "SyntaxError",
    reported: 3,
    lead: 3,
  },
  {
    what: "a keyword misspelt",
    program: "boats = 3\nwhlie boats > 0:\n    boats = boats - 1\n",
    class: "syntax",
    error: "SyntaxError",
    reported: 2,
    lead: 2,
  },
  {
    what: "a built-in misspelt as a bare word",
    program: 'deck = 3\nprnt "deck"\n',
    class: "syntax",
    error: "SyntaxError",
    reported: 2,
  },
  {
    what: "a line indented more than its block",
    program: "deck = 3\n  load = 4\n",
    class: "syntax",
    error: "IndentationError",
    reported: 2,
    lead: 1,
  },
  {
    what: "the line above under-indented",
    program: "if True:\n    deck = 3\n  load = 4\n",
    class: "syntax",
    error: "IndentationError",
    reported: 3,
    lead: 2,
  },
  {
    what: "the body of a header not indented",
    program: "for boat in [1, 2]:\nprint(boat)\n",
    class: "syntax",
    error: "IndentationError",
    reported: 2,
    lead: 1,
  },
  {
    what: "a statement between an if body and its else",
    program: 'deck = 3\nif deck > 2:\n    print("full")\nprint("checked")\nelse:\n    print("free")\n',
    class: "syntax",
    error: "SyntaxError",
    reported: 5,
    lead: 4,
  },
  {
    what: "a try without a handler, past a comment and a blank line",
    program: "try:\n    n = 1\n# a remark\n\nprint(n)\n",
    class: "syntax",
    error: "SyntaxError",
    reported: 5,
    lead: 2,
  },
  {
    what: "an equals sign where a comparison is due",
    program: "deck = 3\nif deck = 3:\n    print(deck)\n",
    class: "syntax",
    error: "SyntaxError",
    reported: 2,
  },
  {
    what: "tabs and blanks mixed",
    program: "if True:\n\tdeck = 3\n        load = 4\n",
    class: "syntax",
    error: "TabError",
    reported: 3,
  },
  {
    what: "return outside a function",
    program: "deck = 3\nreturn deck\n",
    class: "syntax",
    error: "SyntaxError",
    reported: 2,
  },
  {
    what: "brackets of two kinds mixed",
    program: "loads = [3, 4)\n",
    class: "syntax",
    error: "SyntaxError",
    reported: 1,
  },
];

const stopped: Vector[] = [
  {
    what: "a name that is never defined, after output",
    program: 'print("Deck")\nprint(lorries)\n',
    class: "runtime",
    error: "NameError",
    reported: 2,
  },
  {
    what: "a name that differs in letter case",
    program: "Deck = 3\nprint(deck)\n",
    class: "runtime",
    error: "NameError",
    reported: 2,
    lead: 1,
  },
  {
    what: "a variable tested before its first value",
    program: "def fill():\n    if load > 3:\n        load = 0\n    load = 1\nfill()\n",
    class: "runtime",
    error: "UnboundLocalError",
    reported: 2,
    lead: 5,
  },
  {
    what: "a built-in misspelt as a call",
    program: 'prnt("deck")\n',
    class: "runtime",
    error: "NameError",
    reported: 1,
  },
  {
    what: "the wrong number of arguments",
    program: "def fare(age, zone):\n    return age\nprint(fare(3))\n",
    class: "runtime",
    error: "TypeError",
    reported: 3,
  },
  {
    what: "number and text",
    program: 'stops = input("Stops? ")\nprint(35 + stops)\n',
    input: "2\n",
    class: "runtime",
    error: "TypeError",
    reported: 2,
    lead: 1,
  },
  {
    what: "text that is no number",
    program: 'n = int(input("Boats? "))\n',
    input: "many\n",
    class: "runtime",
    error: "ValueError",
    reported: 1,
  },
  {
    what: "division by a literal zero",
    program: "print(3 / 0)\n",
    class: "runtime",
    error: "ZeroDivisionError",
    reported: 1,
  },
  {
    what: "division by a count that is zero: the cause lies above",
    program: "boats = []\ncount = len(boats)\nprint(30 / count)\n",
    class: "runtime",
    error: "ZeroDivisionError",
    reported: 3,
    lead: 2,
  },
  {
    what: "a cause further down: the caller passes text",
    program: "def half(load):\n    return load / 2\n\nprint('start')\nprint(half('12'))\n",
    class: "runtime",
    error: "TypeError",
    reported: 2,
    lead: 5,
  },
  {
    what: "an index past the end: the list may be too short",
    program: "tides = [1, 2, 3]\nhour = 3\nprint(tides[hour])\n",
    class: "runtime",
    error: "IndexError",
    reported: 3,
    lead: 1,
  },
  {
    what: "a method on nothing",
    program: "boat = None\nboat.sail()\n",
    class: "runtime",
    error: "AttributeError",
    reported: 2,
    lead: 1,
  },
  {
    what: "a key that is not there",
    program: "berths = {'Tern': 3}\nprint(berths['Gull'])\n",
    class: "runtime",
    error: "KeyError",
    reported: 2,
    lead: 1,
  },
  {
    what: "recursion without end",
    program: "def down(n):\n    return down(n - 1)\nprint(down(3))\n",
    class: "runtime",
    error: "RecursionError",
    reported: 2,
  },
  {
    what: "a file that is not there",
    program: 'open("list.txt")\n',
    class: "runtime",
    error: "FileNotFoundError",
    reported: 1,
  },
  {
    what: "an argument outside a function's domain",
    program: "import math\nprint(math.sqrt(-4))\n",
    class: "runtime",
    error: "ValueError",
    reported: 2,
  },
  {
    what: "a handler that uses the value that could not be converted: the last block counts",
    program: 'try:\n    n = int("x")\nexcept ValueError:\n    print(n)\n',
    class: "runtime",
    error: "NameError",
    reported: 4,
  },
  {
    what: "a module that is not there",
    program: "import tidetables\n",
    class: "runtime",
    error: "ModuleNotFoundError",
    reported: 1,
  },
  {
    what: "input that runs out",
    program: "a = input()\nb = input()\n",
    input: "1\n",
    class: "runtime",
    error: "EOFError",
    reported: 2,
  },
  {
    what: "text given to eval that is no expression",
    program: 'print("begin")\neval("2 +")\n',
    class: "runtime",
    error: "SyntaxError",
    reported: 2,
  },
];

const wrong: Vector[] = [
  {
    what: "input kept as text and joined",
    program: "a = input()\nb = input()\nprint(a + b)\n",
    input: "3\n4\n",
    expected: "7\n",
    class: "logic",
    lead: 1,
  },
  {
    what: "a boundary left out",
    program: "age = int(input())\nif age < 15:\n    print(6)\nelse:\n    print(12)\n",
    input: "15\n",
    expected: "6\n",
    class: "logic",
    lead: 2,
  },
  {
    what: "and for or",
    program: "wind = 9\nif wind < 0 and wind > 8:\n    print('stay')\nelse:\n    print('sail')\n",
    expected: "stay\n",
    class: "logic",
    lead: 2,
  },
  {
    what: "a wrong operator",
    program: "load = 3\ncars = 4\ntotal = load + cars\nprint(total)\n",
    expected: "12\n",
    class: "logic",
    lead: 3,
  },
  {
    what: "brackets missing in a formula",
    program: "low = 2\nhigh = 4\nmean = low + high / 2\nprint(mean)\n",
    expected: "3.0\n",
    class: "logic",
    lead: 3,
  },
  { what: "a name printed as text", program: 'deck = 3\nprint("deck")\n', expected: "3\n", class: "logic", lead: 2 },
  {
    what: "off by one in a range",
    program: "for hour in range(1, 3):\n    print(hour)\n",
    expected: "1\n2\n3\n",
    class: "logic",
  },
  {
    what: "a range test on text lets a value in between through",
    program:
      "berth = input()\nif berth >= '4' and berth <= '7':\n    print('taken')\nelse:\n    print('no such berth')\n",
    input: "40\n",
    expected: "no such berth\n",
    class: "logic",
    lead: 2,
  },
  {
    what: "a loop that is never entered",
    program: "boats = 0\nwhile boats > 0:\n    print(boats)\n",
    expected: "3\n2\n1\n",
    class: "logic",
  },
  {
    what: "a loop that never changes what it tests",
    program: "boats = 3\nleft = 0\nwhile boats > 0:\n    left = left + 1\n",
    expected: "done\n",
    class: "logic",
    symptom: "has not ended",
    lead: 3,
  },
  {
    what: "a loop that goes away from its goal",
    program: "n = 1\nwhile n > 0:\n    n = n + 1\n",
    expected: "done\n",
    class: "logic",
    symptom: "has not ended",
    lead: 2,
  },
  {
    what: "a loop that goes to and fro",
    program: "n = 1\nwhile n < 5:\n    n = 0 - n\n",
    expected: "done\n",
    class: "logic",
    symptom: "does not end",
    lead: 2,
  },
];

const none: Vector[] = [
  {
    what: "an undefined call in a function that is not called",
    program: "def later():\n    nowhere()\nprint('ok')\n",
    expected: "ok\n",
    class: null,
  },
  {
    what: "an undefined name in a branch that is not taken",
    program: "deck = 3\nif deck > 5:\n    print(nowhere)\nprint(deck)\n",
    expected: "3\n",
    class: null,
  },
  {
    what: "a program that leaves with a code of its own",
    program: "import sys\nprint(1)\nsys.exit(4)\n",
    expected: "1\n",
    class: null,
  },
  { what: "no intended output: nothing is decided", program: "print(1)\n", class: null },
  {
    what: "a long loop that does end",
    program: "n = 0\nwhile n < 300000:\n    n = n + 1\nprint(n)\n",
    expected: "300000\n",
    class: null,
  },
  { what: "an empty program that is to print nothing", program: "", expected: "", class: null },
  { what: "a program of comments only", program: "# nothing yet\n", expected: "", class: null },
];

async function judged(vector: Vector) {
  return (
    await judgeProgram(toolchains, {
      language: python,
      policies: { endlessClass: "logic" },
      files: [{ name: "program.py", bytes: Buffer.from(vector.program) }],
      input: vector.input,
      expected: vector.expected,
    })
  ).judgement;
}

describe.each([
  ["refused before any line ran", refused],
  ["stopped while running", stopped],
  ["runs with a wrong result", wrong],
  ["shows no fault", none],
])("%s", (_, vectors) => {
  test.each(vectors)("$what", async (vector) => {
    const verdict = await judged(vector);
    expect(verdict.class).toBe(vector.class);
    if (vector.error) expect(verdict.diagnostic?.errorName).toBe(vector.error);
    if (vector.reported !== undefined) expect(verdict.reportedLine).toBe(vector.reported);
    if (vector.lead) expect(verdict.leads.map((lead) => lead.line)).toContain(vector.lead);
    if (vector.symptom) expect(verdict.symptom).toBe(vector.symptom);
    expect(verdict.reasons.length).toBeGreaterThan(0);
    for (const lead of verdict.leads) expect(lead.why).not.toBe("");
  });
});

test("every verdict with a message has words for what the message means", async () => {
  for (const vector of [...refused, ...stopped]) {
    const verdict = await judged(vector);
    expect(verdict.diagnostic && explain(python, verdict.diagnostic), vector.what).toBeTruthy();
  }
});

test("no operand of a type message is called the faulty one", async () => {
  const verdict = await judged({ what: "", program: 'a = 3\nb = "4"\nprint(a + b)\n', class: "runtime" });
  expect(verdict.leads.map((lead) => lead.line).sort()).toEqual([1, 2, 3]);
});
