import type { StackFrame } from "../../outcome/outcome.ts";
import { baseName, type MessageConstruct, type MessageContext, type ToolFamily } from "../messageReader.ts";

const parse = /(error: )?parse error(?: near line (\d+) of file (.+?)|:?)$/;
const errorLine = /^error: (?!called from)(.*)$/;
const warningLine = /^warning: (?!called from)(.*)$/;
/** What Octave says last where an error ends a script that it was given: nothing of the program. */
const closing = /^error: ignoring const execution_exception& while preparing to exit/;
const calledFrom = /^(?:error|warning): called from/;
const frame = /^ {4}(\S+)(?: at line (-?\d+)(?: column (-?\d+))?)?$/;
const definition = /^[ \t]*function\b[ \t]*(?:[^=\n(]{0,200}=[ \t]*)?([A-Za-z_]\w*)/gm;

/** The file of the program that a path means; functions' files may be named without their ending. */
function fileOf(path: string, program: MessageContext["program"]): string {
  const name = baseName(path);
  return program && !(name in program) && `${name}.m` in program ? `${name}.m` : name;
}

/** What stands before a message on its line, if that is a prompt or output without a line end. */
function startOf(line: string, word: string): number {
  return line.startsWith(word) ? 0 : line.lastIndexOf(word);
}

/** `parse error near line ...`, its words, the echoed line and the arrow. */
const refusal: MessageConstruct = {
  begins: (line) => line.includes("parse error"),
  read: (context, at) => {
    const line = context.lines[at] ?? "";
    const start = Math.max(
      0,
      startOf(line, line.includes("error: parse error") ? "error: parse error" : "parse error"),
    );
    const refused = parse.exec(line.slice(start));
    if (!refused) return null;
    const rest = context.lines.slice(at + 1, at + 8);
    const echo = rest.findIndex((each) => each.startsWith(">>>"));
    const words = rest
      .slice(0, echo < 0 ? 3 : echo)
      .find((each) => each.trim() !== "")
      ?.trim();
    const arrow = echo < 0 ? -1 : (rest[echo + 1] ?? "").indexOf("^");
    const excerpt = echo < 0 ? undefined : (rest[echo] ?? "").slice(4);
    return {
      messages: [
        {
          severity: "error",
          errorName: "parse error",
          message: words && !words.startsWith(">>>") ? words : "syntax error",
          ...(refused[3] ? { file: fileOf(refused[3], context.program) } : {}),
          ...(refused[2] ? { line: Number(refused[2]) } : {}),
          ...(arrow >= 4 ? { column: arrow - 3 } : {}),
          ...(excerpt === undefined ? {} : { excerpt }),
          // Without a file it was met in text that the running program gave to eval, or typed at the prompt.
          stage: refused[1] && !refused[3] ? "run" : "translation",
        },
      ],
      next:
        at +
        1 +
        (echo < 0 ? (words ? rest.findIndex((each) => each.trim() !== "") + 1 : 0) : echo + (arrow >= 0 ? 2 : 1)),
      before: start,
    };
  },
};

/** `error: words` with the calls below it (newest first; they come out oldest first), and warnings in the same form. */
const stop: MessageConstruct = {
  begins: (line) => line.includes("error: ") || line.includes("warning: "),
  read: (context, at) => {
    const line = context.lines[at] ?? "";
    // Only a prompt may stand before it; a sentence that holds the word is the program's own.
    const start = /^(?:>> ?|octave:\d+> ?|.{0,80}[?:>] )?(?=(?:error|warning): )/.exec(line)?.[0].length ?? -1;
    if (start < 0) return null;
    const failed = errorLine.exec(line.slice(start));
    const warned = warningLine.exec(line.slice(start));
    if (!failed && !warned) return null;
    if (closing.test(line.slice(start))) return null;
    const message = failed?.[1] ?? warned?.[1] ?? "";
    const names = context.program ? Object.keys(context.program) : [];
    const frames: StackFrame[] = [];
    let next = at + 1;
    // Some messages go over several lines before the calls are told.
    let rest = "";
    if ((context.lines[next] ?? "") === "") {
      const calls = context.lines.slice(next, next + 15).findIndex((each) => calledFrom.test(each));
      if (calls > 0) {
        const between = context.lines.slice(next, next + calls);
        rest = `\n${between.filter((each) => each.trim() !== "").join("\n")}`;
        next += calls;
      }
    }
    if (calledFrom.test(context.lines[next] ?? "")) {
      const defined = new Map(
        Object.entries(context.program ?? {}).flatMap(([file, text]) =>
          [...text.matchAll(definition)].map((match) => [match[1] ?? "", file] as const),
        ),
      );
      for (next += 1; next < context.lines.length; next++) {
        const call = frame.exec(context.lines[next] ?? "");
        if (!call) break;
        const [, name = "", number] = call;
        // A script's frame has the name of its file; a function's frame does not say its file. Whatever the program
        // does not define is the library's.
        const file = names.find((each) => baseName(each) === `${name}.m`) ?? defined.get(name.replace(/^.*>/, ""));
        if (frames.length < 3000)
          frames.push({
            name,
            file: file ?? "",
            own: context.program === undefined || file !== undefined,
            ...(Number(number) > 0 ? { line: Number(number) } : {}),
          });
      }
      frames.reverse();
    }
    const near = /^(.*?)(?:: near| near) line (\d+), column (\d+)$/.exec(message);
    const place = frames.findLast((each) => each.own);
    return {
      messages: [
        {
          severity: failed ? "error" : "warning",
          message: (near?.[1] ?? message) + rest,
          ...(frames.length > 0 ? { frames } : {}),
          ...(place?.line ? { line: place.line, file: place.file } : near ? { line: Number(near[2]) } : {}),
          ...(near && (place?.line === undefined || place.line === Number(near[2])) ? { column: Number(near[3]) } : {}),
          // Said alone where the reading of the text failed without a place.
          stage: /^source: error sourcing file/.test(message) ? "translation" : "run",
        },
      ],
      next,
      before: start,
    };
  },
};

const otherForm = /^\s*Error: File: (.+?) Line: (\d+) Column: (\d+)\s*$/;
/** `Error: File: F Line: 1 Column: 5` and its words on the next line. */
const otherRefusal: MessageConstruct = {
  begins: (line) => line.includes("Error: File: "),
  read: (context, at) => {
    const match = otherForm.exec(context.lines[at] ?? "");
    return (
      match && {
        messages: [
          {
            severity: "error",
            errorName: "parse error",
            file: fileOf(match[1] ?? "", context.program),
            line: Number(match[2]),
            column: Number(match[3]),
            message: context.lines[at + 1]?.trim() ?? "",
            stage: "translation",
          },
        ],
        next: at + 2,
      }
    );
  },
};

/** True if the next line that is not blank tells a call. */
function followsCall(lines: readonly string[], at: number): boolean {
  return /^Error in /.test(lines.slice(at + 1, at + 4).find((line) => line.trim() !== "") ?? "");
}

/**
 * What was typed at the prompt and is refused: the line, an arrow below it, `Error:` and words. Only the arrow tells
 * the line from the program's output.
 */
const otherTyped: MessageConstruct = {
  begins: (line) => line.trim() !== "",
  read: (context, at) => {
    const [echo = "", arrow = "", said = ""] = context.lines.slice(at, at + 3);
    const words = /^Error: (?!File: )(.+)$/.exec(said);
    if (!words || !/^\s*[|↑^]\s*$/.test(arrow)) return null;
    const excerpt = echo.trimStart();
    const column = arrow.search(/[|↑^]/) - (echo.length - excerpt.length) + 1;
    return {
      messages: [
        {
          severity: "error",
          errorName: "parse error",
          message: words[1] ?? "",
          excerpt,
          ...(column > 0 ? { column } : {}),
          stage: "translation",
        },
      ],
      next: at + 3,
    };
  },
};

const otherFrame = /^Error (?:in|using) (?:==> )?(\S+?)(?:>(\S+))?(?: \(line (\d+)\)| at (\d+))?$/;
/**
 * `Error using F (line 4)` with its words below, or words with `Error in F (line 4)` below them, each followed by the
 * echoed line. The innermost call comes first.
 */
const otherStop: MessageConstruct = {
  begins: (line) => line.startsWith("Error using ") || /^[A-Z?]/.test(line),
  read: (context, at) => {
    const using = otherFrame.exec(context.lines[at] ?? "");
    let next = at + 1;
    let message = "";
    const frames: StackFrame[] = [];
    const add = (match: RegExpExecArray) => {
      const name = match[2] ?? match[1] ?? "";
      const file = fileOf(match[1] ?? "", context.program);
      const line = match[3] ?? match[4];
      frames.push({
        file,
        name,
        own: context.program === undefined ? line !== undefined : file in context.program,
        ...(line ? { line: Number(line) } : {}),
      });
    };
    if (using) {
      if (!(context.lines[at] ?? "").startsWith("Error using ")) return null;
      add(using);
      message = context.lines[next++]?.trim() ?? "";
    } else {
      const below = context.lines[at + 1]?.trim() === "" ? at + 2 : at + 1;
      if (!/^Error in /.test(context.lines[below] ?? "") || !otherFrame.test(context.lines[below] ?? "")) return null;
      message = (context.lines[at] ?? "").replace(/^\?\?\? /, "").trim();
      next = below;
    }
    let excerpt: string | undefined;
    // The line that a call stands in is echoed below it, without the blanks that it begins with.
    let echoes = (using?.[3] ?? using?.[4]) !== undefined;
    for (; next < context.lines.length; next++) {
      const text = context.lines[next] ?? "";
      const match = /^Error in /.test(text) ? otherFrame.exec(text) : null;
      if (match) {
        add(match);
        echoes = true;
      } else if (text.trim() !== "" && frames.length > 0 && (echoes || /^\s+\S/.test(text))) {
        if (/[^\s^|↑]/.test(text)) excerpt ??= text.trim();
        echoes = false;
      } else if (text.trim() !== "" || !followsCall(context.lines, next)) break;
    }
    frames.reverse();
    const place = frames.findLast((each) => each.own && each.line !== undefined);
    return {
      messages: [
        {
          severity: "error",
          message,
          frames,
          stage: "run",
          ...(place?.line ? { file: place.file, line: place.line } : {}),
          ...(excerpt ? { excerpt } : {}),
        },
      ],
      next,
    };
  },
};

/** Words that are said at the prompt without a place. */
const otherWords: MessageConstruct = {
  begins: (line) =>
    /^(?:\?\?\? )?(?:Undefined function or variable|Unrecognized function or variable|Index exceeds|Array indices must|Matrix dimensions must|Arrays have incompatible sizes)/.test(
      line,
    ),
  read: (context, at) => ({
    messages: [{ severity: "error", message: (context.lines[at] ?? "").replace(/^\?\?\? /, "").trim(), stage: "run" }],
    next: at + 1,
  }),
};

/** GNU Octave. */
export const gnuOctave: ToolFamily = {
  id: "octave",
  name: "GNU Octave",
  checkedAgainst: "Octave 7.3",
  constructs: [refusal, stop],
};
/** The matrix language's other wording. */
export const otherMatrix: ToolFamily = {
  id: "matrix",
  name: "the matrix language’s other wording",
  checkedAgainst: null,
  constructs: [otherRefusal, otherTyped, otherStop, otherWords],
};

export const isOctaveSummary = (line: string): boolean =>
  closing.test(line) || /^error: source: error sourcing file|^error: called from$|^\s*\(called from|^>> *$/.test(line);

export function kindOfOctaveRefusal(): "form" | "meaning" {
  return "form";
}
