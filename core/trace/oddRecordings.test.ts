import fc from "fast-check";
import { expect, test } from "vitest";
import { isLongRun } from "../../tools/share.ts";
import { packRows, unpackRows } from "../formats/packedTable.ts";
import { traceFormats } from "../formats/traceFormats.ts";
import type { Language } from "../languages/language.ts";
import { languages } from "../languages/languages.ts";
import { unknownOutcome } from "../outcome/outcome.ts";
import { readableTable } from "./annotate.ts";
import { compareRuns } from "./compareRuns.ts";
import { frameEnds } from "./frameEnds.ts";
import { lastState } from "./lastState.ts";
import { openCalls, recursionsIn } from "./levels.ts";
import { withClassNames } from "./methodClasses.ts";
import { changesOf, toCrash, toFirstWrong, toText, valuesAt } from "./moves.ts";
import { linesThatRan, neverRanStretches } from "./neverRan.ts";
import { ownTable } from "./ownTable.ts";
import { createRecordingReader } from "./readRecording.ts";
import { createStates } from "./stateAt.ts";
import { buildTable } from "./table.ts";
import { rowPolicies, usualStyle } from "./tableStyle.ts";
import type { Trace } from "./trace.ts";
import { valueHistories } from "./valueHistory.ts";

/** A program that a recording may speak of, in languages of every kind. */
const programs: Readonly<Record<string, string>> = {
  python:
    "deck = [3, 5]\ndef load(car):\n    deck.append(car)\n    return car\nwhile len(deck) < 4:\n    load(1)\nprint(deck)\n",
  java: "public class Main {\n  static int load(int car) {\n    return car;\n  }\n  public static void main(String[] args) {\n    for (int i = 0; i < 3; i++) {\n      load(i);\n    }\n  }\n}\n",
  c: "int load(int car)\n{\n    return car;\n}\nint main(void)\n{\n    int i = 0;\n    while (i < 3)\n        i += load(1);\n    return 0;\n}\n",
  pascal: "program Deck;\nvar i: integer;\nbegin\n  for i := 1 to 3 do\n    writeln(i);\nend.\n",
  pseudocode: "i <- 0\nWHILE i < 3\ni <- i + 1\nENDWHILE\nOUTPUT i\n",
};

const small = () => fc.integer({ min: 0, max: 4 });
/** A number that a recorder writes, now and then one that none does. */
const number = () =>
  fc.oneof({ weight: 12, arbitrary: small() }, fc.constantFrom(-1, 0.5, 1e9, 2 ** 53, 9_999_999), fc.string());
const word = () =>
  fc.constantFrom("deck", "car", "i", "load", "main", "Main", "constructor", "__proto__", "", "length", "a b", "é");

/** A value's token: plain, a mention, or one that holds others. */
const { value } = fc.letrec<{ value: unknown }>((tie) => ({
  value: fc.oneof(
    { maxDepth: 4, depthSize: "small" },
    fc.oneof(small(), fc.boolean(), fc.constant(null), fc.tuple(word(), fc.string()), fc.constant(["-"])),
    fc.tuple(word(), fc.constant(null), small()),
    fc.tuple(
      fc.constantFrom("list", "dict", "Car", "list from 1", "frozenset"),
      fc.constant(null),
      small(),
      fc.array(fc.oneof(tie("value"), fc.tuple(word(), tie("value"))), { maxLength: 4 }),
      fc.constantFrom("l", "t", "s", "d", "o", "x"),
      fc.oneof(fc.constantFrom(0, 3, 500, -2, 1.5), fc.constant(null)),
    ),
  ),
}));

