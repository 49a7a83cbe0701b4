import { expect, test } from "vitest";
import { className, findWording, inCourseWords, wordings } from "./wordings.ts";

test.each(wordings.map((wording) => [wording.words, wording] as const))(
  "%s names every class and kind, differently where the set tells them apart",
  (_, wording) => {
    for (const of of ["syntax", "runtime", "logic"] as const) expect(className(wording, of)).toMatch(/error|exception/);
    expect(new Set(Object.values(wording.labels)).size).toBe(3);
    if (wording.kinds) expect(className(wording, "syntax", "form")).not.toBe(className(wording, "syntax", "meaning"));
    expect(className(wording, "logic", "form")).toBe(wording.labels.logic);
  },
);

test("an unknown set speaks plainly", () => {
  expect(className(findWording("of another program"), "runtime")).toBe("runtime error");
});

test("sentences of ours speak the course's words, with the article that they take", () => {
  const said = "It is a runtime error. A logic error: no message leads to it. Runtime errors, syntax error";
  expect(inCourseWords(findWording("syntactic"), said)).toBe(
    "It is an exception. A logical error: no message leads to it. Exceptions, syntactic error",
  );
  expect(inCourseWords(findWording("three"), said)).toBe(said);
});
