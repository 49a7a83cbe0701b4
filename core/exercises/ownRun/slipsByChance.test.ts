import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { findLanguage } from "../../languages/languages.ts";
import { type KeyColumn, markTraceTable, type WrittenRow } from "../traceMarking.ts";
import { type KeyRow, recordedRun } from "./recordedRun.ts";

/*
 * Tables of students who slip once and go on with what they wrote, worked out by a second and simpler machine: small
 * programs by chance are run here on numbers of JavaScript, with one value changed at its time.
 */

type Expression = number | string | readonly [Expression, "+" | "-" | "*", Expression];
type Condition = { left: Expression; sign: "<" | ">" | "<=" | ">="; right: Expression };
type Statement =
  | { does: "assign"; name: string; value: Expression }
  | { does: "print"; value: Expression }
  | { does: "if"; condition: Condition; holds: Statement[]; fails: Statement[] }
  | { does: "times"; name: string; times: number; body: Statement[] }
  | { does: "while"; name: string; from: number; below: number; by: number; body: Statement[] };

const names = ["deck", "load", "tide"];
const one: fc.Arbitrary<Expression> = fc.oneof(fc.integer({ min: 0, max: 9 }), fc.constantFrom(...names));
const expressions: fc.Arbitrary<Expression> = fc.oneof(
  one,
  fc.tuple(one, fc.constantFrom("+" as const, "-" as const, "*" as const), one),
);
const conditions = fc.record({
  ...{
    left: fc.constantFrom(...names),
    sign: fc.constantFrom("<" as const, ">" as const, "<=" as const, ">=" as const),
  },
  right: fc.oneof(fc.integer({ min: 0, max: 12 }), fc.constantFrom(...names)),
});
const assignments = fc.record({
  does: fc.constant("assign" as const),
  name: fc.constantFrom(...names),
  value: expressions,
});
const simple = fc.oneof(
  { weight: 3, arbitrary: assignments },
  { weight: 1, arbitrary: fc.record({ does: fc.constant("print" as const), value: expressions }) },
);
const simples = fc.array(simple, { minLength: 1, maxLength: 3 });
const decisions = fc.record({
  ...{ does: fc.constant("if" as const), condition: conditions, holds: simples },
  fails: fc.array(simple, { maxLength: 2 }),
});
const bodies = fc.array(fc.oneof({ weight: 4, arbitrary: simple }, { weight: 1, arbitrary: decisions }), {
  ...{ minLength: 1, maxLength: 3 },
});
const loops = fc.oneof(
  fc.record({
    does: fc.constant("times" as const),
    name: fc.constant("hour"),
    ...{ times: fc.integer({ min: 1, max: 4 }), body: bodies },
  }),
  fc.record({
    does: fc.constant("while" as const),
    name: fc.constant("trip"),
    ...{
      from: fc.integer({ min: 0, max: 3 }),
      below: fc.integer({ min: 2, max: 8 }),
      by: fc.integer({ min: 1, max: 3 }),
    },
    body: bodies,
  }),
);
/** Programs that give every name a value first, and print one last. */
const programs = fc
  .tuple(
    fc.tuple(...names.map(() => fc.integer({ min: 1, max: 9 }))),
    fc.array(fc.oneof({ weight: 2, arbitrary: simple }, decisions, loops), { minLength: 1, maxLength: 4 }),
    fc.constantFrom(...names),
  )
  .map(([first, middle, last]): Statement[] => [
    ...names.map((name, at): Statement => ({ does: "assign", name, value: first[at] ?? 0 })),
    ...middle,
    { does: "print", value: last },
  ]);

