import { afterAll, beforeAll, describe, expect, test } from "vitest";
import type { ExerciseContent, Task } from "../../core/exercises/exercise.ts";
import { makeTask } from "../../core/exercises/makeTask.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import { openTestServices } from "../testServices.ts";
import { exerciseOfPrograms } from "./exerciseOfPrograms.ts";
import { makeContext } from "./makeExercise.ts";
import { selfCheck } from "./selfCheck.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let made = new Map<string, ExerciseContent>();
const surprises = new Map<string, string[]>();

const crossing = `fare = int(input("Fare? "))
cars = int(input("Cars? "))
bill = fare * cars
if cars >= 10 and fare > 1:
    bill = bill - 5
print("Bill", bill)
`;
const check = (input: string, expected: string) => ({
  ...{ input, expected, kind: "normal" as const, ignorePrompts: false, files: {} },
});
const crossingChecks = [check("4\n3\n", "Fare? Cars? Bill 12\n"), check("2\n10\n", "Fare? Cars? Bill 15\n")];
const deck = `#include <stdio.h>
int main(void)
{
    int load = 0;
    for (int i = 1; i <= 3; i++) {
        if (i > 1)
            load = load + i;
    }
    printf("Load %d\\n", load);
    return 0;
}
`;
const tides = `total = 0
source = open("tides.txt")
for line in source:
    total = total + int(line)
print("Together", total)
`;
const orders: Record<
  string,
  {
    language: string;
    fileName: string;
    program: string;
    mended: string;
    checks: ReturnType<typeof check>[];
    tasks: string[];
  }
> = {
  logic: {
    ...{ language: "python", fileName: "crossing.py", program: crossing.replace(">= 10", "> 10"), mended: crossing },
    ...{
      checks: crossingChecks,
      tasks: ["byhand", "suspects", "testdata", "limits", "condition", "compare", "versions", "intentions", "rounds"],
    },
  },
  right: {
    ...{
      language: "python",
      fileName: "crossing.py",
      program: crossing.replace("bill = fare * cars", "bill = fare + cars"),
      mended: crossing,
    },
    ...{ checks: crossingChecks, tasks: ["switches", "provoke", "handler"] },
  },
  gaps: {
    ...{
      language: "python",
      fileName: "crossing.py",
      program: crossing.replace("bill = fare * cars", "bill = fare + cars"),
      mended: crossing,
    },
    ...{ checks: crossingChecks, tasks: ["unfinished"] },
  },
  syntax: {
    ...{
      language: "python",
      fileName: "crossing.py",
      program: crossing.replace("fare > 1:", "fare > 1"),
      mended: crossing,
    },
    ...{ checks: crossingChecks, tasks: ["refusals", "suspects"] },
  },
  file: {
    ...{
      language: "python",
      fileName: "tides.py",
      program: tides.replace("total + int", "total - int"),
      mended: tides,
    },
    checks: [{ ...check("", "Together 7\n"), files: { "tides.txt": "3\n4\n" } }],
    tasks: ["missing", "byhand"],
  },
  c: {
    ...{ language: "c", fileName: "deck.c", program: deck.replace("i > 1", "i >= 1"), mended: deck },
    ...{ checks: [check("", "Load 5\n")], tasks: ["layout", "condition", "versions"] },
  },
};

beforeAll(async () => {
  services = await openTestServices();
  made = new Map();
  for (const [name, order] of Object.entries(orders)) {
    const language = findLanguage(order.language);
    if (!language) throw new Error(order.language);
    const tasks = order.tasks.map((kind) => ({ kind, marks: 4 }));
    const result = await exerciseOfPrograms(services, { ...order, language, intro: "", tasks });
    made.set(name, result.content);
    surprises.set(name, result.surprises);
  }
});
afterAll(() => services.close());

