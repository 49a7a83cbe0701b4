import { findHunks } from "../../core/fixes/hunks.ts";

/** A small program with its slip: what is wrong struck through, what is right on a slip below it. */
export function ExampleView({ right, faulty, input }: { right: string; faulty: string; input: string }) {
  const hunks = findHunks(faulty, right);
  const lines = faulty.replace(/\n$/, "").split("\n");
  const rows: Array<{ key: string; number: number | null; text: string; kind: "" | "before" | "after" }> = [];
  const added = (at: number) =>
    hunks
      .filter((hunk) => hunk.start + hunk.before.length === at)
      .flatMap((hunk) =>
        hunk.after.map((text, index) => ({ key: `+${at} ${index}`, number: null, text, kind: "after" as const })),
      );
  lines.forEach((text, index) => {
    const number = index + 1;
    rows.push(...added(number));
    const isBefore = hunks.some((hunk) => number >= hunk.start && number < hunk.start + hunk.before.length);
    rows.push({ key: String(number), number, text, kind: isBefore ? "before" : "" });
  });
  rows.push(...added(lines.length + 1));
  return (
    <div>
      <table className="font-mono text-sm">
        <tbody>
          {rows.map(({ key, number, text, kind }) => (
            <tr key={key} className={kind === "after" ? "bg-slip" : ""}>
              <td className="pr-3 text-right text-graphite select-none">{number ?? ""}</td>
              <td className="break-words whitespace-pre-wrap">
                {kind === "before" ? (
                  <del>{text}</del>
                ) : kind === "after" ? (
                  <ins className="no-underline">{text}</ins>
                ) : (
                  text
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {input && <p className="note-small mt-1">Typed in: {input.trimEnd().replaceAll("\n", " ⏎ ")}</p>}
    </div>
  );
}
