import fc from "fast-check";
import { afterAll, beforeAll, expect, test } from "vitest";
import * as z from "zod";
import { openTestServices } from "../testServices.ts";
import { asJson, fromJson, jsonColumn } from "./rows.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

/** Text as a student's program may hold it: any UTF-16 units, those that jsonb refuses often among them. */
const text = fc
  .array(
    fc.oneof(
      fc.integer({ min: 0, max: 0xffff }).map((unit) => String.fromCharCode(unit)),
      fc.constantFrom("\0", "\ud800", "\udfff", "\uf8ff", "\uf8ff0000", "\\u0000", "\\", '"', "😀", "\\ud83d"),
    ),
    { maxLength: 30 },
  )
  .map((parts) => parts.join(""));
const value = fc.letrec((tie) => ({
  value: fc.oneof(
    { maxDepth: 3 },
    text,
    fc.integer(),
    fc.boolean(),
    fc.constant(null),
    fc.array(tie("value"), { maxLength: 4 }),
    fc.dictionary(text, tie("value"), { maxKeys: 4 }),
  ),
})).value;

test("whatever a value holds, it is the same when it is read again", () => {
  fc.assert(
    fc.property(value, (given) => {
      expect(fromJson(asJson(given))).toEqual(given);
    }),
  );
});

test("the database takes every such value as jsonb, and gives it back", async () => {
  const column = z.object({ value: jsonColumn(z.unknown()) });
  await fc.assert(
    fc.asyncProperty(value, async (given) => {
      const [row] = await services.database.query("select $1::jsonb as value", [asJson(given)]);
      // The order of fields is the database's own; what they hold is not.
      expect(column.parse(row).value).toEqual(given);
    }),
    { numRuns: 60 },
  );
});

test("a column that does not fit its shape is refused with words", () => {
  expect(jsonColumn(z.object({ line: z.number() })).safeParse('{"line": "three"}').error?.message).toContain("line");
});
