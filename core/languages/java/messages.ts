import type { Diagnostic } from "../../outcome/outcome.ts";
import { columnOf } from "../../source/lines.ts";
import { type ExceptionTold, exceptionDiagnostic } from "../exceptions.ts";
import {
  arrowColumn,
  baseName,
  type MessageConstruct,
  type MessageContext,
  type MessageFound,
  type ToolFamily,
} from "../messageReader.ts";
import { severityOf } from "../severity.ts";

const located = /^(?:.{0,400}[\\/])?([^\\/:]{1,200}\.(?:java|sketch|pde)):(\d+): ([^:\d]{2,24}?) ?: ?(.*)$/;
const unlocated = /^(error|warning): (.*)$/;
const thrown = /^((?:[\p{L}_$][\w$]*\.){0,20}[\p{L}_$][\w$]{0,200})(?:: (.*))?$/u;
const inThread = 'Exception in thread "';
const plainFrame = /^\s*at ([\p{L}\w.$<>]+)\(([^():]*)(?::(\d+))?\)(?: ~?\[.*\])?$/u;
const moduleFrame =
  /^\s*at (?:[\w.-]{1,80}(?:@[\w.]+)?\/{1,2}){0,2}([\p{L}\w.$<>/]+)\(([^():]*)(?::(\d+))?\)(?: ~?\[.*\])?$/u;
/** A call; only those of a module have slashes, and need the slower pattern. */
const frame = {
  exec: (line: string): RegExpExecArray | null =>
    line.includes("at ") ? (line.includes("/") ? moduleFrame : plainFrame).exec(line) : null,
  test: (line: string): boolean => line.includes("at ") && (line.includes("/") ? moduleFrame : plainFrame).test(line),
};
const linked = /^(\s*)(Caused by|Suppressed): ((?:[\p{L}_$][\w$]*\.){0,20}[\p{L}_$][\w$]{0,200})(?:: (.*))?$/u;
const launcher =
  /^(?:Error: |Caused by: )?((?:Main method (?:not found|is not static|must return)|Could not find or load main class|LinkageError occurred while loading main class|Unable to initialize main class).*)$/;
const lostInHandler = /^Exception: ((?:\w+\.)*\w+) thrown from the UncaughtExceptionHandler/;
const counts = /^\d+ (?:errors?|warnings?|Fehler|Warnungen?|erreurs?|problems? \(.*\))$/;

/**
 * True for a frame of the student's own: its file is one of the program's, or, without a program, it is not the
 * library's.
 */
function isOwn(name: string, file: string, program: MessageContext["program"]): boolean {
  if (/^(?:java|javax|jdk|sun|com\.sun)\./.test(name)) return false;
  if (!/\.(?:java|sketch|pde)$/.test(file)) return false;
  return program === undefined || Object.keys(program).some((each) => baseName(each) === file);
}

/** A file's name as it is kept: a sketch's under the ending that is ours. */
export const keptFile = (name: string): string => name.replace(/\.pde$/, ".sketch");

/** A message of the JDK's compiler: place, severity, words, details, the echoed line and its arrow. */
const compiler: MessageConstruct = {
  begins: (line) => line.includes(".java:") || line.includes(".sketch:") || line.includes(".pde:"),
  read: (context, at) => {
    const place = located.exec(context.lines[at] ?? "");
    const severity = place && severityOf(place[3] ?? "");
    if (!place || !severity) return null;
    const [, file = "", line = "0", , words = ""] = place;
    const option = /^\[(\w[\w-]*)\] (.*)$/.exec(words);
    const rest: string[] = [];
    let next = at + 1;
    for (; next < Math.min(context.lines.length, at + 60); next++) {
      const text = context.lines[next] ?? "";
      if (
        text.trim() === "" ||
        located.test(text) ||
        counts.test(text) ||
        unlocated.test(text) ||
        /^Note: |^Error: |^Exception in /.test(text)
      )
        break;
      // After the arrow only indented details belong to the message.
      if (rest.some((each) => /^\s*\^\s*$/.test(each)) && !/^\s/.test(text)) break;
      rest.push(text);
    }
    const arrow = rest.findIndex((text) => /^\s*\^\s*$/.test(text));
    if (arrow <= 0) {
      // Without an arrow nothing says that the lines below belong to the message.
      const details = rest.slice(0, rest.findIndex((text) => !/^\s/.test(text)) >>> 0).map((text) => text.trim());
      next = at + 1 + details.length;
      rest.length = 0;
      rest.push(...details);
    }
    const message: MessageFound = {
      severity,
      file: keptFile(file),
      line: Number(line),
      ...(option ? { code: option[1] } : {}),
      message: option?.[2] ?? words,
      stage: "translation",
    };
    if (arrow > 0) {
      const echoed = rest[arrow - 1] ?? "";
      const source = context.sourceLine(keptFile(file), Number(line));
      const column = (rest[arrow] ?? "").indexOf("^");
      // Blanks before the arrow count characters of the line as it stands; a tab is one of them.
      message.excerpt = echoed.trim();
      message.column = columnOf(source ?? echoed, Math.min(column, (source ?? echoed).length));
    }
    const details = (arrow > 0 ? [...rest.slice(0, arrow - 1), ...rest.slice(arrow + 1)] : rest).map((text) =>
      text.trim(),
    );
    if (details.length > 0) message.message += `\n${details.join("\n")}`;
    return { messages: [message], next };
  },
};

