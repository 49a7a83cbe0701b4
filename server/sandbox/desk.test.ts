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

test("turns go round: one run of a second person comes before the tenth of the first", async () => {
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
  const all = [run("Gannet", "g0", first.promise), ...[1, 2, 3].map((number) => run("Gannet", `g${number}`)), run("Tern", "t1")];
  expect(desk.list("Gannet").map((ticket) => ticket.state)).toEqual(["runs", "waits", "waits", "waits"]);
  expect(desk.list("Tern").map((ticket) => [ticket.what, ticket.state])).toEqual([["t1", "waits"]]);
  first.end();
  await Promise.all(all);
  expect(order).toEqual(["g0", "g1", "t1", "g2", "g3"]);
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
    desk.take("endless", (signal) => new Promise<void>((_, reject) => signal.addEventListener("abort", () => reject(new StoppedByHand("stopped"))))),
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
