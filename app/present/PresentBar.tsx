import { type ReactNode, useLayoutEffect } from "react";
import { Link } from "react-router";

/** What the keys of a presentation do; presenters' remote controls press the keys of pages. R goes back to the beginning. */
const keys: ReadonlyMap<string, "on" | "back" | "begin"> = new Map([
  ["ArrowRight", "on"],
  ["PageDown", "on"],
  ["ArrowLeft", "back"],
  ["PageUp", "back"],
  ["r", "begin"],
]);

export type Steps = { count: number; last: number; on: () => void; back: () => void; begin: () => void };

/** Goes through a presentation by keys, wherever the focus is but in a choice. */
export function usePresentKeys({ on, back, begin }: Pick<Steps, "on" | "back" | "begin">): void {
  // Before anything new can be seen: a key that answers to it must not find what was there before.
  useLayoutEffect(() => {
    const does = { on, back, begin };
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.altKey || event.metaKey || event.defaultPrevented) return;
      if (event.target instanceof HTMLSelectElement) return;
      const key = keys.get(event.key);
      if (!key) return;
      event.preventDefault();
      does[key]();
    };
    document.addEventListener("keydown", onKey);
    return () => document.removeEventListener("keydown", onKey);
  }, [on, back, begin]);
}

/** The buttons under a presentation, and where it leads when it is left. */
export function PresentBar({
  steps,
  atBegin,
  atEnd,
  away,
  children,
}: {
  steps: Steps;
  atBegin: boolean;
  atEnd: boolean;
  away: string;
  children?: ReactNode;
}) {
  return (
    <nav aria-label="Presentation" className="no-print flex flex-wrap items-center gap-4 text-base">
      <button type="button" className="press press-main" disabled={atEnd} onClick={steps.on}>
        Go on <kbd>→</kbd>
      </button>
      <button type="button" className="press" disabled={atBegin} onClick={steps.back}>
        Back <kbd>←</kbd>
      </button>
      <button type="button" className="press press-quiet" onClick={steps.begin}>
        From the beginning <kbd>R</kbd>
      </button>
      <span className="text-graphite">
        {steps.count} of {steps.last}
      </span>
      {children}
      <Link className="link ml-auto" to={away}>
        Leave
      </Link>
    </nav>
  );
}