const frame = () => fc.tuple(number(), fc.constantFrom(0, 0, 0, 1), number());
const token = () =>
  fc.oneof(
    { weight: 30, arbitrary: fc.integer({ min: 1, max: 11 }).map((line): unknown[] => [line]) },
    { weight: 30, arbitrary: fc.tuple(fc.integer({ min: 1, max: 4 }), value).map(([column, one]) => [-column, one]) },
    frame().map((numbers) => [["f", ...numbers]]),
    fc.tuple(frame(), number(), word()).map(([numbers, line, name]) => [["c", ...numbers, line, name]]),
    fc.tuple(frame(), number()).map(([numbers, line]) => [["r", ...numbers, line]]),
    value.map((one) => [["v", one]]),
    small().map((column) => [["e", column]]),
    fc.string().map((text) => [["p", text]]),
    fc.boolean().map((holds) => [["k", holds]]),
    fc.tuple(word(), fc.string()).map(([name, text]) => [["x", name, text]]),
    fc.tuple(small(), fc.oneof(number(), word()), value).map(([owner, place, one]) => [["o", owner, [place], one]]),
    { weight: 1, arbitrary: fc.json().map((text): unknown[] => [JSON.parse(text)]) },
  );
const recording = () =>
  fc
    .tuple(fc.array(word(), { minLength: 4, maxLength: 4 }), fc.array(token(), { maxLength: 40 }))
    .map(([names, tokens]) => [
      ...names.map((name, at) => ["d", at + 1, at % 2, name]),
      ...[["f", 1, 0, 0], 1],
      ...tokens.flat(),
    ]);

/** All that is made of a recorded run. */
function lookAlong(language: Language, text: string, trace: Trace): void {
  const styles = (["whole", "named"] as const).map((objects) => ({ ...usualStyle, objects }));
  const plain = buildTable(trace);
  const keys = plain.columns.map(({ key }) => key);
  for (const style of styles)
    for (const rows of rowPolicies) {
      const table = readableTable(language, text, trace, { rows, style, input: "3\n4\n", elements: keys.slice(0, 2) });
      for (const write of Object.values(traceFormats)) write(table, trace, ["condition", "pass", "call", "depth"]);
    }
  const shown = (cells: Readonly<Record<string, string>>) => keys.map((key) => cells[key]);
  expect(unpackRows(packRows(plain), plain.columns).map(({ cells }) => shown(cells))).toEqual(
    plain.rows.map(({ cells }) => shown(cells)),
  );
  const rows = readableTable(language, text, trace).rows;
  const changes = changesOf(rows);
  for (let done = 0; done <= rows.length; done += 3) {
    valuesAt(rows, done, changes);
    openCalls(rows).at(done);
    toText(rows, done, "deck");
  }
  recursionsIn(rows);
  toCrash(rows);
  toFirstWrong(rows, "4\n");
  const half = { text, table: { ...plain, rows: plain.rows.slice(0, plain.rows.length / 2) } };
  compareRuns({ text, table: plain }, half);
  const states = createStates(trace);
  for (const place of trace.steps.keys())
    for (const moment of ["before", "after"] as const) {
      const state = states.to(place, moment);
      for (const name of state?.names() ?? []) state?.value(name);
    }
  frameEnds(trace.steps);
  lastState(trace);
  withClassNames(language, [text], trace.steps);
  neverRanStretches(language, text, linesThatRan(trace) ?? new Set());
  ownTable(language, text, trace, "It ended by itself.");
  valueHistories(language, text, trace);
}

test.each(Object.entries(programs))(
  "%s: whatever a program has scribbled over its recording, it is refused or shown",
  (id, text) => {
    const language = languages.find((each) => each.id === id);
    if (!language) throw new Error(`${id} is not there`);
    let read = 0;
    fc.assert(
      fc.property(recording(), fc.boolean(), (tokens, isCut) => {
        const steps = createRecordingReader().read(JSON.stringify(tokens));
        if (!steps) return;
        read += 1;
        lookAlong(language, text, {
          ...{ outcome: unknownOutcome("broken", ""), files: ["Main"], steps },
          ...(isCut ? { cut: "The first steps, up to the step limit." } : {}),
        });
      }),
      { numRuns: isLongRun ? 3000 : 60 },
    );
    // Most are recordings indeed.
    expect(read).toBeGreaterThan(isLongRun ? 300 : 6);
  },
);
