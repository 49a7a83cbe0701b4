import type { Diagnostic } from "../../outcome/outcome.ts";
import { type ExceptionTold, exceptionDiagnostic } from "../exceptions.ts";
import {
  baseName,
  type MessageConstruct,
  type MessageContext,
  type MessageFound,
  type ToolFamily,
} from "../messageReader.ts";
import { severityOf } from "../severity.ts";

const located =
  /^(?:.{0,400}[\\/])?([^\\/()]{1,200})\((\d+)(?:,(\d+))?\) ([^:\d]{2,24}?): (?:\((\d{4,5})\) )?(?:([EWH]\d{4}):? )?(.*)$/;
const unlocated = /^(Fatal|Error|Fehler): (?:\(\d+\) )?(.*)$/;
const bracketed =
  /^\[(?:(?:dcc\d+|Pascal|DCC) )?(Fatal Error|Error|Warning|Hint|Fehler|Warnung|Hinweis)\] ([^\s(]{1,200})\((\d+)\): (?:([EWHF]\d{4}):? )?(.*)$/;
const runtimeNumber = /^Runtime error (\d+) at \$?([0-9A-Fa-f]+)/;
const exceptionHead = /^An unhandled exception occurred at \$[0-9A-Fa-f]+ ?:/;
const exceptionLine = /^(E[A-Za-z]\w*|Exception|[A-Z]\w*) ?: ?(.*)$/;
const frame = /^\s+\$[0-9A-Fa-f]+(?:\s+(\S+?),?\s+line (\d+) of (\S+))?/;
/** Follow from the message before them, and stand for no fault of their own. */
const echoes =
  /^(?:Compilation aborted|There were \d+ errors compiling module|.{0,300}returned an error exitcode|Error while linking|Could not compile used unit)/;

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

/** `file.pas(line,column) Error: words`, with a number in brackets or a code where the tool adds one. */
const compiler: MessageConstruct = {
  begins: (line) => /\(\d+(?:,\d+)?\) /.test(line),
  read: (context, at) => {
    const place = located.exec(context.lines[at] ?? "");
    const severity = place && severityOf(place[4] ?? "");
    if (!place || !severity) return null;
    const [, file = "", line, column, word = "", number, code, message = ""] = place;
    if (echoes.test(message)) return { messages: [], next: at + 1 };
    const hint = word === "Hint" || word === "Hinweis";
    return {
      messages: [
        {
          severity,
          file,
          line: Number(line),
          ...(Number(column) > 0 ? { column: Number(column) } : {}),
          ...(code || number || hint ? { code: code ?? number ?? "hint" } : {}),
          message,
          stage: "translation",
        },
      ],
      next: at + 1,
    };
  },
};

/** `[Error] Unit1.pas(14): words`, the other compilers' form. */
const otherCompiler: MessageConstruct = {
  begins: (line) => line.startsWith("["),
  read: (context, at) => {
    const place = bracketed.exec(context.lines[at] ?? "");
    const severity = place && (severityOf(place[1] ?? "") ?? (place[1] === "Fatal Error" ? "error" : undefined));
    if (!place || !severity) return null;
    const [, , file = "", line, code, message = ""] = place;
    if (echoes.test(message)) return { messages: [], next: at + 1 };
    return {
      messages: [
        {
          severity,
          file: baseName(file),
          line: Number(line),
          ...(code ? { code } : {}),
          message,
          stage: "translation",
        },
      ],
      next: at + 1,
    };
  },
};

const placeless: MessageConstruct = {
  begins: (line) => /^(?:Fatal|Error|Fehler): /.test(line),
  read: (context, at) => {
    const match = unlocated.exec(context.lines[at] ?? "");
    if (!match) return null;
    if (echoes.test(match[2] ?? "")) return { messages: [], next: at + 1 };
    return { messages: [{ severity: "error", message: match[2] ?? "", stage: "translation" }], next: at + 1 };
  },
};

/** The calls below a stop, newest first in the text. */
function calls(context: MessageContext, from: number, stop: ExceptionTold): number {
  let next = from;
  for (; next < Math.min(context.lines.length, from + 20_000); next++) {
    const call = frame.exec(context.lines[next] ?? "");
    if (!call) break;
    const [, name, line, file = ""] = call;
    if (name && stop.frames.length < 3000)
      stop.frames.push({
        file: baseName(file),
        name: name.replace(/,$/, "").replace(/^\$/, ""),
        own:
          context.program === undefined ||
          Object.keys(context.program).some((each) => baseName(each) === baseName(file)),
        ...(line ? { line: Number(line) } : {}),
      });
  }
  stop.frames.reverse();
  return next;
}

function told(stop: ExceptionTold, code?: string): MessageFound {
  const { primary: _, ...message } = exceptionDiagnostic(stop);
  return { ...message, errorName: stop.errorName, ...(code ? { code } : {}) };
}

/** A run-time error's number; it may stand behind a prompt that had no line end. */
const numberedStop: MessageConstruct = {
  begins: (line) => line.includes("Runtime error "),
  read: (context, at) => {
    const line = context.lines[at] ?? "";
    const start = line.indexOf("Runtime error ");
    const match = runtimeNumber.exec(line.slice(start));
    if (!match) return null;
    const stop: ExceptionTold = {
      errorName: `Runtime error ${match[1]}`,
      message: runtimeErrors[Number(match[1])] ?? "",
      frames: [],
    };
    const next = calls(context, at + 1, stop);
    return { messages: [told(stop, match[1])], next, before: start };
  },
};

const exceptionStop: MessageConstruct = {
  begins: (line) => line.includes("An unhandled exception occurred at $"),
  read: (context, at) => {
    const line = context.lines[at] ?? "";
    const start = line.indexOf("An unhandled exception");
    if (!exceptionHead.test(line.slice(start))) return null;
    const words = exceptionLine.exec(context.lines[at + 1] ?? "");
    const stop: ExceptionTold = { errorName: words?.[1] ?? "", message: words?.[2] ?? "", frames: [] };
    const next = calls(context, at + (words ? 2 : 1), stop);
    return { messages: [{ ...told(stop), ...(words ? {} : { cut: true }) }], next, before: start };
  },
};

const dialogHead =
  /^(?:First chance exception at \$[0-9A-Fa-f]+\. )?(?:Project (\S+) (?:raised|faulted with) )?(?:[Ee]xception class|message:) ['"]?(?:External: )?([\w.]+)['"]?(?: with message:? ?['"]?(.*?)['"]?)?\.?(?: Process (?:stopped|\S+ \(\d+\)).*)?$/;

/**
 * What a window says when a program is stopped in a debugger: the exception's class, its words on this line or the
 * next, the place below.
 */
const dialog: MessageConstruct = {
  begins: (line) => line.includes("xception class "),
  read: (context, at) => {
    const match = dialogHead.exec((context.lines[at] ?? "").trim());
    if (!match) return null;
    let next = at + 1;
    let message = match[3] ?? "";
    const rest = context.lines.slice(at + 1, at + 7);
    const place = rest.findIndex((line) => /^\s*(?:In|At|at) (?:file|address|line)/.test(line));
    const last = Math.max(place, 0);
    if (message === "" && last > 0)
      message = rest
        .slice(0, last)
        .map((line) => line.trim())
        .filter((line) => line !== "")
        .join(" ");
    const where = place < 0 ? null : /[Ii]n file ['"]?([^'"\s]+)['"]? (?:on|at|in) line (\d+)/.exec(rest[place] ?? "");
    if (where || place >= 0) next = at + 2 + place;
    return {
      messages: [
        {
          severity: "error",
          errorName: match[2] ?? "",
          message: message.replace(/['"]\.?$/, ""),
          stage: "run",
          ...(where ? { file: baseName(where[1] ?? ""), line: Number(where[2]) } : {}),
        },
      ],
      next,
    };
  },
};

/** Free Pascal's compiler and run-time library. */
export const freePascal: ToolFamily = {
  id: "fpc",
  name: "Free Pascal",
  checkedAgainst: "Free Pascal 3.2",
  constructs: [compiler, placeless, numberedStop, exceptionStop],
};
/** Other compilers and windows of Object Pascal. */
export const otherPascal: ToolFamily = {
  id: "pascal",
  name: "other Object Pascal compilers and their windows",
  checkedAgainst: null,
  constructs: [otherCompiler, dialog],
};

export const isPascalSummary = (line: string): boolean =>
  /^(?:Free Pascal Compiler version|Copyright \(c\)|Target OS:|Compiling |Linking |\d+ lines compiled|\d+ (?:error|warning|note|hint)\(s\) issued|Fatal: Compilation aborted|Error: .{0,200}returned an error exitcode)/.test(
    line,
  );

const grammar =
  /^(?:Syntax error|Illegal character|String exceeds line|Unexpected end of file|Illegal expression|.*expected but|Unterminated|Identifier expected|BEGIN expected)/i;

export function kindOfPascalRefusal(diagnostic: Diagnostic): "form" | "meaning" {
  return grammar.test(diagnostic.message) ? "form" : "meaning";
}
