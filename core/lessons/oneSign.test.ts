import fc from "fast-check";
import { expect, test } from "vitest";
import { oneSignApart } from "./oneSign.ts";

const right = "tide = 3\nif tide < 4:\n    print('low')\n";

test("one sign more, less or another one is told with its place; anything else is not one sign", () => {
  expect(oneSignApart(right, right.replace("<", ">"))).toEqual({ line: 2, column: 9, before: "<", after: ">" });
  expect(oneSignApart(right, right.replace(":", ""))).toEqual({ line: 2, column: 12, before: ":", after: "" });
  expect(oneSignApart(right, right.replace("print(", "print(("))).toMatchObject({ line: 3, before: "", after: "(" });
  expect(oneSignApart(right, right)).toBeNull();
  expect(oneSignApart(right, right.replace("tide", "Tude"))).toBeNull();
  expect(oneSignApart(right, right.replaceAll("\n", "\r\n"))).toBeNull();
  expect(oneSignApart("⛴", "⛵")).toEqual({ line: 1, column: 1, before: "⛴", after: "⛵" });
});

test("any one sign taken out, put in or replaced is found, and brings the other text about", () => {
  fc.assert(
    fc.property(
      fc.string({ maxLength: 20 }),
      fc.nat(),
      fc.constantFrom("out", "in", "other"),
      fc.string({ minLength: 1, maxLength: 1 }),
      (text, place, how, sign) => {
        const signs = [...text];
        const at = place % (signs.length + 1);
        const changed = [...signs];
        if (how === "in") changed.splice(at, 0, sign);
        else if (at === signs.length) return;
        else if (how === "out") changed.splice(at, 1);
        else changed.splice(at, 1, sign);
        const other = changed.join("");
        const found = oneSignApart(text, other);
        if (text === other) {
          expect(found).toBeNull();
          return;
        }
        expect([...(found?.before ?? ""), ...(found?.after ?? "")].length).toBeGreaterThan(0);
        expect(oneSignApart(other, text)).toMatchObject({ before: found?.after, after: found?.before });
      },
    ),
  );
});
