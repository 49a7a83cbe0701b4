import { expect, test } from "vitest";
import { createDesk, NotTaken, StoppedByHand } from "./desk.ts";

/** Work that ends when it is told to. */
function held() {
  let end = () => {};
  const promise = new Promise<void>((resolve) => {
    end = resolve;
  });
  return { promise, end };
}

test("whoever has had nothing yet comes before the next run of who is at it", async () => {
  const desk = createDesk({ atOnce: 1 });
  const order: string[] = [];
  const first = held();
  const run = (person: string, name: string, until: Promise<void> = Promise.resolve()) =>
    desk.as(person, () =>
      desk.take(name, async () => {
        order.push(name);
        await until;
      }),
    );
  const all = [
    run("Gannet", "g0", first.promise),
    ...[1, 2, 3].map((number) => run("Gannet", `g${number}`)),
    run("Tern", "t1"),
  ];
  expect(desk.list("Gannet").map((ticket) => ticket.state)).toEqual(["runs", "waits", "waits", "waits"]);
  expect(desk.list("Tern").map((ticket) => [ticket.what, ticket.state])).toEqual([["t1", "waits"]]);
  expect(desk.list("Gannet").map((ticket) => ticket.before)).toEqual([0, 0, 2, 3]);
  first.end();
  await Promise.all(all);
  expect(order).toEqual(["g0", "t1", "g1", "g2", "g3"]);
  expect(desk.list("Gannet")).toEqual([]);
});

test("a person's line is bounded, and so is the wait", async () => {
  const desk = createDesk({ atOnce: 1, mostWaiting: 1, patience: 30 });
  const first = held();
  const running = desk.take("first", () => first.promise);
  const waiting = desk.take("second", async () => undefined);
  await expect(desk.take("third", async () => undefined)).rejects.toThrow(NotTaken);
  await expect(waiting).rejects.toThrow(/did not get its turn/);
  first.end();
  await running;
});

test("a run is stopped by whoever asked for it, waiting or running, and by nobody else", async () => {
  const desk = createDesk({ atOnce: 1 });
  const running = desk.as("Gannet", () =>
    desk.take(
      "endless",
      (signal) =>
        new Promise<void>((_, reject) => signal.addEventListener("abort", () => reject(new StoppedByHand("stopped")))),
    ),
  );
  const waiting = desk.as("Gannet", () => desk.take("next", async () => "done"));
  const other = desk.as("Tern", () => desk.take("other", async () => "done"));
  const [endless, next] = desk.list("Gannet");
  expect(desk.stop(endless?.id ?? "", "Tern")).toBe(false);
  expect(desk.stop(next?.id ?? "", "Gannet")).toBe(true);
  await expect(waiting).rejects.toThrow(StoppedByHand);
  expect(desk.stop(endless?.id ?? "", "Gannet")).toBe(true);
  await expect(running).rejects.toThrow(StoppedByHand);
  expect(await other).toBe("done");
});

/** A run that goes on until its time is over or it is stopped; counts how often it began. */
function lasting(milliseconds: number) {
  const seen = { begun: 0, done: 0 };
  const work = (signal: AbortSignal) =>
    new Promise<string>((resolve, reject) => {
      seen.begun += 1;
      const clock = setTimeout(() => {
        seen.done += 1;
        resolve("whole");
      }, milliseconds);
      signal.addEventListener("abort", () => {
        clearTimeout(clock);
        reject(new StoppedByHand("stopped"));
      });
    });
  return { seen, work };
}

/** A run that goes on until the test lets it end, or until it is to give way. */
function whileHeld() {
  const seen = { begun: 0, done: 0 };
  const { promise: ended, end } = held();
  const work = async (signal: AbortSignal) => {
    seen.begun += 1;
    await Promise.race([
      ended,
      new Promise((_, reject) => signal.addEventListener("abort", () => reject(new Error("given up")))),
    ]);
    seen.done += 1;
    return "whole";
  };
  return { work, seen, end };
}

