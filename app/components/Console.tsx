import type { ConsolePiece } from "../../core/outcome/outcome.ts";

/** Pieces of a console, and how many characters were left out. `marked`: what was put in to be seen, with its label. */
export type ShownConsole = { pieces: ReadonlyArray<ConsolePiece | { kind: "marked"; text: string }>; cut: number };

/** Control characters as visible signs (Unicode's Control Pictures), so that nothing printed can disturb the page. */
function visibleControls(text: string): string {
  return text.replace(/[\u0000-\u0008\u000b-\u001f\u007f-\u009f]/g, (character) => {
    const code = character.charCodeAt(0);
    return String.fromCharCode(code < 32 ? 0x2400 + code : 0x2421);
  });
}

/** The console as the student saw it: what was printed, what was typed, and the message. */
export function Console({ view, label }: { view: ShownConsole; label: string }) {
  const empty = view.pieces.every((piece) => piece.text === "");
  return (
    <section className="max-h-64 overflow-auto border border-rule bg-leaf p-2" aria-label={label} tabIndex={0}>
      {empty ? (
        <p className="note-small">Nothing was printed.</p>
      ) : (
        <pre className="text-[0.85rem] whitespace-pre-wrap" style={{ overflowWrap: "anywhere" }}>
          {view.pieces.map((piece, index) => (
            <span
              key={index}
              className={
                piece.kind === "in"
                  ? "border-b border-dotted border-ink font-semibold"
                  : piece.kind === "err"
                    ? "text-ochre"
                    : piece.kind === "marked"
                      ? "block bg-slip"
                      : ""
              }
              title={piece.kind === "in" ? "typed in" : undefined}
            >
              {visibleControls(piece.text)}
            </span>
          ))}
        </pre>
      )}
      {view.cut > 0 && <p className="note-small">{view.cut.toLocaleString("en-GB")} more characters were printed.</p>}
    </section>
  );
}
