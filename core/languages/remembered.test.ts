import fc from "fast-check";
import { expect, test } from "vitest";
import { remembered } from "./remembered.ts";

test("a text is read once as long as it is among the last few, and whatever is asked for is the reading of that text", () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom("a", "bb", "ccc", "dddd", "e", "ff", "ggg", "h")), (asked) => {
      const read: string[] = [];
      const reading = remembered((text: string) => {
        read.push(text);
        return { length: text.length, text };
      });
      for (const [at, text] of asked.entries()) {
        const before = read.length;
        expect(reading(text)).toEqual({ length: text.length, text });
        const lately = new Set(asked.slice(Math.max(0, at - 6), at));
        if (asked[at - 1] === text) expect(read.length).toBe(before);
        if (at <= 6 && lately.has(text)) expect(read.length).toBe(before);
      }
      expect(read.length).toBeGreaterThanOrEqual(new Set(asked).size);
    }),
  );
});
