import type { Diagnostic, StackFrame } from "../../outcome/outcome.ts";
import { lineTexts } from "../../source/lines.ts";
import { baseName, type MessageConstruct, type MessageContext, type MessageFound, type ToolFamily } from "../messageReader.ts";
import { severityOf } from "../severity.ts";

const located = /^([^\s:][^:]{0,400}|[A-Z]:[^:]{1,400}):(\d+):(?:(\d+):)? ([^:\d]{2,24}?) ?: (.*)$/;
const echoLine = /^ {1,8}\d+ \| (.*)$/;
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
  if (path === "" || /^\/(?:usr|lib|build)\/|\/(?:sysdeps|libsanitizer|glibc|csu|stdlib|stdio-common)\//.test(path)) return false;
  return program === undefined ? /\.(?:c|h|cc|cpp)$/.test(path) : Object.keys(program).some((name) => baseName(name) === baseName(path));
}

/** The text with tabs widened to stops of the given width. */
function widened(text: string, stop: number): string {
  let wide = "";
  for (const character of text) wide += character === "\t" ? " ".repeat(stop - (wide.length % stop)) : character;
  return wide;
}

/**
 * A compiler's column as code points from 1. gcc counts columns of the screen and numbers the echoed line, clang counts
 * bytes and does not number it; the echo tells which of them it was, and how wide tabs were taken. Without the program or an echo the number is kept.
 */
function columnAt(source: string | undefined, column: number, echo?: string, numbered = true): number {
  if (source === undefined) return column;
  const most = [...source].length + 1;
  if (!numbered && echo !== undefined) {
    let bytes = 1;
    let count = 1;
    for (const character of source) {
      if (bytes >= column) break;
      const code = character.codePointAt(0) ?? 0;
      bytes += code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
      count += 1;
    }
    return Math.min(count, most);
  }
  if (echo !== undefined && source.includes("\t") && !echo.includes("\t")) {
    const stop = [8, 1, 4, 2].find((each) => widened(source, each) === echo);
    if (stop) {
      for (let at = 0, count = 1; ; at++, count++) {
        const character = [...source][at];
        if (character === undefined || widened([...source].slice(0, at + 1).join(""), stop).length >= column) return Math.min(count, most);
      }
    }
  }
  return Math.min(column, most);
}

/** The echo of a line (its number as text) that stands within a few lines of `at`. */
function echoNearby(context: MessageContext, at: number, line: string): string | undefined {
  for (const text of context.lines.slice(Math.max(0, at - 12), at + 12)) {
    const echoed = /^ {1,8}(\d+) \| (.*)$/.exec(text);
    if (echoed?.[1] === line) return echoed[2];
  }
  return undefined;
}

/** `file:line:column: severity: words [-Woption]`, the echoed line and its marks, as gcc and clang write it. */
const compiler: MessageConstruct = {
  begins: (line) => /:\d+:/.test(line) && !line.includes("runtime error:"),
  read: (context, at) => {
    const place = located.exec(context.lines[at] ?? "");
    const severity = place && severityOf(place[4] ?? "");
    if (!place || !severity) return null;
    const [, path = "", line = "0", column, , words = ""] = place;
    const option = /^(.*) \[(-W[^\]]{1,80}|-f[^\]]{1,80})\]$/.exec(words);
    const message: MessageFound = {
      severity,
      file: baseName(path),
      line: Math.max(1, Number(line)),
      ...(option?.[2] ? { code: option[2] } : {}),
      message: option?.[1] ?? words,
      stage: "translation",
    };
    let next = at + 1;
    // gcc numbers the echoed line, clang does not and marks the place below it.
    for (; next < Math.min(context.lines.length, at + 40); next++) {
      const text = context.lines[next] ?? "";
      const echoed = echoLine.exec(text);
      if (echoed) message.excerpt ??= echoed[1] ?? "";
      else if (!/^ {2,9}(?:\+\+\+)? ?\|/.test(text)) break;
    }
    if (next === at + 1) {
      const mark = context.lines[at + 2] ?? "";
      if (/^[\s~]*\^[\s~^]*$/.test(mark)) {
        message.excerpt = context.lines[at + 1] ?? "";
        next = at + 3;
        // A line with what might be put in, below the mark.
        if (
          /^\s+\S/.test(context.lines[next] ?? "") &&
          !located.test(context.lines[next] ?? "") &&
          (context.lines[next] ?? "").search(/\S/) === mark.indexOf("^")
        )
          next += 1;
      }
    }
    const numbered = echoLine.test(context.lines[at + 1] ?? "");
    // A remark without an echo has the column of the screen as well; another message about the same line shows the echo.
    const echo = message.excerpt ?? (context.sourceLine(path, Number(line))?.includes("\t") ? echoNearby(context, at, line) : undefined);
    if (column && Number(column) > 0)
      message.column = columnAt(context.sourceLine(path, Number(line)), Number(column), echo, numbered || message.excerpt === undefined);
    return { messages: [message], next };
  },
};

