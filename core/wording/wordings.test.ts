import { expect, test } from "vitest";
import { className, findWording, wordings } from "./wordings.ts";

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
