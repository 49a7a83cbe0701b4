import { useVirtualizer } from "@tanstack/react-virtual";
import { useEffect, useRef } from "react";
import type { TraceTable } from "../../core/trace/table.ts";
import { TraceHead, type TraceShows } from "../components/TraceHead.tsx";
import { TraceRow, useRepeated } from "../components/TraceTableView.tsx";
import { SpacedBody } from "./SpacedBody.tsx";

/** Height of a row in pixels, as `.trace-table td` has it. */
const rowHeight = 28;

/** A trace table of any length up to the row that ran last, which is kept in sight; rows are made as they come into view. */
export function DryRunTable({
  table,
  shows,
  done,
  unchanged,
}: {
  table: TraceTable;
  shows: TraceShows;
  done: number;
  unchanged: "blank" | "repeated";
}) {
  const repeated = useRepeated(table, unchanged);
  const box = useRef<HTMLElement>(null);
  const rows = useVirtualizer({
    count: done,
    getScrollElement: () => box.current,
    estimateSize: () => rowHeight,
    overscan: 12,
    initialRect: { width: 800, height: 560 },
    scrollPaddingStart: 44,
    scrollPaddingEnd: rowHeight,
  });
  const { scrollToIndex } = rows;
  useEffect(() => {
    // With the frame that draws it: a scroll at once would lay the page out twice.
    const frame = requestAnimationFrame(() => scrollToIndex(Math.max(0, done - 1), { align: "auto" }));
    return () => cancelAnimationFrame(frame);
  }, [done, scrollToIndex]);
  const drawn = rows.getVirtualItems();
  return (
    <section ref={box} className="leaf max-h-[34rem] overflow-auto" aria-label="Trace table" tabIndex={0}>
      <table className="trace-table trace-table-sticky" aria-rowcount={table.rows.length + 1}>
        <caption className="sr-only">Trace table of the recorded run</caption>
        <TraceHead columns={table.columns} shows={shows} />
        <SpacedBody before={drawn[0]?.start ?? 0} behind={rows.getTotalSize() - (drawn.at(-1)?.end ?? 0)}>
          {drawn.map(({ index }) => {
            const row = table.rows[index];
            if (!row) return null;
            return (
              <TraceRow
                key={row.step}
                row={row}
                columns={table.columns}
                shows={shows}
                newest={index === done - 1}
                place={index + 2}
                repeated={repeated?.[index]}
              />
            );
          })}
        </SpacedBody>
      </table>
    </section>
  );
}