const linkWords = /((?:undefined reference to|multiple definition of) [`‘'"]([\w.]+)['’"].*)$/;

/** What a linker could not find or found twice; the place is that of the object or, with debug information, of the source. */
const linker: MessageConstruct = {
  begins: (line) =>
    line.includes("undefined reference to") ||
    line.includes("multiple definition of") ||
    line.includes("error: undefined symbol") ||
    line.includes("error: duplicate symbol"),
  read: (context, at) => {
    const text = context.lines[at] ?? "";
    const other = /ld(?:\.lld)?: error: ((?:undefined|duplicate) symbol: (\S+))$/.exec(text);
    if (other) {
      const reference = /^>>> (?:referenced|defined) (?:by|at) ([^\s:]+)(?::(\d+))?/.exec(context.lines[at + 1] ?? "");
      let next = at + 1;
      while ((context.lines[next] ?? "").startsWith(">>> ")) next++;
      return {
        messages: [
          {
            severity: "error",
            code: "link",
            message: other[1] ?? "",
            stage: "translation",
            ...(reference?.[1] && /\.c$/.test(reference[1]) ? { file: baseName(reference[1]) } : {}),
            ...(reference?.[2] ? { line: Number(reference[2]) } : {}),
          },
        ],
        next,
      };
    }
    const match = linkWords.exec(text);
    if (!match) return null;
    const before = text.slice(0, match.index);
    const place = /([^\s:]{1,300}\.c):(\d+)(?::\d+)?: $/.exec(before) ?? /([^\s:]{1,300}\.c):(?:\(\.\w+[^)]*\): )?$/.exec(before);
    return {
      messages: [
        {
          severity: "error",
          ...(place?.[1] ? { file: baseName(place[1]) } : {}),
          ...(place?.[2] ? { line: Number(place[2]) } : {}),
          code: "link",
          message: match[1] ?? "",
          stage: "translation",
        },
      ],
      next: at + 1,
    };
  },
};

/** A refusal of the compiler as a whole: a file that is not there, an option that it does not know. */
const driver: MessageConstruct = {
  begins: (line) => /^(?:gcc|cc1|clang|cc)(?:-\d+)?: /.test(line),
  read: (context, at) => {
    const match = /^(?:gcc|cc1|clang|cc)(?:-\d+)?: (?:fatal )?(error|warning): (.*)$/.exec(context.lines[at] ?? "");
    if (!match || /linker command failed/.test(match[2] ?? "")) return null;
    return { messages: [{ severity: match[1] === "warning" ? "warning" : "error", message: match[2] ?? "", stage: "translation" }], next: at + 1 };
  },
};

const callLine = /^ +#\d+ 0x[0-9a-f]+ in (\S+)(?: ([^\s:(][^:(]*?)(?::(\d+))?(?::(\d+))?| \(.*\))?$/;

/** Calls of a report, newest first in the text; they come out oldest first. */
function reportedCalls(context: MessageContext, from: number): { frames: StackFrame[]; next: number; columns: Array<number | undefined> } {
  const frames: StackFrame[] = [];
  const columns: Array<number | undefined> = [];
  let next = from;
  for (; next < Math.min(context.lines.length, from + 300); next++) {
    const call = callLine.exec(context.lines[next] ?? "");
    if (!call) break;
    const [, name = "", path = "", line, column] = call;
    frames.unshift({ file: baseName(path), name, own: isOwn(path, context.program), ...(line ? { line: Number(line) } : {}) });
    columns.unshift(column ? Number(column) : undefined);
  }
  return { frames, next, columns };
}

/** A report of a sanitizer: its kind, what was done, and the calls. */
const sanitizer: MessageConstruct = {
  begins: (line) => line.includes("Sanitizer"),
  read: (context, at) => {
    const head =
      /^==\d+==\s?ERROR: (Address|Leak|Memory|Thread|Undefined ?Behavior)Sanitizer: (.*)$/.exec(context.lines[at] ?? "") ??
      /^==\d+==\s?WARNING: (Memory|Thread)Sanitizer: (.*)$/.exec(context.lines[at] ?? "");
    if (!head) return null;
    let from = at + 1;
    while (from < Math.min(context.lines.length, at + 8) && !callLine.test(context.lines[from] ?? "")) from++;
    const { frames, next, columns } = reportedCalls(context, from);
    const own = frames.findLastIndex((each) => each.own && each.line !== undefined);
    const place = frames[own];
    let end = next;
    // The shadow bytes and the history of the memory belong to the report.
    while (end < context.lines.length && !/^==\d+==\s?ABORTING/.test(context.lines[end] ?? "") && end < next + 120) end++;
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
    const match = /([^\s:]{1,300}):(\d+): (?:(.{1,200}?): )?Assertion [`'‘](.*)['’] failed\.?$/.exec(context.lines[at] ?? "");
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
    return match && { messages: [{ severity: "error", errorName: "memory spoilt", message: match[1] ?? "", stage: "run" }], next: at + 1 };
  },
};

