import fc from "fast-check";
import { expect, test } from "vitest";
import { readPack, writePack } from "./pack.ts";

const exact = (bytes: Uint8Array): ArrayBuffer => new Uint8Array(bytes).buffer;

test("whatever is packed comes out as it was, in the same order", () => {
  const part = fc.record({ name: fc.string({ maxLength: 30 }), bytes: fc.uint8Array({ maxLength: 200 }) });
  fc.assert(
    fc.property(fc.uniqueArray(part, { selector: ({ name }) => name, maxLength: 6 }), (parts) => {
      const read = readPack(exact(writePack(parts)));
      expect([...read].map(([name, bytes]) => [name, [...bytes]])).toEqual(
        parts.map(({ name, bytes }) => [name, [...bytes]]),
      );
    }),
  );
});

test("a pack that is cut off anywhere is refused, and never half read", () => {
  const whole = writePack([
    { name: "python.wasm.br", bytes: Uint8Array.of(1, 2, 3) },
    { name: "library.zip.br", bytes: Uint8Array.of(4, 5) },
  ]);
  for (let length = 0; length < whole.length; length++)
    expect(() => readPack(exact(whole.subarray(0, length)))).toThrow("not all of it");
  expect(readPack(exact(whole)).size).toBe(2);
});

test.each([["{}"], ['[{"name":1,"size":1}]'], ['[{"name":"a","size":-1}]'], ['[{"name":"a","size":0.5}]'], ["[null]"]])(
  "a head that says %s is refused",
  (head) => {
    const pack = new Uint8Array(4 + head.length + 9);
    new DataView(pack.buffer).setUint32(0, head.length, true);
    pack.set(new TextEncoder().encode(head), 4);
    expect(() => readPack(pack.buffer)).toThrow("no pack");
  },
);
