import { readDrawing } from "../../core/outcome/drawing.ts";
import type { ConsolePiece, Outcome } from "../../core/outcome/outcome.ts";
import { pieceOfPicture } from "../../core/outcome/pictureFacts.ts";
import { takeRecords } from "./toldRecords.ts";

/**
 * Takes what the player of sketches told of the frames out of a console; facts of the last picture become part of the result. Pieces that stood around
 * such a line are one again. A program that ends the reading of what its user does has not run out of anything.
 */
export function takeDrawing(console: readonly ConsolePiece[]): { console: ConsolePiece[] } & Partial<Outcome> {
  const { left, records } = takeRecords(console);
  const drawing = readDrawing(records);
  if (!drawing) return { console: left, inputRanOut: false };
  const picture = pieceOfPicture(drawing);
  const printed = left.filter((piece) => piece.kind === "out").at(-1);
  if (picture.text !== "" && printed && !printed.text.endsWith("\n")) left.push({ kind: "out", text: "\n" });
  return { console: [...left, picture], drawing, inputRanOut: false };
}
