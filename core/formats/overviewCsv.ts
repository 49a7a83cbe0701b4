import { csvOf } from "./csv.ts";

/** What an overview holds, as a table writes it. */
type OverviewTable = {
  columns: ReadonlyArray<{ name: string }>;
  programs: ReadonlyArray<{
    name: string;
    file: string;
    class: string | null;
    kind: string | null;
    passesAll: boolean;
    judged: boolean;
    cells: ReadonlyArray<{ result: string; firstDifference?: { line: number } | undefined } | null>;
  }>;
};

/** The overview of an assignment as comma-separated values: a row a program, a column a check. */
export function overviewCsv({ columns, programs }: OverviewTable): string {
  const head = ["student", "program", "class", "kind", "passed", "of", ...columns.map((column) => column.name)];
  return csvOf([
    head,
    ...programs.map((program) => {
      const told = program.cells.filter((cell) => cell !== null && cell.result !== "open");
      const passed = told.filter((cell) => cell?.result === "passes").length;
      const shown = program.class ?? (program.passesAll ? "no fault shown" : program.judged ? "open" : "not judged");
      return [
        ...[program.name, program.file, shown, program.kind ?? "", String(passed), String(told.length)],
        ...program.cells.map((cell) =>
          cell === null
            ? ""
            : cell.firstDifference
              ? `${cell.result} (line ${cell.firstDifference.line})`
              : cell.result,
        ),
      ];
    }),
  ]);
}
