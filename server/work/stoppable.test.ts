import { expect, test } from "vitest";
import { createStoppable, nowAndThen } from "./stoppable.ts";

const after = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));

test("who stops some work waits until it has kept what it has; another about the same comes after it", async () => {
  const work = createStoppable();
  const said: string[] = [];
  const first = work.run("deck", async (signal) => {
    while (!signal.aborted) await after(5);
    await after(20);
    said.push("first kept");
  });
  const second = work.run("deck", async () => void said.push("second"));
  await after(10);
  await work.stop("deck");
  said.push("stopped");
  await Promise.all([first, second]);
  expect(said).toEqual(["first kept", "second", "stopped"]);
  await work.stop("deck");
});

test("work that fails fails for who does it, and is over for who stops it", async () => {
  const work = createStoppable();
  const failing = work.run("deck", async (signal) => {
    while (!signal.aborted) await after(5);
    throw new Error("the mast broke");
  });
  const told = expect(failing).rejects.toThrow("the mast broke");
  await after(10);
  await work.stop("deck");
  await told;
});

test("notes come now and then, and one that fails keeps no work from going on", async () => {
  const noted: number[] = [];
  const note = nowAndThen(async (tried: number) => {
    noted.push(tried);
    throw new Error("no database");
  });
  note(1);
  expect(noted).toEqual([]);
  await after(1050);
  note(2);
  note(3);
  expect(noted).toEqual([2]);
});
