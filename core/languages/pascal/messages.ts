import type { Diagnostic, StackFrame } from "../../outcome/outcome.ts";
import { lineTexts } from "../../source/lines.ts";

const located = /^(?:.*[\\/])?([^\\/()]+)\((\d+)(?:,(\d+))?\) (Fatal|Error|Warning|Note|Hint): (.*)$/;
const unlocated = /^(Fatal|Error): (.*)$/;
const runtimeNumber = /^Runtime error (\d+) at \$([0-9A-Fa-f]+)/;
const exceptionHead = /^An unhandled exception occurred at \$[0-9A-Fa-f]+:/;
const exceptionLine = /^(E[A-Za-z]\w*|Exception|[A-Z]\w*): ?(.*)$/;
const frame = /^\s+\$[0-9A-Fa-f]+(?:\s+(\S+?),?\s+line (\d+) of (\S+))?/;
/** Follow from the message before them, and stand for no fault of their own. */
const echoes = /^(?:Compilation aborted|There were \d+ errors compiling module|.*returned an error exitcode|Error while linking)/;

type Stop = { errorName: string; message: string; code?: string; frames: StackFrame[] };

/** Numbers of run-time errors (Free Pascal User's guide, appendix "Run time errors"). */
export const runtimeErrors: Readonly<Record<number, string>> = {
  1: "Invalid function number",
  2: "File not found",
  3: "Path not found",
  4: "Too many open files",
  5: "File access denied",
  6: "Invalid file handle",
  12: "Invalid file access code",
  15: "Invalid drive number",
  100: "Disk read error",
  101: "Disk write error",
  102: "File not assigned",
  103: "File not open",
  104: "File not open for input",
  105: "File not open for output",
  106: "Invalid numeric format",
  200: "Division by zero",
  201: "Range check error",
  202: "Stack overflow error",
  203: "Heap overflow error",
  204: "Invalid pointer operation",
  205: "Floating point overflow",
  206: "Floating point underflow",
  207: "Invalid floating point operation",
  208: "Floating point division by zero",
  210: "Object not initialized",
  211: "Call to abstract method",
  212: "Stream registration error",
  213: "Collection index out of range",
  214: "Collection overflow error",
  215: "Arithmetic overflow error",
  216: "General protection fault",
  217: "Unhandled exception occurred",
  218: "Invalid value specified",
  219: "Invalid typecast",
  227: "Assertion failed error",
};

const severities: Readonly<Record<string, Diagnostic["severity"]>> = { Fatal: "error", Error: "error", Warning: "warning", Note: "note", Hint: "note" };

/**
 * Reads what Free Pascal prints, `file.pas(line,column) Error: words`, and what its run-time library prints when a program is stopped: an
 * error number or an exception, with the calls (newest first; frames come out oldest first) where debug information was built in.
 * The first error is primary. Lines and columns are 1-based.
 */
export function readPascalMessages(output: string, program?: Readonly<Record<string, string>>): Diagnostic[] {
  const found: Diagnostic[] = [];
  const stops: Stop[] = [];
  let expecting = false;
  for (const text of lineTexts(output)) {
    const place = located.exec(text);
    if (place) {
      const [, file = "", line, column, severity = "Error", message = ""] = place;
      if (echoes.test(message)) continue;
      found.push({
        severity: severities[severity] ?? "error",
        file,
        line: Number(line),
        ...(Number(column) > 0 ? { column: Number(column) } : {}),
        ...(severity === "Hint" ? { code: "hint" } : {}),
        message,
        stage: "translation",
        primary: false,
      });
      continue;
    }
    const plain = unlocated.exec(text);
    if (plain && !echoes.test(plain[2] ?? "")) {
      found.push({ severity: "error", message: plain[2] ?? "", stage: "translation", primary: false });
      continue;
    }
    const number = runtimeNumber.exec(text);
    if (number) {
      const stop: Stop = { errorName: `Runtime error ${number[1]}`, message: runtimeErrors[Number(number[1])] ?? "", code: number[1], frames: [] };
      stops.push(stop);
      continue;
    }
    if (exceptionHead.test(text)) {
      expecting = true;
      continue;
    }
    const exception = expecting ? exceptionLine.exec(text) : null;
    if (exception) {
      const stop: Stop = { errorName: exception[1] ?? "", message: exception[2] ?? "", frames: [] };
      stops.push(stop);
      expecting = false;
      continue;
    }
    const call = frame.exec(text);
    const stop = stops.at(-1);
    if (call && stop) {
      const [, name, line, file = ""] = call;
      if (name)
        stop.frames.unshift({
          file,
          name: name.replace(/,$/, "").replace(/^\$/, ""),
          own: program === undefined || file in program,
          ...(line ? { line: Number(line) } : {}),
        });
    }
  }
  for (const { frames, ...words } of stops) {
    const at = frames.findLast((each) => each.own && each.line !== undefined);
    found.push({ severity: "error", ...words, frames, stage: "run", primary: false, ...(at ? { file: at.file } : {}), ...(at?.line ? { line: at.line } : {}) });
  }
  const primary = found.find((each) => each.severity === "error" && each.stage === "translation") ?? found.find((each) => each.stage === "run");
  if (primary) primary.primary = true;
  return found;
}

const grammar =
  /^(?:Syntax error|Illegal character|String exceeds line|Unexpected end of file|Illegal expression|.*expected but|Unterminated|Identifier expected|BEGIN expected)/i;

export function kindOfPascalRefusal(diagnostic: Diagnostic): "form" | "meaning" {
  return grammar.test(diagnostic.message) ? "form" : "meaning";
}
