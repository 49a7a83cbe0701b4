import { useCallback, useEffect, useRef, useState } from "react";
import { seenAfter } from "../../core/lessons/reveals.ts";
import { UserSteps } from "../components/UserSteps.tsx";
import { PresentBar, usePresentKeys } from "./PresentBar.tsx";
import { PresentedProgram } from "./PresentedProgram.tsx";
import type { Presentation } from "./presentation.ts";

/** A faulty program before a class: large, and nothing is told before it is asked for. */
export function Present({ view }: { view: Presentation }) {
  const [count, setCount] = useState(0);
  /** Counts how often it was begun anew: nothing that was put on the page then stays. */
  const [round, setRound] = useState(0);
  const place = useRef<HTMLElement>(null);
  const last = view.reveals.length;
  const on = useCallback(() => setCount((now) => Math.min(last, now + 1)), [last]);
  const back = useCallback(() => setCount((now) => Math.max(0, now - 1)), []);
  const begin = useCallback(() => {
    setCount(0);
    setRound((now) => now + 1);
  }, []);
  usePresentKeys({ on, back, begin });
  useEffect(() => place.current?.focus(), []);

  return (
    <main
      ref={place}
      tabIndex={-1}
      className="grid min-h-screen grid-rows-[auto_1fr_auto] gap-4 p-6 text-[1.5rem] outline-none"
    >
      <header>
        <h1 className="text-[2rem]">{view.title}</h1>
        {view.intro && <p>{view.intro}</p>}
        <UserSteps title="What the user does:" steps={view.userActions} />
      </header>
      <PresentedProgram key={round} view={view} seen={seenAfter(view.reveals, count)} />
      <PresentBar
        steps={{ count, last, on, back, begin }}
        atBegin={count === 0}
        atEnd={count === last}
        away={view.back}
      />
    </main>
  );
}
