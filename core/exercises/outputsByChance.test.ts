import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { markOutput, outputParts } from "./outputMarking.ts";

/*
 * Predicted outputs of printing programs by chance: what they earn is worked out here from the values that were put in, by
 * the rule in words (a share for each value in its order, half a value less for one too many, half for another order).
 */

/** A line that is printed: fixed words before and behind a value. */
type Line = { label: string; value: string; unit: string };

const labels = fc.constantFrom<string[]>(
  "Deck",
  "Load on deck 7:",
  "Tide =",
  "Cars left",
  "Fare (adult):",
  "-- passengers",
  "",
  "Total",
);
const units = fc.constantFrom<string[]>("", "tons", "cm", "kg in all", "%", "pounds");
const numbers = fc.oneof(
  fc.integer({ min: -50, max: 900 }).map(String),
  fc.integer({ min: 1, max: 9_999 }).map((hundredths) => (hundredths / 100).toFixed(2)),
);
const values = fc.oneof({ weight: 4, arbitrary: numbers }, fc.constantFrom("Gull", "Tern", "Skua", "Fulmar"));
const outputs = fc.array(fc.record({ label: labels, value: values, unit: units }), { minLength: 1, maxLength: 6 });

const textOf = ({ label, value, unit }: Line) => [label, value, unit].filter((each) => each !== "").join(" ");
/** The pieces of a line for a language that puts them behind one another: texts with their blanks, and the name. */
const pieces = ({ label, unit }: Line, name: string, quote: string): string[] => [
  ...(label === "" ? [] : [`${quote}${label} ${quote}`]),
  name,
  ...(unit === "" ? [] : [`${quote} ${unit}${quote}`]),
];

const writings: Array<[string, (line: Line, name: string) => string]> = [
  [
    "python",
    (line, name) =>
      `print(${pieces(line, name, '"')
        .map((each) => each.replace(/^" | "$/g, '"'))
        .join(", ")})`,
  ],
  [
    "python",
    ({ label, unit }, name) => `print(f"${[label, `{${name}}`, unit].filter((each) => each !== "").join(" ")}")`,
  ],
  [
    "c",
    ({ label, unit }, name) =>
      `printf("${[label, "%s", unit.replace("%", "%%")].filter((each) => each !== "").join(" ")}\\n", ${name});`,
  ],
  ["java", (line, name) => `System.out.println(${pieces(line, name, '"').join(" + ")});`],
  ["pascal", (line, name) => `writeln(${pieces(line, name, "'").join(", ")});`],
  ["basic", (line, name) => `Console.WriteLine(${pieces(line, name, '"').join(" & ")})`],
  ["csharp", (line, name) => `Console.WriteLine(${pieces(line, name, '"').join(" + ")});`],
  [
    "csharp",
    ({ label, unit }, name) =>
      `Console.WriteLine($"${[label, `{${name}}`, unit].filter((each) => each !== "").join(" ")}");`,
  ],
  [
    "octave",
    ({ label, unit }, name) =>
      `printf("${[label, "%s", unit.replace("%", "%%")].filter((each) => each !== "").join(" ")}\\n", ${name});`,
  ],
  ["pseudocode", (line, name) => `OUTPUT ${pieces(line, name, '"').join(" & ")}`],
];

/** The longest part that two lists have in common in order, tried in all ways by a table. */
function common(one: readonly string[], other: readonly string[]): number {
  const table = Array.from({ length: one.length + 1 }, () => new Array<number>(other.length + 1).fill(0));
  for (const [at, first] of one.entries())
    for (const [against, second] of other.entries())
      (table[at + 1] as number[])[against + 1] =
        first === second
          ? (table[at]?.[against] ?? 0) + 1
          : Math.max(table[at]?.[against + 1] ?? 0, table[at + 1]?.[against] ?? 0);
  return table[one.length]?.[other.length] ?? 0;
}

/** What such values earn by the rule. */
function earned(wanted: readonly string[], own: readonly string[]): number {
  const surplus = Math.max(0, own.length - wanted.length) / 2;
  const left = [...own];
  const inCommon = wanted.filter((each) => left.includes(each) && left.splice(left.indexOf(each), 1)).length;
  const ordered = Math.max(0, common(wanted, own) - surplus);
  return Math.max(ordered, Math.max(0, inCommon - surplus) / 2) / wanted.length;
}

const runs = { numRuns: process.env.BENT_NAIL_LONG ? 3_000 : 150 };

describe.each(writings)("printed by %s", (id, write) => {
  const language = findLanguage(id);
  const partsOf = (lines: readonly Line[]) =>
    outputParts(language, `${lines.map((line, at) => write(line, `value${at}`)).join("\n")}\n`, [
      { kind: "out", text: `${lines.map(textOf).join("\n")}\n` },
    ]);

  test("the values are found, and the output as it is earns all", () => {
    fc.assert(
      fc.property(outputs, (lines) => {
        const parts = partsOf(lines);
        expect(parts.lines.map((line) => line.values)).toEqual(lines.map(({ value }) => [value]));
        expect(markOutput(parts, lines.map(textOf).join("\n"), "")).toMatchObject({ share: 1, wordsDiffer: false });
      }),
      runs,
    );
  });

  test("values alone earn what they earn with their words, by the rule", () => {
    /** What a student makes of the lines: some in another order, left out, doubled, or with another value. */
    const changes = fc.array(
      fc.oneof(
        fc.record({ does: fc.constant("swap" as const), at: fc.nat(), to: fc.nat() }),
        fc.record({ does: fc.constant("leave" as const), at: fc.nat() }),
        fc.record({ does: fc.constant("again" as const), at: fc.nat() }),
        // A number of the fixed words that is written for a value may be either: it is not asked here.
        fc.record({ does: fc.constant("other" as const), at: fc.nat(), value: numbers.filter((each) => +each !== 7) }),
      ),
      { maxLength: 3 },
    );
    fc.assert(
      fc.property(outputs, changes, (lines, changes) => {
        const own = lines.map((line) => ({ ...line }));
        for (const change of changes) {
          if (own.length === 0) break;
          const at = change.at % own.length;
          const line = own[at] as Line;
          if (change.does === "leave") own.splice(at, 1);
          else if (change.does === "again") own.splice(at, 0, { ...line });
          else if (change.does === "other") own[at] = { ...line, value: change.value };
          else {
            own.splice(at, 1);
            own.splice(change.to % (own.length + 1), 0, line);
          }
        }
        const parts = partsOf(lines);
        const by = earned(
          lines.map(({ value }) => String(Number.isNaN(Number(value)) ? value : Number(value))),
          own.map(({ value }) => String(Number.isNaN(Number(value)) ? value : Number(value))),
        );
        for (const text of [own.map(textOf).join("\n"), own.map(({ value }) => value).join("\n")])
          expect(
            markOutput(parts, text, "").share,
            `${lines.map(textOf).join("\n")}\n--- written:\n${text}`,
          ).toBeCloseTo(by);
      }),
      runs,
    );
  });
});
