import { useVirtualizer } from "@tanstack/react-virtual";
import { useMemo, useRef, useState } from "react";
import { data, Form, Link, useSubmit } from "react-router";
import { unpackRows } from "../../core/formats/packedTable.ts";
import { hasConditions } from "../../core/trace/annotate.ts";
import type { TableRow } from "../../core/trace/table.ts";
import { listModels } from "../../server/assignments/modelStore.ts";
import { findCase } from "../../server/cases/caseStore.ts";
import { ColumnHeads } from "../components/TraceHead.tsx";
import type { Route } from "./+types/besidePage.ts";
import { type BesideView, besideView, type SideView, usualSides } from "./besideView.ts";
import { wantedChange, wordsOfChange } from "./changedRun.ts";
import { choicesOf } from "./choices.ts";
import { RunChoice } from "./RunChoice.tsx";
import { SpacedBody } from "./SpacedBody.tsx";

/** Fields of an address that say what is changed. */
const changeFields = ["step", "name", "value", "file", "text", "gone"];

export const meta: Route.MetaFunction = () => [{ title: "Two runs · Bent Nail" }];

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { services } = context;
  const found = await findCase(services.database, params.caseKey, "all");
  if (!found) throw data("There is no such case.", { status: 404 });
  const query = new URL(request.url).searchParams;
  const models = found.assignment === null ? [] : await listModels(services.database, found.assignment);
  const hasModel = models.some((model) => model.language === found.language);
  const usual = usualSides(found, hasModel);
  const sideOf = (name: "left" | "right") => ({
    version: query.get(name) ?? usual[name].version,
    check: query.get(`${name}Check`) ?? usual[name].check,
  });
  const change = wantedChange(query);
  const left = sideOf("left");
  const right = { ...sideOf("right"), ...(change ? { change } : {}) };
  const choices = choicesOf(found);
  const view = await besideView(services, found, left, right);
  return {
    ...{ key: found.key, title: found.title, left, right },
    change: change && { step: change.step, words: wordsOfChange(change) },
    asked: change ? [...query].filter(([name]) => changeFields.includes(name)) : [],
    view: typeof view === "string" ? null : view,
    none: typeof view === "string" ? view : "",
    ...{
      checks: choices.checks,
      versions: hasModel ? [...choices.versions, { key: "model", name: "the model program" }] : choices.versions,
    },
  };
}

/** Two runs side by side, aligned step by step: a faulty and a mended one, a student's and the model's, or two inputs. */
export default function BesidePage({ loaderData: page }: Route.ComponentProps) {
  const submit = useSubmit();
  return (
    <div className="grid gap-3">
      <header className="flex flex-wrap items-baseline gap-x-4">
        <h1>Two runs: {page.title}</h1>
        <Link className="link ml-auto" to={`/cases/${page.key}?leaf=trace`}>
          Back to the case
        </Link>
      </header>
      <Form
        method="get"
        preventScrollReset
        className="flex flex-wrap gap-6"
        onChange={(event) => void submit(event.currentTarget, { preventScrollReset: true })}
      >
        {page.asked.map(([name, value]) => (
          <input key={name} type="hidden" name={name} value={value} />
        ))}
        {(["left", "right"] as const).map((side) => (
          <fieldset key={side} className="flex items-end gap-3">
            <legend className="text-sm">On the {side}</legend>
            <RunChoice
              fields={{ version: side, check: `${side}Check` }}
              chosen={page[side]}
              versions={page.versions}
              checks={page.checks}
            />
          </fieldset>
        ))}
      </Form>
      {page.change && (
        <p className="border-l-4 border-ochre pl-2">
          What if: before step {page.change.step + 1} on the right, <b className="font-mono">{page.change.words}</b>.
          The program’s text is the same on both sides.{" "}
          <Link className="link" to={`/cases/${page.key}/run?version=${page.left.version}&check=${page.left.check}`}>
            Back to the dry run
          </Link>
        </p>
      )}
      {page.view ? <Beside view={page.view} /> : <p>{page.none}</p>}
    </div>
  );
}

/** Columns of both sides together that have room beside each other. */
const fewColumns = 8;

/** Height of a row in pixels, as `.trace-table td` has it. */
const rowHeight = 28;

