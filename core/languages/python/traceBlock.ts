import type { StackFrame } from "../../outcome/outcome.ts";
import { columnOf } from "../../source/lines.ts";
import { arrowColumn, baseName, type MessageContext, type MessageFound } from "../messageReader.ts";
import { versionRange } from "./versionRange.ts";

export const fileLine = /^\s*File ["“]([^"”]*)["”], line (\d+)(?:, in (.*))?$/;
export const header = "Traceback (most recent call last):";
export const grammarNames = new Set(["SyntaxError", "IndentationError", "TabError"]);
/**
 * Exceptions and warnings of the language itself (Python Library Reference, "Exception hierarchy"); a line that begins
 * with one is a message even alone.
 */
export const ownNames = new Set(
  (
    "ArithmeticError AssertionError AttributeError BaseException BaseExceptionGroup BlockingIOError BrokenPipeError BufferError ChildProcessError ConnectionAbortedError ConnectionError " +
    "ConnectionRefusedError ConnectionResetError EOFError Exception ExceptionGroup FileExistsError FileNotFoundError FloatingPointError GeneratorExit ImportError IndentationError IndexError " +
    "InterruptedError IsADirectoryError KeyError KeyboardInterrupt LookupError MemoryError ModuleNotFoundError NameError NotADirectoryError NotImplementedError OSError OverflowError " +
    "PermissionError ProcessLookupError RecursionError ReferenceError RuntimeError StopIteration SyntaxError SystemError TabError TimeoutError TypeError UnboundLocalError " +
    "UnicodeDecodeError UnicodeEncodeError UnicodeError ValueError ZeroDivisionError"
  ).split(" "),
);
const arrowLine = /^\s*[~^][\s~^]*$/;
/**
 * Lines of one block at most; a folded recursion has three frames and a line. Without a header there is one place and
 * its echo.
 */
const [longestBlock, longestRefusal] = [3000, 12];

/** A frame is the student's own unless it lies in the library, in a package folder or in the interpreter itself. */
function isOwn(path: string, program: MessageContext["program"]): boolean {
  if (/^<frozen|[\\/][Ll]ib(?:64)?[\\/]|\.zip[\\/]|site-packages|dist-packages/.test(path)) return false;
  if (path.startsWith("<")) return path === "<stdin>" || path === "<exec>";
  return program === undefined || Object.keys(program).some((name) => baseName(name) === baseName(path));
}

type Block = { frames: StackFrame[]; paths: string[]; echo: string[]; withHeader: boolean };

/**
 * Column and echoed line under the last place of a block. The tool strips the line's own indentation, so without the
 * program the column stays open.
 */
function placeArrow(context: MessageContext, echo: readonly string[], path: string, line: number) {
  const arrowAt = echo.findIndex((text) => arrowLine.test(text));
  if (arrowAt < 1) return echo[0]?.trim() && !arrowLine.test(echo[0]) ? { excerpt: echo[0].trim() } : {};
  const arrow = echo[arrowAt] ?? "";
  const shown = echo[arrowAt - 1] ?? "";
  const source = context.sourceLine(path, line);
  const start = arrow.search(/[~^]/);
  const column = arrowColumn(source, shown, start, false);
  if (column === undefined || source === undefined || source.trim() !== shown.trim()) return { excerpt: shown.trim() };
  const shift = source.length - source.trimStart().length - (shown.length - shown.trimStart().length);
  const end = arrow.trimEnd().length + shift;
  return {
    excerpt: shown.trim(),
    column,
    endColumn: columnOf(source, Math.min(end, source.length)) + Math.max(0, end - source.length),
  };
}

function finish(
  context: MessageContext,
  block: Block,
  qualifiedName: string,
  message: string,
  cut = false,
): MessageFound {
  const errorName = qualifiedName.slice(qualifiedName.lastIndexOf(".") + 1);
  const { frames, withHeader } = block;
  const last = frames.at(-1);
  const grammar =
    grammarNames.has(errorName) &&
    (last === undefined || (last.name === undefined && !last.file.startsWith("<"))) &&
    !cut;
  // A grammar fault met on the way (an imported file) still names that file's line; text given to eval is a matter of
  // the run.
  const place = grammar ? last : (frames.findLast((frame) => frame.own && frame.line !== undefined) ?? last);
  const arrows = block.echo.some((text) => arrowLine.test(text));
  const text = place && context.programText(place.file);
  const source = text !== undefined && place?.line ? { text, line: place.line } : undefined;
  const range = !grammar && arrows ? "3.11 or newer" : versionRange(message, source);
  return {
    severity: "error",
    ...(errorName ? { errorName } : {}),
    message,
    stage: grammar ? "translation" : withHeader ? "run" : "unknown",
    ...(frames.length > 0 ? { frames } : {}),
    ...(place ? { file: place.file } : {}),
    ...(place?.line ? { line: place.line } : {}),
    ...(place?.line && (grammar || place === last)
      ? placeArrow(context, block.echo, block.paths.at(-1) ?? place.file, place.line)
      : {}),
    ...(range ? { toolVersion: range } : {}),
    ...(cut ? { cut } : {}),
  };
}

/**
 * Reads one block from its first place line; `text` gives a line freed of what stands before it in groups. Null if it
 * is no block.
 */
export function readBlock(
  context: MessageContext,
  from: number,
  to: number,
  withHeader: boolean,
  text: (at: number) => string,
): { message: MessageFound; next: number } | null {
  const block: Block = { frames: [], paths: [], echo: [], withHeader };
  let at = from;
  for (; at < Math.min(to, from + (withHeader ? longestBlock : longestRefusal)); at++) {
    const line = text(at);
    const place = line.includes("File ") ? fileLine.exec(line) : null;
    if (place) {
      if (!withHeader && block.frames.length > 0) break;
      const [, path = "", number = "0", name] = place;
      block.frames.push({
        file: baseName(path),
        line: Number(number),
        own: isOwn(path, context.program),
        ...(name === undefined ? {} : { name }),
      });
      block.paths.push(path);
      block.echo = [];
      continue;
    }
    if (
      /^\s/.test(line) ||
      (line === "" && block.frames.length > 0 && block.echo.length === 0 && /^\s/.test(text(at + 1)))
    ) {
      block.echo.push(line);
      continue;
    }
    const end = /^([\p{L}\p{N}_.]{1,200})(?:: ?(.*))?$/u.exec(line);
    if (end && (block.frames.length > 0 || withHeader) && !(end[2] === undefined && /^\d|^\.+$/.test(end[1] ?? "")))
      return { message: finish(context, block, end[1] ?? "", end[2] ?? ""), next: at + 1 };
    break;
  }
  // The output breaks off: what is there is used as far as it goes.
  if (withHeader && block.frames.length > 0 && text(at) === "" && at >= to)
    return { message: finish(context, block, "", "The message breaks off here.", true), next: at };
  return null;
}
