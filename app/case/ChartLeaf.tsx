import { Link, useSearchParams } from "react-router";
import { ChartView } from "../components/ChartView.tsx";
import { TryHere } from "../tryHere/TryHere.tsx";
import type { CaseView } from "./caseView.ts";

/** What a chart is of, in words. */
export const chartTitle = (name: string): string => (name === "" ? "The program" : name);

/** The program in another style or language. */
function WrittenOtherwise({ forms }: { forms: NonNullable<CaseView["forms"]> }) {
  const [, setQuery] = useSearchParams();
  const onChoose = (form: string) =>
    setQuery(
      (query) => {
        query.set("form", form);
        return query;
      },
      { preventScrollReset: true },
    );
  return (
    <section aria-label="Written otherwise" className="grid gap-2">
      <label className="text-sm">
        The program written otherwise
        <select
          className="field"
          value={forms.chosen || forms.all[0]?.id}
          onChange={(event) => onChoose(event.currentTarget.value)}
        >
          {forms.all.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      {"text" in forms ? (
        <pre className="overflow-x-auto border border-rule p-2 text-sm" tabIndex={0}>
          {forms.text}
        </pre>
      ) : (
        <p>{forms.problem}</p>
      )}
    </section>
  );
}

/** The program as flowcharts: its main part, then each of its routines. */
export function ChartLeaf({ view }: { view: CaseView }) {
  const drawn = view.charts;
  if (!drawn) return null;
  return (
    <div className="grid gap-3">
      {drawn.why !== "" && <p>{drawn.why}</p>}
      {drawn.charts.map((chart) => (
        <section key={chart.name} aria-label={`Chart: ${chartTitle(chart.name)}`} className="grid gap-2">
          {drawn.charts.length > 1 && <h3 className="text-base font-semibold">{chartTitle(chart.name)}</h3>}
          <div className="overflow-x-auto" tabIndex={0}>
            <ChartView chart={chart} title={`Flowchart: ${chartTitle(chart.name)}`} />
          </div>
        </section>
      ))}
      {drawn.charts.length > 0 && (
        <p className="flex flex-wrap gap-x-4">
          <Link className="link" to={`/cases/${view.key}/run?show=chart`}>
            Dry run on the chart
          </Link>
          <Link className="link" to={`/print/cases/${view.key}/chart`}>
            For print
          </Link>
        </p>
      )}
      {view.tryHere && <TryHere key={view.tryHere.program} {...view.tryHere} />}
      {drawn.charts.length > 0 && view.forms && <WrittenOtherwise forms={view.forms} />}
    </div>
  );
}
