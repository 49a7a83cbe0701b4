import { useState } from "react";
import { useRevalidator } from "react-router";

/** Gives a step of a task and goes on to the next one: what was given is kept by the server, and the page is read anew. */
export function GoOn({ to, give, saveNow }: { to: number; give: () => void; saveNow: () => Promise<undefined> }) {
  const [going, setGoing] = useState(false);
  const revalidator = useRevalidator();
  const goOn = async () => {
    setGoing(true);
    give();
    await saveNow();
    await revalidator.revalidate();
    setGoing(false);
  };
  return (
    <div className="flex flex-wrap items-baseline gap-3">
      <button type="button" className="press" disabled={going} onClick={() => void goOn()}>
        {going ? "Going on…" : `Go on to step ${to}`}
      </button>
      <span className="note-small">What you gave so far stays as it is then.</span>
    </div>
  );
}
