import { afterAll, beforeAll, expect, test, vi } from "vitest";
import type { FromFrame, FromWorker, RunOrder, ToFrame, ToWorker } from "./messages.ts";

/** A worker that does what the test says, for what no real one does when it is wanted: not to start. */
class StandIn {
  static all: StandIn[] = [];
  static refuses = false;
  onmessage: ((event: { data: FromWorker }) => void) | null = null;
  onerror: ((event: { message: string }) => void) | null = null;
  got: ToWorker[] = [];
  isEnded = false;
  constructor() {
    if (StandIn.refuses) throw new Error("No worker is allowed.");
    StandIn.all.push(this);
  }
  postMessage(message: ToWorker) {
    this.got.push(message);
  }
  terminate() {
    this.isEnded = true;
  }
  says(data: FromWorker) {
    this.onmessage?.({ data });
  }
}

const told: FromFrame[] = [];
const page = { postMessage: (message: FromFrame) => told.push(message) };
let hear: (message: ToFrame, source?: unknown) => void;
const newest = () => StandIn.all.at(-1) as StandIn;
const unpacked = { module: {} as WebAssembly.Module, library: new Uint8Array(), script: new Blob(), runner: "{}" };
const order: RunOrder = { mode: "run", main: "a.py", files: [], input: "", outputLimit: 1, stepLimit: 1 };
const run = (id: number) => hear({ do: "run", id, order, seconds: 5 });
/** What was told since the last time. */
const heard = () => told.splice(0);

beforeAll(async () => {
  vi.stubGlobal("WORKER_SCRIPT", "");
  vi.stubGlobal("parent", page);
  vi.stubGlobal("Worker", StandIn);
  vi.stubGlobal("addEventListener", (_name: string, listener: (event: unknown) => void) => {
    hear = (data, source = page) => listener({ source, data });
  });
  vi.useFakeTimers();
  await import("./frame.ts");
});
afterAll(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

test("a pack is loaded once, and nobody but the page is listened to", () => {
  hear({ do: "load", pack: new ArrayBuffer(4) }, "somebody else");
  expect(StandIn.all).toHaveLength(0);
  hear({ do: "load", pack: new ArrayBuffer(4) });
  newest().says({ told: "ready", unpacked });
  expect(heard()).toEqual([{ told: "loaded" }]);
});

test("a run has the worker that is ready, the next one is made ready behind it, and a used one is ended", () => {
  const first = newest();
  run(1);
  expect(first.got.at(-1)).toEqual({ do: "run", order });
  const second = newest();
  expect(second).not.toBe(first);
  expect(second.got).toEqual([{ do: "start again", unpacked }]);
  first.says({ told: "frames", frames: [] });
  first.says({ told: "over", how: "ended" });
  expect(heard()).toEqual([
    { told: "frames", id: 1, frames: [] },
    { told: "over", id: 1, how: "ended" },
  ]);
  expect(first.isEnded).toBe(true);
  // What a used worker still says is nobody's.
  first.says({ told: "over", how: "ended" });
  expect(heard()).toEqual([]);
  second.says({ told: "ready", unpacked });
});

test("a run without an end is ended by time or by hand, and by its own number only", () => {
  run(2);
  hear({ do: "stop", id: 1 });
  expect(heard()).toEqual([]);
  hear({ do: "stop", id: 2 });
  newest().says({ told: "ready", unpacked });
  run(3);
  newest().says({ told: "ready", unpacked });
  vi.advanceTimersByTime(5001);
  expect(heard()).toEqual([
    { told: "over", id: 2, how: "person" },
    { told: "over", id: 3, how: "time" },
  ]);
});

test("a worker that does not start disturbs no program that runs; whoever waits for one is told, and the next run tries anew", () => {
  const running = newest();
  run(4);
  newest().onerror?.({ message: "out of memory" });
  expect(heard()).toEqual([]);
  StandIn.refuses = true;
  running.says({ told: "over", how: "ended" });
  expect(heard()).toEqual([
    { told: "over", id: 4, how: "ended" },
    { told: "trouble", words: "No worker is allowed." },
  ]);
  run(5);
  expect(heard()).toEqual([{ told: "trouble", words: "No worker is allowed." }]);
  StandIn.refuses = false;
  run(6);
  newest().says({ told: "ready", unpacked });
  expect(newest().got.at(-1)).toEqual({ do: "run", order });
  newest().says({ told: "over", how: "broken" });
  expect(heard()).toEqual([{ told: "over", id: 6, how: "broken" }]);
});