/** How a language writes such programs. Bodies come as lines; `end` may be a line of its own. */
type Writing = {
  language: string;
  head: (names: readonly string[]) => string[];
  foot: string[];
  assign: (name: string, value: string) => string;
  print: (value: string) => string;
  decide: (condition: string) => string;
  otherwise: string[];
  end: string[];
  times: (name: string, times: number) => string[];
  endTimes: string[];
  loop: (condition: string) => string[];
  endLoop: string[];
  /** What a counting variable holds behind its loop beyond its last pass: one more where that is shown. */
  countsOn: boolean;
  functionName?: string;
};
const braces = {
  assign: (name: string, value: string) => `${name} = ${value};`,
  decide: (condition: string) => `if (${condition}) {`,
  ...{ otherwise: ["} else {"], end: ["}"], endTimes: ["}"], endLoop: ["}"], countsOn: true },
  times: (name: string, times: number) => [`for (${name} = 0; ${name} < ${times}; ${name}++) {`],
  loop: (condition: string) => [`while (${condition}) {`],
};
const writings: Writing[] = [
  {
    ...{ language: "python", head: () => [], foot: [], countsOn: false },
    assign: (name, value) => `${name} = ${value}`,
    print: (value) => `print(${value})`,
    decide: (condition) => `if ${condition}:`,
    ...{ otherwise: ["else:"], end: [], endTimes: [], endLoop: [] },
    times: (name, times) => [`for ${name} in range(${times}):`],
    loop: (condition) => [`while ${condition}:`],
  },
  {
    ...{ ...braces, language: "c", functionName: "main" },
    head: (all) => ["#include <stdio.h>", "int main(void) {", ...all.map((name) => `int ${name};`)],
    foot: ["}"],
    print: (value) => `printf("%d\\n", ${value});`,
  },
  {
    ...{ ...braces, language: "java", functionName: "main" },
    head: (all) => [
      ...["public class Main {", "public static void main(String[] args) {"],
      ...all.map((name) => `int ${name};`),
    ],
    foot: ["}", "}"],
    print: (value) => `System.out.println(${value});`,
  },
  {
    ...{ ...braces, language: "csharp", functionName: "Main" },
    head: (all) => ["class P {", "static void Main() {", ...all.map((name) => `int ${name};`)],
    foot: ["}", "}"],
    print: (value) => `Console.WriteLine(${value});`,
  },
  {
    ...{ language: "basic", functionName: "Main", countsOn: false },
    head: (all) => ["Module Deck", "Sub Main()", ...all.map((name) => `Dim ${name} As Integer`)],
    foot: ["End Sub", "End Module"],
    assign: (name, value) => `${name} = ${value}`,
    print: (value) => `Console.WriteLine(${value})`,
    decide: (condition) => `If ${condition} Then`,
    ...{ otherwise: ["Else"], end: ["End If"], endTimes: ["Next"], endLoop: ["End While"] },
    times: (name, times) => [`For ${name} = 0 To ${times - 1}`],
    loop: (condition) => [`While ${condition}`],
  },
  {
    ...{ language: "pseudocode", head: () => [], foot: [], countsOn: false },
    assign: (name, value) => `${name} <- ${value}`,
    print: (value) => `OUTPUT ${value}`,
    decide: (condition) => `IF ${condition} THEN`,
    ...{ otherwise: ["ELSE"], end: ["ENDIF"], endTimes: ["ENDFOR"], endLoop: ["ENDWHILE"] },
    times: (name, times) => [`FOR ${name} <- 0 TO ${times - 1}`],
    loop: (condition) => [`WHILE ${condition}`],
  },
  {
    ...{ language: "pascal", foot: ["end."], countsOn: false },
    head: (all) => ["program P;", `var ${all.join(", ")}: integer;`, "begin"],
    assign: (name, value) => `${name} := ${value};`,
    print: (value) => `writeln(${value});`,
    decide: (condition) => `if ${condition} then begin`,
    ...{ otherwise: ["end else begin"], end: ["end;"], endTimes: ["end;"], endLoop: ["end;"] },
    times: (name, times) => [`for ${name} := 0 to ${times - 1} do begin`],
    loop: (condition) => [`while ${condition} do begin`],
  },
  {
    ...{ language: "octave", head: () => [], foot: [], countsOn: false },
    assign: (name, value) => `${name} = ${value};`,
    print: (value) => `disp(${value})`,
    decide: (condition) => `if ${condition}`,
    ...{ otherwise: ["else"], end: ["end"], endTimes: ["end"], endLoop: ["end"] },
    times: (name, times) => [`for ${name} = 0:${times - 1}`],
    loop: (condition) => [`while ${condition}`],
  },
];

const written = (expression: Expression): string =>
  typeof expression === "object"
    ? `${written(expression[0])} ${expression[1]} ${written(expression[2])}`
    : String(expression);
const asked = ({ left, sign, right }: Condition) => `${written(left)} ${sign} ${written(right)}`;

/** A statement on its line; a loop that counts by itself begins with a line that gives its variable a value. */
type Placed = {
  line: number;
  statement: Statement;
  first: Placed[];
  second: Placed[];
  before?: Placed;
  behind?: Placed;
};

