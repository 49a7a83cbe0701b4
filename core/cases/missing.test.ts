import { expect, test } from "vitest";
import { missingOf } from "./missing.ts";

const decided = {
  outcome: "fault",
  class: "logic",
  kind: null,
  suggested: "logic",
  reason: "",
  at: "2026-09-14T08:00:00Z",
} as const;
const whole = {
  decided,
  faultyLines: [{ line: 3 }],
  place: "lines",
  pattern: "zero-divisor",
  explanation: "",
  mended: true,
  verified: {},
};

test("a record with class, place, kind, fix and proof lacks nothing; what is no fault lacks nothing either", () => {
  expect(missingOf(whole)).toEqual([]);
  const none = {
    ...whole,
    decided: { ...decided, outcome: "no fault" as const },
    faultyLines: [],
    pattern: null,
    mended: false,
    verified: null,
  };
  expect(missingOf(none)).toEqual([]);
});

test("what is missing is named; a fault outside of the program has no line", () => {
  expect(missingOf({ ...whole, decided: null, faultyLines: [], pattern: null, mended: false, verified: null })).toEqual(
    ["the class is not confirmed", "the faulty line", "the kind of mistake is not confirmed", "the fix"],
  );
  expect(missingOf({ ...whole, faultyLines: [], place: "outside" })).toEqual([]);
  expect(missingOf({ ...whole, verified: null })).toEqual(["the run that proves the fix"]);
});
