import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { consoleText, type StepChange } from "../../outcome/outcome.ts";
import { runPseudocode } from "./run.ts";

const recorded = (program: string, change?: StepChange, files: Record<string, string> = {}, input = "") =>
  runPseudocode({ program, fileName: "deck.pseudo", input, files, record: 5000, ...(change ? { change } : {}) });
const printed = (run: ReturnType<typeof recorded>) => consoleText(run.outcome.console, ["out"]).trim().split("\n");
/** The step at which a line runs for the nth time. */
const stepAt = (program: string, line: number, time = 1): StepChange => {
  const steps = recorded(program).steps.filter((step) => step.line === line && !step.resumes && !step.call);
  return { step: steps[time - 1]?.index ?? -1, line };
};

const deck = `TYPE ferry
  load : INTEGER
ENDTYPE
DECLARE tern : ferry
tern.load ← 3
deck ← [4, 0, 7]
full ← FALSE
OUTPUT deck[1] + deck[2] + deck[3] + tern.load
OUTPUT 10 DIV deck[2]
OPENFILE "fares.txt" FOR READ
READFILE "fares.txt", fares
OUTPUT fares, " ", full
`;
const fares = { "fares.txt": "adult 12\n" };

describe("what if a value were another one", () => {
  const at = stepAt(deck, 8);
  const put = (name: string, value: string) => recorded(deck, { ...at, put: { name, value } }, fares);

  test("it counts from there on; before, nothing differs; the line itself tells of it", () => {
    const real = recorded(deck, undefined, fares);
    expect(printed(real)).toEqual(["14"]);
    expect(real.outcome.stoppedBy).toBe("fault");
    const divided = put("deck[2]", "2");
    expect(printed(divided)).toEqual(["16", "5", "adult 12 FALSE"]);
    expect(divided.notChanged).toBeUndefined();
    expect(divided.steps.slice(0, at.step)).toEqual(real.steps.slice(0, at.step));
    expect(divided.steps[at.step]?.writes.length).toBe(1);
    expect(printed(put("tern.load", "40"))).toEqual(["51"]);
    expect(printed(put("deck", '[1, 2 * 3, LENGTH("Tern")]'))[0]).toBe("14");
    expect(printed(put("deck[deck[2] + 2]", "deck[1] - 3"))[1]).toBe("10");
  });

  test("what cannot be put in is said, and the run is as it was", () => {
    for (const [name, value, why] of [
      ["berth", "3", "no name berth"],
      ["deck[9]", "3", "none 9"],
      ["deck[1]", "a lot of it", "is no value"],
      ["deck[1", "1", "there should be ]"],
      ["tern.length", "1", "no field"],
      ["deck[1]", "1 DIV 0", "divided by 0"],
      ["deck[1]", "twice(2)", "not called"],
    ] as const) {
      const run = put(name, value);
      expect(run.notChanged, `${name} = ${value}`).toContain(why);
      expect(printed(run)).toEqual(["14"]);
    }
    expect(recorded(deck, { step: 4000, line: 1, put: { name: "full", value: "TRUE" } }, fares).notChanged).toContain(
      "did not come",
    );
  });

  test("a declared name takes what fits its kind", () => {
    const program = "DECLARE cars : INTEGER\ncars ← 3\nOUTPUT cars\n";
    const given = (value: string) => recorded(program, { ...stepAt(program, 3), put: { name: "cars", value } });
    expect(printed(given("9"))).toEqual(["9"]);
    expect(given('"nine"').notChanged).toContain("declared for a whole number");
  });

  test("inside a call: its own names, and the place that was given by reference", () => {
    const program = `PROCEDURE take(BYREF aboard, more)
    aboard ← aboard + more
ENDPROCEDURE
load ← 5
CALL take(load, 2)
OUTPUT load
`;
    const at2 = stepAt(program, 2);
    const given = (name: string, value: string) => printed(recorded(program, { ...at2, put: { name, value } }));
    expect(given("more", "20")).toEqual(["25"]);
    expect(given("aboard", "100")).toEqual(["102"]);
    expect(given("load", "50")).toEqual(["52"]);
  });

  test("files are altered, taken away, and told", () => {
    const mended = { put: { name: "deck[2]", value: "2" } };
    expect(printed(recorded(deck, { ...at, ...mended, files: { "fares.txt": "child 6" } }, fares)).at(-1)).toBe(
      "child 6 FALSE",
    );
    const gone = recorded(deck, { ...at, ...mended, files: { "fares.txt": null } }, fares);
    expect(gone.outcome.diagnostics[0]?.errorName).toBe("no such file");
    expect(recorded(deck, { ...at, files: { "no-such.txt": null } }, fares).notChanged).toContain("no-such.txt");
    expect(recorded(deck, at, fares).filesAt).toEqual([{ name: "fares.txt", text: "adult 12" }]);
    expect(recorded(deck, undefined, fares).filesAt).toBeUndefined();
  });
});

test("putting a value in before a pass of a loop is what an assignment there would do", () => {
  const loop = (extra: string) => `total ← 0
cars ← 3
FOR trip ← 1 TO 6
${extra}
    total ← total + cars * trip
    IF total MOD 2 = 0 THEN
        cars ← cars + 1
    ENDIF
    OUTPUT trip, " ", total, " ", cars
NEXT trip
`;
  const plain = loop("");
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 6 }),
      fc.constantFrom("total", "cars"),
      fc.integer({ min: -50, max: 50 }),
      (pass, name, value) => {
        const changed = recorded(plain, { ...stepAt(plain, 5, pass), put: { name, value: String(value) } });
        const written = recorded(loop(`    IF trip = ${pass} THEN ${name} ← ${value}`));
        expect(printed(changed)).toEqual(printed(written));
      },
    ),
  );
});
