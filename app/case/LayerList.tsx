import { Link, useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { FixSlip } from "../components/FixSlip.tsx";
import { ClassMark, StraightNail, useCourseWords } from "../components/marks.tsx";
import { Said, settled } from "../components/Said.tsx";
import type { CaseView } from "./caseView.ts";
import { FaultWords } from "./FaultWords.tsx";
import { FieldsOfRecord } from "./FieldsOfRecord.tsx";
import { useLeafAddress } from "./leafAddress.ts";
import { Revision } from "./Revision.tsx";
import { TriedAsWell } from "./TriedAsWell.tsx";

/**
 * What a fix is meant to do: several can be right, and the intention decides between them. Kept when the field is left.
 */
function Intention({ layer }: { layer: CaseView["layers"][number] }) {
  const fetcher = useFetcher<Reply>();
  return (
    <fetcher.Form method="post" className="grid gap-1 text-sm">
      <input type="hidden" name="intent" value="intention" />
      <Revision />
      <input type="hidden" name="key" value={layer.key} />
      <label className="flex grow items-baseline gap-2">
        <span className="shrink-0">Meant to</span>
        <input
          name="intention"
          className="field"
          defaultValue={layer.intention ?? ""}
          placeholder="what this fix should bring about"
          onBlur={(event) => event.target.value !== (layer.intention ?? "") && void fetcher.submit(event.target.form)}
        />
      </label>
      <Said reply={settled(fetcher)} />
    </fetcher.Form>
  );
}

const day = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", year: "numeric", timeZone: "UTC" });

/** How far the reported line is from the nearest faulty one, in words. */
function distanceWords(reported: number | null, faulty: readonly number[]): string {
  if (reported === null) return faulty.length > 0 ? "no line was reported" : "";
  if (faulty.length === 0) return `reported at line ${reported}`;
  const distance = faulty.map((line) => reported - line).sort((one, other) => Math.abs(one) - Math.abs(other))[0] ?? 0;
  if (distance === 0) return "the fault is on the reported line";
  const lines = `${Math.abs(distance)} ${Math.abs(distance) === 1 ? "line" : "lines"}`;
  return distance > 0
    ? `reported at line ${reported}, ${lines} below the fault`
    : `reported at line ${reported}, ${lines} above the fault: the rule “on that line or above it” does not hold here`;
}

/** The faults of a case in the order in which they showed, each with its fix. */
export function LayerList({ view }: { view: CaseView }) {
  const done = view.layers.filter((layer) => layer.mended);
  const leafAddress = useLeafAddress();
  const inWords = useCourseWords();
  if (done.length === 0) return null;
  return (
    <section aria-labelledby="layers-title" className="leaf p-3">
      <h2 id="layers-title">{view.openLayer === null ? "Record" : "Mended so far"}</h2>
      <ol className="mt-1 grid gap-3">
        {done.map((layer) => (
          <li key={layer.key} className="grid gap-1">
            <p className="flex flex-wrap items-center gap-x-3">
              <StraightNail label="mended" />
              <strong>Layer {layer.position}</strong> <ClassMark of={layer.class} />
              <span className="note-small">
                {[layer.symptom, layer.message, distanceWords(layer.reportedLine, layer.faultyLines)]
                  .filter((part) => part)
                  .join(" · ")}
              </span>
            </p>
            {layer.faultyLines.length > 0 && (
              <p>
                {layer.faultyLines.length === 1 ? "Faulty line: " : "Faulty lines: "}
                <strong>{layer.faultyLines.map((line) => line + view.firstLine - 1).join(", ")}</strong>
              </p>
            )}
            <FieldsOfRecord layer={layer} wording={view.wording} />
            {layer.secondOpinion && (
              <p className="note-small">
                {layer.decided?.reason && `Decided otherwise than the evidence: ${layer.decided.reason} `}
                Second opinion: {inWords(layer.secondOpinion)}
              </p>
            )}
            {layer.fix && <FixSlip hunks={layer.fix} />}
            {layer.verified && view.verified && layer === done.at(-1) && (
              <p className="note-small">
                Proof:{" "}
                {layer.verified.checks.length === 1
                  ? "its check passed"
                  : `${layer.verified.checks.length} checks passed`}{" "}
                on {day.format(new Date(layer.verified.at))}
                {layer.verified.translator && `, ${layer.verified.translator}`}.
              </p>
            )}
            <Intention layer={layer} />
            <FaultWords layer={layer} />
          </li>
        ))}
      </ol>
      <TriedAsWell view={view}>
        <Link className="link" to={leafAddress("versions")} preventScrollReset>
          What each version gave
        </Link>
      </TriedAsWell>
    </section>
  );
}
