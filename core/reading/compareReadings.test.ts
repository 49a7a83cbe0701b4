import fc from "fast-check";
import { expect, test } from "vitest";
import { type ComparedMessage, compareReadings } from "./compareReadings.ts";

const message = (line: number | null, kind: string | null, severity = "error"): ComparedMessage => ({
  line,
  kind,
  severity,
  title: `${kind}`,
});

test("messages of one line stand side by side, those of one kind a few lines apart as well, and differences are marked", () => {
  const rows = compareReadings([
    [message(4, "sign missing"), message(9, "unknown name"), message(12, "not set", "warning")],
    [
      message(5, "sign missing"),
      message(9, "type mismatch"),
      message(12, "not set"),
      message(30, "unreachable", "warning"),
      message(2, null, "note"),
    ],
  ]);
  expect(rows.map((row) => [row.differs, ...row.cells.map((cell) => cell && `${cell.line} ${cell.kind}`)])).toEqual([
    ["line", "4 sign missing", "5 sign missing"],
    ["kind", "9 unknown name", "9 type mismatch"],
    ["severity", "12 not set", "12 not set"],
    ["only some", null, "30 unreachable"],
  ]);
});

test("every message but notes stands in exactly one row, in its output's column", () => {
  const any = fc.record({
    line: fc.option(fc.integer({ min: 1, max: 9 })),
    kind: fc.option(fc.constantFrom("a", "b")),
    severity: fc.constantFrom("error", "warning", "note"),
    title: fc.string(),
  });
  fc.assert(
    fc.property(fc.array(fc.array(any, { maxLength: 6 }), { minLength: 1, maxLength: 3 }), (outputs) => {
      const rows = compareReadings(outputs);
      for (const [place, messages] of outputs.entries()) {
        const own = messages.filter((each) => each.severity !== "note");
        const told = rows.flatMap((row) => row.cells[place] ?? []);
        expect(new Set(told)).toEqual(new Set(own));
        expect(told.length).toBe(own.length);
      }
    }),
  );
});
