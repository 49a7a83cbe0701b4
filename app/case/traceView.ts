import { runnableLines } from "../../core/languages/runnable.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { isSameRun } from "../../core/trace/sameRun.ts";
import { buildTable, type RowPolicy, type TraceTable } from "../../core/trace/table.ts";
import { versionOf, type WholeCase } from "../../server/cases/caseStore.ts";
import { judgeVersion, languageOf, recordVersion } from "../../server/judge/judge.ts";
import type { Services } from "../../server/services.ts";

/** Rows of a trace table sent to the page at once. */
export const rowsShown = 1000;

export type TraceView = {
  table: TraceTable;
  total: number;
  from: number;
  check: string;
  version: string;
  lines: string[];
  /** Lines that hold something to run, where a breakpoint can be set. */
  runnable: number[];
  rows: RowPolicy;
  differs: string | null;
  ended: string;
};

/** The trace table of a version with a check's input, one page of rows. */
export async function traceView(
  services: Services,
  found: WholeCase,
  wanted: { check: string | null; version: string | null; rows: RowPolicy; from: number },
): Promise<TraceView | null> {
  const version = found.loaded.find((each) => each.key === wanted.version) ?? versionOf(found, found.current_version);
  const check = found.checks.find((each) => each.key === wanted.check) ?? found.checks[0];
  if (!check) return null;
  const trace = await recordVersion(services, found, version, check);
  if (!trace) return null;
  const table = buildTable(trace, { rows: wanted.rows });
  const judged = await judgeVersion(services, { ...found, checks: [check] }, version);
  const plain = judged.deciding.outcome;
  const differs =
    plain && !isSameRun(languageOf(found), plain, trace)
      ? "The recorded run did not go as the plain run did (a clock, chance, a limit or a value that was never set may be at play). The plain run decides."
      : null;
  const from = Math.max(0, Math.min(wanted.from, table.rows.length - 1));
  const primary = trace.outcome.diagnostics.find((diagnostic) => diagnostic.primary);
  return {
    table: { ...table, rows: table.rows.slice(from, from + rowsShown) },
    total: table.rows.length,
    from,
    check: check.key,
    version: version.key,
    lines: lineTexts(version.files[0]?.text ?? ""),
    runnable: runnableLines(languageOf(found), version.files[0]?.text ?? ""),
    rows: wanted.rows,
    differs,
    ended:
      trace.outcome.stoppedBy === "refused"
        ? "It was refused before any line ran, so there is nothing to go through."
        : primary
          ? `It was stopped by ${primary.errorName}: ${primary.message}`
          : trace.outcome.stoppedBy === "none"
            ? "It ended by itself."
            : (trace.cut ?? ""),
  };
}
