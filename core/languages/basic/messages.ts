import type { Diagnostic } from "../../outcome/outcome.ts";
import { dotnetException } from "../dotnet.ts";
import type { MessageConstruct, MessageFound, ToolFamily } from "../messageReader.ts";
import { severityOf } from "../severity.ts";

const located =
  /^\s*(?:.{0,400}[\\/])?([^\\/()]{1,200})\((\d+)(?:,(\d+))?(?:,(\d+),(\d+))?\) ?: ([^:\d]{2,24}?) ((?:BC|VBNC)\d+) ?: (.*)$/;
const project = / \[[^\]]{1,300}\.vbproj\]$/;

/** `File.vb(line,column): error BC30451: words`; the older form echoes the line and marks the place below it. */
const compiler: MessageConstruct = {
  begins: (line) => line.includes(") : ") || line.includes("): "),
  read: (context, at) => {
    const place = located.exec((context.lines[at] ?? "").replace(project, ""));
    const severity = place && severityOf(place[6] ?? "");
    if (!place || !severity) return null;
    const [, file = "", line, column, endLine, endColumn, , code, message = ""] = place;
    const found: MessageFound = {
      severity,
      file,
      line: Math.max(1, Number(line)),
      ...(Number(column) > 0 ? { column: Number(column) } : {}),
      ...(Number(endLine) > 0 ? { endLine: Number(endLine), endColumn: Number(endColumn) } : {}),
      code,
      message,
      stage: "translation",
    };
    const [blank, echo = "", mark = ""] = context.lines.slice(at + 1, at + 4);
    if (blank?.trim() === "" && /^\s*~+\s*$/.test(mark) && echo.trim() !== "") {
      found.excerpt = echo.trim();
      const source = context.sourceLine(file, found.line ?? 1);
      const start = mark.indexOf("~") - (echo.length - echo.trimStart().length);
      if (found.column === undefined && source !== undefined && source.trim() === echo.trim()) {
        found.column = source.length - source.trimStart().length + start + 1;
        found.endColumn = found.column + mark.trim().length;
      }
      return { messages: [found], next: at + 4 };
    }
    return { messages: [found], next: at + 1 };
  },
};

/** The typed Basic's compiler and .NET's account of exceptions. */
export const typedBasic: ToolFamily = {
  id: "basic",
  name: "typed Basic compilers and .NET",
  checkedAgainst: null,
  constructs: [compiler, dotnetException],
};

const numbered =
  /^(?:Microsoft Visual Basic\W+)?[Rr]un[- ]?time error\s*['‘’"“]?(-?\d+(?: \([0-9a-fA-F]+\))?)['‘’"”]?\s*[:.-]?\s*(.*)$/;
const compile = /^(?:Microsoft Visual Basic\W+)?(Compile error|Syntax error)\s*(?:[:.-]\s*(.*))?$/i;

/** Words of a window that may stand on the lines below its heading, past blank ones. */
function below(lines: readonly string[], at: number): { words: string; next: number } {
  let next = at + 1;
  while (next < Math.min(lines.length, at + 4) && (lines[next] ?? "").trim() === "") next++;
  return next < lines.length && (lines[next] ?? "").trim() !== ""
    ? { words: (lines[next] ?? "").trim(), next: next + 1 }
    : { words: "", next: at + 1 };
}

/**
 * The window of a stopped macro: a number and its words, typed or pasted. It names no line; the line was shown in the
 * editor.
 */
const stopped: MessageConstruct = {
  begins: (line) => /run[- ]?time error/i.test(line),
  read: (context, at) => {
    const match = numbered.exec((context.lines[at] ?? "").trim());
    if (!match) return null;
    const more = match[2] ? { words: match[2], next: at + 1 } : below(context.lines, at);
    const number = (match[1] ?? "").replace(/ .*$/, "");
    return {
      messages: [
        {
          severity: "error",
          errorName: `Run-time error ${number}`,
          code: number,
          message: more.words || (stopNumbers[Number(number)] ?? ""),
          stage: "run",
        },
      ],
      next: more.next,
    };
  },
};

/** The window of a macro that was refused when it was started, or on leaving a line. */
const refused: MessageConstruct = {
  begins: (line) => /^(?:\s*Microsoft Visual Basic\W+)?\s*(?:compile|syntax) error/i.test(line),
  read: (context, at) => {
    const match = compile.exec((context.lines[at] ?? "").trim());
    if (!match) return null;
    const syntax = /^syntax/i.test(match[1] ?? "");
    const more = match[2]
      ? { words: match[2], next: at + 1 }
      : syntax
        ? { words: "Syntax error", next: at + 1 }
        : below(context.lines, at);
    return {
      messages: [
        {
          severity: "error",
          errorName: syntax ? "Syntax error" : "Compile error",
          message: more.words,
          stage: "translation",
        },
      ],
      next: more.next,
    };
  },
};

/**
 * Numbers of stops that windows and students give without their words (documented with the language as "trappable
 * errors").
 */
export const stopNumbers: Readonly<Record<number, string>> = {
  5: "Invalid procedure call or argument",
  6: "Overflow",
  7: "Out of memory",
  9: "Subscript out of range",
  11: "Division by zero",
  13: "Type mismatch",
  28: "Out of stack space",
  53: "File not found",
  55: "File already open",
  62: "Input past end of file",
  70: "Permission denied",
  76: "Path not found",
  91: "Object variable or With block variable not set",
  94: "Invalid use of Null",
  424: "Object required",
  429: "ActiveX component can't create object",
  438: "Object doesn't support this property or method",
  1004: "Application-defined or object-defined error",
};

/** Windows of macros in documents. */
export const macroBasic: ToolFamily = {
  id: "macro",
  name: "windows of macro Basic",
  checkedAgainst: null,
  constructs: [stopped, refused],
};

export const isBasicSummary = (line: string): boolean =>
  /^(?:Build (?:FAILED|succeeded)|\s+\d+ (?:Warning|Error)\(s\)|Time Elapsed|Microsoft Visual Basic\W*$|\[?(?:Continue|End|Debug|Help|OK)\]?(?:\s+\[?(?:End|Debug|Help)\]?)*$)/.test(
    line,
  );

/** Codes of the compiler for faults of grammar (documented with the compiler's errors). */
const grammarCodes = new Set(
  "1 25 26 27 35 37 58 70 72 80 81 82 83 84 85 86 87 88 90 91 92 93 95 180 182 183 184 185 188 196 198 199 201 203 205 206 238 239 240 247 248 249 287 289 370 380 382 383 384 429 430 431 438 460 481 621 622 624 625 630 631 632 633 638 648 670 689 781 800 807 985 987"
    .split(" ")
    .map((number) => `BC30${number.padStart(3, "0")}`),
);

export function kindOfBasicRefusal(diagnostic: Diagnostic): "form" | "meaning" {
  if (diagnostic.code?.startsWith("BC") || diagnostic.code?.startsWith("VBNC"))
    return grammarCodes.has(diagnostic.code) ? "form" : "meaning";
  return /^(?:Syntax error|Expected|.*\bwithout\b)/i.test(diagnostic.message) ? "form" : "meaning";
}
