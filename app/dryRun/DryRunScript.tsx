import { useState } from "react";
import { Script } from "../components/Script.tsx";

type Props = {
  run: { lines: readonly string[]; runnable: readonly number[] };
  /** The line that is about to run. */
  standing: number | null;
  breakpoints: ReadonlySet<number>;
  onBreakpoints: (lines: ReadonlySet<number>) => void;
};

/** The program of a dry run: a press on a line sets a breakpoint or takes it away. */
export function DryRunScript({ run, standing, breakpoints, onBreakpoints }: Props) {
  const [note, setNote] = useState("");
  const toggle = (picked: number) => {
    // A line that holds nothing to run passes its tab on to the next one that does.
    const line = run.runnable.find((each) => each >= picked);
    if (line === undefined) return setNote(`Nothing is run from line ${picked} on, so no breakpoint can stand there.`);
    const had = breakpoints.has(line);
    onBreakpoints(new Set(had ? [...breakpoints].filter((each) => each !== line) : [...breakpoints, line]));
    setNote(
      had
        ? `The breakpoint at line ${line} is taken away.`
        : line === picked
          ? `Breakpoint at line ${line}.`
          : `Line ${picked} holds nothing to run; the breakpoint is at line ${line}.`,
    );
  };
  return (
    <section className="leaf py-3" aria-label="The program">
      <Script
        lines={run.lines}
        label="The program in the dry run"
        next={standing}
        tabs={breakpoints}
        onPick={toggle}
        pickHint="Set a breakpoint here, or take it away"
      />
      <p className="note-small px-3" role="status">
        {note || "Press a line to set a breakpoint (arrow keys and Enter do the same)."}
      </p>
    </section>
  );
}
