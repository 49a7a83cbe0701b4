import { useMemo, useRef, useState } from "react";
import { data, Form, Link, useSubmit } from "react-router";
import { packRows, unpackRows } from "../../core/formats/packedTable.ts";
import { hasConditions, hasPasses } from "../../core/trace/annotate.ts";
import * as moves from "../../core/trace/moves.ts";
import { findCase } from "../../server/cases/caseStore.ts";
import { rowsSchema, runTable } from "../case/traceView.ts";
import { showsOf } from "../components/TraceTableView.tsx";
import { useLetterKeys } from "../components/useLetterKeys.ts";
import type { Route } from "./+types/page.ts";
import { choicesOf } from "./choices.ts";
import { DryRunScript } from "./DryRunScript.tsx";
import { DryRunTable } from "./DryRunTable.tsx";
import { MoveBar } from "./MoveBar.tsx";
import { RunChoice } from "./RunChoice.tsx";
import { RunStrip } from "./RunStrip.tsx";
import { TakenApart } from "./TakenApart.tsx";
import { useBreakpoints } from "./useBreakpoints.ts";
import { ValuesNow } from "./ValuesNow.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Dry run · Bent Nail" }];

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const found = await findCase(context.services.database, params.caseKey, "all");
  if (!found) throw data("There is no such case.", { status: 404 });
  const query = new URL(request.url).searchParams;
  const rows = rowsSchema.parse(query.get("rows"));
  const folded = query.get("defining") !== "shown";
  const run = await runTable(context.services, found, {
    check: query.get("check"),
    version: query.get("version"),
    rows,
    folded,
  });
  if (!run) throw data("This program is not run here, so there is no recorded run to go through.", { status: 409 });
  const { table, ...rest } = run;
  return {
    ...rest,
    folded,
    ...{
      key: found.key,
      title: found.title,
      columns: table.columns,
      cut: table.cut ?? null,
      remarks: table.remarks ?? [],
      packed: packRows(table),
    },
    ...choicesOf(found),
  };
}

/** A dry run in a room of its own: listing and table side by side, moves, values, and the line taken apart. */
export default function DryRunPage({ loaderData: run }: Route.ComponentProps) {
  return <Room key={`${run.version} ${run.check} ${run.rows} ${run.folded}`} run={run} />;
}

function Room({ run }: { run: Route.ComponentProps["loaderData"] }) {
  const submit = useSubmit();
  const place = useRef<HTMLDivElement>(null);
  const rows = useMemo(() => unpackRows(run.packed, run.columns), [run.packed, run.columns]);
  const [done, setDone] = useState(0);
  const [hidden, setHidden] = useState<ReadonlySet<string>>(new Set());
  const [watched, setWatched] = useState<readonly string[]>([]);
  const [breakpoints, setBreakpoints] = useBreakpoints(run.version);
  const table = useMemo(
    () => ({ columns: run.columns.filter((column) => !hidden.has(column.key)), rows }),
    [run.columns, rows, hidden],
  );
  const shows = useMemo(
    () =>
      showsOf(table, {
        conditions: hasConditions(table) && !hidden.has(" condition"),
        passes: hasPasses(table) && !hidden.has(" pass"),
      }),
    [table, hidden],
  );
  const standing = rows[done];
  const go = (to: number | null) => to !== null && setDone(Math.max(0, Math.min(rows.length, to)));
  useLetterKeys(place, {
    n: () => go(done + 1),
    b: () => go(done - 1),
    i: () => go(moves.into(rows, done)),
    v: () => go(moves.over(rows, done)),
    o: () => go(moves.out(rows, done)),
    p: () => go(moves.toBreakpoint(rows, done, breakpoints)),
  });
  const more = useMemo(
    () => [
      ...(hasPasses({ rows }) ? [{ key: " pass", title: "pass" }] : []),
      ...(hasConditions({ rows }) ? [{ key: " condition", title: "condition" }] : []),
    ],
    [rows],
  );
  return (
    <div ref={place} className="grid gap-3">
      <header className="flex flex-wrap items-baseline gap-x-4">
        <h1>Dry run: {run.title}</h1>
        <Link className="link ml-auto" to={`/cases/${run.key}/beside?left=${run.version}&leftCheck=${run.check}`}>
          Beside another run
        </Link>
        <Link className="link" to={`/cases/${run.key}?leaf=trace`}>
          Back to the case
        </Link>
      </header>
      <Form
        method="get"
        preventScrollReset
        className="flex flex-wrap items-end gap-3"
        onChange={(event) => void submit(event.currentTarget, { preventScrollReset: true })}
      >
        <RunChoice
          fields={{ version: "version", check: "check" }}
          chosen={run}
          versions={run.versions}
          checks={run.checks}
        />
        <label className="text-sm">
          A row for each
          <select name="rows" defaultValue={run.rows} className="field">
            <option value="line">line</option>
            <option value="change">change</option>
            <option value="pass">pass of a loop</option>
          </select>
        </label>
        <label className="text-sm font-normal">
          <input type="checkbox" name="defining" value="shown" defaultChecked={!run.folded} /> rows that only define
        </label>
      </Form>
      {run.differs && <p className="border-l-4 border-ochre pl-2">{run.differs}</p>}
      {rows.length === 0 ? (
        <p>{run.ended || "No line ran."}</p>
      ) : (
        <>
          <MoveBar
            rows={rows}
            done={done}
            breakpoints={breakpoints}
            intended={run.intended}
            onGo={go}
            stands={standing ? `about to run: line ${standing.line}` : run.ended}
          />
          <RunStrip rows={rows} done={done} watched={watched[0] ?? ""} onGo={go} />
          <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,27rem)_minmax(0,1fr)]">
            <div className="grid gap-4">
              <DryRunScript
                run={run}
                standing={standing?.file === 0 ? standing.line : null}
                breakpoints={breakpoints}
                onBreakpoints={setBreakpoints}
              />
              {standing && (
                <TakenApart caseKey={run.key} version={run.version} check={run.check} step={standing.step} />
              )}
            </div>
            <div className="grid gap-4">
              <DryRunTable table={table} shows={shows} done={done} />
              <ValuesNow {...{ rows, columns: run.columns, done, watched, onWatch: setWatched, onGo: go }} />
              <fieldset className="flex flex-wrap gap-x-4">
                <legend className="text-sm">Columns</legend>
                {[...more, ...run.columns].map((column) => (
                  <label key={column.key} className="text-sm font-normal">
                    <input
                      type="checkbox"
                      checked={!hidden.has(column.key)}
                      onChange={(event) => {
                        const rest = [...hidden].filter((each) => each !== column.key);
                        setHidden(new Set(event.target.checked ? rest : [...rest, column.key]));
                      }}
                    />{" "}
                    {"functionName" in column && column.functionName
                      ? `${column.functionName}: ${column.title}`
                      : column.title}
                  </label>
                ))}
              </fieldset>
            </div>
          </div>
          {run.remarks.map((remark) => (
            <p key={remark} className="border-l-4 border-ochre pl-2">
              {remark}
            </p>
          ))}
          {run.cut && <p className="note-small">{run.cut}</p>}
        </>
      )}
    </div>
  );
}
