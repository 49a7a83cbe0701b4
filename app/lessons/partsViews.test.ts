import { createElement } from "react";
import { expect, test } from "vitest";
import { testExercise } from "../../core/exercises/testExercise.ts";
import { findPart, partKinds } from "../../core/lessons/parts.ts";
import { revealsOf } from "../../core/lessons/reveals.ts";
import type { ShownPart } from "../../server/lessons/lessonView.ts";
import { textOfPage } from "../askRoute.ts";
import type { Presentation } from "../present/presentation.ts";
import { allPartParts, partPartsOf } from "./parts/list.ts";

const base = { key: "k", name: "A part", takes: 5, firstTask: 3, tasks: 1 };
const came = { class: "syntax" as const, message: "SyntaxError: expected ':'", line: 2, printed: "" };
const told = { is: "It is this.", shows: "It shows so.", find: ["Look there."], words: [] };

const parts: { [Kind in ShownPart["kind"]]: Extract<ShownPart, { kind: Kind }> } = {
  classes: {
    ...{ ...base, kind: "classes" },
    shows: [
      { of: "syntax", ...told, words: [{ title: "Where it was noticed", words: "At the harbour." }] },
      { of: "logic", ...told, is: "It is that." },
    ],
  },
  program: {
    ...{ ...base, kind: "program" },
    shows: {
      ...{ exercise: "e", without: ["fix"], title: "Deck", intro: "Add the loads.", fileName: "deck.py" },
      ...{ userActions: [], lines: ["deck = 4"], typed: "4\n" },
    },
  },
  lab: {
    ...{ ...base, kind: "lab" },
    shows: {
      ...{ exercise: "e", title: "Tide", intro: "", fileName: "tide.py", right: "if 1:\n    tide = 1\n" },
      ...{ lines: ["if 1:", "    tide = 1"], typed: "" },
      changes: [{ number: 0, text: "if 1\n    tide = 1\n", line: 1, before: "if 1:", after: "if 1", came }],
    },
  },
  reading: {
    ...{ ...base, kind: "reading", tasks: 2 },
    shows: [
      { of: "text", text: "The tide comes twice." },
      { of: "task", text: "When?" },
      { of: "program", text: "tide = 3" },
      { of: "task", text: "Why?" },
    ],
  },
  story: { ...{ ...base, kind: "story" }, shows: [{ of: "text", text: "The bell was never faulty." }] },
  sheet: { ...{ ...base, kind: "sheet" }, shows: { key: "s", title: "Ferry", code: "ABCD-2345", state: "set" } },
  recap: {
    ...{ ...base, kind: "recap" },
    shows: [
      {
        ...{ of: "logic", ...told },
        examples: [{ title: "Deck", language: "python", before: ["deck - 3"], after: ["deck + 3"], says: "" }],
      },
    ],
  },
};
const all: readonly ShownPart[] = Object.values(parts);

const shown = (view: unknown, props: object) =>
  textOfPage(({ loaderData }: { loaderData: object }) => createElement(view as never, loaderData), props);
const before = (part: ShownPart, count: number, loaded: Presentation | null = null) =>
  shown(partPartsOf(part.kind).Before, { part, count, loaded });
const read = (part: ShownPart) => shown(partPartsOf(part.kind).Read, { part, code: "ABCD-2345" });
const plan = (part: ShownPart) => shown(partPartsOf(part.kind).Plan, { part });

test("what each kind of part shows has a place in the list, and is of a kind that there is", () => {
  expect(allPartParts.map(({ kind }) => kind).sort()).toEqual(partKinds.map(({ kind }) => kind).sort());
  expect(all.map(({ kind }) => kind).sort()).toEqual(partKinds.map(({ kind }) => kind).sort());
});

test("before a class nothing of a part is told before it was asked for, and each thing at its step", () => {
  const answers: ReadonlyArray<[ShownPart, string[][]]> = [
    [parts.classes, [["It is this.", "At the harbour."], ["It is that."]]],
    [parts.lab, [["becomes if 1"], ["becomes if 1", "expected &#x27;:&#x27;"]]],
    [parts.story, [["The bell was never faulty."]]],
    [parts.recap, [["deck + 3"]]],
  ];
  for (const [part, steps] of answers) {
    expect(partPartsOf(part.kind).steps(part, null)).toBe(steps.length);
    for (const [at, words] of steps.entries()) {
      for (const word of words) expect(before(part, at + 1)).toContain(word);
      for (const word of words.filter((each) => !steps[at - 1]?.includes(each)))
        expect(before(part, at)).not.toContain(word);
    }
  }
  // One class at a time, so that the newest is never below the edge of the screen.
  expect(before(parts.classes, 2)).not.toContain("At the harbour.");
  expect(before(parts.lab, 1)).toContain("Guess: is it refused");
  expect(before(parts.lab, 1)).not.toContain("SyntaxError");
});

test("of many changes the last three stand beside one another, with their own numbers", () => {
  const { shows } = parts.lab;
  if (!shows) throw new Error("no lab");
  const [first] = shows.changes;
  const changes = first ? [1, 2, 3, 4, 5].map((number) => ({ ...first, number, after: `if ${number}` })) : [];
  const many = { ...parts.lab, shows: { ...shows, changes } };
  const text = before(many, 9);
  expect(["if 2", "if 3", "if 4", "if 5"].map((after) => text.includes(`becomes ${after}`))).toEqual([
    ...[false, true, true, true],
  ]);
  expect(text.match(/SyntaxError/g)).toHaveLength(2);
  expect(text).toContain("Guess: is it refused");
});

