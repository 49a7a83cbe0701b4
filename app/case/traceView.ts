import * as z from "zod";
import { runnableLines } from "../../core/languages/runnable.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { readableTable } from "../../core/trace/annotate.ts";
import { withoutDefining } from "../../core/trace/defining.ts";
import { frameEnds } from "../../core/trace/frameEnds.ts";
import { loopsIn } from "../../core/trace/passes.ts";
import { isSameRun } from "../../core/trace/sameRun.ts";
import type { TraceTable } from "../../core/trace/table.ts";
import { type RowPolicy, rowPolicies, type TableStyle } from "../../core/trace/tableStyle.ts";
import { versionOf, type WholeCase } from "../../server/cases/caseStore.ts";
import { judgeVersion, languageOf, recordVersion } from "../../server/judge/judge.ts";
import { tableStyleOf } from "../../server/people/tableStyleStore.ts";
import type { Services } from "../../server/services.ts";

/** What an address says of rows; null where it says nothing that is known: the course's style decides. */
export const rowsSchema = z.enum(rowPolicies).nullable().catch(null);

/** Rows of a trace table sent to the page at once. */
export const rowsShown = 1000;

/** A recorded run of a version with a check's input, as a trace table. */
export type RunTable = {
  table: TraceTable;
  check: string;
  version: string;
  lines: string[];
  /** Lines that hold something to run, where a breakpoint can be set. */
  runnable: number[];
  rows: RowPolicy;
  /** Lines on which loops begin. */
  loops: number[];
  /** How the course writes tables. */
  style: TableStyle;
  differs: string | null;
  ended: string;
  /** What the check says is to come out; null where it says nothing. */
  intended: string | null;
  /** Of a run that drew: the steps at which its frames are over. */
  frameEnds: number[];
};

/** One page of the rows of such a table. */
export type TraceView = RunTable & { total: number; from: number };

/** `folded`: rows that only define are left out. `elements`: keys of the variables with a column for each part. */
type Wanted = {
  check: string | null;
  version: string | null;
  rows: RowPolicy | null;
  folded?: boolean;
  elements?: readonly string[];
  /** The loop whose passes have rows, by the line of its header. */
  loop?: number | null;
};

/** The whole trace table of a version with a check's input; the current version and the first check where none is asked for. */
export async function runTable(services: Services, found: WholeCase, wanted: Wanted): Promise<RunTable | null> {
  const version = found.loaded.find((each) => each.key === wanted.version) ?? versionOf(found, found.current_version);
  const check = found.checks.find((each) => each.key === wanted.check) ?? found.checks[0];
  if (!check) return null;
  const trace = await recordVersion(services, found, version, check);
  if (!trace) return null;
  const text = version.files[0]?.text ?? "";
  const judged = await judgeVersion(services, { ...found, checks: [check] }, version);
  const plain = judged.deciding.outcome;
  const differs =
    plain && !isSameRun(languageOf(found), plain, trace)
      ? "The recorded run did not go as the plain run did (a clock, chance, a limit or a value that was never set may be at play). The plain run decides."
      : null;
  const primary = trace.outcome.diagnostics.find((diagnostic) => diagnostic.primary);
  const style = await tableStyleOf(services.database, found.course);
  const rows = wanted.rows ?? style.rows;
  const table = readableTable(languageOf(found), text, trace, {
    ...{ rows, style, input: check.input },
    ...(wanted.elements ? { elements: wanted.elements } : {}),
    ...(wanted.loop ? { loop: wanted.loop } : {}),
  });
  return {
    table: wanted.folded ? withoutDefining(languageOf(found), text, table) : table,
    check: check.key,
    version: version.key,
    lines: lineTexts(text),
    loops: [...new Set(loopsIn(languageOf(found), text).map((loop) => loop.header))],
    runnable: runnableLines(languageOf(found), text),
    rows,
    style,
    differs,
    ended:
      trace.outcome.stoppedBy === "refused"
        ? "It was refused before any line ran, so there is nothing to go through."
        : primary
          ? `It was stopped by ${primary.errorName}: ${primary.message}`
          : trace.outcome.stoppedBy === "none"
            ? "It ended by itself."
            : (trace.cut ?? ""),
    intended: check.expected,
    frameEnds: plain?.drawing ? frameEnds(trace.steps) : [],
  };
}

/** The trace table of a version with a check's input, one page of rows. */
export async function traceView(
  services: Services,
  found: WholeCase,
  wanted: Wanted & { from: number },
): Promise<TraceView | null> {
  const run = await runTable(services, found, wanted);
  if (!run) return null;
  const { table } = run;
  const from = Math.max(0, Math.min(wanted.from, table.rows.length - 1));
  return {
    ...run,
    table: { ...table, rows: table.rows.slice(from, from + rowsShown) },
    total: table.rows.length,
    from,
  };
}
