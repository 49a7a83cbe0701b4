import { useEffect, useState } from "react";
import { useFetchers, useNavigation } from "react-router";
import type { RunShown } from "./runShown.ts";

/** Time before a run is shown, and between two looks, in milliseconds. */
const [before, between] = [500, 700];

/**
 * Says what waits or runs while a page is waited for, with a way to stop it. `address` gives the runs of whoever looks;
 * `busy` is true where the page waits for something of its own.
 */
export function RunStrip({ address, busy = false }: { address: string; busy?: boolean }) {
  const navigation = useNavigation();
  const fetchers = useFetchers();
  const waiting = busy || navigation.state !== "idle" || fetchers.some((fetcher) => fetcher.state !== "idle");
  const [runs, setRuns] = useState<RunShown[]>([]);
  useEffect(() => {
    if (!waiting) return setRuns([]);
    let timer: ReturnType<typeof setTimeout>;
    let left = false;
    const look = async () => {
      try {
        const response = await fetch(address, { headers: { Accept: "application/json" } });
        const seen: { runs: RunShown[] } = await response.json();
        if (!left) setRuns(seen.runs);
      } catch {
        // The page's own request tells if the server is gone.
      }
      if (!left) timer = setTimeout(() => void look(), between);
    };
    timer = setTimeout(() => void look(), before);
    return () => {
      left = true;
      clearTimeout(timer);
    };
  }, [waiting, address]);
  const stop = async (id: string) => {
    await fetch(address, { method: "POST", body: new URLSearchParams({ intent: "stop", id }) });
    setRuns((shown) => shown.filter((run) => run.id !== id));
  };
  return (
    <section aria-label="Runs" aria-live="polite" className="no-print fixed right-4 bottom-4 z-10 grid gap-2">
      {runs.slice(0, 4).map((run) => (
        <div key={run.id} className="flex items-center gap-3 border-2 border-rule-strong bg-slip px-3 py-2">
          <span>
            {run.state === "waits" ? "Waits its turn" : "Goes on"}: {run.what}
            {run.seconds > 0 && `, ${run.seconds} s`}
            {run.state === "waits" && `, ${run.before === 0 ? "next" : `${run.before} before it`}`}
          </span>
          <button type="button" className="press" onClick={() => void stop(run.id)}>
            Stop
          </button>
        </div>
      ))}
      {runs.length > 4 && <p className="border border-rule bg-slip px-3">and {runs.length - 4} more</p>}
    </section>
  );
}
