import type { Diagnostic, StackFrame } from "../../outcome/outcome.ts";
import { lineTexts } from "../../source/lines.ts";

const parse = /^(error: )?parse error(?: near line (\d+) of file (.+?)|:?)$/;
const otherForm = /^Error: File: (\S+) Line: (\d+) Column: (\d+)$/;
const otherFrame = /^Error in (\S+)(?: \(line (\d+)\))?$/;
const errorLine = /^error: (?!called from)(.*)$/;
const warningLine = /^warning: (?!called from)(.*)$/;
const calledFrom = /^error: called from|^warning: called from/;
const frame = /^ {4}(\S+)(?: at line (-?\d+)(?: column (-?\d+))?)?$/;

const definition = /^[ \t]*function\b[ \t]*(?:[^=\n(]*=[ \t]*)?([A-Za-z_]\w*)/gm;

/**
 * Reads what Octave prints when it refuses or stops a program: `parse error near line ...` with the echoed line and arrow, and `error: ...`
 * with the calls (newest first; frames come out oldest first). The text forms `Error in F (line 4)` and `Error: File: F Line: 1 Column: 5`
 * are read as well. The last error is primary. Lines and columns are 1-based.
 */
export function readOctaveMessages(output: string, program?: Readonly<Record<string, string>>): Diagnostic[] {
  const found: Diagnostic[] = [];
  const lines = lineTexts(output);
  const fileOf = (path: string): string => {
    const name = path.split("/").pop() ?? path;
    return program && !(name in program) && `${name}.m` in program ? `${name}.m` : name;
  };
  const names = program ? Object.keys(program) : [];
  const defined = new Map(
    Object.entries(program ?? {}).flatMap(([file, text]) => [...text.matchAll(definition)].map((match) => [match[1] ?? "", file] as const)),
  );
  for (let at = 0; at < lines.length; at++) {
    const text = lines[at] ?? "";
    const refused = parse.exec(text);
    if (refused) {
      const rest = lines.slice(at + 1, at + 8);
      const echo = rest.findIndex((each) => each.startsWith(">>>"));
      const words = rest
        .slice(0, echo < 0 ? undefined : echo)
        .find((each) => each.trim() !== "")
        ?.trim();
      const arrow = echo < 0 ? -1 : (rest[echo + 1] ?? "").indexOf("^");
      const excerpt = echo < 0 ? undefined : (rest[echo] ?? "").slice(4);
      found.push({
        severity: "error",
        errorName: "parse error",
        message: words && !words.startsWith(">>>") ? words : "syntax error",
        ...(refused[3] ? { file: fileOf(refused[3]) } : {}),
        ...(refused[2] ? { line: Number(refused[2]) } : {}),
        ...(arrow >= 4 ? { column: arrow - 3 } : {}),
        ...(excerpt === undefined ? {} : { excerpt }),
        // Without a file it was met in text that the running program gave to eval, or typed at the prompt.
        stage: refused[1] && !refused[3] ? "run" : "translation",
        primary: false,
      });
      at += echo < 0 ? 0 : echo + 2;
      continue;
    }
    const other = otherForm.exec(text);
    if (other) {
      found.push({
        severity: "error",
        errorName: "parse error",
        file: other[1],
        line: Number(other[2]),
        column: Number(other[3]),
        message: lines[at + 1]?.trim() ?? "",
        stage: "translation",
        primary: false,
      });
      at += 1;
      continue;
    }
    const otherPlace = otherFrame.exec(text);
    if (otherPlace && lines[at - 1]?.trim()) {
      found.push({
        severity: "error",
        message: lines[at - 1]?.trim() ?? "",
        file: otherPlace[1],
        ...(otherPlace[2] ? { line: Number(otherPlace[2]) } : {}),
        stage: "run",
        primary: false,
      });
      continue;
    }
    const failed = errorLine.exec(text);
    const warned = warningLine.exec(text);
    if (!failed && !warned) continue;
    const message = failed?.[1] ?? warned?.[1] ?? "";
    const frames: StackFrame[] = [];
    if (calledFrom.test(lines[at + 1] ?? "")) {
      for (let next = at + 2; next < lines.length; next++) {
        const call = frame.exec(lines[next] ?? "");
        if (!call) break;
        const [, name = "", line] = call;
        // A script's frame has the name of its file; a function's frame does not say its file. Whatever the program does not define is the library's.
        const file = names.find((each) => each.split("/").pop() === `${name}.m`) ?? defined.get(name.replace(/^.*>/, ""));
        frames.unshift({ name, file: file ?? "", own: program === undefined || file !== undefined, ...(Number(line) > 0 ? { line: Number(line) } : {}) });
        at = next;
      }
    }
    const near = /^(.*?) near line (\d+), column (\d+)$/.exec(message);
    const place = frames.findLast((each) => each.own);
    found.push({
      severity: failed ? "error" : "warning",
      message: near?.[1] ?? message,
      ...(frames.length > 0 ? { frames } : {}),
      ...(place?.line ? { line: place.line, file: place.file } : near ? { line: Number(near[2]) } : {}),
      ...(near && (place?.line === undefined || place.line === Number(near[2])) ? { column: Number(near[3]) } : {}),
      // Said alone where the reading of the text failed without a place.
      stage: /^source: error sourcing file/.test(message) ? "translation" : "run",
      primary: false,
    });
  }
  const primary = found.findLast((each) => each.severity === "error");
  if (primary) primary.primary = true;
  return found;
}

export function kindOfOctaveRefusal(): "form" | "meaning" {
  return "form";
}
