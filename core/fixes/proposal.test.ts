import { expect, test } from "vitest";
import { proposeFor } from "./proposal.ts";

const fix = (repairs: "repairs" | "hides" | "open", steps: number, ...lines: number[]) => ({
  ...{ repairs, lines },
  steps: Array.from({ length: steps }, () => "a change"),
});
const given = { class: "logic" as const, kind: null, suspected: [5, 2], marked: [], fixes: [] };

test("The lines are those that are marked, else those of the change, else the first suspected one", () => {
  expect(proposeFor(given)).toMatchObject({ lines: [5], fix: null });
  expect(proposeFor({ ...given, fixes: [fix("repairs", 1, 3, 4)] })?.lines).toEqual([3, 4]);
  expect(proposeFor({ ...given, marked: [7], fixes: [fix("repairs", 1, 3)] })?.lines).toEqual([7]);
  expect(proposeFor({ ...given, suspected: [] })?.lines).toEqual([]);
});

test("Of a change in several steps the first one's line is this layer's", () => {
  expect(proposeFor({ ...given, fixes: [fix("open", 2, 3, 8)] })?.lines).toEqual([3]);
});

test("A change that only hides the fault is never proposed; where no fault shows nothing is", () => {
  const [hides, open] = [fix("hides", 1, 3), fix("open", 1, 4)];
  expect(proposeFor({ ...given, fixes: [hides] })).toMatchObject({ lines: [5], fix: null });
  expect(proposeFor({ ...given, fixes: [hides, open] })?.fix).toBe(open);
  expect(proposeFor({ ...given, class: null })).toBeNull();
});
