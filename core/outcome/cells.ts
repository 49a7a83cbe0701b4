import type { Cell, ConsolePiece, Sheet } from "./outcome.ts";

/** Cells that a result tells of at most. */
const mostCells = 400;

const line = (name: string, shown: string) => `cell ${name} = ${shown}\n`;
/** A line that asks for a cell, or for a fact of a picture or a form (core/outcome/pictureFacts.ts, formFacts.ts). */
const asked = /^([ \t]*(?:cell|picture|form)[ \t]+(.{1,80}?)[ \t]*=[ \t]*)(.*)$/i;

/** What a cell is called in a result: `B5` on the first sheet, `Fares.B5` on another. */
const nameOf = (sheet: Sheet, first: boolean, cell: Cell) => (first ? cell.at : `${sheet.name}.${cell.at}`);

/**
 * The cells that a run changed, as lines that belong to its result: `cell B5 = 20.5`. The piece keeps what the other cells show, since a
 * check may ask for any. None where there is nothing in any cell.
 */
export function pieceOfCells(sheets: readonly Sheet[]): ConsolePiece | null {
  const all = sheets.flatMap((sheet, index) =>
    sheet.cells.map((cell) => ({ name: nameOf(sheet, index === 0, cell), shown: flat(cell.shown), cell })),
  );
  const changed = all.filter(({ cell }) => cell.before !== undefined).slice(0, mostCells);
  const others = all.filter(({ cell }) => cell.before === undefined).slice(0, mostCells);
  if (changed.length + others.length === 0) return null;
  return {
    kind: "out",
    text: changed.map(({ name, shown }) => line(name, shown)).join(""),
    cells: others.map(({ name, shown }) => [name, shown]),
  };
}

/** A text on one line. */
const flat = (shown: string) => shown.replace(/\s*[\r\n]+\s*/g, " ");

/**
 * The pieces of a console as far as an intended text asks for them: of cells and facts of a picture those that it names, in its order, whether they were
 * changed or not; what a box asks where it has that as well.
 */
export function piecesAsked(pieces: readonly ConsolePiece[], intended: string): readonly ConsolePiece[] {
  if (!pieces.some((piece) => piece.cells || piece.asked)) return pieces;
  const wanted = intended.split("\n").flatMap((each) => {
    const found = asked.exec(each);
    return found ? [{ begins: found[1] ?? "", name: (found[2] ?? "").toLowerCase() }] : [];
  });
  return pieces.map((piece): ConsolePiece => {
    if (piece.asked) return intended.includes(piece.text) ? piece : { ...piece, text: "" };
    if (!piece.cells) return piece;
    const shown = new Map(piece.cells.map(([name, value]) => [name.toLowerCase(), value]));
    for (const each of piece.text.split("\n")) {
      const found = asked.exec(each);
      if (found) shown.set((found[2] ?? "").toLowerCase(), found[3] ?? "");
    }
    const lines = wanted.flatMap(({ begins, name }) => (shown.has(name) ? [`${begins}${shown.get(name)}\n`] : []));
    return { ...piece, text: lines.join("") };
  });
}