/** `error: words` without a place. */
const placeless: MessageConstruct = {
  begins: (line) => line.startsWith("error: ") || line.startsWith("warning: "),
  read: (context, at) => {
    const match = unlocated.exec(context.lines[at] ?? "");
    if (!match) return null;
    const option = /^\[(\w[\w-]*)\] (.*)$/.exec(match[2] ?? "");
    return {
      messages: [
        {
          severity: match[1] === "warning" ? "warning" : "error",
          ...(option ? { code: option[1] } : {}),
          message: option?.[2] ?? match[2] ?? "",
          stage: "translation",
        },
      ],
      next: at + 1,
    };
  },
};

/** The launcher finds nothing to start in. */
const noMain: MessageConstruct = {
  begins: (line) => line.startsWith("Error: "),
  read: (context, at) => {
    const match = launcher.exec(context.lines[at] ?? "");
    if (!match) return null;
    let next = at + 1;
    while (/^(?: {3}public static void main|or a JavaFX application class|Caused by: )/.test(context.lines[next] ?? ""))
      next++;
    return {
      messages: [{ severity: "error", errorName: "launcher", message: match[1] ?? "", stage: "translation" }],
      next,
    };
  },
};

/**
 * An exception that nobody caught: its head, calls newest first (they come out oldest first), causes, suppressed ones,
 * folded frames.
 */
const stackTrace: MessageConstruct = {
  begins: (line) =>
    line.includes(inThread) ||
    line.startsWith("Exception: ") ||
    ((line.includes("Exception") || line.includes("Error") || line.includes("Throwable")) &&
      /^[\p{L}_$][\w$.]*(?:Exception|Error|Throwable)\b/u.test(line)) ||
    /^(?:[a-z]\w*\.)+[A-Z]/.test(line),
  read: (context, at) => {
    const line = context.lines[at] ?? "";
    const start = line.indexOf(inThread);
    const lost = lostInHandler.exec(line);
    const closing = start < 0 ? -1 : line.indexOf('" ', start + inThread.length);
    if (start >= 0 && closing < 0) return null;
    const head = lost ?? thrown.exec(start < 0 ? line : line.slice(closing + 2));
    if (!head) return null;
    const blocks: Array<ExceptionTold & { suppressed: boolean; indent: number; from: number; to: number }> = [
      {
        errorName: head[1] ?? "",
        message: lost ? "" : (head[2] ?? ""),
        frames: [],
        suppressed: false,
        indent: 0,
        from: at + 1,
        to: at + 1,
      },
    ];
    const omitted = /^\s*\.\.\. (\d+) (?:more|common frames omitted)$/;
    let next = at + 1;
    for (; next < context.lines.length; next++) {
      const text = context.lines[next] ?? "";
      const block = blocks.at(-1);
      const call = text.includes("at ") ? frame.exec(text) : null;
      if (call && block) {
        const [, name = "", told = "", number] = call;
        const file = keptFile(told);
        // A trace of a hundred thousand calls tells no more than its first thousands.
        if (block.frames.length < 3000)
          block.frames.push({
            file,
            name,
            own: isOwn(name, file, context.program),
            ...(number ? { line: Number(number) } : {}),
          });
        block.to = next + 1;
        continue;
      }
      const because = linked.exec(text);
      if (because) {
        const [, indent = "", word, errorName = "", message = ""] = because;
        blocks.push({
          errorName,
          message,
          frames: [],
          suppressed: word === "Suppressed" || indent !== "",
          indent: indent.length,
          from: next + 1,
          to: next + 1,
        });
        continue;
      }
      const shared = omitted.exec(text);
      if (shared && block) {
        // The calls that are left out are the last ones of the exception around it.
        const outer = blocks
          .slice(0, -1)
          .findLast((each) => each.indent <= (block.suppressed ? block.indent - 1 : block.indent));
        block.frames.push(...(outer?.frames.slice(-Number(shared[1])) ?? []));
        block.to = next + 1;
        continue;
      }
      // A message of several lines, as long as a call still follows it soon.
      const follows = [1, 2, 3, 4].some((step) => frame.test(context.lines[next + step] ?? ""));
      if (block && block.frames.length === 0 && follows && !text.includes(inThread)) {
        block.message += `\n${text}`;
        block.to = next + 1;
        continue;
      }
      break;
    }
    // A name alone is an exception only if calls follow, or if it was said of a thread.
    if (start < 0 && !lost && blocks[0]?.frames.length === 0) return null;
    const causes = blocks.filter((block) => !block.suppressed);
    const suppressed = blocks.filter((block) => block.suppressed);
    const told = (block: (typeof blocks)[number]): MessageFound => {
      block.frames.reverse();
      const { primary: _, ...message } = exceptionDiagnostic(block);
      return { ...message, outputLines: { from: block.from, to: block.to } };
    };
    // The last of the causes is the one to work on, so suppressed ones, with their own causes, are told before all.
    const [outer, ...inner] = causes;
    const messages = outer ? [...suppressed.map(told), told(outer), ...inner.map(told)] : [];
    return { messages, next, ...(start > 0 ? { before: start } : {}) };
  },
};

