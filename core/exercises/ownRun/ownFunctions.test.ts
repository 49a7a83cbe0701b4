import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { findLanguage } from "../../languages/languages.ts";
import { type KeyColumn, markTraceTable, type TraceMarking, type WrittenRow } from "../traceMarking.ts";
import { ownFunctions } from "./ownFunctions.ts";
import { type KeyRow, recordedRun } from "./recordedRun.ts";

/** Rows of a table as one text: `7 total=0; 8 n=1; 9`; a cell of the output is written `>1 6`. */
function rows(text: string): KeyRow[] {
  return text.split(";").map((each) => {
    const [line = "", ...cells] = each.trim().split(/\s+(?=\S+=|>)/);
    return {
      line: Number(line),
      cells: Object.fromEntries(
        cells.map((cell) => (cell.startsWith(">") ? ["output", cell.slice(1)] : cell.split("=", 2))),
      ) as Record<string, string>,
    };
  });
}

/** Columns by their keys: `total`, or `fare.price` of a function. */
function columns(keys: string): KeyColumn[] {
  return keys.split(" ").map((key) => {
    const [first = "", second] = key.split(".");
    return second === undefined ? { key, title: first } : { key, title: second, functionName: first };
  });
}

type Told = { language: string; program: string; variables: KeyColumn[]; key: KeyRow[] };

const python: Told = {
  language: "python",
  program: `def fare(zone, bags):
    price = 4
    if zone > 2:
        price = price + 3
    return price + bags

total = 0
for n in range(1, 4):
    cost = fare(n, 2)
    total = total + cost
    print(n, cost)
print("Total", total)
`,
  variables: columns("total n fare.zone fare.bags fare.price cost"),
  key: rows(
    "1; 7 total=0; 8 n=1; 9; 1 fare.zone=1 fare.bags=2; 2 fare.price=4; 3; 5; 9 cost=6; 10 total=6; 11 >1 6; 8 n=2; 9; 1 fare.zone=2 fare.bags=2; 2 fare.price=4; 3; 5; 9; 10 total=12; 11 >2 6; 8 n=3; 9; 1 fare.zone=3 fare.bags=2; 2 fare.price=4; 3; 4 fare.price=7; 5; 9 cost=9; 10 total=21; 11 >3 9; 8; 12 >Total 21",
  ),
};

const pascal: Told = {
  language: "pascal",
  program: `program P;
var total, n, cost: integer;

function Fare(zone, bags: integer): integer;
var price: integer;
begin
  price := 4;
  if zone > 2 then
    price := price + 3;
  Fare := price + bags;
end;

begin
  total := 0;
  for n := 1 to 3 do
  begin
    cost := Fare(n, 2);
    total := total + cost;
    writeln(n, ' ', cost);
  end;
  writeln('Total ', total);
end.
`,
  variables: columns("total n Fare.zone Fare.bags Fare.price Fare.Fare cost"),
  key: rows(
    "14 total=0; 15 n=1; 17; 4 Fare.zone=1 Fare.bags=2; 7 Fare.price=4; 8; 10 Fare.Fare=6; 17 cost=6; 18 total=6; 19 >1 6; 15 n=2; 17; 4 Fare.zone=2 Fare.bags=2; 7 Fare.price=4; 8; 10 Fare.Fare=6; 17; 18 total=12; 19 >2 6; 15 n=3; 17; 4 Fare.zone=3 Fare.bags=2; 7 Fare.price=4; 8; 9 Fare.price=7; 10 Fare.Fare=9; 17 cost=9; 18 total=21; 19 >3 9; 15; 21 >Total 21",
  ),
};

