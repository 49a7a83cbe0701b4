import { expect, test } from "vitest";
import { rememberingTranslations, type Servants, type Translated, type Translation } from "./translators.ts";

const text = (source: string): Translation => ({
  record: false,
  files: [{ name: "Tide.java", bytes: Buffer.from(source) }],
});
const made = (said: string, size = 10): Translated => ({
  ...{ ok: true, main: "Tide", said },
  made: [{ name: "Tide.class", bytes: new Uint8Array(size) }],
});

/** Translators that answer when the test says so, with what they were asked. */
function handTranslators() {
  const asked: Array<{ answer: (all: Array<Translated | null>) => void; fail: (problem: Error) => void }> = [];
  const pool: Servants = {
    run: () => new Promise((answer, fail) => asked.push({ answer, fail })),
    version: async () => "17",
    close: async () => undefined,
  };
  return { asked, ...rememberingTranslations(pool) };
}
const settle = () => new Promise((resolve) => setImmediate(resolve));

test("a text that several ask for at once is translated once, and remembered", async () => {
  const { asked, run } = handTranslators();
  const three = [run(text("a")), run(text("a")), run(text("a"))];
  const other = run(text("b"));
  const recorded = run({ ...text("a"), record: true });
  await settle();
  expect(asked).toHaveLength(3);
  asked[0]?.answer([made("of a")]);
  asked[1]?.answer([made("of b")]);
  asked[2]?.answer([made("of a, recorded")]);
  expect((await Promise.all(three)).map(([one]) => one?.said)).toEqual(["of a", "of a", "of a"]);
  expect((await other)[0]?.said).toBe("of b");
  expect((await recorded)[0]?.said).toBe("of a, recorded");
  expect((await run(text("a")))[0]?.said).toBe("of a");
  expect(asked).toHaveLength(3);
});

test("who waited for a translation that came to nothing has it tried once more", async () => {
  const { asked, run } = handTranslators();
  const stopped = expect(run(text("a"))).rejects.toThrow("stopped");
  const waiting = [run(text("a")), run(text("a"))];
  await settle();
  expect(asked).toHaveLength(1);
  asked[0]?.fail(new Error("stopped"));
  await stopped;
  await settle();
  for (const each of asked.slice(1)) each.answer([made("of a")]);
  expect((await Promise.all(waiting)).map(([one]) => one?.said)).toEqual(["of a", "of a"]);
});

test("what is large is given to all who asked and not kept; the one that was remembered first makes room", async () => {
  const { asked, run } = handTranslators();
  const both = [run(text("large")), run(text("large"))];
  await settle();
  asked[0]?.answer([made("large", 600 * 1024)]);
  expect((await Promise.all(both)).map(([one]) => one?.said)).toEqual(["large", "large"]);
  for (let number = 0; number < 65; number++) {
    const one = run(text(`${number}`));
    await settle();
    asked.at(-1)?.answer([made(`${number}`)]);
    await one;
  }
  const before = asked.length;
  expect((await run(text("64")))[0]?.said).toBe("64");
  expect(asked).toHaveLength(before);
  for (const gone of ["0", "large"]) void run(text(gone));
  await settle();
  expect(asked).toHaveLength(before + 2);
});
