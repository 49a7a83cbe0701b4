import { expect, test } from "vitest";
import { compareReadings, type FlaggedWhen } from "./compareReadings.ts";
import { flaggedEarlier, flaggedWhen, isCheckerOrigin } from "./flaggedWhen.ts";

const told = (line: number | null, title: string, when: FlaggedWhen | null) => ({
  ...{ line, title, when },
  kind: "unknown name",
  severity: "error",
});
const line = (number: number) => `Line ${number}`;

test("a checker's mark beside a run's stop: what is flagged earlier is said, with when", () => {
  const rows = compareReadings([
    [told(4, "undefined name 'totl'", "writing"), told(9, "undefined name 'tide'", "writing")],
    [told(4, "NameError: name 'totl' is not defined", "running")],
  ]);
  expect(flaggedEarlier(rows, ["an editor’s list", "the run here"], line)).toEqual([
    "Line 4: “an editor’s list” flags it while the text is being written, “the run here” only when the run reaches it, in other words.",
    "Line 9: only “an editor’s list” says something of it; a checker goes on where a translator or a run ends.",
  ]);
});

test("a translator's warning beside a crash that names no line; nothing is said where both notice it at once", () => {
  const same = "format %d expects int *";
  const warned = compareReadings([[told(3, same, "running")], [told(3, same, "translating")]]);
  expect(flaggedEarlier(warned, ["as pasted", "gcc"], line)).toEqual([
    "Line 3: “gcc” flags it when the text is translated, before anything runs, “as pasted” only when the run reaches it.",
  ]);
  const apart = compareReadings([[told(2, same, "writing")], [told(3, same, "translating")]]);
  expect(flaggedEarlier(apart, ["an editor", "gcc"], line)).toEqual([
    "Line 2: “an editor” flags it while the text is being written, “gcc” when the text is translated, before anything runs, at line 3.",
  ]);
  const alike = compareReadings([[told(3, "a", "translating")], [told(3, "b", "translating")]]);
  expect(flaggedEarlier(alike, ["one", "other"], line)).toEqual([]);
  // What nobody knows the moment of is not put in an order.
  const unknown = compareReadings([[told(null, "a", null)], [told(null, "b", "running")]]);
  expect(flaggedEarlier(unknown, ["one", "other"], line)).toEqual([]);
});

test("words for where an output came from tell a checker; compilers and runs are none", () => {
  for (const origin of ["an editor’s list", "Editor", "red underlines while typing", "our linter", "the IDE"])
    expect([origin, isCheckerOrigin(origin)]).toEqual([origin, true]);
  for (const origin of ["", "gcc 9", "another compiler", "the school's computer", "video"])
    expect([origin, isCheckerOrigin(origin)]).toEqual([origin, false]);
  expect([flaggedWhen("run", true), flaggedWhen("run", false), flaggedWhen("unknown", false)]).toEqual([
    ...["writing", "running", null],
  ]);
});
