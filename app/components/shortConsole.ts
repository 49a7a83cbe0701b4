import type { ConsolePiece } from "../../core/outcome/outcome.ts";

/** Characters of a console that a page shows; the rest is said to be cut. */
const consoleShown = 20_000;
export type ConsoleView = { pieces: ConsolePiece[]; cut: number };

/** A console short enough for a page. */
export function shortConsole(pieces: readonly ConsolePiece[]): ConsoleView {
  const kept: ConsolePiece[] = [];
  let room = consoleShown;
  let cut = 0;
  for (const piece of pieces) {
    if (room <= 0) cut += piece.text.length;
    else if (piece.text.length > room) {
      kept.push({ ...piece, text: piece.text.slice(0, room) });
      cut += piece.text.length - room;
      room = 0;
    } else {
      kept.push(piece);
      room -= piece.text.length;
    }
  }
  return { pieces: kept, cut };
}