/** The same program in the languages with braces: where its function and its main part begin. */
function braces(language: string, program: string, head: number, main: number, names: [string, string]): Told {
  const [fare, begins] = names;
  const body = (zone: number, price: string) =>
    `${head} ${fare}.zone=${zone} ${fare}.bags=2; ${head + 1} ${fare}.price=4; ${head + 2}; ${price}${head + 5}`;
  const dear = `${head + 3} ${fare}.price=7; `;
  return {
    ...{ language, program },
    variables: columns(`${begins}.total ${begins}.n ${fare}.zone ${fare}.bags ${fare}.price ${begins}.cost`),
    key: rows(
      `${main}; ${main + 1} ${begins}.total=0; ${main + 2} ${begins}.n=1; ${main + 3}; ${body(1, "")}; ${main + 3} ${begins}.cost=6; ${main + 4} ${begins}.total=6; ${main + 5} >1 6; ${main + 2} ${begins}.n=2; ${main + 3}; ${body(2, "")}; ${main + 3}; ${main + 4} ${begins}.total=12; ${main + 5} >2 6; ${main + 2} ${begins}.n=3; ${main + 3}; ${body(3, dear)}; ${main + 3} ${begins}.cost=9; ${main + 4} ${begins}.total=21; ${main + 5} >3 9; ${main + 2} ${begins}.n=4; ${main + 7} >Total 21`,
    ),
  };
}

const java = braces(
  "java",
  `public class Main {
    static int fare(int zone, int bags) {
        int price = 4;
        if (zone > 2) {
            price = price + 3;
        }
        return price + bags;
    }

    public static void main(String[] args) {
        int total = 0;
        for (int n = 1; n <= 3; n++) {
            int cost = fare(n, 2);
            total = total + cost;
            System.out.println(n + " " + cost);
        }
        System.out.println("Total " + total);
    }
}
`,
  2,
  10,
  ["fare", "main"],
);

const c = braces(
  "c",
  `#include <stdio.h>
int fare(int zone, int bags) {
    int price = 4;
    if (zone > 2) {
        price = price + 3;
    }
    return price + bags;
}

int main(void) {
    int total = 0;
    for (int n = 1; n <= 3; n++) {
        int cost = fare(n, 2);
        total = total + cost;
        printf("%d %d\\n", n, cost);
    }
    printf("Total %d\\n", total);
    return 0;
}
`,
  2,
  10,
  ["fare", "main"],
);

const octave: Told = {
  language: "octave",
  program: `1;
function f = fare(zone, bags)
  price = 4;
  if zone > 2
    price = price + 3;
  end
  f = price + bags;
end

total = 0;
for n = 1:3
  cost = fare(n, 2);
  total = total + cost;
end
printf("Total %d\\n", total);
`,
  variables: columns("total n fare.zone fare.bags fare.price fare.f cost"),
  key: rows(
    "1; 10 total=0; 11 n=1; 12; 2 fare.zone=1 fare.bags=2; 3 fare.price=4; 4; 7 fare.f=6; 12 cost=6; 13 total=6; 11 n=2; 12; 2 fare.zone=2 fare.bags=2; 3 fare.price=4; 4; 7 fare.f=6; 12; 13 total=12; 11 n=3; 12; 2 fare.zone=3 fare.bags=2; 3 fare.price=4; 4; 5 fare.price=7; 7 fare.f=9; 12 cost=9; 13 total=21; 15 >Total 21",
  ),
};

function mark(
  { language, program, variables, key }: Told,
  answer: readonly WrittenRow[],
  linesGiven: boolean,
): TraceMarking {
  return markTraceTable(
    {
      ...{ language: findLanguage(language), program, key, variables, linesGiven },
      ...{ columns: [...variables.map((each) => each.key), "output"], given: new Set<string>() },
      ...{ reading: {}, notationCounts: false, cut: false, prompts: [] },
    },
    answer,
  );
}

/** The key as an answer, with other cells in some of its rows; a row by its place, null takes a cell out. */
function written(key: readonly KeyRow[], others: Record<number, Record<string, string | null>> = {}): WrittenRow[] {
  return key.map(({ cells }, at) => ({
    cells: Object.fromEntries(
      Object.entries({ ...cells, ...others[at] }).filter((each): each is [string, string] => each[1] !== null),
    ),
  }));
}

