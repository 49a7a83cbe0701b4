import type { Diagnostic } from "../outcome/outcome.ts";

/** A message with the name of its error, as people quote it. */
export function messageOf(diagnostic: Diagnostic): string {
  return diagnostic.errorName
    ? `${diagnostic.errorName}${diagnostic.message ? `: ${diagnostic.message}` : ""}`
    : diagnostic.message;
}

/** The file that a message is about, if it is one of the program beside its main file. */
export function otherFile(diagnostic: Diagnostic | null | undefined, fileNames: readonly string[] = []): string | null {
  const file = diagnostic?.file;
  return file !== undefined && file !== fileNames[0] && fileNames.includes(file) ? file : null;
}

/** A line with the file that it is one of, where that is not the main one: "line 4", "line 4 of fares.py". */
export function placeWords(line: number, file: string | null | undefined): string {
  return file ? `line ${line} of ${file}` : `line ${line}`;
}

/** A sentence that ends in a message has one full stop, whatever the message ends in. */
export function stop(text: string): string {
  return /[.?!]$/.test(text) ? text : `${text}.`;
}
