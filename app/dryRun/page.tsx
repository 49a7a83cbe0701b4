import { useCallback, useMemo, useRef, useState } from "react";
import { data, Form, Link, useSearchParams, useSubmit } from "react-router";
import { placedCharts } from "../../core/flowcharts/placedCharts.ts";
import { packRows, unpackRows } from "../../core/formats/packedTable.ts";
import { hasConditions, hasPasses } from "../../core/trace/annotate.ts";
import { openCalls } from "../../core/trace/levels.ts";
import * as moves from "../../core/trace/moves.ts";
import { hasCalls, hasWaiting, type TableRow } from "../../core/trace/table.ts";
import type { TableColumn } from "../../core/trace/tableColumn.ts";
import { findCase, type WholeCase } from "../../server/cases/caseStore.ts";
import { languageOf } from "../../server/judge/judge.ts";
import { rowsSchema, runTable } from "../case/traceView.ts";
import { showsOf } from "../components/TraceTableView.tsx";
import { useLetterKeys } from "../components/useLetterKeys.ts";
import type { Route } from "./+types/page.ts";
import { ColumnChoice } from "./ColumnChoice.tsx";
import { ConsoleNow, spokenRows } from "./ConsoleNow.tsx";
import { choicesOf } from "./choices.ts";
import { DryRunChart } from "./DryRunChart.tsx";
import { DryRunScript } from "./DryRunScript.tsx";
import { DryRunTable } from "./DryRunTable.tsx";
import { FilesHere } from "./FilesHere.tsx";
import { Levels } from "./Levels.tsx";
import { MoveBar } from "./MoveBar.tsx";
import { PictureNow } from "./PictureNow.tsx";
import { RunChoice } from "./RunChoice.tsx";
import { RunStrip } from "./RunStrip.tsx";
import { TakenApart } from "./TakenApart.tsx";
import { useBreakpoints, useOnly } from "./useBreakpoints.ts";
import { useValues } from "./useValues.ts";
import { ValuesNow } from "./ValuesNow.tsx";
import { WhatIf } from "./WhatIf.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Dry run · Bent Nail" }];

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const found = await findCase(context.services.database, params.caseKey, "all");
  if (!found) throw data("There is no such case.", { status: 404 });
  const query = new URL(request.url).searchParams;
  const elements = query.getAll("parts").slice(0, 8);
  const loop = Number(query.get("loop") ?? "") || null;
  const folded = query.get("defining") !== "shown";
  const run = await runTable(context.services, found, {
    check: query.get("check"),
    version: query.get("version"),
    ...{ rows: rowsSchema.parse(query.get("rows")), folded, elements, loop },
  });
  if (!run) throw data("This program is not run here, so there is no recorded run to go through.", { status: 409 });
  const { table, ...rest } = run;
  return {
    ...rest,
    ...{ folded, elements, loop },
    changes: context.services.toolchains.find(found.language)?.changes
      ? null
      : "Nothing can be changed while a program runs in this language here: its recorder has no way for it.",
    files: filesBeside(found, run.check),
    charts: await chartsOf(found, run.lines),
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
/** The flowcharts of the program, where such are drawn in its language. */
async function chartsOf(found: WholeCase, lines: readonly string[]) {
  const language = languageOf(found);
  return language.charts ? (await placedCharts(language, lines.join("\n"))).charts : null;
}

export default function DryRunPage({ loaderData: run }: Route.ComponentProps) {
  return (
    <Room key={`${run.version} ${run.check} ${run.rows} ${run.folded} ${run.elements.join()} ${run.loop}`} run={run} />
  );
}

function Room({ run }: { run: Route.ComponentProps["loaderData"] }) {
  const submit = useSubmit();
  const place = useRef<HTMLDivElement>(null);
  const rows = useMemo(() => unpackRows(run.packed, run.columns), [run.packed, run.columns]);
  const [done, setDone] = useState(0);
  const [query, setQuery] = useSearchParams();
  const [wanted, setWanted] = useState(query.get("show"));
  const show = wanted === "chart" && run.charts?.length ? "chart" : "listing";
  const onParts = useCallback(
    (keys: readonly string[]) =>
      setQuery(
        (query) => {
          query.delete("parts");
          for (const each of keys) query.append("parts", each);
          return query;
        },
        { preventScrollReset: true },
      ),
    [setQuery],
  );
  const { style } = run;
  /** Columns that only some styles want are hidden until they are asked for. */
  const [hidden, setHidden] = useState<ReadonlySet<string>>(
    () =>
      new Set(
        (["depth", "waiting"] as const).filter((each) => !style.columns.includes(each)).map((each) => ` ${each}`),
      ),
  );
  const [watched, setWatched] = useState<readonly string[]>([]);
  const [breakpoints, setBreakpoints] = useBreakpoints(run.version);
  const [only, onOnly] = useOnly();
  const table = useMemo(
    () => ({ columns: run.columns.filter((column) => !hidden.has(column.key)), rows }),
    [run.columns, rows, hidden],
  );
  const shows = useMemo(
    () =>
      showsOf(table, {
        condition: hasConditions(table) && !hidden.has(" condition"),
        pass: hasPasses(table) && !hidden.has(" pass"),
        depth: hasCalls(table) && !hidden.has(" depth"),
        waiting: hasWaiting(table) && !hidden.has(" waiting"),
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
    p: () => go(moves.toBreakpoint(rows, done, breakpoints.lines, only)),
  });
  const more = useMemo(
    () => [
      ...(hasPasses({ rows }) ? [{ key: " pass", title: "pass" }] : []),
      ...(hasConditions({ rows }) ? [{ key: " condition", title: "condition" }] : []),
      ...(hasCalls({ rows }) ? [{ key: " depth", title: "in: how deep the call lies" }] : []),
      ...(hasWaiting({ rows }) ? [{ key: " waiting", title: "waiting: what is left of the typed input" }] : []),
    ],
    [rows],
  );
  const withParts = useMemo(() => keysWithParts(rows, run.columns), [rows, run.columns]);
  const calls = useMemo(() => openCalls(rows), [rows]);
  const spoken = useMemo(() => spokenRows(rows), [rows]);
  const values = useValues(rows, calls, run.columns, done);
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
        {run.rows === "pass" && run.loops.length > 1 && (
          <label className="text-sm">
            of the loop
            <select name="loop" defaultValue={run.loop ?? ""} className="field">
              <option value="">innermost</option>
              {run.loops.map((line) => (
                <option key={line} value={line}>
                  in line {line}
                </option>
              ))}
            </select>
          </label>
        )}
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
            breakpoints={breakpoints.lines}
            only={only}
            intended={run.intended}
            onGo={go}
            stands={standing ? `about to run: line ${standing.line}` : run.ended}
          />
          <RunStrip rows={rows} done={done} watched={watched[0] ?? ""} onGo={go} />
          <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,27rem)_minmax(0,1fr)]">
            <div className="grid gap-4">
              {run.charts && run.charts.length > 0 && <ShownChoice show={show} onShow={setWanted} />}
              {show === "chart" && run.charts ? (
                <DryRunChart charts={run.charts} rows={rows} done={done} />
              ) : (
                <DryRunScript
                  caseKey={run.key}
                  run={run}
                  standing={standing?.file === 0 ? standing.line : null}
                  breakpoints={breakpoints}
                  onBreakpoints={setBreakpoints}
                  onOnly={onOnly}
                  valueHeld={values.valueHeld}
                />
              )}
              {standing && (
                <TakenApart caseKey={run.key} version={run.version} check={run.check} step={standing.step} />
              )}
              {standing?.file === 0 && (
                <WhatIf
                  run={run}
                  step={standing.step}
                  line={standing.line}
                  names={values.names}
                  waits={standing.input !== undefined}
                />
              )}
            </div>
            <div className="grid gap-4">
              <DryRunTable table={table} shows={shows} done={done} unchanged={style.unchanged} />
              <ValuesNow {...{ rows, values, watched, onWatch: setWatched, onGo: go }} />
              <ConsoleNow rows={rows} spoken={spoken} done={done}>
                {standing?.file === 0 && run.changes === null && (
                  <FilesHere key={standing.step} run={run} step={standing.step} />
                )}
              </ConsoleNow>
              {run.frameEnds.length > 0 && <PictureNow run={run} step={standing?.step ?? null} />}
              <Levels rows={rows} calls={calls} done={done} onGo={go} />
              <ColumnChoice
                more={more}
                columns={run.columns}
                hidden={hidden}
                onHidden={setHidden}
                parted={run.elements}
                withParts={withParts}
                onParts={onParts}
              />
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

/** Whether the listing or the flowchart stands at the left. */
function ShownChoice({ show, onShow }: { show: "listing" | "chart"; onShow: (shown: "listing" | "chart") => void }) {
  return (
    <fieldset className="flex gap-4 text-sm">
      <legend className="sr-only">What stands beside the table</legend>
      {(["listing", "chart"] as const).map((each) => (
        <label key={each} className="font-normal">
          <input type="radio" name="shown" checked={show === each} onChange={() => onShow(each)} />{" "}
          {each === "listing" ? "listing" : "flowchart"}
        </label>
      ))}
    </fieldset>
  );
}

/** Names of the files that lie beside the program with a check. */
function filesBeside(found: WholeCase, key: string): string[] {
  const check = found.checks.find((each) => each.key === key);
  const [, ...others] = found.loaded[0]?.files ?? [];
  return [...new Set([...others.map((file) => file.name), ...Object.keys(check?.surroundings ?? {})])];
}

/** Keys of the variables that hold others, or a text: they can stand part by part. */
function keysWithParts(rows: readonly TableRow[], columns: readonly TableColumn[]): ReadonlySet<string> {
  const found = new Set<string>();
  for (const { cells, short } of rows)
    for (const key in cells)
      if (!found.has(key) && (short?.[key] || /^["'[({]|\w[({]/.test(cells[key] ?? ""))) found.add(key);
  return new Set(columns.filter(({ key, of }) => of === undefined && found.has(key)).map(({ key }) => key));
}
