import fc from "fast-check";
import { expect, test } from "vitest";
import * as z from "zod";
import { createFrameReader } from "./readFrames.ts";

const bytes = (text: string) => new TextEncoder().encode(text);
const resultSchema = z.object({ exit: z.number() });

test("what is printed on a line is one piece, also where a letter comes in two frames", () => {
  const reader = createFrameReader(resultSchema);
  const [first = 0, second = 0] = bytes("é");
  reader.add("O", 3, 0, bytes("quay "));
  reader.add("O", 3, 0, Uint8Array.of(first));
  reader.add("O", 3, 0, Uint8Array.of(second));
  reader.add("I", 4, 0, bytes("7\n"));
  reader.add("E", 4, 0, bytes("late\n"));
  expect(reader.add("R", 0, 0, bytes('{"exit":1}'))).toBe(true);
  expect(reader.whole()).toMatchObject({
    console: [
      { kind: "out", text: "quay é", line: 3 },
      { kind: "in", text: "7\n", line: 4 },
      { kind: "err", text: "late\n", line: 4 },
    ],
    result: { exit: 1 },
    damaged: false,
  });
});

test("what a step printed and read stands with the step", () => {
  const reader = createFrameReader(resultSchema);
  reader.add("T", 0, 0, bytes('[["f",0,0,0],1,["d",1,0,"load"],-1,7,2]'));
  reader.add("O", 2, 2, bytes("7\n"));
  const { steps, console } = reader.whole();
  expect(steps.map(({ line, out }) => [line, out])).toEqual([
    [1, undefined],
    [2, "7\n"],
  ]);
  expect(console).toEqual([{ kind: "out", text: "7\n", line: 2, step: 1 }]);
});

test("frames of another kind are left to others, and a mark of byte order is a character", () => {
  const reader = createFrameReader(resultSchema);
  expect(reader.add("F", 0, 0, bytes("[]"))).toBe(false);
  reader.add("O", 1, 0, bytes("\ufeffdeck"));
  expect(reader.whole().console).toEqual([{ kind: "out", text: "\ufeffdeck", line: 1 }]);
});

test("whatever a program scribbles is read or marked as damaged, and never raises", () => {
  const frame = fc.tuple(
    fc.constantFrom("O", "E", "I", "T", "R", "X", ""),
    fc.nat(9),
    fc.nat(9),
    fc.oneof(
      fc.uint8Array({ maxLength: 20 }),
      fc.json().map(bytes),
      fc
        .array(fc.oneof(fc.integer({ min: -3, max: 9 }), fc.constantFrom(["f", 0, 0, 0], ["d", 1, 0, "x"], ["-"])))
        .map((list) => bytes(JSON.stringify(list))),
    ),
  );
  fc.assert(
    fc.property(fc.array(frame, { maxLength: 12 }), (frames) => {
      const reader = createFrameReader(resultSchema);
      for (const [kind, line, step, data] of frames) reader.add(kind, line, step, data);
      const whole = reader.whole();
      const printed = frames.filter(([kind]) => "OEI".includes(kind) && kind !== "");
      expect(whole.console.length).toBeLessThanOrEqual(printed.length);
    }),
  );
});
