import { Script } from "../components/Script.tsx";
import { DryRunScript } from "../dryRun/DryRunScript.tsx";
import type { Breakpoints } from "../dryRun/useBreakpoints.ts";
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
  breakpoints: Breakpoints;
  onBreakpoints: (breakpoints: Breakpoints) => void;
  onOnly: (line: number, steps: ReadonlySet<number> | null) => void;
  narrowing: Narrowing;
  onNarrow: (narrowing: Narrowing) => void;
};

/** The program on the left: what a press on a line does goes by the leaf beside it. */
export function ProgramPart(props: Props) {
  const { view, found, leaf, narrowing, onNarrow } = props;
  if (leaf === "trace" && view.trace) return <DryRunScript {...props} caseKey={view.key} run={view.trace} />;
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
