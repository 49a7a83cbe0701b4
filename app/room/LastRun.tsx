import type { SittingTry } from "../../server/sittings/tryStore.ts";
import { Console } from "../components/Console.tsx";
import { Script } from "../components/Script.tsx";
import { clockTime } from "../sitting/TimeLeft.tsx";

/** What a student had run last: the program as it was then, and what came of it. */
export function LastRun({ label, run }: { label: string; run: SittingTry | null }) {
  if (!run) return <p className="leaf p-3">{label} has not run anything.</p>;
  return (
    <section className="grid gap-3 lg:grid-cols-2" aria-label={`The last run of ${label}`}>
      <div className="leaf py-2">
        <h2 className="px-3 text-base">
          {label} at {clockTime(run.tried_at)}
        </h2>
        <Script lines={run.text.replace(/\n$/, "").split("\n")} label={`The program of ${label}`} />
      </div>
      <div className="leaf grid content-start gap-2 p-3">
        <h2 className="text-base">What came of it</h2>
        <Console view={run.console} label={`Console of ${label}`} />
        <p className="note-small">{run.ended}</p>
      </div>
    </section>
  );
}
