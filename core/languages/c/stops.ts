import type { StackFrame } from "../../outcome/outcome.ts";
import { ownOf } from "../../source/ownOf.ts";
import { baseName, type MessageConstruct, type MessageContext, type ToolFamily } from "../messageReader.ts";
import { columnAt } from "./columns.ts";

const shellNames: Readonly<Record<string, string>> = {
  "Segmentation fault": "SIGSEGV",
  "Floating point exception": "SIGFPE",
  Aborted: "SIGABRT",
  "Bus error": "SIGBUS",
  "Illegal instruction": "SIGILL",
  Killed: "SIGKILL",
  Speicherzugriffsfehler: "SIGSEGV",
  "Erreur de segmentation": "SIGSEGV",
  "Violación de segmento": "SIGSEGV",
};
const shellWords = new RegExp(
  `(${Object.keys(shellNames).join("|")})(?: \\((?:core dumped|Speicherabzug geschrieben|core dumped\\) .*|core generado)\\)?)?(?:\\s+\\S+|\\.?/\\S*)?$`,
);

function isOwn(path: string, program: MessageContext["program"]): boolean {
  if (path === "" || /^\/(?:usr|lib|build)\/|\/(?:sysdeps|libsanitizer|glibc|csu|stdlib|stdio-common)\//.test(path))
    return false;
  return program === undefined
    ? /\.(?:c|h|cc|cpp)$/.test(path)
    : Object.keys(program).some((name) => baseName(name) === baseName(path));
}

const callLine = /^ +#\d+ 0x[0-9a-f]+ in (\S+)(?: ([^\s:(][^:(]*?)(?::(\d+))?(?::(\d+))?| \(.*\))?$/;

/** Calls of a report, newest first in the text; they come out oldest first. */
function reportedCalls(
  context: MessageContext,
  from: number,
): { frames: StackFrame[]; next: number; columns: Array<number | undefined> } {
  const frames: StackFrame[] = [];
  const columns: Array<number | undefined> = [];
  let next = from;
  for (; next < Math.min(context.lines.length, from + 300); next++) {
    const call = callLine.exec(context.lines[next] ?? "");
    if (!call) break;
    const [, name = "", path = "", line, column] = call;
    frames.unshift({
      file: baseName(path),
      name,
      own: isOwn(path, context.program),
      ...(line ? { line: Number(line) } : {}),
    });
    columns.unshift(column ? Number(column) : undefined);
  }
  return { frames, next, columns };
}

/** A report of a sanitizer: its kind, what was done, and the calls. */
const sanitizer: MessageConstruct = {
  begins: (line) => line.includes("Sanitizer"),
  read: (context, at) => {
    const head =
      /^==\d+==\s?ERROR: (Address|Leak|Memory|Thread|Undefined ?Behavior)Sanitizer: (.*)$/.exec(
        context.lines[at] ?? "",
      ) ?? /^==\d+==\s?WARNING: (Memory|Thread)Sanitizer: (.*)$/.exec(context.lines[at] ?? "");
    if (!head) return null;
    let from = at + 1;
    while (from < Math.min(context.lines.length, at + 8) && !callLine.test(context.lines[from] ?? "")) from++;
    const { frames, next, columns } = reportedCalls(context, from);
    const own = frames.findLastIndex((each) => each.own && each.line !== undefined);
    const place = frames[own];
    let end = next;
    // The shadow bytes and the history of the memory belong to the report.
    while (end < context.lines.length && !/^==\d+==\s?ABORTING/.test(context.lines[end] ?? "") && end < next + 120)
      end++;
    const closed = /^==\d+==\s?ABORTING/.test(context.lines[end] ?? "");
    const words = (head[2] ?? "").replace(/ (?:on (?:unknown )?address|at pc) 0x.*$/, "").replace(/ \(pc 0x.*$/, "");
    return {
      messages: [
        {
          severity: "error",
          errorName: `${(head[1] ?? "").replace(" ", "")}Sanitizer`,
          message: words,
          stage: "run",
          ...(frames.length > 0 ? { frames } : {}),
          ...(place?.line ? { file: place.file, line: place.line } : {}),
          ...(columns[own] === undefined ? {} : { column: columns[own] }),
        },
      ],
      next: closed ? end + 1 : next,
    };
  },
};

/** What the check for undefined behaviour says at the place where it happens; the program goes on. */
const undefinedBehaviour: MessageConstruct = {
  begins: (line) => line.includes(": runtime error: "),
  read: (context, at) => {
    const match = /^(.{1,300}?):(\d+):(\d+): runtime error: (.*)$/.exec(context.lines[at] ?? "");
    if (!match) return null;
    return {
      messages: [
        {
          severity: "error",
          errorName: "UndefinedBehavior",
          file: baseName(match[1] ?? ""),
          line: Number(match[2]),
          column: columnAt(context.sourceLine(match[1] ?? "", Number(match[2])), Number(match[3])),
          message: match[4] ?? "",
          stage: "run",
        },
      ],
      next: at + 1,
    };
  },
};

/** A condition that the program states as certain and that did not hold. */
const assertion: MessageConstruct = {
  begins: (line) => line.includes(": Assertion "),
  read: (context, at) => {
    const match = /([^\s:]{1,300}):(\d+): (?:(.{1,200}?): )?Assertion [`'‘](.*)['’] failed\.?$/.exec(
      context.lines[at] ?? "",
    );
    if (!match) return null;
    return {
      messages: [
        {
          severity: "error",
          errorName: "Assertion",
          file: baseName(match[1] ?? ""),
          line: Number(match[2]),
          message: `Assertion ${match[4]} failed`,
          stage: "run",
        },
      ],
      next: at + 1,
    };
  },
};

/** What the C library says before it stops a program that has spoilt its memory. */
const libraryStop: MessageConstruct = {
  begins: (line) => /^(?:\*\*\* |free\(\): |malloc|realloc\(\): |corrupted |double free|munmap_chunk)/.test(line),
  read: (context, at) => {
    const match =
      /^(?:\*\*\* )?((?:stack smashing detected|buffer overflow detected|free\(\): |malloc(?:\(\)|_consolidate\(\)): |realloc\(\): |corrupted |double free|munmap_chunk).*?)(?: \*\*\*.*|: terminated)?$/.exec(
        context.lines[at] ?? "",
      );
    return (
      match && {
        messages: [{ severity: "error", errorName: "memory spoilt", message: match[1] ?? "", stage: "run" }],
        next: at + 1,
      }
    );
  },
};

const debuggerCall = /^#(\d+) +(?:0x[0-9a-f]+ in )?(\S+) \((.*)\)(?: at ([^\s:]+):(\d+)| from (\S+))?$/;

/** A signal as gdb tells it, and its list of calls. */
const debuggerStop: MessageConstruct = {
  begins: (line) =>
    line.startsWith("Program received signal") ||
    line.startsWith("Program terminated with signal") ||
    line.startsWith("#0 "),
  read: (context, at) => {
    const head = /^Program (?:received|terminated with) signal (SIG\w+), (.*?)\.?$/.exec(context.lines[at] ?? "");
    const frames: StackFrame[] = [];
    let next = head ? at + 1 : at;
    let place = head ? /^(?:0x[0-9a-f]+ in )?(\S+) \(.*\) at ([^\s:]+):(\d+)$/.exec(context.lines[next] ?? "") : null;
    if (head) {
      if (place || /^(?:0x[0-9a-f]+ in )?\S+ \(.*\)(?: from .*)?$/.test(context.lines[next] ?? "")) next++;
      if (/^\d+\t/.test(context.lines[next] ?? "")) next++;
      if (/^(?:\d+ in |\d+\s+\S+: No such file)/.test(context.lines[next] ?? "")) next++;
      if (/^\(gdb\) (?:bt|backtrace|where)/.test(context.lines[next] ?? "")) next++;
    }
    for (; next < Math.min(context.lines.length, at + 2000); next++) {
      const call = debuggerCall.exec(context.lines[next] ?? "");
      if (!call) break;
      frames.unshift({
        file: baseName(call[4] ?? ""),
        name: call[2] ?? "",
        own: isOwn(call[4] ?? "", context.program),
        ...(call[5] ? { line: Number(call[5]) } : {}),
      });
    }
    if (!head && frames.length === 0) return null;
    if (frames.length > 0) place = null;
    const own = frames.findLast((each) => each.own && each.line !== undefined);
    return {
      messages: [
        {
          severity: "error",
          errorName: head?.[1] ?? "calls",
          message: head?.[2] ?? "the calls at the stop, as the debugger lists them",
          stage: "run",
          ...(frames.length > 0 ? { frames } : {}),
          ...(own?.line
            ? { file: own.file, line: own.line }
            : place && isOwn(place[2] ?? "", context.program)
              ? { file: baseName(place[2] ?? ""), line: Number(place[3]) }
              : {}),
        },
      ],
      next,
    };
  },
};

/**
 * A shell's line about a signal: no place is told, and none is invented. It may stand behind output without a line end.
 */
const shellSignal: MessageConstruct = {
  begins: (line) => line.length < 400 && shellWords.test(line),
  read: (context, at) => {
    const line = context.lines[at] ?? "";
    const match = shellWords.exec(line);
    if (!match) return null;
    const before = line.slice(0, match.index);
    const shell = /(?:^|\S+: line \d+:\s+\d+ |^\S{1,40}: \d+: |^\[\d+\]\s+\d+ )$/.test(before);
    // Words of a sentence that the program prints are no shell's line.
    if (!shell && /[A-Za-z] $/.test(before)) return null;
    const words = match[1] ?? "";
    return {
      messages: [{ severity: "error", errorName: ownOf(shellNames, words) ?? words, message: words, stage: "run" }],
      next: at + 1,
      ...(shell || before === "" ? {} : { before: before.length }),
    };
  },
};

/** What is said of a program that was stopped: by sanitizers, the C library, a shell, a debugger. */
export const cStops: ToolFamily = {
  id: "signals",
  name: "sanitizers, shell and debugger",
  checkedAgainst: "gcc 12, gdb 13, bash 5.2",
  constructs: [sanitizer, undefinedBehaviour, assertion, libraryStop, debuggerStop, shellSignal],
};
