import { packRows } from "../../core/formats/packedTable.ts";
import { decodeText } from "../../core/source/decode.ts";
import { readableTable } from "../../core/trace/annotate.ts";
import { type ComparedRun, compareRuns, type RowPair } from "../../core/trace/compareRuns.ts";
import { headingsOf, headingText } from "../../core/trace/headings.ts";
import type { TableRow } from "../../core/trace/table.ts";
import type { TableColumn } from "../../core/trace/tableColumn.ts";
import type { ValueStyle } from "../../core/trace/tableStyle.ts";
import { listModels } from "../../server/assignments/modelStore.ts";
import { versionOf, type WholeCase } from "../../server/cases/caseStore.ts";
import { languageOf, recordVersion } from "../../server/judge/judge.ts";
import { recordProgram } from "../../server/judge/run.ts";
import { tableStyleOf } from "../../server/people/tableStyleStore.ts";
import type { Services } from "../../server/services.ts";
import { changedRun, type WantedChange } from "./changedRun.ts";

/** One of the two runs: a version's key or "model", the key of the check whose input is typed in, and what is changed on its way. */
export type Side = { version: string; check: string; change?: WantedChange };

/** `shown` are the columns that are not folded away, at first all of them. */
export type SideView = Side & { columns: TableColumn[]; shown: TableColumn[]; packed: string; cut: string | null };

/** Two runs beside each other; rows of each are packed, `pairs` are places in them (-1 where one of them has no row there). */
export type BesideView = {
  left: SideView;
  right: SideView;
  pairs: Array<[number, number]>;
  first: { pair: number; column: string; words: string } | null;
  /** Keys of the columns that hold the same on both sides, all the way. */
  alike: string[];
};

/** Keys of the variables that both runs have and that hold the same in every pair of rows. */
function alikeColumns(left: ComparedRun, right: ComparedRun, pairs: readonly RowPair[]): string[] {
  const keys = new Set(right.table.columns.map((column) => column.key));
  return left.table.columns
    .map((column) => column.key)
    .filter((key) => keys.has(key) && pairs.every((pair) => pair.left?.cells[key] === pair.right?.cells[key]));
}

/** The recorded run of one side, as a table; words where there is none. */
async function runOfSide(
  services: Services,
  found: WholeCase,
  side: Side,
  style: ValueStyle,
): Promise<(ComparedRun & { cut: string | null }) | string> {
  const language = languageOf(found);
  const check = found.checks.find((each) => each.key === side.check);
  if (!check) return "There is no such check.";
  if (side.version === "model") {
    const models = found.assignment === null ? [] : await listModels(services.database, found.assignment);
    const model = models.find((each) => each.language === language.id);
    if (!model) return `The assignment has no model program in ${language.name}.`;
    const { input, surroundings } = check;
    const recorded = await recordProgram(services.toolchains, { language, files: model.files, input, surroundings });
    if ("notRun" in recorded) return recorded.notRun;
    const text = model.files[0] ? decodeText(model.files[0].bytes).text : "";
    const table = readableTable(language, text, recorded.trace, { style });
    return { text, table, cut: table.cut ?? null };
  }
  const version = found.loaded.find((each) => each.key === side.version);
  if (!version) return "There is no such version.";
  const real = await recordVersion(services, found, versionOf(found, version.key), check);
  if (!real) return "This program is not run here, so there is no recorded run to compare.";
  const changed = side.change && (await changedRun(services, found, { version, check, trace: real }, side.change));
  if (typeof changed === "string") return changed;
  const trace = changed ?? real;
  const text = version.files[0]?.text ?? "";
  const table = readableTable(language, text, trace, { style });
  return { text, table, cut: table.cut ?? null };
}

/** What is compared where nothing is asked for: the version as handed in beside the newest one, with the first check's input. */
export function usualSides(found: WholeCase, hasModel: boolean): { left: Side; right: Side } {
  const check = found.checks[0]?.key ?? "";
  const first = found.versions[0]?.key ?? found.current_version;
  if (first !== found.current_version)
    return { left: { version: first, check }, right: { version: found.current_version, check } };
  if (hasModel) return { left: { version: first, check }, right: { version: "model", check } };
  return { left: { version: first, check }, right: { version: first, check: found.checks[1]?.key ?? check } };
}

/** What a row tells in a column, in words. */
function toldBy(row: TableRow | null, column: string): string {
  if (!row) return "no row";
  if (column === "output") return row.raised ?? (row.output === "" ? "nothing printed" : `“${row.output.trimEnd()}”`);
  if (column === "condition") return row.condition ?? "nothing asked";
  if (column === "input") return row.input === undefined ? "nothing typed in" : `“${row.input.trimEnd()}”`;
  return row.cells[column] ?? "no change";
}

function wordsOf(
  left: TableRow | null,
  right: TableRow | null,
  column: string,
  columns: readonly TableColumn[],
): string {
  if (!left || !right)
    return `Only the ${left ? "left" : "right"} run goes through line ${(left ?? right)?.line} there.`;
  const heading = headingsOf(columns)[columns.findIndex((each) => each.key === column)];
  const name = heading ? headingText(heading) : column;
  return `${name}: ${toldBy(left, column)} on the left (line ${left.line}), ${toldBy(right, column)} on the right (line ${right.line}).`;
}

/** Two runs beside each other, or in words why there is nothing to compare. */
export async function besideView(
  services: Services,
  found: WholeCase,
  left: Side,
  right: Side,
): Promise<BesideView | string> {
  const style = await tableStyleOf(services.database, found.course);
  const [one, other] = await Promise.all([left, right].map((side) => runOfSide(services, found, side, style)));
  if (one === undefined || other === undefined) return "There is nothing to compare.";
  if (typeof one === "string") return one;
  if (typeof other === "string") return other;
  const { pairs, first } = compareRuns(one, other);
  const places = (rows: readonly TableRow[]) => new Map(rows.map((row, place) => [row, place]));
  const [leftPlaces, rightPlaces] = [places(one.table.rows), places(other.table.rows)];
  const at = first === null ? undefined : pairs[first.pair];
  const viewOf = (side: Side, run: ComparedRun & { cut: string | null }): SideView => ({
    ...{ ...side, columns: run.table.columns, shown: run.table.columns, packed: packRows(run.table), cut: run.cut },
  });
  return {
    left: viewOf(left, one),
    right: viewOf(right, other),
    pairs: pairs.map((pair) => [
      pair.left ? (leftPlaces.get(pair.left) ?? -1) : -1,
      pair.right ? (rightPlaces.get(pair.right) ?? -1) : -1,
    ]),
    alike: alikeColumns(one, other, pairs),
    first: first && at ? { ...first, words: wordsOf(at.left, at.right, first.column, one.table.columns) } : null,
  };
}
