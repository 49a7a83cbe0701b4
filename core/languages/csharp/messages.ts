import type { Diagnostic } from "../../outcome/outcome.ts";
import { dotnetException } from "../dotnet.ts";
import type { MessageConstruct, ToolFamily } from "../messageReader.ts";
import { severityOf } from "../severity.ts";

const located =
  /^\s*(?:.{0,400}[\\/])?([^\\/()]{1,200})\((\d+),(\d+)(?:,(\d+),(\d+))?\): ([^:\d]{2,24}?) (CS\d+) ?: (.*)$/;
const unlocated = /^(?:[A-Z]+ ?: )?(error|warning) (CS\d+): (.*)$/;
/** The project that a build tool adds behind each message. */
const project = / \[[^\]]{1,300}\.(?:cs|vb)proj\]$/;

/** `File.cs(line,column): error CS0000: words`, with or without the end of the place and the project. */
const compiler: MessageConstruct = {
  begins: (line) => line.includes(" CS") && line.includes("):"),
  read: (context, at) => {
    const place = located.exec((context.lines[at] ?? "").replace(project, ""));
    const severity = place && severityOf(place[6] ?? "");
    if (!place || !severity) return null;
    const [, file = "", line, column, endLine, endColumn, , code, message = ""] = place;
    return {
      messages: [
        {
          severity,
          file,
          line: Math.max(1, Number(line)),
          ...(Number(column) > 0 ? { column: Number(column) } : {}),
          ...(Number(endLine) > 0 ? { endLine: Number(endLine), endColumn: Number(endColumn) } : {}),
          code,
          message,
          stage: "translation",
        },
      ],
      next: at + 1,
    };
  },
};

const placeless: MessageConstruct = {
  begins: (line) => /^(?:[A-Z]+ ?: )?(?:error|warning) CS/.test(line),
  read: (context, at) => {
    const match = unlocated.exec((context.lines[at] ?? "").replace(project, ""));
    return (
      match && {
        messages: [
          {
            severity: match[1] === "warning" ? "warning" : "error",
            code: match[2],
            message: match[3] ?? "",
            stage: "translation",
          },
        ],
        next: at + 1,
      }
    );
  },
};

/** C# compilers and .NET's account of exceptions. */
export const dotnetCSharp: ToolFamily = {
  id: "csharp",
  name: "C# compilers and .NET",
  checkedAgainst: "mcs and mono 6.8; the current compiler by its documentation",
  constructs: [compiler, placeless, dotnetException],
};

export const isCSharpSummary = (line: string): boolean =>
  /^(?:Compilation failed: |Build (?:FAILED|succeeded)|\s+\d+ (?:Warning|Error)\(s\)|Time Elapsed|The build failed|Microsoft \(R\)|Copyright \(C\)|\S+\.cs\(\d+,\d+\): \(Location of the symbol related)/.test(
    line,
  );

/**
 * Codes of the compiler for faults of grammar: what was expected, what was unexpected, what is not closed (documented
 * with the compiler's errors).
 */
const grammarCodes = new Set(
  "CS1001 CS1002 CS1003 CS1004 CS1008 CS1009 CS1010 CS1011 CS1012 CS1013 CS1014 CS1015 CS1018 CS1019 CS1022 CS1023 CS1024 CS1025 CS1026 CS1031 CS1035 CS1039 CS1040 CS1041 CS1056 CS1513 CS1514 CS1515 CS1519 CS1520 CS1524 CS1525 CS1526 CS1528 CS1529 CS1585 CS1641 CS8025 CS8107".split(
    " ",
  ),
);

export function kindOfCSharpRefusal(diagnostic: Diagnostic): "form" | "meaning" {
  return grammarCodes.has(diagnostic.code ?? "") ? "form" : "meaning";
}
