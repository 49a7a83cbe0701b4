import type { Diagnostic, StackFrame } from "../../outcome/outcome.ts";
import { columnOf, lineTexts } from "../../source/lines.ts";

const fileLine = /^\s*File "([^"]*)", line (\d+)(?:, in (.*))?$/;
const header = /^\s*Traceback \(most recent call last\):\s*$/;
const finalLine = /^((?:[A-Za-z_]\w*\.)*[A-Z_]\w*(?:Error|Exception|Exit|Interrupt|Warning|Iteration|Group|[a-z]\w*))(?:: ?(.*))?$/;
const grammarNames = new Set(["SyntaxError", "IndentationError", "TabError"]);
/** Said without a place line of its own: a file in an encoding that it does not declare. */
const encodingLine = /^SyntaxError: (Non-UTF-8 code starting with .* in file (.+) on line (\d+),.*)$/;
const warningLine = /^(?:(.+?):(\d+): )?((?:Syntax|Deprecation|Runtime|User|Future|Resource)Warning): (.*)$/;

type Reading = { frames: StackFrame[]; echo: string[]; inTraceback: boolean };

function baseName(path: string): string {
  return path.replaceAll("\\", "/").split("/").pop() ?? path;
}

/** A frame is the student's own unless it lies in the library, in a package folder or in the interpreter itself. */
function isOwn(path: string, program: Readonly<Record<string, string>> | undefined): boolean {
  if (/^<frozen|[\\/](?:lib|Lib)[\\/]|site-packages|dist-packages/.test(path)) return false;
  if (path.startsWith("<")) return path === "<stdin>";
  return program === undefined || Object.keys(program).some((name) => baseName(name) === baseName(path));
}

/**
 * The column of the arrow under an echoed line. The tool strips the line's own indentation, so the program's text is
 * needed to know the true column; without it the column is left out. Columns count code points from 1.
 */
function placeArrow(echo: readonly string[], file: string, line: number, program: Readonly<Record<string, string>> | undefined) {
  const arrowLine = echo.findIndex((text) => /^\s*[~^][\s~^]*$/.test(text));
  if (arrowLine < 1) return {};
  const arrow = echo[arrowLine] ?? "";
  const shown = echo[arrowLine - 1] ?? "";
  const excerpt = shown.trim();
  const name = program && Object.keys(program).find((candidate) => baseName(candidate) === baseName(file));
  const source = name === undefined ? undefined : lineTexts(program?.[name] ?? "")[line - 1];
  if (source === undefined || source.trim() !== excerpt) return { excerpt };
  const shift = source.length - source.trimStart().length - (shown.length - shown.trimStart().length);
  const start = arrow.search(/[~^]/) + shift;
  const end = arrow.trimEnd().length + shift;
  return start < 0 ? { excerpt } : { excerpt, column: columnOf(source, start), endColumn: columnOf(source, end) };
}

/**
 * Reads what CPython prints when it refuses or stops a program (3.8 to 3.14). Of a chain of blocks the last is the
 * primary one, and in it the innermost frame of the student's own files gives the line.
 * Text around it (the program's own output) is passed over; text without a message gives [].
 */
export function readPythonMessages(output: string, program?: Readonly<Record<string, string>>): Diagnostic[] {
  const found: Diagnostic[] = [];
  let reading: Reading = { frames: [], echo: [], inTraceback: false };
  for (const raw of lineTexts(output)) {
    const text = raw.replace(/^\s*\| ?/, "");
    if (header.test(text)) {
      reading = { frames: [], echo: [], inTraceback: true };
      continue;
    }
    const place = fileLine.exec(text);
    if (place) {
      const [, path = "", line = "0", name] = place;
      reading.frames.push({ file: baseName(path), line: Number(line), own: isOwn(path, program), ...(name === undefined ? {} : { name }) });
      reading.echo = [];
      continue;
    }
    if (/^\s/.test(text) && reading.frames.length > 0) {
      reading.echo.push(text);
      continue;
    }
    const warning = warningLine.exec(text);
    if (warning) {
      const [, path, line, errorName = "", message = ""] = warning;
      found.push({
        severity: "warning",
        errorName,
        message,
        stage: "translation",
        primary: false,
        ...(path ? { file: baseName(path) } : {}),
        ...(Number(line) > 0 ? { line: Number(line) } : {}),
      });
      continue;
    }
    const encoding = encodingLine.exec(text);
    if (encoding) {
      found.push({
        severity: "error",
        errorName: "SyntaxError",
        message: encoding[1] ?? "",
        file: baseName(encoding[2] ?? ""),
        line: Number(encoding[3]),
        stage: "translation",
        primary: false,
      });
      continue;
    }
    const end = finalLine.exec(text);
    if (end && (reading.frames.length > 0 || reading.inTraceback)) {
      found.push(finish(reading, end[1] ?? "", end[2] ?? "", program));
      reading = { frames: [], echo: [], inTraceback: false };
    } else if (text.trim() !== "" && reading.frames.length > 0 && !reading.inTraceback) {
      reading = { frames: [], echo: [], inTraceback: false };
    }
  }
  const errors = found.filter((diagnostic) => diagnostic.severity === "error");
  const primary = errors.at(-1);
  if (primary) primary.primary = true;
  return found;
}

function finish(reading: Reading, qualifiedName: string, message: string, program: Readonly<Record<string, string>> | undefined): Diagnostic {
  const errorName = qualifiedName.split(".").pop() ?? qualifiedName;
  const { frames, inTraceback } = reading;
  const last = frames.at(-1);
  const grammar = grammarNames.has(errorName) && last !== undefined && last.name === undefined && !last.file.startsWith("<");
  // A grammar fault met on the way (an imported file) still names that file's line; text given to eval is a matter of the run.
  const place = grammar ? last : (frames.findLast((frame) => frame.own && frame.line !== undefined) ?? last);
  const diagnostic: Diagnostic = {
    severity: "error",
    errorName,
    message,
    stage: grammar ? "translation" : inTraceback ? "run" : "unknown",
    primary: false,
    frames,
    ...(place ? { file: place.file } : {}),
    ...(place?.line ? { line: place.line } : {}),
  };
  if (place?.line && (grammar || place === last)) Object.assign(diagnostic, placeArrow(reading.echo, place.file, place.line, program));
  return diagnostic;
}
