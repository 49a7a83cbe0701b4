import type { Diagnostic } from "../../outcome/outcome.ts";
import { lineTexts } from "../../source/lines.ts";
import { type ExceptionTold, exceptionDiagnostic } from "../exceptions.ts";

const located = /^(?:.*[\\/])?([^\\/()]+)\((\d+),(\d+)(?:,(\d+),(\d+))?\): (error|warning) (CS\d+): (.*)$/;
const unlocated = /^(error|warning) (CS\d+): (.*)$/;
const unhandled = /^(?:Unhandled [Ee]xception(?:\.|:)?|\[ERROR\] FATAL UNHANDLED EXCEPTION:)\s*(.*)$/;
const exceptionLine = /^\s*(?:---> ?|\(Inner Exception #\d+\) ?)?((?:[\p{L}_]\w*\.)*[\p{L}_]\w*(?:Exception|Error)?)(?:: (.*?))?(?: ---> (.*))?$/u;
const frame = /^\s+at (.+?)(?: \[0x[0-9a-f]+\])?(?: in (.*?)(?::line |:)(\d+))?\s*$/;

/**
 * Reads what C# compilers print, `File.cs(line,column): error CS0000: words`, and .NET's account of an unhandled exception with inner ones
 * (newest call first; frames come out oldest first). The first error of the translator is primary; of exceptions the innermost.
 * The same account printed twice counts once. Lines and columns are 1-based.
 */
export function readCSharpMessages(output: string, program?: Readonly<Record<string, string>>): Diagnostic[] {
  const found: Diagnostic[] = [];
  const accounts: ExceptionTold[][] = [];
  let expecting = false;
  for (const text of lineTexts(output)) {
    const place = located.exec(text);
    if (place) {
      const [, file = "", line, column, endLine, endColumn, severity, code, message = ""] = place;
      found.push({
        severity: severity === "warning" ? "warning" : "error",
        file,
        line: Math.max(1, Number(line)),
        ...(Number(column) > 0 ? { column: Number(column) } : {}),
        ...(Number(endLine) > 0 ? { endLine: Number(endLine), endColumn: Number(endColumn) } : {}),
        code,
        message,
        stage: "translation",
        primary: false,
      });
      continue;
    }
    const plain = unlocated.exec(text);
    if (plain) {
      found.push({ severity: plain[1] === "warning" ? "warning" : "error", code: plain[2], message: plain[3] ?? "", stage: "translation", primary: false });
      continue;
    }
    const begins = unhandled.exec(text);
    if (begins) {
      accounts.push([]);
      expecting = true;
    }
    const body = begins ? (begins[1] ?? "") : text;
    const blocks = accounts.at(-1);
    if (!blocks) continue;
    const call = begins ? null : frame.exec(text);
    const block = blocks.at(-1);
    if (call && block) {
      const [, name = "", path, line] = call;
      const file = path && !path.startsWith("<") ? (path.split(/[\\/]/).pop() ?? path) : "";
      block.frames.unshift({
        file,
        name: name.replace(/ \(.*$/, ""),
        own: file !== "" && (program === undefined || file in program),
        ...(Number(line) > 0 && file !== "" ? { line: Number(line) } : {}),
      });
      continue;
    }
    if (body.trim() === "" || /^\s*--- End of/.test(body)) continue;
    const inner = /^\s*--->|^\(Inner/.test(body);
    if (expecting || inner) {
      let rest: string | undefined = body;
      while (rest) {
        const head: RegExpExecArray | null = exceptionLine.exec(rest);
        if (!head) break;
        blocks.push({ errorName: head[1] ?? "", message: head[2] ?? "", frames: [] });
        rest = head[3];
      }
      expecting = false;
    } else if (block && block.frames.length === 0) block.message += `\n${body}`;
  }
  const account = accounts.find((blocks) => blocks.length > 0) ?? [];
  for (const block of account) found.push(exceptionDiagnostic(block));
  const primary = found.find((each) => each.severity === "error" && each.stage === "translation") ?? found.findLast((each) => each.stage === "run");
  if (primary) primary.primary = true;
  return found;
}

/** Codes of the compiler for faults of grammar: what was expected, what was unexpected, what is not closed (documented with the compiler's errors). */
const grammarCodes = new Set(
  "CS1001 CS1002 CS1003 CS1004 CS1008 CS1009 CS1010 CS1011 CS1012 CS1013 CS1014 CS1015 CS1018 CS1019 CS1022 CS1023 CS1024 CS1025 CS1026 CS1031 CS1035 CS1039 CS1040 CS1041 CS1056 CS1513 CS1514 CS1515 CS1519 CS1520 CS1524 CS1525 CS1526 CS1528 CS1529 CS1585 CS1641 CS8025 CS8107".split(
    " ",
  ),
);

export function kindOfCSharpRefusal(diagnostic: Diagnostic): "form" | "meaning" {
  return grammarCodes.has(diagnostic.code ?? "") ? "form" : "meaning";
}
