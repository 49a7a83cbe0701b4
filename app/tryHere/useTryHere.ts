import { useCallback, useEffect, useRef, useState } from "react";
import type { TryReply, TryRequest } from "./request.ts";

/** The longest time that a run in the browser may take, in milliseconds. */
const longest = 5000;

/** What a run in the browser came to, in words: nothing yet, running, ended, or stopped from outside. */
export type Tried = { state: "none" | "running" | "stopped" } | ({ state: "ended" } & TryReply);

/** Runs a program of our own interpreter in a worker of the browser, which is ended on time or by the person. */
export function useTryHere(): { tried: Tried; run: (request: TryRequest) => void; stop: () => void } {
  const [tried, setTried] = useState<Tried>({ state: "none" });
  const running = useRef<{ worker: Worker; timer: ReturnType<typeof setTimeout> } | null>(null);
  const end = useCallback((state: Tried | null) => {
    if (running.current) {
      clearTimeout(running.current.timer);
      running.current.worker.terminate();
      running.current = null;
    }
    if (state) setTried(state);
  }, []);
  useEffect(() => () => end(null), [end]);
  const run = useCallback(
    (request: TryRequest) => {
      end({ state: "running" });
      const worker = new Worker(new URL("./worker.ts", import.meta.url), { type: "module" });
      const timer = setTimeout(() => end({ state: "stopped" }), longest);
      running.current = { worker, timer };
      worker.addEventListener("message", ({ data }: MessageEvent<TryReply>) => end({ state: "ended", ...data }));
      worker.addEventListener("error", () => end({ state: "stopped" }));
      worker.postMessage(request);
    },
    [end],
  );
  return { tried, run, stop: () => end({ state: "stopped" }) };
}
