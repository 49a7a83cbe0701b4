import { useRef, useState } from "react";
import { Form, Link, useSearchParams, useSubmit } from "react-router";
import { headingsOf, headingText } from "../../core/trace/headings.ts";
import type { Only } from "../../core/trace/moves.ts";
import * as moves from "../../core/trace/moves.ts";
import { TraceTableView, wantedBy } from "../components/TraceTableView.tsx";
import { useLetterKeys } from "../components/useLetterKeys.ts";
import type { CaseView } from "./caseView.ts";
import { useLeafAddress } from "./leafAddress.ts";
import type { TraceView } from "./traceView.ts";

/** The dry run of a recorded run: the nib on the line about to run, and the trace table growing line by line. */
type Props = {
  view: CaseView;
  onStand: (line: number | null) => void /** Lines with a breakpoint. */;
  breakpoints: ReadonlySet<number>;
  only: Only;
};

export function TraceLeaf(props: Props) {
  const { view } = props;
  if (!view.trace) return <p>This program cannot be run here, so there is no recorded run to go through.</p>;
  return (
    <DryRun
      key={`${view.trace.version} ${view.trace.check} ${view.trace.rows} ${view.trace.from}`}
      {...props}
      trace={view.trace}
    />
  );
}

function DryRun({ view, trace, onStand, breakpoints, only }: Props & { trace: TraceView }) {
  const submit = useSubmit();
  const leafAddress = useLeafAddress();
  const [query] = useSearchParams();
  const { table, total, from } = trace;
  const count = table.rows.length;
  /** Rows already run; the nib stands on the line of the row after them. */
  const [done, setDone] = useState(count);
  const [hidden, setHidden] = useState<ReadonlySet<string>>(new Set());
  const box = useRef<HTMLElement>(null);
  const standing = table.rows[done];
  const shown = { ...table, columns: table.columns.filter((column) => !hidden.has(column.key)) };
  const headings = headingsOf(table.columns).map(headingText);
  const move = (to: number) => {
    const target = Math.max(0, Math.min(count, to));
    setDone(target);
    onStand(table.rows[target]?.line ?? null);
    // The newest row is to be in sight after every move.
    requestAnimationFrame(() => box.current?.scrollTo({ top: box.current.scrollHeight }));
  };
  const place = useRef<HTMLDivElement>(null);
  /** On to the next row whose line has a breakpoint and is about to run, or to the end. */
  const toBreakpoint = () => move(moves.toBreakpoint(table.rows, done, breakpoints, only));
  useLetterKeys(place, { n: () => move(done + 1), b: () => move(done - 1), p: toBreakpoint });

  if (count === 0) return <p>{trace.ended || "No line ran."}</p>;
  return (
    <div className="grid gap-2" ref={place}>
      <Form
        method="get"
        preventScrollReset
        className="flex flex-wrap items-end gap-3"
        onChange={(event) => void submit(event.currentTarget, { preventScrollReset: true })}
      >
        <input type="hidden" name="leaf" value="trace" />
        {query.get("through") && <input type="hidden" name="through" value={query.get("through") ?? ""} />}
        <label className="text-sm">
          Version
          <select name="version" defaultValue={trace.version} className="field">
            {view.versions.map((version) => (
              <option key={version.key} value={version.key}>
                {version.number} ({version.origin})
              </option>
            ))}
          </select>
        </label>
        <label className="text-sm">
          Input of
          <select name="check" defaultValue={trace.check} className="field">
            {view.checks.map((check, index) => (
              <option key={check.key} value={check.key}>
                {check.handedIn ? "the run as handed in" : `check ${index + 1} (${check.kind})`}
              </option>
            ))}
          </select>
        </label>
        <label className="text-sm">
          A row for each
          <select name="rows" defaultValue={trace.rows} className="field">
            <option value="line">line</option>
            <option value="change">change</option>
            <option value="pass">pass of a loop</option>
          </select>
        </label>
      </Form>
      {trace.differs && <p className="border-l-4 border-ochre pl-2">{trace.differs}</p>}
      <div className="flex flex-wrap items-center gap-2">
        <button type="button" className="press" onClick={() => move(done - 1)} disabled={done === 0}>
          Back <kbd className="text-xs">B</kbd>
        </button>
        <button type="button" className="press press-main" onClick={() => move(done + 1)} disabled={done === count}>
          Next line <kbd className="text-xs">N</kbd>
        </button>
        <button
          type="button"
          className="press"
          onClick={toBreakpoint}
          disabled={done === count || breakpoints.size === 0}
        >
          To next breakpoint <kbd className="text-xs">P</kbd>
        </button>
        <button type="button" className="press press-quiet" onClick={() => move(0)}>
          To the start
        </button>
        <button type="button" className="press press-quiet" onClick={() => move(count)}>
          To the end
        </button>
        <span className="note-small" role="status">
          {standing ? `about to run: line ${standing.line}` : trace.ended}
        </span>
      </div>
      <section ref={box} className="max-h-[34rem] overflow-auto" aria-label="Trace table" tabIndex={0}>
        <TraceTableView
          table={shown}
          until={done}
          caption="Trace table of the recorded run"
          unchanged={trace.style.unchanged}
          wanted={wantedBy(trace.style)}
        />
      </section>
      {table.remarks?.map((remark) => (
        <p key={remark} className="border-l-4 border-ochre pl-2">
          {remark}
        </p>
      ))}
      {table.cut && <p className="note-small">{table.cut}</p>}
      {total > count && (
        <nav aria-label="Rows" className="flex gap-3">
          {from > 0 && (
            <Link
              className="link"
              to={`${leafAddress("trace")}&version=${trace.version}&check=${trace.check}&rows=${trace.rows}&from=${Math.max(0, from - 1000)}`}
            >
              Earlier rows
            </Link>
          )}
          <span className="note-small">
            rows {from + 1} to {from + count} of {total}
          </span>
          {from + count < total && (
            <Link
              className="link"
              to={`${leafAddress("trace")}&version=${trace.version}&check=${trace.check}&rows=${trace.rows}&from=${from + count}`}
            >
              Later rows
            </Link>
          )}
        </nav>
      )}
      <fieldset className="flex flex-wrap gap-x-4">
        <legend className="text-sm">Columns</legend>
        {table.columns.map((column, at) => (
          <label key={column.key} className="text-sm font-normal">
            <input
              type="checkbox"
              checked={!hidden.has(column.key)}
              onChange={(event) =>
                setHidden(
                  new Set(
                    event.target.checked ? [...hidden].filter((key) => key !== column.key) : [...hidden, column.key],
                  ),
                )
              }
            />{" "}
            {headings[at]}
          </label>
        ))}
      </fieldset>
      <Link
        className="link text-sm"
        to={`/cases/${view.key}/run?version=${trace.version}&check=${trace.check}&rows=${trace.rows}`}
      >
        In a room of its own: the table beside the program, values, the line taken apart
      </Link>
      <Link className="link text-sm" to={`/cases/${view.key}/beside`}>
        Two runs side by side: as handed in and mended, beside the model, or with two inputs
      </Link>
      {(
        [
          ["Print a blank table", ""],
          ["Print it with its lines", "&given=lines"],
          ["Print it with its lines and its beginning", "&given=beginning"],
          ["Print the filled table, with decisions", "&filled=yes"],
        ] as const
      ).map(([words, more]) => (
        <Link
          key={words}
          className="link text-sm"
          to={`/print/cases/${view.key}/table?version=${trace.version}&check=${trace.check}&rows=${trace.rows}${more}`}
        >
          {words}
        </Link>
      ))}
    </div>
  );
}
