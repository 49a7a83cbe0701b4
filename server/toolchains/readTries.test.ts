import fc from "fast-check";
import { expect, test } from "vitest";
import { readTries } from "./readBlock.ts";

type Try = { number: number; how: 0 | 1 | 2 | 3; status: number; milliseconds: number; text: string };

/** A block as the sandbox writes it (runners/sandbox/bent_nail_sandbox/tries.py). */
function blockOf(tries: readonly Try[]): Buffer {
  const frames = tries.map(({ number, how, status, milliseconds, text }) => {
    const own = Buffer.from(text);
    const head = Buffer.alloc(13 + 16);
    head.write("P", 0, "latin1");
    head.writeUInt32LE(number + 1, 1);
    head.writeUInt32LE(16 + own.length, 9);
    head.writeInt32LE(how, 13);
    head.writeUInt32LE(status, 17);
    head.writeDoubleLE(milliseconds, 21);
    return Buffer.concat([head, own]);
  });
  const body = Buffer.concat(frames);
  const length = Buffer.alloc(4);
  length.writeUInt32LE(4 + body.length, 0);
  return Buffer.concat([length, body]);
}

const anyTry = fc.record({
  ...{
    number: fc.nat(500),
    how: fc.constantFrom(0 as const, 1 as const, 2 as const, 3 as const),
    status: fc.nat(65_535),
  },
  ...{ milliseconds: fc.nat(5000), text: fc.string({ maxLength: 30 }) },
});
const tries = fc.uniqueArray(anyTry, { selector: (each) => each.number, maxLength: 12 });

test("Every try of a block is told with its place, its end and what it left", () => {
  fc.assert(
    fc.property(tries, (all) => {
      const found = readTries(blockOf(all));
      expect(found.size).toBe(all.length);
      for (const { number, how, status, milliseconds, text } of all) {
        const own = found.get(number);
        expect(own?.how).toBe((["ended", "time", "past the streams", "refused"] as const)[how]);
        expect(own?.line).toBe(how === 3 ? status : 0);
        expect(own?.block.toString()).toBe(text);
        expect(own?.milliseconds).toBe(milliseconds);
        const signal = how === 3 ? 0 : status & 127;
        expect([own?.signal, own?.exit]).toEqual([
          signal,
          how === 3 ? 0 : signal === 0 ? (status >> 8) & 255 : 128 + signal,
        ]);
      }
    }),
  );
});

test("A block that is cut off or scribbled over tells what stands before the damage, and never throws", () => {
  fc.assert(
    fc.property(tries, fc.nat(), fc.nat(255), (all, place, byte) => {
      const block = blockOf(all);
      const cut = block.subarray(0, place % (block.length + 1));
      expect(readTries(cut).size).toBeLessThanOrEqual(all.length);
      const damaged = Buffer.from(block);
      if (damaged.length > 4) damaged[4 + (place % (damaged.length - 4))] = byte;
      expect(() => readTries(damaged)).not.toThrow();
    }),
  );
});
