import fc from "fast-check";
import { expect, test } from "vitest";
import { printedByStep } from "./heldBack.ts";
import type { Step } from "./trace.ts";

/** Steps of a program that prints these texts, one a line, through a library that holds back all behind the last line end. */
function recorded(texts: readonly string[]) {
  const held = new Map<number, string>();
  let waits = "";
  const steps = texts.map((text, index): Step => {
    waits += text;
    const end = waits.lastIndexOf("\n") + 1;
    const out = waits.slice(0, end);
    if (text !== "") held.set(index, waits.slice(end));
    waits = waits.slice(end);
    return { index, line: index + 1, file: 0, frame: 1, depth: 0, writes: [], ...(out === "" ? {} : { out }) };
  });
  return { steps, held, waits };
}

const texts = fc.array(fc.constantFrom("", "a", "Deck ", "\n", "4\n", "x\ny", "é"), { maxLength: 12 });

test("each line has what it printed, whatever the library held back; what never came out is marked", () => {
  fc.assert(
    fc.property(texts, (printed) => {
      const { steps, held, waits } = recorded(printed);
      printedByStep(steps, held);
      expect(steps.map((step) => step.out ?? "")).toEqual(printed);
      expect(steps.map((step) => step.unseen ?? "").join("")).toBe(waits);
      for (const step of steps) expect((step.out ?? "").endsWith(step.unseen ?? "")).toBe(true);
    }),
  );
});

test("what the library hands on when the program ends was seen", () => {
  fc.assert(
    fc.property(texts, (printed) => {
      const { steps, held, waits } = recorded(["Deck ", ...printed, ""]);
      const last = steps.at(-1);
      if (last && waits !== "") last.out = waits;
      printedByStep(steps, held);
      expect(steps.map((step) => step.out ?? "")).toEqual(["Deck ", ...printed, ""]);
      expect(steps.filter((step) => step.unseen !== undefined)).toEqual([]);
    }),
  );
});

test("a recording in which nothing is held back stays as it is", () => {
  const steps: Step[] = [{ index: 0, line: 1, file: 0, frame: 0, depth: 0, writes: [], out: "4\n" }];
  printedByStep(steps, new Map());
  expect(steps[0]?.out).toBe("4\n");
});
