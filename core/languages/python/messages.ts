import type { StackFrame } from "../../outcome/outcome.ts";
import { columnOf } from "../../source/lines.ts";
import {
  arrowColumn,
  baseName,
  type MessageConstruct,
  type MessageContext,
  type MessageFound,
  type ToolFamily,
} from "../messageReader.ts";
import { versionRange } from "./versionRange.ts";

const fileLine = /^\s*File ["“]([^"”]*)["”], line (\d+)(?:, in (.*))?$/;
const header = "Traceback (most recent call last):";
const grammarNames = new Set(["SyntaxError", "IndentationError", "TabError"]);
/**
 * Exceptions and warnings of the language itself (Python Library Reference, "Exception hierarchy"); a line that begins
 * with one is a message even alone.
 */
const ownNames = new Set(
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
function readBlock(
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

/** `Traceback (most recent call last):` and what follows, also behind a prompt that had no line end. */
const traceback: MessageConstruct = {
  begins: (line) => line.includes("Traceback (most recent"),
  read: (context, at) => {
    const line = context.lines[at] ?? "";
    const start = line.indexOf(header);
    if (
      start < 0 ||
      line.trimEnd().length !== start + header.length ||
      /^\s*\+ $/.test(line.slice(0, start)) ||
      line.includes("Exception Group")
    )
      return null;
    const read = readBlock(context, at + 1, context.lines.length, true, (index) => context.lines[index] ?? "");
    return (
      read && { messages: [read.message], next: read.next, before: line.slice(0, start).trim() === "" ? 0 : start }
    );
  },
};

/**
 * Several exceptions at once, drawn as a tree with | and + before each line; the outer one comes first, then each inner
 * one.
 */
const group: MessageConstruct = {
  begins: (line) => line.includes("+ Exception Group Traceback"),
  read: (context, at) => {
    let end = at + 1;
    while (end < context.lines.length && /^\s*[|+]/.test(context.lines[end] ?? "")) end++;
    const rule = /^\s*(?:\+-\+-+ \d+ -+|\+-+ (?:\d+|\.\.\.) -+|\+-+)$/;
    const text = (index: number) => (index >= end ? "" : (context.lines[index] ?? "").replace(/^\s*[|+] ?/, ""));
    const messages: MessageFound[] = [];
    for (let index = at; index < end; ) {
      const line = context.lines[index] ?? "";
      const begins = text(index);
      if (rule.test(line) || begins.trim() === "") {
        index += 1;
        continue;
      }
      const headed = begins.includes(header);
      const read = readBlock(context, headed ? index + 1 : index, end, true, text);
      if (read)
        messages.push({
          ...read.message,
          toolVersion: "3.11 or newer",
          outputLines: { from: index + 1, to: read.next },
        });
      index = read ? read.next : index + 1;
    }
    return messages.length > 0 ? { messages, next: end } : null;
  },
};

/** A refusal without a header: the place, the echoed line, the arrow, the kind. */
const refusal: MessageConstruct = {
  begins: (line) => line.includes("File ") && fileLine.test(line),
  read: (context, at) => {
    const read = readBlock(context, at, context.lines.length, false, (index) => context.lines[index] ?? "");
    return read && { messages: [read.message], next: read.next };
  },
};

/** A file in an encoding that it does not declare; said without a place line. */
const encoding: MessageConstruct = {
  begins: (line) => line.startsWith("SyntaxError: Non-UTF-8") || line.includes("SyntaxError: (unicode error)"),
  read: (context, at) => {
    const match = /^SyntaxError: (Non-UTF-8 code starting with .{1,60} in file (.+?) on line (\d+),.*)$/.exec(
      context.lines[at] ?? "",
    );
    if (!match) return null;
    return {
      messages: [
        {
          severity: "error",
          errorName: "SyntaxError",
          message: match[1] ?? "",
          file: baseName(match[2] ?? ""),
          line: Number(match[3]),
          stage: "translation",
        },
      ],
      next: at + 1,
    };
  },
};

/** The last line alone, as learners' editors show it; some add "on line 3 in deck.py". */
const lastLine: MessageConstruct = {
  begins: (line) => /^[A-Z]/.test(line) && ownNames.has(line.slice(0, line.indexOf(":"))),
  read: (context, at) => {
    const line = context.lines[at] ?? "";
    const name = line.slice(0, line.indexOf(":"));
    const words = line.slice(line.indexOf(":") + 1).trim();
    const place = /^(.*) on line (\d+)(?: in (\S+))?$/.exec(words);
    const message = place?.[1] ?? words;
    const range = versionRange(message);
    return {
      messages: [
        {
          severity: "error",
          errorName: name,
          message,
          stage: grammarNames.has(name) ? "translation" : "unknown",
          ...(place ? { line: Number(place[2]) } : {}),
          ...(place?.[3] ? { file: baseName(place[3]) } : {}),
          ...(range ? { toolVersion: range } : {}),
        },
      ],
      next: at + 1,
    };
  },
};

const warningLine =
  /^(?:(.{1,300}?):(\d+): )?((?:Syntax|Deprecation|Runtime|User|Future|Resource|Encoding|Bytes|Import)Warning): (.*)$/;

/** `file:line: SyntaxWarning: words` and the echoed line. */
const warning: MessageConstruct = {
  begins: (line) => line.includes("Warning: "),
  read: (context, at) => {
    const match = warningLine.exec(context.lines[at] ?? "");
    if (!match) return null;
    const [, path, line, errorName = "", message = ""] = match;
    const echo = context.lines[at + 1] ?? "";
    const echoed = path !== undefined && /^ {2}\S/.test(echo);
    return {
      messages: [
        {
          severity: "warning",
          errorName,
          message,
          stage: errorName === "SyntaxWarning" || errorName === "DeprecationWarning" ? "translation" : "unknown",
          ...(path ? { file: baseName(path) } : {}),
          ...(Number(line) > 0 ? { line: Number(line) } : {}),
          ...(echoed ? { excerpt: echo.trim() } : {}),
        },
      ],
      next: at + (echoed ? 2 : 1),
    };
  },
};

/** The indented lines after a heading of a failed example, joined. */
function indented(context: MessageContext, from: number): { text: string; next: number } {
  let next = from;
  while (next < context.lines.length && /^ {4}/.test(context.lines[next] ?? "")) next++;
  return {
    text: context.lines
      .slice(from, next)
      .map((line) => line.slice(4))
      .join("\n"),
    next,
  };
}

/**
 * An example in a text that did not give what it promises (doctest). It speaks of the result, or of a stop where one
 * was met.
 */
const failedExample: MessageConstruct = {
  begins: (line) => line.startsWith('File "'),
  read: (context, at) => {
    const place = fileLine.exec(context.lines[at] ?? "");
    if (!place || context.lines[at + 1] !== "Failed example:") return null;
    const example = indented(context, at + 2);
    const shared = {
      severity: "error",
      file: baseName(place[1] ?? ""),
      line: Number(place[2]),
      excerpt: example.text,
    } as const;
    if (/^Exception raised:/.test(context.lines[example.next] ?? "")) {
      const told = indented(context, example.next + 1);
      const inner = readBlock(context, example.next + 2, told.next, true, (index) =>
        index < told.next ? (context.lines[index] ?? "").slice(4) : "",
      );
      return {
        messages: [{ ...shared, ...inner?.message, message: inner?.message.message ?? told.text, stage: "run" }],
        next: told.next,
      };
    }
    if (!/^Expected/.test(context.lines[example.next] ?? "")) return null;
    const nothing = context.lines[example.next] === "Expected nothing";
    const expected = nothing ? { text: "nothing", next: example.next + 1 } : indented(context, example.next + 1);
    const got =
      context.lines[expected.next] === "Got nothing"
        ? { text: "nothing", next: expected.next + 1 }
        : indented(context, expected.next + 1);
    return {
      messages: [
        {
          ...shared,
          errorName: "Failed example",
          message: `${example.text.trim()}: expected ${expected.text}, got ${got.text}`,
          stage: "result",
        },
      ],
      next: got.next,
    };
  },
};

/**
 * A test that failed (unittest): its name, a rule, and the traceback of the assertion. An ERROR is a stop of the
 * program.
 */
const failedTest: MessageConstruct = {
  begins: (line) => line.startsWith("FAIL: ") || line.startsWith("ERROR: "),
  read: (context, at) => {
    const from = [1, 2, 3].map((step) => at + step).find((index) => /^-{20,}$/.test(context.lines[index] ?? ""));
    if (from === undefined || context.lines[from + 1] !== header) return null;
    const read = readBlock(context, from + 2, context.lines.length, true, (index) => context.lines[index] ?? "");
    if (!read) return null;
    const failed = (context.lines[at] ?? "").startsWith("FAIL");
    return { messages: [failed ? { ...read.message, stage: "result" } : read.message], next: read.next };
  },
};

/** CPython's own words, those of learners' editors that print a part of them, and of its two test runners. */
export const cpython: ToolFamily = {
  id: "cpython",
  name: "CPython",
  checkedAgainst: "CPython 3.10 to 3.14; the wording of 3.6 to 3.9 by its documentation",
  constructs: [failedTest, failedExample, traceback, group, refusal, encoding, warning, lastLine],
};

const summaries =
  /^(?:During handling of the above exception, another exception occurred:|The above exception was the direct cause of the following exception:|Ran \d+ tests? in |FAILED \(|OK$|={20,}$|-{20,}$|\*{20,}$|\*\*\*Test Failed\*\*\*|\d+ items? had failures:|\s+\d+ of\s+\d+ in |[.FEsx]+$|\[Program finished\]|Process finished with exit code)/;

export const isPythonSummary = (line: string): boolean => summaries.test(line);