function Beside({ view: given }: { view: BesideView }) {
  const box = useRef<HTMLElement>(null);
  const [all, setAll] = useState(
    given.first === null || given.left.columns.length + given.right.columns.length <= fewColumns,
  );
  /** Columns that tell no difference are folded away until they are asked for. */
  const view = useMemo(() => {
    const folded = new Set(all ? [] : given.alike);
    const side = (one: SideView): SideView => ({ ...one, shown: one.columns.filter(({ key }) => !folded.has(key)) });
    return { ...given, left: side(given.left), right: side(given.right) };
  }, [given, all]);
  const left = useMemo(() => unpackRows(view.left.packed, view.left.columns), [view.left]);
  const right = useMemo(() => unpackRows(view.right.packed, view.right.columns), [view.right]);
  const asks = useMemo(() => hasConditions({ rows: left }) || hasConditions({ rows: right }), [left, right]);
  const rows = useVirtualizer({
    count: view.pairs.length,
    getScrollElement: () => box.current,
    estimateSize: () => rowHeight,
    overscan: 12,
    initialRect: { width: 1200, height: 560 },
    scrollPaddingStart: 80,
  });
  const drawn = rows.getVirtualItems();
  const { first: parts } = view;
  const cut = view.left.cut ?? view.right.cut;
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-3">
        {parts === null ? (
          <p role="status">There is no difference for this input: {view.pairs.length} steps, all of them alike.</p>
        ) : (
          <>
            <p role="status">
              They part at step {parts.pair + 1}. {parts.words}
            </p>
            <button
              type="button"
              className="press press-quiet"
              onClick={() => rows.scrollToIndex(parts.pair, { align: "center" })}
            >
              To where they part
            </button>
            {view.alike.length > 0 && (
              <label className="text-sm font-normal">
                <input type="checkbox" checked={all} onChange={(event) => setAll(event.target.checked)} /> columns that
                are alike ({view.alike.length})
              </label>
            )}
          </>
        )}
      </div>
      <section ref={box} className="leaf max-h-[36rem] overflow-auto" aria-label="Two runs side by side" tabIndex={0}>
        <table className="trace-table trace-table-sticky" aria-rowcount={view.pairs.length + 1}>
          <caption className="sr-only">Two recorded runs, step by step</caption>
          <thead>
            <tr>
              <SideHead side={view.left} asks={asks} />
              <SideHead side={view.right} asks={asks} />
            </tr>
          </thead>
          <SpacedBody before={drawn[0]?.start ?? 0} behind={rows.getTotalSize() - (drawn.at(-1)?.end ?? 0)}>
            {drawn.map(({ index }) => {
              const [one = -1, other = -1] = view.pairs[index] ?? [];
              const differs = parts?.pair === index ? parts.column : "";
              return (
                <tr key={index} aria-rowindex={index + 2} className={differs === "" ? undefined : "newest"}>
                  <SideCells side={view.left} asks={asks} row={left[one] ?? null} differs={differs} />
                  <SideCells side={view.right} asks={asks} row={right[other] ?? null} differs={differs} />
                </tr>
              );
            })}
          </SpacedBody>
        </table>
      </section>
      {cut && <p className="note-small">{cut}</p>}
    </>
  );
}

function SideHead({ side, asks }: { side: SideView; asks: boolean }) {
  return (
    <>
      <th scope="col" className="border-l-4 border-l-rule-strong">
        line
      </th>
      {asks && <th scope="col">condition</th>}
      <ColumnHeads columns={side.shown} />
      <th scope="col">output</th>
    </>
  );
}

function SideCells({
  side,
  asks,
  row,
  differs,
}: {
  side: SideView;
  asks: boolean;
  row: TableRow | null;
  differs: string;
}) {
  const mark = (column: string) => (column === differs || differs === "line" ? " differs" : "");
  return (
    <>
      <td className={`border-l-4 border-l-rule-strong text-graphite${mark("line")}`}>{row?.line}</td>
      {asks && <td className={`font-sans text-sm${mark("condition")}`}>{row?.condition}</td>}
      {side.shown.map((column) => {
        const text = row?.cells[column.key];
        return (
          <td key={column.key} className={`${text === undefined ? "" : "changed"}${mark(column.key)}`}>
            {text}
          </td>
        );
      })}
      <td className={`${row?.output ? "changed" : ""}${mark("output")}`}>{row?.raised ?? row?.output.trimEnd()}</td>
    </>
  );
}