/** The row of a key that holds a cell for the n-th time (from 0). */
function rowWith({ key }: Told, column: string, time: number): number {
  const found = key.flatMap(({ cells }, at) => (Object.keys(cells).some((each) => each.endsWith(column)) ? [at] : []));
  return found[time] ?? -1;
}

const cell = (told: Told, name: string) => told.variables.find(({ title }) => title === name)?.key ?? name;

describe.each([python, java, c, pascal, octave])("into a function of $language", (told) => {
  test("the recorded run is gone through, with every row of the function", () => {
    const run = recordedRun(findLanguage(told.language) as never, told.program, told.key, told.variables);
    expect(run).not.toBeNull();
    expect(run?.columnOf("price", told.language === "pascal" ? "Fare" : "fare")).toBe(cell(told, "price"));
    expect(mark(told, written(told.key), true)).toMatchObject({ slips: 0, open: 0 });
  });

  test("a slip inside is worked out by what the function makes of it, and costs one cell", () => {
    const [inside, given, sum] = [rowWith(told, "price", 0), rowWith(told, "cost", 0), rowWith(told, "total", 1)];
    const again = told.key.findIndex(
      ({ line }, at) => at > sum + 5 && line === told.key[given]?.line && at > given + 6,
    );
    const resumes = told.key.findIndex(({ line }, at) => at > again && line === told.key[given]?.line);
    // 5 for 4 in the first call: the cost is 7, then 6 again, which is a change now; totals are one more.
    const others: Record<number, Record<string, string | null>> = {
      [inside]: { [cell(told, "price")]: "5" },
      [given]: { [cell(told, "cost")]: "7" },
      [sum]: { [cell(told, "total")]: "7" },
      [resumes]: { [cell(told, "cost")]: "6" },
      [rowWith(told, "total", 2)]: { [cell(told, "total")]: "13" },
      [rowWith(told, "total", 3)]: { [cell(told, "total")]: "22" },
    };
    const results = told.variables.filter(({ title }) => title === "Fare" || title === "f");
    for (const { key } of results) others[told.key.findIndex(({ cells }) => cells[key] !== undefined)] = { [key]: "7" };
    for (const [at, { cells }] of told.key.entries()) {
      if (cells.output === "1 6") others[at] = { output: "1 7" };
      if (cells.output === "Total 21") others[at] = { output: "Total 22" };
    }
    expect(mark(told, written(told.key, others), true)).toMatchObject({ slips: 1, open: 0 });
    // Who does not follow loses each cell that the own values do not give.
    const halted = { ...others, [sum]: { [cell(told, "total")]: "9" } };
    expect(mark(told, written(told.key, halted), true).slips).toBeGreaterThan(1);
  });
});

test("a decision in a function goes by the student's own values: a row more costs nothing", () => {
  const at = rowWith(python, "zone", 1);
  const answer = written(python.key, {
    [at]: { "fare.zone": "3" },
    [at + 4]: { cost: "9" },
    [at + 5]: { total: "15" },
    [at + 6]: { output: "2 9" },
    [rowWith(python, "cost", 1)]: { cost: null },
    [rowWith(python, "total", 3)]: { total: "24" },
    [python.key.length - 1]: { output: "Total 24" },
  });
  answer.splice(at + 3, 0, { cells: { "fare.price": "7" } });
  expect(mark(python, answer, false)).toMatchObject({ slips: 1, open: 0 });
});

