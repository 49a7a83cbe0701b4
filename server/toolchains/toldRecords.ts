import type { ConsolePiece } from "../../core/outcome/outcome.ts";

/** Begins a line of the errors that one of our runners tells something by; texts do not hold it. */
const record = "\u001e";

/** Takes what a runner told out of a console, a line each. Pieces that stood around such a line are one again. */
export function takeRecords(console: readonly ConsolePiece[]): { left: ConsolePiece[]; records: string[] } {
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
  return { left, records };
}
