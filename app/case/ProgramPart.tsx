import { useState } from "react";
import { Script } from "../components/Script.tsx";
import { CaseScript } from "./CaseScript.tsx";
import type { CaseView, Leaf } from "./caseView.ts";
import type { Narrowing } from "./NarrowLeaf.tsx";
import type { SearchView } from "./searchView.ts";

type Props = {
  view: CaseView;
  found: SearchView | null;
  leaf: Leaf;
  /** The line of a dry run that is about to run. */
  standing: number | null;
  breakpoints: ReadonlySet<number>;
  onBreakpoints: (lines: ReadonlySet<number>) => void;
  narrowing: Narrowing;
  onNarrow: (narrowing: Narrowing) => void;
};

/** The program on the left: what a press on a line does goes by the leaf beside it. */
export function ProgramPart(props: Props) {
  const { view, found, leaf, narrowing, onNarrow } = props;
  if (leaf === "trace" && view.trace) return <DryRunScript {...props} trace={view.trace} />;
  if (leaf !== "narrow" || !view.narrow) return <CaseScript view={view} found={found} />;
  return (
    <section className="leaf py-3" aria-label="The program">
      <Script
        lines={view.lines}
        firstNumber={view.firstLine}
        label={`Program ${view.fileName}, version ${view.versionNumber}`}
        styles={view.styles}
        chosen={narrowing.line}
        off={new Set(narrowing.probes.flatMap((probe) => (probe.kind === "off" ? [probe.line] : [])))}
        onPick={(line) => onNarrow({ ...narrowing, line })}
        pickHint="look at its values, and try something there"
      />
      <p className="note-small px-3">Press a line to look at it (arrow keys and Enter do the same).</p>
    </section>
  );
}

/** The program of a dry run: a press on a line sets a breakpoint or takes it away. */
function DryRunScript({
  trace,
  standing,
  breakpoints,
  onBreakpoints,
}: Props & { trace: NonNullable<CaseView["trace"]> }) {
  const [note, setNote] = useState("");
  const toggle = (picked: number) => {
    // A line that holds nothing to run passes its tab on to the next one that does.
    const line = trace.runnable.find((each) => each >= picked);
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
        lines={trace.lines}
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
