import * as z from "zod";
import { pieceOfCells } from "../../core/outcome/cells.ts";
import { type ConsolePiece, type Outcome, sheetSchema } from "../../core/outcome/outcome.ts";

/** Begins what the runner tells at the end of the errors (runners/macro/bent_nail_macro.py). */
const record = "\u001e";

/**
 * Takes what the runner told of the sheets out of the errors of a console; the changed cells become part of the result. What is not a list of sheets, since the program had a hand in
 * it or since it broke off, is left out.
 */
export function takeSheets(all: readonly ConsolePiece[]): { console: ConsolePiece[] } & Pick<Outcome, "sheets"> {
  const console = withAsked(all);
  let told: string | null = null;
  const left = console.flatMap((piece): ConsolePiece[] => {
    if (piece.kind !== "err") return [piece];
    if (told !== null) {
      told += piece.text;
      return [];
    }
    const at = piece.text.lastIndexOf(record);
    if (at < 0) return [piece];
    told = piece.text.slice(at + 1);
    return at === 0 ? [] : [{ ...piece, text: piece.text.slice(0, at) }];
  });
  if (told === null) return { console: left };
  const sheets = z.array(sheetSchema).safeParse(asJson(told));
  if (!sheets.success) return { console: left };
  const cells = pieceOfCells(sheets.data);
  return { console: cells ? [...left, cells] : left, sheets: sheets.data };
}

/** What stands on a line before something is typed in is what the box asked; it becomes a piece of its own. */
export function withAsked(console: readonly ConsolePiece[]): ConsolePiece[] {
  return console.flatMap((piece, index): ConsolePiece[] => {
    const begins = piece.text.lastIndexOf("\n") + 1;
    if (piece.kind !== "out" || console[index + 1]?.kind !== "in" || begins === piece.text.length) return [piece];
    const asked: ConsolePiece = { ...piece, text: piece.text.slice(begins), asked: true };
    return begins === 0 ? [asked] : [{ ...piece, text: piece.text.slice(0, begins) }, asked];
  });
}

function asJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