const debuggerCall = /^#(\d+) +(?:0x[0-9a-f]+ in )?(\S+) \((.*)\)(?: at ([^\s:]+):(\d+)| from (\S+))?$/;

/** A signal as gdb tells it, and its list of calls. */
const debuggerStop: MessageConstruct = {
  begins: (line) => line.startsWith("Program received signal") || line.startsWith("Program terminated with signal") || line.startsWith("#0 "),
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

/** A shell's line about a signal: no place is told, and none is invented. It may stand behind output without a line end. */
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
      messages: [{ severity: "error", errorName: shellNames[words] ?? words, message: words, stage: "run" }],
      next: at + 1,
      ...(shell || before === "" ? {} : { before: before.length }),
    };
  },
};

/** gcc, clang and their linkers. */
export const cCompilers: ToolFamily = { id: "gcc", name: "gcc and clang", checkedAgainst: "gcc 12, clang 14", constructs: [compiler, linker, driver] };
/** What is said of a program that was stopped: by sanitizers, the C library, a shell, a debugger. */
export const cStops: ToolFamily = {
  id: "signals",
  name: "sanitizers, shell and debugger",
  checkedAgainst: "gcc 12, gdb 13, bash 5.2",
  constructs: [sanitizer, undefinedBehaviour, assertion, libraryStop, debuggerStop, shellSignal],
};

export const isCSummary = (line: string): boolean =>
  /^(?:\S+: In (?:function|member function) |\S+: In Funktion |In file included from |\s+from \S+:\d+|collect2: |clang: error: linker command failed|\d+ (?:warnings?|errors?)(?: and \d+ errors?)? generated|compilation terminated|make: \*\*\* |SUMMARY: \w*Sanitizer|==\d+==|=====+$|\S*ld: (?:\S+: )?in function|\S+: in function |\S+: At top level:|\(gdb\))/.test(
    line,
  );

const grammar =
  /^(?:expected|stray|missing terminating|unterminated|invalid suffix|unbalanced|.{0,200} without a previous|.{0,200}before .{1,60} token|empty character|unknown escape|.{0,60} unmatched|extraneous|invalid preprocessing)/;

/** Grammar, or a matter of names, types and linking. */
export function kindOfCRefusal(diagnostic: Diagnostic): "form" | "meaning" {
  if (diagnostic.code === "link") return "meaning";
  return grammar.test(lineTexts(diagnostic.message)[0] ?? "") ? "form" : "meaning";
}