const problem = /^(\d+)\. (ERROR|WARNING|INFO) in (.+?) \(at line (\d+)\)$/;

/** The other Java compiler: numbered problems with the echoed line, its marks and the words below. */
const numbered: MessageConstruct = {
  begins: (line) => line.includes(" (at line ") && problem.test(line),
  read: (context, at) => {
    const match = problem.exec(context.lines[at] ?? "");
    if (!match) return null;
    const [, , severity, path = "", number] = match;
    const line = Number(number);
    let next = at + 1;
    const body: string[] = [];
    while (next < Math.min(context.lines.length, at + 40) && !/^-{10}$/.test(context.lines[next] ?? ""))
      body.push(context.lines[next++] ?? "");
    const mark = body.findIndex((text) => /^\s*\^+\s*$/.test(text));
    const echo = mark > 0 ? (body[mark - 1] ?? "") : "";
    const words = (mark < 0 ? body : body.slice(mark + 1)).map((text) => text.trim()).filter((text) => text !== "");
    const source = context.sourceLine(path, line);
    const start = mark < 0 ? -1 : (body[mark] ?? "").indexOf("^");
    // Echo and marks stand behind one tab; the echo keeps no indentation of its own.
    const column = arrowColumn(source, echo, start, false);
    const length = mark < 0 ? 0 : (body[mark] ?? "").trim().length;
    return {
      messages: [
        {
          severity: severity === "WARNING" ? "warning" : severity === "INFO" ? "note" : "error",
          file: baseName(path),
          line,
          ...(column === undefined ? {} : { column, endColumn: column + length }),
          message: words.join("\n"),
          ...(echo ? { excerpt: echo.trim() } : {}),
          stage: "translation",
        },
      ],
      next: /^-{10}$/.test(context.lines[next] ?? "") ? next + 1 : next,
    };
  },
};

const note: MessageConstruct = {
  begins: (line) => line.startsWith("Note: "),
  read: (context, at) => {
    const match = /^Note: (?:(\S+\.java) )?(.*)$/.exec(context.lines[at] ?? "");
    if (!match || /^Recompile with/.test(match[2] ?? "")) return null;
    const more = (context.lines[at + 1] ?? "").startsWith("Note: Recompile with");
    return {
      messages: [
        {
          severity: "note",
          ...(match[1] ? { file: baseName(match[1]) } : {}),
          message: match[2] ?? "",
          stage: "translation",
        },
      ],
      next: at + (more ? 2 : 1),
    };
  },
};

/** The JDK's compiler and launcher, and what the machine says of an exception. */
export const jdk: ToolFamily = {
  id: "jdk",
  name: "javac and java",
  checkedAgainst: "JDK 17",
  constructs: [compiler, noMain, placeless, note, stackTrace],
};

/** The compiler that counts its problems. */
export const countingCompiler: ToolFamily = {
  id: "ecj",
  name: "the Java compiler that numbers its problems",
  checkedAgainst: "ecj 3.32",
  constructs: [numbered],
};

export const isJavaSummary = (line: string): boolean =>
  counts.test(line) ||
  /^-{10}$|^\t?\.\.\. \d+ more$|^Note: Recompile with|^Picked up |^Process finished with exit code/.test(line);

const grammar =
  /expected|illegal start of|not a statement|unclosed|reached end of file|without|orphaned|illegal character|malformed|empty character|integer number too large|<identifier>|invalid method declaration|class, interface|^Syntax error|^String literal is not properly closed|^Invalid (?:character|escape)|^Unterminated/;

/** Grammar, or a matter of names, types and entry points. */
export function kindOfJavaRefusal(diagnostic: Diagnostic): "form" | "meaning" {
  if (diagnostic.errorName === "launcher" || /^(?:incompatible types|cannot find symbol)/.test(diagnostic.message))
    return "meaning";
  return grammar.test(diagnostic.message.split("\n")[0] ?? "") ? "form" : "meaning";
}
