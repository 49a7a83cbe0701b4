import { pieceOfForms } from "../../core/outcome/formFacts.ts";
import { readForms } from "../../core/outcome/forms.ts";
import type { ConsolePiece, Outcome, RunRequest } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import { withAsked } from "./sheets.ts";
import { takeRecords } from "./toldRecords.ts";

/** Lines of a crash that belong to what starts a program. */
const starterLines =
  /^ {2}at (?:__BentNailStart|BentNail\.Basic|\(wrapper |System\.Reflection|BentNail\.Many)[^\n]*(?:\n|$)/gm;
/** What a routine is called that passes an event on to the one that answers it. */
const passedOn = /^ {2}at \w+\.<\w+>m__\w+ [^\n]*(?:\n|$)/gm;

/**
 * Takes what the runner told of forms out of a console; what they show becomes part of the result. Calls of what starts a program are no part of its
 * account of a crash; what a box asks is no part of the result.
 */
export function takeForms(
  all: readonly ConsolePiece[],
  { files }: RunRequest,
): { console: ConsolePiece[] } & Partial<Outcome> {
  const { left: told, records } = takeRecords(all);
  const boxes = files.some(({ bytes }) => /\bInputBox\b/i.test(decodeText(bytes).text));
  const left = (boxes ? withAsked(told) : told).map((piece) =>
    piece.kind === "err" ? { ...piece, text: piece.text.replace(starterLines, "").replace(passedOn, "") } : piece,
  );
  const forms = readForms(records);
  if (!forms || forms.forms.length === 0) return { console: left };
  const piece = pieceOfForms(forms);
  const printed = left.filter(({ kind }) => kind === "out").at(-1);
  if (piece.text !== "" && printed && !printed.text.endsWith("\n")) left.push({ kind: "out", text: "\n" });
  // A user who does nothing more has not run out of anything.
  return { console: [...left, piece], forms, inputRanOut: false };
}
