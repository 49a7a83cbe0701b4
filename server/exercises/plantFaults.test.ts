import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { findHunks } from "../../core/fixes/hunks.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import type { FaultClass } from "../../core/verdict/verdict.ts";
import { openTestServices } from "../testServices.ts";
import { checksOfProgram } from "./checksOfProgram.ts";
import { type Planting, plantFaults } from "./plantFaults.ts";
import { runForCheck } from "./runForCheck.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

const python = findLanguage("python");
if (!python) throw new Error("no Python");

/** A program of the ferry's with a loop, decisions and functions, thirty lines long. */
const deck = `# Loads of the cars on the deck of the ferry
names = ["Tern", "Skua", "Gull"]
limits = [40, 25, 30]


def free_places(limit, loads):
    total = 0
    for load in loads:
        total = total + load
    return limit - total


def fare_for(age, cars):
    if age < 15 and cars == 0:
        return 4
    elif age >= 65:
        return 6
    return 9 + cars * 3


count = int(input("How many cars? "))
age = int(input("Age? "))
loads = []
for number in range(count):
    loads.append(number * 2 + 3)
for place in range(len(names)):
    free = free_places(limits[place], loads)
    if free < 0:
        print(names[place], "is full")
    else:
        print(names[place], "has", free, "left")
print("Fare:", fare_for(age, count))
`;

describe("ten faults in a program of thirty lines", () => {
  let planting: Planting;
  beforeAll(async () => {
    const checks = await checksOfProgram(services, python, "deck.py", deck);
    expect(checks.length).toBeGreaterThan(3);
    planting = await plantFaults(services.toolchains, {
      ...{ language: python, fileName: "deck.py", program: deck, checks, count: 10, seconds: 60 },
    });
  });

  test("levels never fall, there are four, each class twice, no family more than twice, no effect twice", () => {
    const { planted, said } = planting;
    expect([planted.length, said]).toEqual([10, []]);
    const levels = planted.map((each) => each.level);
    expect(levels).toEqual([...levels].sort((one, other) => one - other));
    expect(new Set(levels).size).toBeGreaterThanOrEqual(4);
    const count = (of: (each: (typeof planted)[number]) => string) => {
      const counts = new Map<string, number>();
      for (const each of planted) counts.set(of(each), (counts.get(of(each)) ?? 0) + 1);
      return counts;
    };
    const classes = count((each) => each.class);
    for (const of of ["syntax", "runtime", "logic"] satisfies FaultClass[])
      expect(classes.get(of) ?? 0).toBeGreaterThanOrEqual(2);
    expect(Math.max(...count((each) => each.family).values())).toBeLessThanOrEqual(2);
    expect(new Set(planted.map((each) => each.effect)).size).toBe(10);
  });

  test("each differs from the right program in one line, shows as its class, and is right again when undone", async () => {
    const checks = await checksOfProgram(services, python, "deck.py", deck);
    const content = { language: "python", fileName: "deck.py" };
    for (const { program, mended, class: faultClass, lines, message, why } of planting.planted) {
      expect(mended).toBe(deck);
      const [hunk, other] = findHunks(program, mended);
      expect([hunk?.start, other]).toEqual([lines[0], undefined]);
      expect(why.length).toBeGreaterThan(0);
      const shown: FaultClass[] = [];
      for (const check of checks) {
        const ran = await runForCheck(services, content, program, check);
        if ("notRun" in ran) throw new Error(ran.notRun);
        const { stoppedBy } = ran.outcome;
        if (!ran.passes) shown.push(stoppedBy === "refused" ? "syntax" : stoppedBy === "fault" ? "runtime" : "logic");
      }
      expect(shown[0]).toBe(faultClass);
      expect(message !== "").toBe(faultClass !== "logic");
    }
  });
});

const small = "load = 3\nprint(load + 4)\n";
const plant = (program: string, wish: { classes?: FaultClass[]; level?: number; pattern?: string }, expected = "7\n") =>
  plantFaults(services.toolchains, {
    ...{ language: python, fileName: "deck.py", program, count: 3, seconds: 20, ...wish },
    checks: [{ input: "", expected, kind: "normal", ignorePrompts: false, files: {} }],
  });

test("only what is wanted is planted, and too little is said", async () => {
  const { planted } = await plant(small, { classes: ["syntax"] });
  expect(planted.map((each) => each.class)).toEqual(["syntax", "syntax", "syntax"]);
  const named = await plant(small, { pattern: "own-name-misspelt" });
  expect(named.planted.map((each) => each.pattern)).toContain("own-name-misspelt");
  expect(new Set(named.planted.map((each) => each.pattern)).size).toBe(1);
  const high = await plant(small, { level: 5 });
  expect([high.planted, high.said]).toEqual([[], ["Only 0 of 3 could be planted in this program as it is wanted."]]);
});

test("a program that is not right, does not end, or says nothing is refused in words", async () => {
  expect((await plant(small, {}, "8\n")).said[0]).toContain("does not pass check 1");
  expect((await plant("while True:\n    pass\n", {}, "8\n")).said[0]).toContain("does not pass check 1");
  const none = await plantFaults(services.toolchains, {
    ...{ language: python, fileName: "deck.py", program: small, count: 3, seconds: 5, checks: [] },
  });
  expect(none.said[0]).toContain("nothing says what is right");
});
