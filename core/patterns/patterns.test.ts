import { expect, test } from "vitest";
import { editFamilies } from "../edits/families.ts";
import { findHunks } from "../fixes/hunks.ts";
import { findLanguage } from "../languages/languages.ts";
import type { FaultClass } from "../verdict/verdict.ts";
import { evidenceOf } from "./evidence.ts";
import { findPattern, patterns } from "./patterns.ts";
import { suggestPatterns } from "./suggest.ts";

const languageOf = (id: string) => {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  return language;
};

/** What is suggested for a faulty program that is mended by a change of a family; `message` is the tool's own. */
function suggested(
  id: string,
  faulty: string,
  right: string,
  family: string,
  of: FaultClass,
  message: { errorName?: string; message: string; line?: number } | null = null,
): string[] {
  const hunks = findHunks(faulty, right);
  const diagnostic = message && { severity: "error" as const, stage: "run" as const, primary: true, ...message };
  const fix = { hunks, families: [family], lines: [hunks[0]?.start ?? 1], repairs: "repairs" as const };
  const given = evidenceOf(languageOf(id), faulty, { class: of, diagnostic }, family === "" ? [] : [fix]);
  return suggestPatterns(given).map((each) => each.id);
}

test("every pattern has an id and a name of its own, in plain words", () => {
  expect(new Set(patterns.map(({ id }) => id)).size).toBe(patterns.length);
  expect(new Set(patterns.map(({ name }) => name)).size).toBe(patterns.length);
  for (const { id, says, mends } of patterns) {
    expect(id).toMatch(/^[a-z]+(?:-[a-z]+)+$/);
    for (const words of [says, mends]) expect(words, id).toMatch(/^[A-Z].*\.$/);
  }
  expect(findPattern("zero-divisor")?.fault).toBe(true);
  expect(findPattern("stops-on-purpose")?.fault).toBe(false);
});

test("whatever family of edits mends a program, some kind of mistake is suggested by it", () => {
  const none: string[] = [];
  for (const { id, examples } of editFamilies)
    for (const { language, right, faulty } of examples) {
      const classes = (["syntax", "runtime", "logic"] as const).map((of) => suggested(language, faulty, right, id, of));
      if (classes.every((found) => found.length === 0)) none.push(`${id} in ${language}: ${faulty}`);
    }
  expect(none).toEqual([]);
});

test.each<[string, string, string, string, FaultClass, string]>([
  [
    "python",
    "for trip in range(3)\n    print(trip)\n",
    "for trip in range(3):\n    print(trip)\n",
    "colon",
    "syntax",
    "colon-missing",
  ],
  ["c", "int deck = 3\nputs();\n", "int deck = 3;\nputs();\n", "terminator", "syntax", "terminator-missing"],
  ["python", "print('Full)\n", "print('Full')\n", "quote", "syntax", "quote-not-closed"],
  ["python", "if load < 9:\n", "if load <= 9:\n", "comparison", "logic", "limit-off-by-one"],
  ["python", "if load < 9:\n", "if load > 9:\n", "comparison", "logic", "comparison-turned"],
  [
    "python",
    "total = 0\nTotl = total + 1\n",
    "total = 0\ntotal = total + 1\n",
    "name",
    "logic",
    "misspelt-name-is-new",
  ],
  ["python", "Load = 1\nprint(load)\n", "Load = 1\nprint(Load)\n", "name", "runtime", "name-letter-case"],
  ["python", "load = 1\nprint(laod)\n", "load = 1\nprint(load)\n", "name", "runtime", "own-name-misspelt"],
  ["python", "pritn(3)\n", "print(3)\n", "name", "runtime", "library-name-misspelt"],
  ["python", "age = input()\n", "age = int(input())\n", "conversion", "logic", "input-kept-as-text"],
  [
    "python",
    "def f():\n    for x in a:\n        return x\n",
    "def f():\n    for x in a:\n        y = x\n    return x\n",
    "moved",
    "logic",
    "return-inside-loop",
  ],
  [
    "c",
    "for (i = 0; i < 3; i++);\n  puts();\n",
    "for (i = 0; i < 3; i++)\n  puts();\n",
    "empty-body",
    "logic",
    "semicolon-after-header",
  ],
  ["java", "if (name == other)\n", "if (name.equals(other))\n", "equal-texts", "logic", "text-compared-by-identity"],
  ["c", 'scanf("%d", age);\n', 'scanf("%d", &age);\n', "address-sign", "runtime", "address-sign-missing"],
])("%s %j is suggested as it should be", (language, faulty, right, family, of, id) => {
  expect(suggested(language, faulty, right, family, of)[0]).toBe(id);
});

test("a message alone suggests what it is about; what hides the fault suggests nothing", () => {
  const only = (errorName: string, message: string) =>
    suggested("python", "print(deck[9])\n", "", "", "runtime", { errorName, message, line: 1 })[0];
  expect(only("IndexError", "list index out of range")).toBe("index-past-end");
  expect(only("ZeroDivisionError", "division by zero")).toBe("zero-divisor");
  expect(only("KeyError", "'Tern'")).toBe("key-not-there");
  expect(only("RecursionError", "maximum recursion depth exceeded")).toBe("recursion-without-end");
  expect(only("OwnError", "nobody knows this")).toBeUndefined();
  const hides = {
    hunks: findHunks("a < 1\n", "a <= 1\n"),
    families: ["comparison"],
    lines: [1],
    repairs: "hides" as const,
  };
  expect(
    suggestPatterns(evidenceOf(languageOf("python"), "a < 1\n", { class: "logic", diagnostic: null }, [hides])),
  ).toEqual([]);
});