const content = (name: string): ExerciseContent => {
  const found = made.get(name);
  if (!found) throw new Error(name);
  return found;
};
const taskOf = (name: string, kind: string): Task => {
  const task = content(name).tasks.find((each) => each.kind === kind);
  if (!task) throw new Error(`${name} has no ${kind}: ${surprises.get(name)}`);
  return task;
};
const earned = async (name: string, kind: string, answer: unknown) => {
  const task = taskOf(name, kind);
  const items = await kindOfTask(task).mark(task, answer, makeContext(services, content(name)));
  return items.map((item) => item.earned);
};
/** The right answer with some of its texts changed. */
const besideRight = (name: string, kind: string, changed: Record<string, string>) => {
  const task = taskOf(name, kind);
  const model = kindOfTask(task).model?.(task, content(name)) as { texts: Record<string, string> } | undefined;
  // What is planted is no matter of these tests: another class than the right one.
  const another = (key: string) => ["syntax", "runtime", "logic"].find((each) => each !== model?.texts[key]) ?? "";
  const given = Object.entries(changed).map(([key, text]) => [key, text === "another" ? another(key) : text]);
  return { texts: { ...model?.texts, ...Object.fromEntries(given) } };
};

test("each kind is made where it makes sense, and says why where it does not", () => {
  for (const [name, order] of Object.entries(orders)) {
    expect(content(name).tasks.map((task) => task.kind)).toEqual(order.tasks);
    expect(surprises.get(name)).toEqual([]);
  }
});

test.each<[string, string, string[]]>([
  ["logic", "refusals", ["not refused"]],
  ["logic", "missing", ["reads no file"]],
  ["logic", "layout", ["blanks at the beginning of a line count"]],
  ["logic", "unfinished", ["is not asked beside"]],
  ["right", "unfinished", ["is not asked beside"]],
  ["logic", "handler", ["is not asked beside"]],
  ["file", "testdata", ["reads nothing"]],
  ["file", "limits", ["typed in is compared"]],
  ["file", "condition", ["decides nothing"]],
  ["syntax", "versions", ["does not start"]],
  ["syntax", "rounds", ["does not start"]],
])("%s: %s is not asked", async (name, kind, words) => {
  const result = await makeTask(kindOfTask({ kind }), makeContext(services, content(name)), { key: "k", marks: 4 });
  for (const word of words) expect(result).toContain(word);
});

test("what shows the output is not asked beside what asks for it", async () => {
  const exercise = content("logic");
  const context = makeContext(services, { ...exercise, tasks: [] });
  const predicted = await kindOfTask({ kind: "predict" }).make(context, { key: "p", marks: 3 });
  if (typeof predicted === "string") throw new Error(predicted);
  const beside = makeContext(services, { ...exercise, tasks: [predicted] });
  for (const kind of ["compare", "versions"])
    expect(await makeTask(kindOfTask({ kind }), beside, { key: "k", marks: 4 })).toContain("shows what comes out");
  // In whatever order they are made.
  const shown = content("logic").tasks.filter((task) => task.kind === "compare");
  const after = makeContext(services, { ...exercise, tasks: shown });
  expect(await makeTask(kindOfTask({ kind: "predict" }), after, { key: "p", marks: 3 })).toContain("what comes out");
});

test("every exercise passes its own check: right answers earn all, blank and hiding ones nothing", async () => {
  for (const [, exercise] of made) expect(await selfCheck(services, exercise)).toEqual([]);
});

const twoFixes = (line: string) => ({
  texts: { first: crossing, second: crossing.replace("if cars >= 10 and fare > 1:", line) },
});

