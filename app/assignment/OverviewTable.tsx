import { useVirtualizer } from "@tanstack/react-virtual";
import { type KeyboardEvent, useRef, useState } from "react";
import { readLetters } from "../../core/assignments/overview.ts";
import type { OverviewColumn } from "../../server/classwork/overview.ts";
import { ClassMark } from "../components/marks.tsx";
import { resultWords, SharedSign, SharedSigns, signColour } from "./CellSign.tsx";
import type { ShownProgram } from "./overviewView.ts";

/** Height of a row in pixels; all rows are alike, so that only those in sight need to be there. */
const rowHeight = 34;

/** Programs and checks at a glance. A cell leads to its run; the arrow keys go from cell to cell. */
export function OverviewTable({
  columns,
  programs,
  pressed,
}: {
  columns: readonly OverviewColumn[];
  programs: readonly ShownProgram[];
  pressed: { program: string; check: string } | null;
}) {
  const area = useRef<HTMLElement>(null);
  const [place, setPlace] = useState({ row: 0, column: 0 });
  const rows = useVirtualizer({
    count: programs.length,
    getScrollElement: () => area.current,
    estimateSize: () => rowHeight,
    overscan: 4,
    initialRect: { width: 900, height: 408 },
  });
  const items = rows.getVirtualItems();
  const before = items[0]?.start ?? 0;
  const after = rows.getTotalSize() - (items.at(-1)?.end ?? 0);
  const go = (event: KeyboardEvent) => {
    const step = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }[event.key];
    if (!step) return;
    event.preventDefault();
    const row = Math.min(programs.length - 1, Math.max(0, place.row + (step[0] ?? 0)));
    const column = Math.min(columns.length - 1, Math.max(0, place.column + (step[1] ?? 0)));
    setPlace({ row, column });
    rows.scrollToIndex(row);
    requestAnimationFrame(() => area.current?.querySelector<HTMLElement>(`[data-place="${row} ${column}"]`)?.focus());
  };
  return (
    <section ref={area} className="leaf max-h-[38rem] overflow-auto" aria-label="Programs and checks" onKeyDown={go}>
      <SharedSigns />
      <table className="w-full border-collapse text-sm">
        <thead className="sticky top-0 z-10 bg-sheet">
          <tr className="border-b-2 border-rule-strong text-left align-bottom">
            <th className="sticky left-0 bg-sheet px-3 py-1">Program</th>
            <th className="px-2 py-1">Class</th>
            {columns.map((column, index) => (
              <th
                key={column.key}
                className="px-1 py-1 text-center font-semibold"
                title={[column.name, column.kind, column.purpose].filter(Boolean).join(": ")}
              >
                {column.key === "" ? (
                  "as handed in"
                ) : (
                  <ColumnName name={column.name} number={index + (columns[0]?.key === "" ? 0 : 1)} />
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {before > 0 && <tr style={{ height: before }} aria-hidden />}
          {items.map(({ index }) => {
            const program = programs[index];
            if (!program) return null;
            return (
              <tr key={program.key} className="border-b border-rule align-middle" style={{ height: rowHeight }}>
                <th scope="row" className="sticky left-0 bg-sheet px-3 text-left font-normal whitespace-nowrap">
                  <a className="link" href={`/cases/${program.key}`}>
                    {program.name}
                  </a>
                  {program.earlier > 0 && (
                    <span className="note-small" title={`${program.earlier} handed in before; the newest counts`}>
                      {" "}
                      +{program.earlier}
                    </span>
                  )}
                </th>
                <td className="px-2 leading-none whitespace-nowrap">
                  {program.class !== null ? (
                    <ClassMark
                      of={program.class}
                      kind={program.kind === "form" || program.kind === "meaning" ? program.kind : null}
                    />
                  ) : (
                    <span className="text-graphite">{program.state}</span>
                  )}
                </td>
                {readLetters(program.letters).map((result, column) => {
                  const check = columns[column];
                  if (!check) return null;
                  const isPressed = pressed?.program === program.key && pressed.check === check.key;
                  return (
                    <td key={check.key} className={`text-center ${isPressed ? "bg-slip" : ""}`}>
                      {result !== null && (
                        <a
                          href={`?program=${program.key}&check=${check.key}`}
                          data-place={`${index} ${column}`}
                          tabIndex={place.row === index && place.column === column ? 0 : -1}
                          onFocus={() => setPlace({ row: index, column })}
                          aria-label={`${program.name}, ${check.name}: ${resultWords[result]}`}
                          aria-current={isPressed ? "true" : undefined}
                          className={`flex justify-center px-1 ${signColour(result)}`}
                        >
                          <SharedSign result={result} />
                        </a>
                      )}
                    </td>
                  );
                })}
              </tr>
            );
          })}
          {after > 0 && <tr style={{ height: after }} aria-hidden />}
        </tbody>
      </table>
    </section>
  );
}

/** A check's number with its name, cut where the column would grow too wide. */
function ColumnName({ name, number }: { name: string; number: number }) {
  return (
    <span className="block">
      {number}
      <span className="note-small mx-auto block w-16 truncate font-normal">{name}</span>
    </span>
  );
}
