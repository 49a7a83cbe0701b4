import { useEffect, useState } from "react";
import { Link, useRevalidator } from "react-router";
import type { CaseListRow } from "../../server/cases/listStore.ts";
import type { JudgingProgress } from "../../server/collect/judging.ts";
import { alikeAddress, walkBegin } from "../case/walkAddress.ts";
import { RefusedList } from "../collect/RefusedList.tsx";
import { CaseList } from "../components/CaseList.tsx";
import { WrittenFor } from "./WrittenFor.tsx";

type JudgingView = {
  key: string;
  name: string;
  progress: JudgingProgress | null;
  cases: CaseListRow[];
  assignment: string | null;
  assignments: ReadonlyArray<{ key: string; title: string }>;
  refused: Array<{ path: string; reason: string }>;
};

/** Whether there is anything to follow still. */
const going = (progress: JudgingProgress | null) =>
  progress !== null && (progress.state === "running" || progress.toSearch > 0);

/** Follows the work by server-sent events, and by looking again and again where these are cut. */
function useProgress(address: string, first: JudgingProgress | null): JudgingProgress | null {
  const [progress, setProgress] = useState(first);
  const isGoing = going(first);
  useEffect(() => {
    if (!isGoing) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const events = new EventSource(address);
    const look = async () => {
      const seen: JudgingProgress | null = await (await fetch(address)).json().catch(() => null);
      if (seen) setProgress(seen);
      if (going(seen)) timer = setTimeout(() => void look(), 1000);
    };
    events.onmessage = (event: MessageEvent<string>) => {
      const seen = JSON.parse(event.data) as JudgingProgress;
      setProgress(seen);
      if (!going(seen)) events.close();
    };
    events.onerror = () => {
      events.close();
      void look();
    };
    return () => {
      events.close();
      clearTimeout(timer);
    };
  }, [address, isGoing]);
  return progress;
}

/** A set that was taken in: how far its judging is, and its cases. */
export function JudgingList({ view }: { view: JudgingView }) {
  const address = `/collect/${view.key}/progress`;
  const progress = useProgress(address, view.progress);
  const revalidator = useRevalidator();
  const state = progress?.state;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the list is read anew once, when the work ends
  useEffect(() => {
    if (state !== "running" && view.progress?.state === "running") void revalidator.revalidate();
  }, [state]);
  return (
    <div className="grid max-w-4xl gap-4">
      <header className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="mr-auto">{view.name}</h1>
        <Link className="link" to={alikeAddress(`set ${view.key}`)}>
          Decide those that fail alike
        </Link>
        <Link className="link" to={walkBegin(`set ${view.key}`)}>
          Work through them
        </Link>
      </header>
      <section className="leaf flex flex-wrap items-center gap-4 p-3" aria-label="Judging">
        {progress && (
          <>
            <progress
              value={progress.done}
              max={Math.max(1, progress.total)}
              aria-label="Judged so far"
              className="h-3 w-64"
            />
            <p role="status">
              {progress.done} of {progress.total} judged by their runs
              {progress.state === "stopped"
                ? ". Stopped: the others are judged when you open them."
                : progress.state === "running"
                  ? "…"
                  : progress.toSearch > 0
                    ? `. Small changes are still looked for in ${progress.toSearch} of them…`
                    : ". All is done."}
            </p>
          </>
        )}
        {going(progress) && (
          <button type="button" className="press" onClick={() => void fetch(address, { method: "POST" })}>
            Stop
          </button>
        )}
        <WrittenFor assignment={view.assignment ?? ""} assignments={view.assignments} />
        {view.assignment !== null && (
          <Link className="link" to={`/assignments/${view.assignment}/overview`}>
            Overview of the assignment
          </Link>
        )}
        <p className="ml-auto">
          All of them are in the{" "}
          <Link className="link" to="/">
            Tray
          </Link>
          .
        </p>
      </section>
      <CaseList rows={view.cases} />
      <RefusedList refused={view.refused} />
    </div>
  );
}
