import { baseName, type MessageConstruct, type MessageFound, type ToolFamily } from "../messageReader.ts";
import { failedExample, failedTest } from "./testFailures.ts";
import { fileLine, grammarNames, header, ownNames, readBlock } from "./traceBlock.ts";
import { versionRange } from "./versionRange.ts";

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