describe("a right, a half-right and a wrong answer of each", () => {
  test.each<[string, string, Record<string, string>, Array<number | null>]>([
    ["logic", "byhand", {}, [2, 2]],
    ["logic", "byhand", { "check 1": "12", "check 2": "The bill is 15" }, [1.5, 1.5]],
    ["logic", "byhand", { "check 1": "Bill 12", "check 2": "Bill 20" }, [2, 0]],
    ["logic", "suspects", {}, [4]],
    ["logic", "suspects", { "line 4": "" }, [3]],
    ["logic", "suspects", { "line 4": "", "line 4 again": "wrong" }, [3.5]],
    ["logic", "suspects", { "line 1": "wrong" }, [2]],
    ["logic", "testdata", {}, [2, 1, 1]],
    ["logic", "testdata", { "normal result": "Bill 50" }, [1, 1, 1]],
    ["logic", "testdata", { "boundary input": "7\n50" }, [2, 0, 1]],
    ["logic", "testdata", { "boundary input": "3\n11", "boundary result": "28" }, [2, 1, 1]],
    ["logic", "testdata", { "erroneous input": "", "erroneous result": "" }, [2, 1, 0]],
    ["logic", "limits", {}, [4]],
    ["logic", "limits", { "at result": "Bill 40" }, [3]],
    ["logic", "limits", { "below value": "2", "at value": "ten" }, [1]],
    ["logic", "condition", {}, [4]],
    ["logic", "condition", { "step 2": "false", "step 1 with its values": "3>10" }, [3]],
    ["logic", "compare", {}, [2, 1, null]],
    ["logic", "compare", { output: "13", ending: "fault", differs: "" }, [0, 0, 0]],
    ["logic", "versions", {}, [4]],
    ["logic", "intentions", {}, [2, 2]],
    ["logic", "intentions", { second: crossing }, [2, 0]],
    ["logic", "intentions", { first: "print('Fare? Cars? Bill 12')" }, [0, 2]],
    ["gaps", "unfinished", {}, [2, 2]],
    ["gaps", "unfinished", { "line 3": "bill = cars * fare" }, [2, 2]],
    ["gaps", "unfinished", { "line 3": "bill = 12" }, [2, 0]],
    ["gaps", "unfinished", { "line 1": "", "line 3": "bill = fare" }, [0, 0]],
    ["right", "switches", {}, [4]],
    ["right", "switches", { "line 2": "4" }, [3]],
    [
      "right",
      "switches",
      Object.fromEntries(
        [1, 2, 3].flatMap((at) => [
          [`class ${at}`, "another"],
          [`line ${at}`, ""],
        ]),
      ),
      [0],
    ],
    ["right", "provoke", {}, [3, null]],
    ["right", "provoke", { program: crossing.replace("* cars", "+ cars") }, [1.5, null]],
    ["right", "provoke", { program: `${crossing}\n# a note\n` }, [0, 0]],
    ["syntax", "refusals", {}, [2, null, null]],
    ["syntax", "refusals", { lines: "4 and 5", message: "a colon is missing" }, [0, null, null]],
    ["syntax", "refusals", { lines: "1", message: "", differs: "" }, [0, 0, 0]],
    ["file", "missing", {}, [4]],
    ["file", "missing", { "ending 2": "fault", "line 2": "3" }, [2]],
    ["file", "missing", { "line 1": "1" }, [3]],
    ["c", "layout", {}, [4]],
    ["c", "layout", { program: deck.replace("i > 1", "i >= 1").replace(/^ {4}/gm, "") }, [1]],
    ["c", "layout", { program: deck }, [0]],
    ["c", "condition", { "step 1": "false" }, [2]],
    ["c", "versions", {}, [4]],
  ])("%s, %s, %j: %j", async (name, kind, changed, expected) => {
    expect(await earned(name, kind, besideRight(name, kind, changed))).toEqual(expected);
  });

  test("a friendly message: caught and said, caught in silence, only for one input, all of the rest undone", async () => {
    const caught = (inside: string, after = "") =>
      `try:\n${crossing.replace(/^/gm, "    ").trimEnd()}\nexcept ValueError:\n    ${inside}\n${after}`;
    const give = (program: string) => earned("right", "handler", { texts: { program } });
    expect(await give(caught('print("Please type a whole number, such as 12.")'))).toEqual([3, null]);
    expect(await give(caught("pass"))).toEqual([0, 0]);
    expect(await give(crossing)).toEqual([0, 0]);
    expect(await give('print("Please type a whole number.")\n')).toEqual([1.5, null]);
    expect(await give(crossing.replace("Fare", "Fare please"))).toEqual([0, 0]);
  });

  test("two intentions: a mending for the other one that is longer than needed", async () => {
    const both = twoFixes("if cars >= 10 or fare > 1:");
    expect(await earned("logic", "intentions", both)).toEqual([2, 2]);
    const long = both.texts.second.replace("bill = fare * cars", "bill = 0\nbill = bill + fare * cars\nx = 1");
    expect(await earned("logic", "intentions", { texts: { ...both.texts, second: long } })).toEqual([2, 1.5]);
  });

  test("trace, find, mend, trace again: each step earns its own", async () => {
    const task = taskOf("logic", "rounds");
    const model = kindOfTask(task).model?.(task, content("logic")) as { steps: unknown[] };
    expect(await earned("logic", "rounds", model)).toEqual([1, 1, 1, 1]);
    expect(await earned("logic", "rounds", { steps: [model.steps[0], { lines: [2] }] })).toEqual([1, 0, 0, 0]);
    expect(await earned("logic", "rounds", { steps: [null, null, { text: crossing }] })).toEqual([0, 0, 1, 0]);
  });
});