/** The program as the language writes it, and where each of its statements stands. */
function laidOut(program: readonly Statement[], writing: Writing): { text: string; placed: Placed[] } {
  const all = [...names, "hour", "trip"];
  const lines = [...writing.head(all)];
  const put = (depth: number, texts: readonly string[]) => {
    for (const text of texts) lines.push(`${"    ".repeat(depth)}${text}`);
  };
  const place = (statement: Statement, depth: number): Placed => {
    const here = (): number => lines.length + 1;
    const each = (inner: readonly Statement[]) => inner.map((one) => place(one, depth + 1));
    switch (statement.does) {
      case "assign": {
        const line = here();
        put(depth, [writing.assign(statement.name, written(statement.value))]);
        return { line, statement, first: [], second: [] };
      }
      case "print": {
        const line = here();
        put(depth, [writing.print(written(statement.value))]);
        return { line, statement, first: [], second: [] };
      }
      case "if": {
        const line = here();
        put(depth, [writing.decide(asked(statement.condition))]);
        const first = each(statement.holds);
        if (statement.fails.length > 0) put(depth, writing.otherwise);
        const second = each(statement.fails);
        put(depth, writing.end);
        return { line, statement, first, second };
      }
      case "times": {
        const line = here();
        put(depth, writing.times(statement.name, statement.times));
        const first = each(statement.body);
        put(depth, writing.endTimes);
        return { line, statement, first, second: [] };
      }
      case "while": {
        const before = place({ does: "assign", name: statement.name, value: statement.from }, depth);
        const line = here();
        put(depth, writing.loop(asked({ left: statement.name, sign: "<", right: statement.below })));
        const first = each(statement.body);
        const behind = place(
          { does: "assign", name: statement.name, value: [statement.name, "+", statement.by] },
          depth + 1,
        );
        put(depth, writing.endLoop);
        return { line, statement, first, second: [], before, behind };
      }
    }
  };
  const placed = program.map((statement) => place(statement, writing.foot.length));
  lines.push(...writing.foot);
  return { text: `${lines.join("\n")}\n`, placed };
}

/** A slip: at the assignment that is the n-th to give a name another value, so much is added to it. */
type Slip = { at: number; by: number };
type Ran = { rows: KeyRow[]; ways: boolean[]; changes: number; slipped: Array<{ row: number; name: string }> };

