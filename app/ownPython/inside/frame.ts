/**
 * The script of the frame that is shut off from the page: it holds one worker that is ready, gives it a program, ends it
 * when it is over or stopped, and makes the next one ready. Bundled by server/ownPython/make.ts, which puts the
 * worker's script in the place of WORKER_SCRIPT.
 */
import type { FromFrame, FromWorker, HowOver, ToFrame, ToWorker, Unpacked } from "./messages.ts";

declare const WORKER_SCRIPT: string;

const workerAddress = URL.createObjectURL(new Blob([WORKER_SCRIPT], { type: "text/javascript" }));
// The frame has an origin that nobody shares, so the page is told by its place and not by its name.
const tell = (told: FromFrame) => parent.postMessage(told, "*");

let unpacked: Unpacked | null = null;
let ready: Worker | null = null;
/** The run that has been asked for: waiting for a worker that is ready, or in one. */
let asked: Extract<ToFrame, { do: "run" }> | null = null;
let working: Worker | null = null;
/** A worker is on its way to be ready. */
let starting = false;
let timer: ReturnType<typeof setTimeout> | undefined;

function over(how: HowOver): void {
  if (!asked) return;
  const { id } = asked;
  clearTimeout(timer);
  working?.terminate();
  [asked, working] = [null, null];
  tell({ told: "over", id, how });
  makeReady();
}

/** Starts the next worker where none is ready or on its way. */
function makeReady(): void {
  if (!ready && !starting && unpacked) startWorker({ do: "start again", unpacked });
}

/** No worker can be had: whoever waits for one is told, and the next run may try it again. A program that runs goes on. */
function noWorker(words: string): void {
  starting = false;
  if (working) return;
  asked = null;
  tell({ told: "trouble", words });
}

function begin(): void {
  if (!asked || working || !ready) return;
  [working, ready] = [ready, null];
  timer = setTimeout(() => over("time"), asked.seconds * 1000);
  working.postMessage({ do: "run", order: asked.order } satisfies ToWorker);
}

function startWorker(first: Extract<ToWorker, { do: "start" | "start again" }>): void {
  let worker: Worker;
  starting = true;
  try {
    worker = new Worker(workerAddress);
  } catch (problem) {
    // A browser that starts no worker here.
    noWorker(problem instanceof Error ? problem.message : String(problem));
    return;
  }
  const trouble = (words: string) => {
    worker.terminate();
    if (worker === working) over("broken");
    else noWorker(words);
  };
  worker.onerror = ({ message }) => trouble(message);
  worker.onmessage = ({ data }: MessageEvent<FromWorker>) => {
    // A program could send whatever it likes: only the one that runs is listened to, and it ends nothing but itself.
    if (worker === working) {
      if (data.told === "frames" && asked) tell({ told: "frames", id: asked.id, frames: data.frames });
      else if (data.told === "over") over(data.how === "broken" ? "broken" : "ended");
    } else if (data.told === "trouble") trouble(data.words);
    else if (data.told === "ready") {
      if (!unpacked) tell({ told: "loaded" });
      unpacked ??= data.unpacked;
      [ready, starting] = [worker, false];
      begin();
    }
  };
  worker.postMessage(first, first.do === "start" ? [first.pack] : []);
}

addEventListener("message", ({ source, data }: MessageEvent<ToFrame>) => {
  if (source !== parent) return;
  if (data.do === "load") startWorker({ do: "start", pack: data.pack });
  else if (data.do === "stop") {
    if (asked?.id === data.id) over("person");
  } else if (!asked) {
    asked = data;
    begin();
    makeReady();
  }
});