describe("what is seen, and what stays", () => {
  test("what came out is in no page before the part before it was given, and that part stays as it was", () => {
    const task = taskOf("logic", "compare");
    const kind = kindOfTask(task);
    const exercise = content("logic");
    expect(JSON.stringify(kind.view(task, exercise))).not.toContain("Bill 12");
    const first = { texts: { output: "Bill 13", ending: "none" }, closed: 1 };
    expect(JSON.stringify(kind.view(task, exercise, first))).toContain("Bill 12");
    const changed = { texts: { output: "Bill 12", ending: "none", differs: "by one" }, closed: 1 };
    expect(kind.keep(task, exercise, first, changed)).toEqual({
      texts: { output: "Bill 13", ending: "none", differs: "by one" },
      closed: 1,
    });
    expect(kind.keep(task, exercise, first, { texts: {}, closed: 0 })).toMatchObject({ closed: 1 });
    // Nobody goes past a part that was not seen.
    expect(kind.keep(task, exercise, { texts: {}, closed: 0 }, { texts: {}, closed: 9 })).toMatchObject({ closed: 1 });
  });

  test("a hint names what is missing only after the first answer, and never how it is mended", () => {
    const task = taskOf("syntax", "suspects");
    const kind = kindOfTask(task);
    const answer = { texts: { "line 4": "right" }, closed: 1 };
    expect(JSON.stringify(kind.view(task, content("syntax")))).not.toContain("missing");
    // What is asked again would say what is wrong; it is in no page before that is asked for.
    const before = JSON.stringify(kind.view(task, content("syntax"), { ...answer, closed: 0 }));
    expect(before).not.toContain('again"');
    const seen = JSON.stringify(kind.view(task, content("syntax"), answer));
    expect(seen).toContain("Line 4: a sign is missing on it.");
    expect(seen).not.toContain("fare > 1:");
  });

  test("the second table is seen when the mending was given", () => {
    const task = taskOf("logic", "rounds");
    const kind = kindOfTask(task);
    const seen = (closed: number) => JSON.stringify(kind.view(task, content("logic"), { steps: [], closed }));
    expect(seen(0)).not.toContain(">= 10");
    expect(seen(2)).not.toContain(">= 10");
    expect(seen(3)).toContain(">= 10");
    const before = { steps: [{ rows: [] }, { lines: [2] }], closed: 2 };
    const kept = kind.keep(task, content("logic"), before, { steps: [null, { lines: [4] }, { text: "x" }], closed: 2 });
    expect(kept).toEqual({ steps: [{ rows: [] }, { lines: [2] }, { text: "x" }], closed: 2 });
  });
});