/** Runs a program, as a student does who slips. Null where numbers become too large or it goes on for too long. */
function run(placed: readonly Placed[], writing: Writing, slips: readonly Slip[]): Ran | null {
  const values = new Map<string, number>();
  const ran: Ran = { rows: [], ways: [], changes: 0, slipped: [] };
  const worth = (expression: Expression): number => {
    if (typeof expression === "number") return expression;
    if (typeof expression === "string") return values.get(expression) ?? 0;
    const [left, right] = [worth(expression[0]), worth(expression[2])];
    return expression[1] === "+" ? left + right : expression[1] === "-" ? left - right : left * right;
  };
  const holds = ({ left, sign, right }: Condition): boolean => {
    const [one, other] = [worth(left), worth(right)];
    return { "<": one < other, ">": one > other, "<=": one <= other, ">=": one >= other }[sign];
  };
  const row = (line: number, cells: Record<string, string> = {}) => {
    if (ran.rows.length > 60) throw new RangeError("too long");
    ran.rows.push({ line, cells });
  };
  /** The cell of a value, where it is another than before. */
  const changed = (name: string, value: number): Record<string, string> => {
    if (Math.abs(value) > 30_000) throw new RangeError("too large");
    if (values.get(name) === value) return {};
    values.set(name, value);
    return { [name]: String(value) };
  };
  const decide = (holds: boolean) => {
    ran.ways.push(holds);
    return holds;
  };
  const execute = ({ line, statement, first, second, before, behind }: Placed): void => {
    switch (statement.does) {
      case "assign": {
        const [right, former] = [worth(statement.value), values.get(statement.name)];
        const at = right === former ? -1 : ran.changes++;
        const slip = slips.find((each) => each.at === at && right + each.by !== former);
        if (slip) ran.slipped.push({ row: ran.rows.length, name: statement.name });
        row(line, changed(statement.name, right + (slip?.by ?? 0)));
        break;
      }
      case "print":
        row(line, { output: String(worth(statement.value)) });
        break;
      case "if":
        row(line);
        for (const each of decide(holds(statement.condition)) ? first : second) execute(each);
        break;
      case "times":
        for (let time = 0; time < statement.times; time++) {
          row(line, changed(statement.name, time));
          for (const each of first) execute(each);
        }
        row(line, writing.countsOn ? changed(statement.name, statement.times) : {});
        break;
      case "while":
        if (before) execute(before);
        for (;;) {
          row(line);
          if (!decide((values.get(statement.name) ?? 0) < statement.below)) break;
          for (const each of first) execute(each);
          if (behind) execute(behind);
        }
    }
  };
  try {
    for (const each of placed) execute(each);
    return ran;
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

/** What a student writes of such rows. */
const answered = (rows: readonly KeyRow[]): WrittenRow[] => rows.map(({ cells }) => ({ cells }));

const slips = fc.record({ at: fc.nat({ max: 14 }), by: fc.constantFrom(-2, -1, 1, 2, 7) });

/** A program in a language with its table, and how it is marked. */
function told(program: readonly Statement[], writing: Writing) {
  const { text, placed } = laidOut(program, writing);
  const key = run(placed, writing, []);
  const language = findLanguage(writing.language);
  if (!key || !language) return null;
  const shown = new Set(key.rows.flatMap(({ cells }) => Object.keys(cells)));
  const variables = [...names, "hour", "trip"]
    .filter((name) => shown.has(name))
    .map(
      (name): KeyColumn => ({
        key: name,
        title: name,
        ...(writing.functionName ? { functionName: writing.functionName } : {}),
      }),
    );
  const mark = (answer: readonly WrittenRow[], linesGiven: boolean) =>
    markTraceTable(
      {
        ...{ language, program: text, key: key.rows, variables, linesGiven, reading: {}, notationCounts: false },
        columns: [...variables.map((each) => each.key), "output"],
        ...{ given: new Set<string>(), cut: false, prompts: [] },
      },
      answer,
    );
  const gone = () => recordedRun(language, text, key.rows, variables);
  return { text, key, mark, gone, slipping: (...slips: Slip[]) => run(placed, writing, slips) };
}

const runs = { numRuns: process.env.BENT_NAIL_LONG ? 500 : 8 };

describe.each(writings)("in $language", (writing) => {
  test("the run of any such program can be gone through, and its own table earns everything", () => {
    fc.assert(
      fc.property(programs, fc.boolean(), (program, linesGiven) => {
        const found = told(program, writing);
        if (!found) return;
        expect(found.gone(), found.text).not.toBeNull();
        const marking = found.mark(answered(found.key.rows), linesGiven);
        expect(marking, found.text).toMatchObject({ slips: 0, open: 0, right: marking.wanted });
      }),
      runs,
    );
  });

  test("one slip costs one cell, whatever follows from it, where lines are printed and decisions stay", () => {
    fc.assert(
      fc.property(programs, slips, (program, slip) => {
        const found = told(program, writing);
        const own = found?.slipping(slip);
        if (!found || own?.slipped.length !== 1 || own.ways.join() !== found.key.ways.join()) return;
        const marking = found.mark(answered(own.rows), true);
        expect(marking, found.text).toMatchObject({ slips: 1, open: 0, right: marking.wanted - 1 });
        const [slipped] = own.slipped;
        expect(marking.rows[slipped?.row ?? -1]?.cells[slipped?.name ?? ""], found.text).toBe("wrong");
      }),
      runs,
    );
  });

  test("one slip costs one cell where rows are the student's own, also where it changes the way", () => {
    fc.assert(
      fc.property(programs, slips, (program, slip) => {
        const found = told(program, writing);
        const own = found?.slipping(slip);
        if (!found || own?.slipped.length !== 1) return;
        const marking = found.mark(answered(own.rows), false);
        expect(marking.slips, `${found.text}\n${JSON.stringify(own.rows)}`).toBeLessThanOrEqual(1);
      }),
      runs,
    );
  });

  test("two slips cost two cells at most, whatever the rows are", () => {
    fc.assert(
      fc.property(programs, slips, slips, fc.boolean(), (program, one, other, linesGiven) => {
        const found = told(program, writing);
        const own = found?.slipping(one, other);
        if (!found || !own || (linesGiven && own.ways.join() !== found.key.ways.join())) return;
        const marking = found.mark(answered(own.rows), linesGiven);
        expect(marking.slips, `${found.text}\n${JSON.stringify(own.rows)}`).toBeLessThanOrEqual(own.slipped.length);
      }),
      runs,
    );
  });

  test("a row that is left out costs no more than its own cells", () => {
    fc.assert(
      fc.property(programs, fc.nat(), (program, chosen) => {
        const found = told(program, writing);
        if (!found) return;
        const at = chosen % found.key.rows.length;
        const cells = Object.keys(found.key.rows[at]?.cells ?? {}).length;
        expect(found.mark(answered(found.key.rows.toSpliced(at, 1)), false).slips, found.text).toBeLessThanOrEqual(
          cells,
        );
      }),
      runs,
    );
  });
});
