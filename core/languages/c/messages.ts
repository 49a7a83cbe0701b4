import type { Diagnostic } from "../../outcome/outcome.ts";
import { lineTexts } from "../../source/lines.ts";
import {
  baseName,
  type MessageConstruct,
  type MessageContext,
  type MessageFound,
  type ToolFamily,
} from "../messageReader.ts";
import { severityOf } from "../severity.ts";
import { columnAt } from "./columns.ts";

const located = /^([^\s:][^:]{0,400}|[A-Z]:[^:]{1,400}):(\d+):(?:(\d+):)? ([^:\d]{2,24}?) ?: (.*)$/;
const echoLine = /^ {1,8}\d+ \| (.*)$/;
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
    // A remark without an echo has the column of the screen as well; another message about the same line shows the
    // echo.
    const echo =
      message.excerpt ??
      (context.sourceLine(path, Number(line))?.includes("\t") ? echoNearby(context, at, line) : undefined);
    if (column && Number(column) > 0)
      message.column = columnAt(
        context.sourceLine(path, Number(line)),
        Number(column),
        echo,
        numbered || message.excerpt === undefined,
      );
    return { messages: [message], next };
  },
};

const linkWords = /((?:undefined reference to|multiple definition of) [`‘'"]([\w.]+)['’"].*)$/;

/**
 * What a linker could not find or found twice; the place is that of the object or, with debug information, of the
 * source.
 */
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
    const place =
      /([^\s:]{1,300}\.c):(\d+)(?::\d+)?: $/.exec(before) ?? /([^\s:]{1,300}\.c):(?:\(\.\w+[^)]*\): )?$/.exec(before);
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

/** A file of a program, by its ending. */
const sourceFile = /\.(?:c|h|cc|cpp)$/i;
/** The compiler itself or one of its parts. */
const compilerPart = /(?:^|[/\\-])(?:gcc|cc1|clang|cc|as)(?:-\d+)?(?:\.exe)?$/;

/**
 * A refusal without a line: of the compiler as a whole (a file that is not there, an option that it does not know), or
 * of a file as a whole (`deck.c: error: ...`).
 */
const driver: MessageConstruct = {
  begins: (line) => /^[^\s:][^:]{0,300}: [^:\d]{2,24}: ./.test(line),
  read: (context, at) => {
    const match = /^([^\s:][^:]{0,300}): ([^:\d]{2,24}?) ?: (.*)$/.exec(context.lines[at] ?? "");
    const severity = match && severityOf(match[2] ?? "");
    const [, speaker = "", , message = ""] = match ?? [];
    if (!severity || /linker command failed/.test(message)) return null;
    const isFile = sourceFile.test(speaker);
    if (!isFile && !compilerPart.test(speaker)) return null;
    const file = isFile ? { file: baseName(speaker) } : {};
    return { messages: [{ severity, ...file, message, stage: "translation" }], next: at + 1 };
  },
};

/** gcc, clang and their linkers. */
export const cCompilers: ToolFamily = {
  id: "gcc",
  name: "gcc and clang",
  checkedAgainst: "gcc 12, clang 14",
  constructs: [compiler, linker, driver],
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
