import fc from "fast-check";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { isLongRun } from "../../tools/share.ts";
import type { Language } from "../languages/language.ts";
import { languages } from "../languages/languages.ts";
import { escaped } from "../source/escaped.ts";
import { buildTable } from "../trace/table.ts";
import { lookAt, programsIn } from "./lookAt.ts";

/**
 * A name that every object answers to, as it does to `constructor`, but with a complaint: so whatever takes it out of a
 * record without asking whether it is there is found, also where nothing comes of it.
 */
const name = "kittiwakes";
const complaints: string[] = [];
beforeAll(() => {
  for (const each of [name, name.toUpperCase(), `K${name.slice(1)}`])
    Object.defineProperty(Object.prototype, each, {
      get: () => {
        complaints.push(new Error(`${each} was read`).stack?.split("\n").slice(2, 4).join("\n") ?? "");
      },
      configurable: true,
    });
});
afterAll(() => {
  for (const each of [name, name.toUpperCase(), `K${name.slice(1)}`]) Reflect.deleteProperty(Object.prototype, each);
});

/** Words of a program: names of variables and types, keywords as well. */
const wordsIn = (language: Language, text: string) => [
  ...new Set(
    language
      .tokens(text)
      .map((token) => token.text)
      .filter((word) => /^[A-Za-z]\w*$/.test(word)),
  ),
];

describe("a name that every object answers to is a name like any other", () => {
  const shown = languages.filter(({ id }) => programsIn(id).length > 0);
  test.each(shown.map((language) => [language.name, language] as const))("%s", (_, language) => {
    const asked = fc
      .constantFrom(...programsIn(language.id))
      .filter((text) => wordsIn(language, text).length > 0)
      .chain((text) => fc.tuple(fc.constant(text), fc.constantFrom(...wordsIn(language, text))));
    fc.assert(
      fc.property(asked, ([text, word]) => {
        complaints.length = 0;
        lookAt(
          language,
          text.replace(new RegExp(`\\b${escaped(word)}\\b`, "g"), () => name),
        );
        expect(complaints).toEqual([]);
      }),
      { numRuns: isLongRun ? 400 : 12 },
    );
  });

  test.each(["constructor", "valueOf", "toString", "hasOwnProperty", "__proto__"])("a variable called %s", (called) => {
    for (const language of shown)
      for (const text of programsIn(language.id).slice(0, isLongRun ? 10 : 1))
        for (const word of wordsIn(language, text).slice(0, 4))
          lookAt(
            language,
            text.replace(new RegExp(`\\b${escaped(word)}\\b`, "g"), () => called),
          );
    const value = (text: string) => ({ type: "int", text });
    const step = { index: 0, line: 1, file: 0, frame: 0, depth: 0 };
    const table = buildTable({
      steps: [
        { ...step, writes: [{ scope: "global", owner: 0, path: ["load"], value: value("1") }] },
        { ...step, index: 1, line: 2, writes: [{ scope: "global", owner: 0, path: [called], value: value("3") }] },
      ],
    });
    // What stands in no cell is nothing at all, by the column's own key.
    expect(table.columns.map(({ title }) => title)).toEqual(["load", called]);
    expect(table.rows.map(({ cells }) => table.columns.map(({ key }) => cells[key]))).toEqual([
      ["1", undefined],
      [undefined, "3"],
    ]);
  });
});