test("short runs do not wait for long ones: those give way, and come to their end later from the start", async () => {
  const desk = createDesk({ atOnce: 3, yieldAfter: 20 });
  const long = Array.from({ length: 4 }, whileHeld);
  const all = long.map(({ work }, index) => desk.as(`long ${index}`, () => desk.take("endless", work)));
  await new Promise((resolve) => setTimeout(resolve, 60));
  // All places are taken by long runs, none of which ends before all short ones are done.
  const short = Array.from({ length: 5 }, (_, index) =>
    desk.as(`short ${index}`, () => desk.take("try", lasting(5).work)),
  );
  await Promise.all(short);
  expect(long.map(({ seen }) => seen.done)).toEqual([0, 0, 0, 0]);
  for (const { end } of long) end();
  expect(await Promise.all(all)).toEqual(["whole", "whole", "whole", "whole"]);
  // Each was seen to its end once; what gave way began again.
  expect(long.map(({ seen }) => seen.done)).toEqual([1, 1, 1, 1]);
  expect(long.some(({ seen }) => seen.begun > 1)).toBe(true);
});

test("long runs go on undisturbed while nobody else waits", async () => {
  const desk = createDesk({ atOnce: 2, yieldAfter: 10 });
  const runs = [lasting(60), lasting(60)];
  await Promise.all(runs.map(({ work }, index) => desk.as(`person ${index}`, () => desk.take("long", work))));
  expect(runs.map(({ seen }) => seen)).toEqual([
    { begun: 1, done: 1 },
    { begun: 1, done: 1 },
  ]);
});

test("a program that is known to be long takes no short one's place; one that became short is forgotten", async () => {
  const desk = createDesk({ atOnce: 2, yieldAfter: 20 });
  await desk.take("endless", lasting(40).work, "the same text");
  const again = lasting(80);
  const other = lasting(80);
  const order: string[] = [];
  const work = [
    desk.as("one", () => desk.take("endless", again.work, "the same text")).then(() => order.push("long")),
    desk.as("two", () => desk.take("endless", other.work, "the same text")).then(() => order.push("long")),
    desk.as("three", () => desk.take("try", lasting(1).work, "another text")).then(() => order.push("short")),
  ];
  expect(desk.list("two")).toMatchObject([{ state: "waits" }]);
  await Promise.all(work);
  expect(order).toEqual(["short", "long", "long"]);
  expect([again.seen.begun, other.seen.begun]).toEqual([1, 1]);
  await desk.take("mended", lasting(1).work, "the same text");
  await desk.take("mended", lasting(1).work, "the same text");
  expect(desk.list()).toEqual([]);
});

test("a run that gives way can be stopped by hand, and one that waits too long is not taken", async () => {
  const desk = createDesk({ atOnce: 1, yieldAfter: 5, patience: 60 });
  const first = lasting(1000);
  const second = lasting(1000);
  const running = desk.as("one", () => desk.take("endless", first.work));
  await new Promise((resolve) => setTimeout(resolve, 20));
  const waiting = desk.as("two", () => desk.take("endless", second.work, "k"));
  await expect(waiting).rejects.toThrow(NotTaken);
  expect(desk.stop(desk.list("one")[0]?.id ?? "", "one")).toBe(true);
  await expect(running).rejects.toThrow(StoppedByHand);
});

test("work behind the pages comes after people's, waits as long as it takes, and is not bounded", async () => {
  const desk = createDesk({ atOnce: 1, mostWaiting: 1, patience: 30 });
  const order: string[] = [];
  const first = held();
  const note = (name: string, until: Promise<void> = Promise.resolve()) =>
    desk.take(name, async () => {
      order.push(name);
      await until;
    });
  const all = [
    desk.as("Tern", () => note("first", first.promise)),
    ...[1, 2, 3].map((number) => desk.behind("marking", () => note(`mark ${number}`))),
  ];
  await new Promise((resolve) => setTimeout(resolve, 60));
  all.push(desk.as("Gannet", () => note("try")));
  first.end();
  await Promise.all(all);
  expect(order).toEqual(["first", "try", "mark 1", "mark 2", "mark 3"]);
});
