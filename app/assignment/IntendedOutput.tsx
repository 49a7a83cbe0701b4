import type { CheckShown } from "./assignmentView.ts";

/** An intended output as it is kept: prompts in brackets of their own, what is typed in underlined. */
export function IntendedOutput({ check }: { check: Pick<CheckShown, "expected" | "pieces"> }) {
  if (check.expected === null) return <p className="note-small">not said</p>;
  if (!check.pieces)
    return <pre className="text-[0.85rem] whitespace-pre-wrap">{check.expected.trimEnd() || "(nothing)"}</pre>;
  return (
    <pre className="text-[0.85rem] whitespace-pre-wrap" style={{ overflowWrap: "anywhere" }}>
      {check.pieces.map((piece, index) => (
        <span
          key={index}
          className={
            piece.kind === "in"
              ? "border-b border-dotted border-ink font-semibold"
              : piece.kind === "prompt"
                ? "text-graphite italic"
                : ""
          }
          title={piece.kind === "in" ? "typed in" : piece.kind === "prompt" ? "a prompt" : undefined}
        >
          {piece.text}
        </span>
      ))}
    </pre>
  );
}
