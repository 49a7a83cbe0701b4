import { useState } from "react";
import { Script } from "../components/Script.tsx";
import { BreakpointList } from "./BreakpointList.tsx";
import { type Breakpoints, toggled } from "./useBreakpoints.ts";

type Props = {
  caseKey: string;
  run: { version: string; check: string; lines: readonly string[]; runnable: readonly number[] };
  /** The line that is about to run. */
  standing: number | null;
  breakpoints: Breakpoints;
  onBreakpoints: (breakpoints: Breakpoints) => void;
  onOnly: (line: number, steps: ReadonlySet<number> | null) => void;
  /** What a name of the program holds now, as it is seen from where the dry run stands; undefined where it has no value. */
  valueHeld?: (name: string) => string | undefined;
};

/** Names that are told beside a line at most. */
const mostNames = 6;

/** The program of a dry run: a press on a line sets a breakpoint or takes it away; pointing at it tells what its names hold. */
export function DryRunScript({ caseKey, run, standing, breakpoints, onBreakpoints, onOnly, valueHeld }: Props) {
  const [note, setNote] = useState("");
  const [looked, setLooked] = useState<number | null>(null);
  const toggle = (picked: number) => {
    // A line that holds nothing to run passes its tab on to the next one that does.
    const line = run.runnable.find((each) => each >= picked);
    if (line === undefined) return setNote(`Nothing is run from line ${picked} on, so no breakpoint can stand there.`);
    const had = breakpoints.lines.has(line);
    onBreakpoints(toggled(breakpoints, line));
    setNote(
      had
        ? `The breakpoint at line ${line} is taken away.`
        : line === picked
          ? `Breakpoint at line ${line}.`
          : `Line ${picked} holds nothing to run; the breakpoint is at line ${line}.`,
    );
  };
  const at = looked;
  const values = at === null || !valueHeld ? "" : valuesOn(run.lines[at - 1] ?? "", valueHeld);
  return (
    <section className="leaf py-3" aria-label="The program">
      <Script
        lines={run.lines}
        label="The program in the dry run"
        next={standing}
        tabs={breakpoints.lines}
        onPick={toggle}
        onLook={setLooked}
        beside={at !== null && values !== "" ? { line: at, text: values } : null}
        pickHint="Set a breakpoint here, or take it away"
      />
      <p className="note-small px-3" role="status">
        {note || "Press a line to set a breakpoint (arrow keys and Enter do the same)."}
        {looked !== null && values !== "" && <span className="sr-only"> Now: {values}</span>}
      </p>
      <BreakpointList
        asked={{ caseKey, version: run.version, check: run.check }}
        breakpoints={breakpoints}
        onBreakpoints={onBreakpoints}
        onOnly={onOnly}
      />
    </section>
  );
}

/** What the names of a line hold: `length = 120; load = 3`. */
function valuesOn(line: string, valueHeld: NonNullable<Props["valueHeld"]>): string {
  const names = new Set(line.match(/[A-Za-z_]\w*/g) ?? []);
  return [...names]
    .flatMap((name) => {
      const value = valueHeld(name);
      return value === undefined || value === "" ? [] : [`${name} = ${value}`];
    })
    .slice(0, mostNames)
    .join("; ");
}