test("a program before a class waits for its run, and leaves out what the lesson leaves out", () => {
  expect(before(parts.program, 0)).toContain("The program is being run");
  const faults = testExercise().faults.map(({ hunks, faultyLines, class: of }) => ({
    ...{ class: of, hunks, faultyLines, looks: [], reportedLine: null },
  }));
  const loaded: Presentation = {
    ...{ title: "Deck", back: "/", intro: "", fileName: "deck.py", userActions: [], lines: ["deck = 4"], typed: "" },
    runs: [{ notRun: "not run in a test" }],
    ...{ faults, typedLabel: "Typed in", intended: null, reveals: revealsOf(faults) },
  };
  const whole = revealsOf(faults).length;
  const steps = partPartsOf("program").steps(parts.program, loaded);
  // Without mending: no question how, no change, no second run.
  expect(steps).toBe(whole - 4);
  expect(before(parts.program, steps, loaded)).toContain("The mistake is in line 2.");
  expect(partPartsOf("program").steps(parts.program, null)).toBe(0);
  expect(partPartsOf("program").runs?.(parts.program)).toBe("e");
});

test("students read tasks with their numbers, the sheet as a link, a story behind a press, and nothing of what comes out", () => {
  expect(read(parts.reading)).toMatch(/Task 3\. When\?.*tide = 3.*Task 4\. Why\?/);
  expect(read(parts.program)).toContain("Task 3. Read it.");
  expect(read(parts.program)).not.toContain("How would you mend it?");
  expect(read(parts.program)).toContain("Typed in: 4");
  expect(read(parts.sheet)).toContain("Task 3. Ferry");
  expect(read({ ...parts.sheet, shows: { key: "s", title: "Ferry", code: "A", state: "closed" } })).toContain(
    "(not open now)",
  );
  expect(read(parts.lab)).toContain("Change 1 in line 1");
  expect(read(parts.lab)).not.toContain("SyntaxError");
  expect(read({ ...parts.recap, shows: [] })).toContain("This comes after the lesson.");
});

test("the plan says what each part is about, in few words", () => {
  expect(plan(parts.program)).toMatch(/Deck : guess, run it, name the kind of error, find the line$/);
  expect(plan(parts.lab)).toMatch(/1 change .*Line 1: if 1: becomes if 1 .*line 2: SyntaxError/);
  expect(plan(parts.classes)).toContain("syntax error, logic error");
  expect(plan({ ...parts.reading, shows: [] })).toContain("nothing is written yet");
  const long = { of: "text" as const, text: "word ".repeat(30).trim() };
  expect(plan({ ...parts.reading, shows: [long] }).trim()).toBe(`${"word ".repeat(14)}…`);
});

test("what is not there any more is said, wherever it would have been shown", () => {
  for (const part of [
    { ...parts.program, shows: null },
    { ...parts.lab, shows: null },
    { ...parts.sheet, shows: null },
  ])
    for (const text of [before(part, 0), read(part), plan(part)]) expect(text).toContain("is not there any more");
});

test("a part's form says what its schema reads; with another exercise a lab's changes go", () => {
  const form = (fields: ReadonlyArray<readonly [string, string]>) => {
    const data = new FormData();
    for (const [name, value] of fields) data.append(name, value);
    return data;
  };
  const content = (kind: ShownPart["kind"], fields: ReadonlyArray<readonly [string, string]>, was: unknown = {}) =>
    findPart(kind)?.schema.safeParse(partPartsOf(kind).contentOf(form(fields), was));
  expect(content("classes", [["class", "logic"]])).toMatchObject({ data: { classes: ["logic"] } });
  expect(content("classes", [["class", "magic"]])?.success).toBe(false);
  expect(
    content("program", [
      ["exercise", "e"],
      ["step", "line"],
    ]),
  ).toMatchObject({
    data: { exercise: "e", without: ["class", "fix"] },
  });
  expect(content("program", [])?.success).toBe(false);
  expect(content("reading", [["text", "One\r\n\r\n? Two"]])).toMatchObject({ data: { text: "One\n\n? Two" } });
  expect(content("story", [["text", "x".repeat(30_000)]])?.success).toBe(false);
  const lab = { exercise: "e", changes: [{ text: "x", came }] };
  expect(content("lab", [["exercise", "e"]], lab)).toMatchObject({ data: lab });
  expect(content("lab", [["exercise", "other"]], lab)).toMatchObject({ data: { exercise: "other", changes: [] } });
  expect(content("recap", [])).toMatchObject({ data: {} });
});

test("the form of each kind can be shown, also where its content cannot be read", () => {
  const choices = {
    exercises: [
      { key: "e", title: "Deck", classes: ["logic" as const], mended: true },
      { key: "f", title: "Open case", classes: [], mended: false },
    ],
    sheets: [{ key: "s", title: "Ferry" }],
  };
  const fields = (kind: ShownPart["kind"], content: unknown) => shown(partPartsOf(kind).Fields, { content, choices });
  for (const { kind } of allPartParts) expect(fields(kind, { nonsense: true }).length).toBeGreaterThan(3);
  expect(fields("program", {})).toContain("Open case (no fault)");
  expect(fields("lab", {})).not.toContain("Open case");
  expect(fields("sheet", { sheet: "s" })).toContain("Ferry");
});