test("calls in calls, in decisions, in results and for what they do", () => {
  const told: Told = {
    language: "python",
    program: `def double(km):
    return km * 2

def farther(km, limit):
    return double(km) > limit

def show(name, km):
    print(name, km)

far = double(double(3))
if farther(far, 20):
    far = far - 1
show("Gull", far)
for n in range(double(1)):
    far = far + n
`,
    variables: columns("double.km far farther.km farther.limit show.name show.km n"),
    key: rows(
      "1; 4; 7; 10; 1 double.km=3; 2; 10; 1 double.km=6; 2; 10 far=12; 11; 4 farther.km=12 farther.limit=20; 5; 1 double.km=12; 2; 5; 11; 12 far=11; 13; 7 show.name='Gull' show.km=11; 8 >Gull 11; 13; 14; 1 double.km=1; 2; 14 n=0; 15; 14 n=1; 15 far=12; 14",
    ),
  };
  expect(recordedRun(findLanguage("python") as never, told.program, told.key, told.variables)).not.toBeNull();
  const at = rowWith(told, "double.km", 1);
  const answer = written(told.key, {
    [at]: { "double.km": "7" },
    [rowWith(told, "far", 0)]: { far: "14" },
    [rowWith(told, "farther.km", 0)]: { "farther.km": "14" },
    [rowWith(told, "double.km", 2)]: { "double.km": "14" },
    [rowWith(told, "far", 1)]: { far: "13" },
    [rowWith(told, "show.km", 0)]: { "show.km": "13" },
    [rowWith(told, "output", 0)]: { output: "Gull 13" },
    [rowWith(told, "far", 2)]: { far: "14" },
  });
  expect(mark(told, answer, true)).toMatchObject({ slips: 1, open: 0 });
});

describe("which functions can be gone into", () => {
  const goneInto = (language: string, program: string) => {
    const found = findLanguage(language);
    const tree = found?.syntax?.(program);
    return found && tree ? [...ownFunctions(found, program, tree).keys()] : null;
  };

  test.each([
    ["python", "def f(a):\n    return a + 1\n", ["f"]],
    ["python", "def f(a):\n    global total\n    total = a\n", []],
    ["python", "def f(a, b=2):\n    return a + b\n", []],
    ["python", "def f(a):\n    a.append(3)\n", []],
    ["python", "def f(a):\n    a[0] = 3\n", []],
    ["python", "def f():\n    return int(input())\n", []],
    ["python", "def f(n):\n    if n == 0:\n        return 1\n    return f(n - 1)\n", []],
    ["python", "def f(n):\n    return g(n)\n\n\ndef g(n):\n    return f(n)\n", []],
    ["python", "def f(n):\n    return g(n)\n\n\ndef g(n):\n    return n\n", ["f", "g"]],
    ["c", "int total;\nint f(int a) { total = a; return a; }\nint g(int a) { int b = a; return b; }\n", ["g"]],
    ["c", "void f(int *a) { *a = 3; }\n", []],
    ["pascal", "procedure f(var a: integer);\nbegin\n  a := 3;\nend;\n\nbegin\nend.\n", []],
    ["csharp", "class P { static void F(ref int a) { a = 3; } static int G(int a) { return a; } }", ["G"]],
    ["octave", "function [a, b] = f(c)\n  a = c;\n  b = c;\nend\nfunction d = g(c)\n  d = c;\nend\n", ["g"]],
    ["java", "class Main { int n; void f() { n = 3; } int g() { int k = 2; return k; } }", ["g"]],
  ] as Array<[string, string, string[]]>)("%s: %s", (language, program, expected) => {
    expect(goneInto(language, program)).toEqual(expected);
  });
});

test("whatever is written into the cells, a table is marked, and never with more than it asks for", () => {
  const cells = fc.dictionary(
    fc.constantFrom(...python.variables.map(({ key }) => key), "output"),
    fc.constantFrom("0", "1", "2", "4", "6", "7", "9", "-", "'a'", "[1, 2]", "1e400", "True"),
    { maxKeys: 3 },
  );
  fc.assert(
    fc.property(fc.array(cells, { maxLength: 14 }), fc.boolean(), (rows, linesGiven) => {
      const marking = mark(
        python,
        rows.map((each) => ({ cells: each })),
        linesGiven,
      );
      expect(marking.right).toBeGreaterThanOrEqual(0);
      expect(marking.right).toBeLessThanOrEqual(marking.wanted);
    }),
    { numRuns: process.env.BENT_NAIL_LONG ? 400 : 8 },
  );
});
