import { readDrawing } from "../../core/outcome/drawing.ts";
import type { ConsolePiece, Outcome } from "../../core/outcome/outcome.ts";
import { pieceOfPicture } from "../../core/outcome/pictureFacts.ts";

/** Begins a line of the errors that tells of a frame (runners/sketch/bentnail/sketch/Film.java). */
const record = "\u001e";

/**
 * Takes what the player of sketches told of the frames out of a console; facts of the last picture become part of the result. Pieces that stood around
 * such a line are one again. A program that ends the reading of what its user does has not run out of anything.
 */
export function takeDrawing(console: readonly ConsolePiece[]): { console: ConsolePiece[] } & Partial<Outcome> {
  const records: string[] = [];
  let open: string | null = null;
  const left: ConsolePiece[] = [];
  const keep = (piece: ConsolePiece) => {
    const last = left.at(-1);
    if (piece.text === "") return;
    if (last && last.kind === piece.kind && last.line === piece.line && last.step === piece.step)
      left[left.length - 1] = { ...last, text: last.text + piece.text };
    else left.push(piece);
  };
  for (const piece of console) {
    if (piece.kind !== "err") {
      keep(piece);
      continue;
    }
    let own = "";
    let rest = piece.text;
    while (rest !== "") {
      const sign: string = open === null ? record : "\n";
      const at = rest.indexOf(sign);
      const found = at < 0 ? rest : rest.slice(0, at);
      if (open === null) own += found;
      else open += found;
      rest = at < 0 ? "" : rest.slice(at + 1);
      if (at < 0) continue;
      if (open === null) open = "";
      else {
        records.push(open);
        open = null;
      }
    }
    keep({ ...piece, text: own });
  }
  const drawing = readDrawing(records);
  if (!drawing) return { console: left, inputRanOut: false };
  const picture = pieceOfPicture(drawing);
  const printed = left.filter((piece) => piece.kind === "out").at(-1);
  if (picture.text !== "" && printed && !printed.text.endsWith("\n")) left.push({ kind: "out", text: "\n" });
  return { console: [...left, picture], drawing, inputRanOut: false };
}
