import { type ComparedMessage, compareReadings } from "../../core/reading/compareReadings.ts";
import { flaggedEarlier, flaggedWhen } from "../../core/reading/flaggedWhen.ts";
import type { SourceView } from "./messagesView.ts";

const differsWords = {
  "": "no",
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
      source.messages.map(
        ({ line, kind, severity, title, stage }): ComparedMessage => ({
          ...{ line, kind, severity, title },
          when: flaggedWhen(stage, source.isChecker),
        }),
      ),
    ),
  );
  const earlier = flaggedEarlier(
    rows,
    told.map(({ name }) => name),
    (line) => `Line ${line + first - 1}`,
  );
  return (
    <section className="overflow-x-auto" aria-label="The outputs side by side" tabIndex={0}>
      <table className="w-full table-fixed border-collapse text-sm">
        <thead>
          <tr>
            {told.map((source, at) => (
              <th key={at} className="border-b border-rule-strong px-2 py-1 text-left align-bottom break-words">
                {source.title}
              </th>
            ))}
            <th className="w-24 border-b border-rule-strong px-2 py-1 text-left align-bottom">Differs</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, at) => (
            <tr key={at} className={row.differs ? "bg-slip" : undefined}>
              {row.cells.map((cell, place) => (
                <td key={place} className="border-b border-rule px-2 py-1 align-top break-words">
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
              <td className="border-b border-rule px-2 py-1 align-top">{differsWords[row.differs]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {earlier.length > 0 && (
        <ul className="mt-1 list-disc pl-5 text-sm" aria-label="What is flagged earlier">
          {earlier.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ul>
      )}
    </section>
  );
}
