import type { Diagnostic } from "../../outcome/outcome.ts";
import type { MessageConstruct, ToolFamily } from "../messageReader.ts";

const heading = /^\s*BASIC (runtime|syntax) error(?: \((.{1,200}), line (\d+)\))?\s*[.:]?\s*(.*)$/i;
const number = /^\s*'(\d+)'\s*$/;

/** Lines of a window under its heading, up to a blank one: a number in quotes, then the words. */
function wordsBelow(lines: readonly string[], at: number): { code: string; words: string; next: number } {
  let next = at + 1;
  const code = number.exec(lines[next] ?? "")?.[1] ?? "";
  if (code !== "") next += 1;
  const words: string[] = [];
  while (next < Math.min(lines.length, at + 12)) {
    // Where the office's own text noticed it is nobody's.
    const line = (lines[next] ?? "").trim().replace(/\s*(?:Message: )?at \.\/\S+\.cxx:\d+\.?$/, "");
    if (line === "" || heading.test(line) || line === "OK") break;
    words.push(line);
    next += 1;
  }
  return { code, words: words.join(" "), next };
}

/**
 * `BASIC runtime error.` with a number and words below it, as the office's window says it. The place in brackets is put there by
 * what runs it here; the window shows the line in its editor.
 */
const window: MessageConstruct = {
  begins: (line) => /basic (?:runtime|syntax) error/i.test(line),
  read: (context, at) => {
    const match = heading.exec(context.lines[at] ?? "");
    if (!match) return null;
    const [, kind = "", file, line, own = ""] = match;
    const below = wordsBelow(context.lines, at);
    const refused = kind.toLowerCase() === "syntax";
    return {
      messages: [
        {
          severity: "error",
          errorName: refused ? "BASIC syntax error" : "BASIC runtime error",
          message:
            [own, below.words].filter(Boolean).join(" ") || (refused ? "BASIC syntax error" : "BASIC runtime error"),
          ...(below.code === "" ? {} : { code: below.code }),
          ...(file === undefined ? {} : { file, line: Math.max(1, Number(line)) }),
          stage: refused ? "translation" : "run",
        },
      ],
      next: below.next,
    };
  },
};

/** Windows of the office's Basic. */
export const officeBasic: ToolFamily = {
  id: "office-basic",
  name: "windows of the office's Basic",
  checkedAgainst: "LibreOffice 7.4",
  constructs: [window],
};

const before = /^\s*Looked for before the run \((.{1,200}), line (\d+)\): (.+)$/;

/** What is looked for here before a macro runs, since the office does so only when a line is reached. */
const lookedFor: MessageConstruct = {
  begins: (line) => line.includes("Looked for before the run"),
  read: (context, at) => {
    const match = before.exec(context.lines[at] ?? "");
    if (!match) return null;
    const [, file = "", line, message = ""] = match;
    const found = {
      severity: "error",
      errorName: "Compile error",
      file,
      line: Math.max(1, Number(line)),
      message,
    } as const;
    return { messages: [{ ...found, stage: "translation" }], next: at + 1 };
  },
};

/** Our own check in the place of the one that the students' tool makes at the start. */
export const ownCheck: ToolFamily = {
  id: "own-check",
  name: "our own check before a macro runs (stand-in)",
  checkedAgainst: null,
  constructs: [lookedFor],
};

export const isOfficeSummary = (line: string): boolean => /^\s*(?:OK|Help)(?:\s+(?:OK|Help))*\s*$/.test(line);

/** A refusal by the office is one of form; a name that is not known is one of meaning. */
export function kindOfMacroRefusal(diagnostic: Diagnostic): "form" | "meaning" {
  return diagnostic.errorName === "BASIC syntax error" ||
    /^(?:Syntax error|Expected|.*\bwithout\b)/i.test(diagnostic.message)
    ? "form"
    : "meaning";
}
