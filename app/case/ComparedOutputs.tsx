import { type ComparedMessage, compareReadings } from "../../core/reading/compareReadings.ts";
import type { SourceView } from "./messagesView.ts";

const differsWords = {
  "": "",
  line: "another line",
  kind: "another kind",
  severity: "error or warning",
  "only some": "not all say it",
} as const;

/** Several outputs of one version side by side, by place, with how they differ. */
export function Compared({ sources, first }: { sources: readonly SourceView[]; first: number }) {
  const told = sources.filter((source) => source.recognised && source.title !== "Noticed by us");
  if (told.length < 2) return null;
  const rows = compareReadings(
    told.map((source) =>
      source.messages.map(({ line, kind, severity, title }): ComparedMessage => ({ line, kind, severity, title })),
    ),
  );
  return (
    <section className="overflow-x-auto" aria-label="The outputs side by side" tabIndex={0}>
      <table className="trace-table">
        <thead>
          <tr>
            {told.map((source, at) => (
              <th key={at}>{source.title}</th>
            ))}
            <th>Differs</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, at) => (
            <tr key={at} className={row.differs ? "bg-slip" : undefined}>
              {row.cells.map((cell, place) => (
                <td key={place} className="min-w-32 font-sans">
                  {cell ? (
                    <>
                      <strong>{cell.line === null ? "no line" : `line ${cell.line + first - 1}`}</strong>
                      {cell.severity === "warning" && ", warning"}
                      {cell.kind && `: ${cell.kind}`}
                    </>
                  ) : (
                    <span className="note-small">nothing</span>
                  )}
                </td>
              ))}
              <td className="font-sans">{differsWords[row.differs]}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
