import fc from "fast-check";
import { expect, test } from "vitest";
import { courseChoices, courseTerms, saidAt } from "./choices.ts";
import { className, findWording, inCourseWords, wordings, writeWording } from "./wordings.ts";

test("what a course says is read as it was written; where it says nothing its wording is the set alone", () => {
  const words = fc.dictionary(
    fc.constantFrom(...courseTerms.map(({ id }) => id)),
    fc.stringMatching(/^[\p{L} ]{0,20}$/u),
  );
  fc.assert(
    fc.property(fc.constantFrom(...wordings), words, (set, terms) => {
      const written = writeWording(set.id, { terms, choices: {} });
      const read = findWording(written);
      const said = Object.fromEntries(Object.entries(terms).filter(([, value]) => value.trim() !== ""));
      expect(read.id).toBe(set.id);
      expect(read.chosen?.terms ?? {}).toEqual(said);
      for (const of of ["syntax", "runtime", "logic"] as const)
        expect(read.labels[of]).toBe(said[of] ?? set.labels[of]);
      if (Object.keys(said).length === 0) expect(written).toBe(set.id);
    }),
  );
});

test("own words stand wherever a class is named, its kind as well", () => {
  const wording = findWording(
    writeWording("three", { terms: { logic: "thinking error", meaning: "name error" }, choices: {} }),
  );
  expect(className(wording, "logic")).toBe("thinking error");
  expect(className(wording, "syntax", "meaning")).toBe("name error");
  expect(className(wording, "syntax", "form")).toBe("syntax error");
  expect(inCourseWords(wording, "It is a logic error. Logic errors are hard.")).toBe(
    "It is a thinking error. Thinking errors are hard.",
  );
});

test("what is chosen is said where it belongs; what is not known, or says nothing, is not", () => {
  const choices = { messages: "one", line: "at or above", handlers: "", banana: "yes", braces: "banana" };
  expect(saidAt("messages", { choices }).map(({ id }) => id)).toEqual(["messages", "line"]);
  expect(saidAt("mending", { choices })).toEqual([]);
  expect(saidAt("messages", { choices }).find(({ id }) => id === "line")?.limits).toMatch(/No such rule holds always/);
  for (const { id, options, places } of courseChoices) {
    expect(options[0]?.says, id).toBe("");
    for (const { value, says } of options.slice(1)) {
      expect(says, `${id} ${value}`).toMatch(/^[A-Z].*\.$/);
      expect(saidAt(places[0] ?? "students", { choices: { [id]: value } })).toHaveLength(1);
    }
  }
});

test("a wording that cannot be read is the plain one", () => {
  for (const written of ["{", '{"base": 3}', "{}", null, undefined, "banana"])
    expect(findWording(written).id).toBe("three");
});
