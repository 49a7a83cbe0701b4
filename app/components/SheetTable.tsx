import type { Cell, Sheet } from "../../core/outcome/outcome.ts";

const [mostRows, mostColumns] = [60, 20];

/** The column (A is 1) and the row of a cell by its name. */
function placeOf(at: string): { column: number; row: number } {
  const [, letters = "", digits = "0"] = /^([A-Z]+)(\d+)$/.exec(at) ?? [];
  const column = [...letters].reduce((sum, letter) => sum * 26 + letter.charCodeAt(0) - 64, 0);
  return { column, row: Number(digits) };
}

/** The letters of a column. */
function lettersOf(column: number): string {
  return column <= 0 ? "" : lettersOf(Math.floor((column - 1) / 26)) + String.fromCharCode(65 + ((column - 1) % 26));
}

/** What is to be known of a cell beside what it shows. */
function aboutCell({ formula, format, before }: Cell): string {
  return [
    before === undefined ? "" : `changed by the run, before: ${before === "" ? "empty" : before}`,
    formula ? `formula ${formula}` : "",
    format ? `shown by the format ${format}` : "",
  ]
    .filter(Boolean)
    .join("; ");
}

function ShownCell({ cell }: { cell: Cell | undefined }) {
  if (!cell) return <td />;
  const isChanged = cell.before !== undefined;
  const about = aboutCell(cell);
  return (
    <td
      className={`${isChanged ? "changed bg-slip" : ""} ${cell.kind === "number" ? "text-right" : ""} ${cell.kind === "error" ? "text-ochre" : ""}`}
      {...(about ? { title: about } : {})}
    >
      {isChanged && cell.before !== "" && <del className="mr-2 font-normal text-ink-soft">{cell.before}</del>}
      {cell.shown}
      {cell.formula && <code className="ml-2 text-[0.75rem] font-normal text-ink-soft">{cell.formula}</code>}
      {isChanged && <span className="sr-only"> ({about})</span>}
    </td>
  );
}

/** A sheet as a run has left it: what was changed stands out, with what stood there before. */
export function SheetTable({ sheet }: { sheet: Sheet }) {
  const cells = new Map(sheet.cells.map((cell) => [cell.at, cell]));
  const places = sheet.cells.map((cell) => placeOf(cell.at));
  const rows = Math.min(mostRows, Math.max(1, ...places.map(({ row }) => row)));
  const columns = Math.min(mostColumns, Math.max(1, ...places.map(({ column }) => column)));
  const changed = sheet.cells.filter((cell) => cell.before !== undefined).length;
  const isCut = sheet.cut || places.some(({ row, column }) => row > rows || column > columns);
  const range = (count: number) => Array.from({ length: count }, (_, index) => index + 1);
  return (
    <figure className="grid gap-1" aria-label={`Sheet ${sheet.name}`}>
      <figcaption className="note-small">
        Sheet <strong>{sheet.name}</strong>,{" "}
        {changed === 0 ? "no cell changed" : changed === 1 ? "1 cell changed" : `${changed} cells changed`}
        {isCut && "; there is more than is shown here"}
      </figcaption>
      <section className="max-h-72 overflow-auto border border-rule" tabIndex={0} aria-label={`Cells of ${sheet.name}`}>
        <table className="trace-table">
          <thead>
            <tr>
              <td />
              {range(columns).map((column) => (
                <th key={column} scope="col">
                  {lettersOf(column)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {range(rows).map((row) => (
              <tr key={row}>
                <th scope="row">{row}</th>
                {range(columns).map((column) => (
                  <ShownCell key={column} cell={cells.get(`${lettersOf(column)}${row}`)} />
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </figure>
  );
}
