import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { causeRefusal, causes, dependences, type FieldEvidence, moments, suggestFields } from "./fields.ts";
import { secondOpinion } from "./secondOpinion.ts";

const failing = { passes: false, input: "4\n", surroundings: "" };
const passing = { passes: true, input: "2\n", surroundings: "" };
const evidence = (given: Partial<FieldEvidence>): FieldEvidence => ({
  ...{ class: "logic", runs: [failing], reads: true, chance: false },
  ...{ reportedLine: null, faultyLines: [3], error: "", neverRan: null, ...given },
});
const values = (given: Partial<FieldEvidence>) => {
  const { cause, moment, depends } = suggestFields(evidence(given));
  return [cause.value, moment.value, depends.value];
};

describe("the fields of a fault are filled by the evidence", () => {
  test.each<[string, Partial<FieldEvidence>, unknown[]]>([
    ["a refusal", { class: "syntax" }, ["syntax", "on translating", "certain"]],
    [
      "a wrong result with every input",
      { runs: [failing, { ...failing, input: "5\n" }] },
      ["logic", "on examining the result", "certain"],
    ],
    [
      "a wrong result with some inputs",
      { runs: [failing, passing] },
      ["logic", "only in some runs", "depends on input"],
    ],
    [
      "a stop in other surroundings",
      {
        class: "runtime",
        error: "FileNotFoundError: tides.txt",
        runs: [
          { ...failing, surroundings: "none" },
          { ...passing, input: "4\n" },
        ],
      },
      ["runtime", "only in some runs", "depends on surroundings"],
    ],
    [
      "a wrong bound that ends in a stop",
      { class: "runtime", error: "IndexError: list index out of range" },
      ["logic", "on reaching the line", "certain"],
    ],
    [
      "a stop whose value was made elsewhere",
      { class: "runtime", error: "TypeError: no", reportedLine: 7 },
      ["logic", "on reaching the line", "certain"],
    ],
    [
      "a stop where it stands",
      { class: "runtime", error: "NameError: name 'tid'", reportedLine: 3 },
      ["runtime", "on reaching the line", "certain"],
    ],
    ["chance", { chance: true }, ["logic", "on examining the result", "depends on chance"]],
    [
      "a marked line that never ran",
      { class: null, runs: [passing], neverRan: [{ from: 2, to: 4 }] },
      [null, "not yet", "not reached"],
    ],
    ["no fault", { class: null, runs: [passing], neverRan: [] }, [null, null, null]],
  ])("%s", (_, given, wanted) => expect(values(given)).toEqual(wanted));

  test("whatever the evidence, each field has a value of its list or none, with a reason, and the cause goes with the class", () => {
    const run = fc.record({
      passes: fc.constantFrom(true, false, null),
      input: fc.constantFrom("", "1\n"),
      surroundings: fc.constantFrom("", "[]"),
    });
    fc.assert(
      fc.property(
        fc.record({
          ...{
            class: fc.constantFrom("syntax" as const, "runtime" as const, "logic" as const, null),
            runs: fc.array(run),
          },
          ...{
            reads: fc.boolean(),
            chance: fc.boolean(),
            reportedLine: fc.option(fc.nat(9)),
            faultyLines: fc.array(fc.nat(9)),
          },
          error: fc.constantFrom("", "IndexError: x", "NameError: y"),
          neverRan: fc.option(fc.array(fc.record({ from: fc.nat(9), to: fc.nat(9) }))),
        }),
        (given) => {
          const { cause, moment, depends } = suggestFields(given);
          expect([...causes, null]).toContain(cause.value);
          expect([...moments, null]).toContain(moment.value);
          expect([...dependences, null]).toContain(depends.value);
          for (const { why } of [cause, moment, depends]) expect(why).toMatch(/\.$/);
          expect(causeRefusal(given.class, cause.value)).toBeNull();
        },
      ),
    );
  });

  test("a slip of the thinking may show as a crash, never as a refusal", () => {
    expect(causeRefusal("runtime", "logic")).toBeNull();
    expect(causeRefusal("syntax", "logic")).toContain("refused");
    expect(causeRefusal("logic", "syntax")).toContain("not refused");
    expect(causeRefusal(null, "logic")).toBeNull();
  });
});

test("a second opinion says why, by how the language reads names", () => {
  const undefinedName = {
    decided: "syntax",
    suggested: "runtime",
    message: "NameError: name 'tid' is not defined",
  } as const;
  expect(secondOpinion({ language: { name: "Python", namesCheckedAt: "run" }, ...undefinedName })).toMatch(
    /NameError came when its line was reached.*lines before it did run/,
  );
  expect(secondOpinion({ language: { name: "Java", namesCheckedAt: "translation" }, ...undefinedName })).toContain(
    "accepted the whole text",
  );
  const classes = ["syntax", "runtime", "logic"] as const;
  const said = classes.flatMap((decided) =>
    classes
      .filter((each) => each !== decided)
      .map((suggested) =>
        secondOpinion({ language: { name: "C", namesCheckedAt: "translation" }, decided, suggested, message: "" }),
      ),
  );
  expect(new Set(said).size).toBe(6);
});
