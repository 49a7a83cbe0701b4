import type { ReactNode } from "react";
import { headingsOf, headingText } from "../../core/trace/headings.ts";

/**
 * A page for paper: black on white, nothing of the interface on it but a hint that does not print. `large`: for whoever reads
 * large print, half as large again.
 */
export function PrintPage({
  title,
  under,
  large = false,
  children,
}: {
  title: string;
  under?: string;
  large?: boolean;
  children: ReactNode;
}) {
  return (
    <main
      className={`paper-page mx-auto grid max-w-[180mm] gap-5 bg-white p-8 text-black print:p-0 ${large ? "paper-large" : ""}`}
    >
      <p className="no-print note-small border border-rule p-2">
        Print this page with your browser (Ctrl+P). This line does not print.
      </p>
      <header className="border-b-2 border-black pb-1">
        <h1>{title}</h1>
        {under && <p>{under}</p>}
      </header>
      {children}
    </main>
  );
}

/** A program with its line numbers. */
export function PrintedProgram({ lines }: { lines: readonly string[] }) {
  return (
    <ol className="keep-together border border-black p-2 font-mono text-[10pt] leading-6">
      {lines.map((line, index) => (
        <li key={index} className="grid grid-cols-[2.5rem_minmax(0,1fr)]">
          <span className="pr-3 text-right">{index + 1}</span>
          <span className="whitespace-pre-wrap">{line || " "}</span>
        </li>
      ))}
    </ol>
  );
}

export type PrintedTable = {
  columns: ReadonlyArray<{ title: string; key: string; functionName?: string; className?: string; of?: string }>;
  rows: ReadonlyArray<{ line: string; cells: Readonly<Record<string, string>> }>;
};

/** A ruled table; blank cells are for the pen. */
export function PrintedTraceTable({ table }: { table: PrintedTable }) {
  const headings = headingsOf(table.columns).map(headingText);
  const columns = [
    ...table.columns.map(({ key }, at) => ({ key, title: headings[at] ?? key })),
    { key: "output", title: "output" },
  ];
  return (
    <table className="w-full border-collapse font-mono text-[10pt]">
      <thead>
        <tr>
          <th className="w-14 border border-b-2 border-black px-2 text-left font-sans">line</th>
          {columns.map((column) => (
            <th key={column.key} className="border border-b-2 border-black px-2 text-left font-sans">
              {column.title}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {table.rows.map((row, index) => (
          <tr key={index} className="h-8">
            <td className="border border-black px-2">{row.line}</td>
            {columns.map((column) => (
              <td key={column.key} className="border border-black px-2 whitespace-pre">
                {row.cells[column.key] ?? ""}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Lines to write on. */
export function WritingLines({ count }: { count: number }) {
  return (
    <div aria-hidden="true">
      {Array.from({ length: count }, (_, index) => (
        <div key={index} className="h-8 border-b border-black" />
      ))}
    </div>
  );
}

/** A teacher's own words beside what is explained. */
export function PrintedWords({ words }: { words: ReadonlyArray<{ title: string; words: string }> }) {
  return words.map(({ title, words: own }) => (
    <p key={title} className="border-l-2 border-black pl-3">
      <strong>{title}.</strong> {own}
    </p>
  ));
}
