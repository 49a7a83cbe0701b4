import { useEffect } from "react";
import { useRevalidator } from "react-router";
import type { LoadingState } from "../../server/work/loading.ts";

/** Time between two looks, in milliseconds. */
const between = 1500;

/** Says how far data is that comes in behind the page, and lets the page fill up with it. */
export function LoadingStrip({ loading }: { loading: LoadingState | null }) {
  const { revalidate, state } = useRevalidator();
  const goesOn = loading !== null && loading.failed === null;
  useEffect(() => {
    if (!goesOn || state !== "idle") return;
    const timer = setTimeout(() => void revalidate(), between);
    return () => clearTimeout(timer);
  }, [goesOn, state, revalidate]);
  if (!loading) return null;
  return (
    <div role="status" className="no-print flex items-center gap-3 border-b border-rule-strong bg-slip px-5 py-1">
      {loading.failed ? (
        <p>
          Loading broke off at {loading.done} of {loading.total} parts: {loading.failed} What came in is there.
        </p>
      ) : (
        <>
          <progress
            className="h-2 w-48 accent-steel-deep"
            value={loading.done}
            max={loading.total}
            aria-label="Loaded so far"
          />
          <p>
            The demo is being loaded: {loading.done} of {loading.total} parts. The pages fill up as it comes in.
          </p>
        </>
      )}
    </div>
  );
}
