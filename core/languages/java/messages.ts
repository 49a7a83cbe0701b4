import type { Diagnostic } from "../../outcome/outcome.ts";
import { columnOf, lineTexts } from "../../source/lines.ts";
import { type ExceptionTold, exceptionDiagnostic } from "../exceptions.ts";

const located = /^(?:.*[\\/])?([^\\/:]+\.java):(\d+): (error|warning): (.*)$/;
const unlocated = /^(error|warning): (.*)$/;
const thrown = /^(?:Exception in thread "[^"]*" )?((?:[\p{L}_$][\w$]*\.)*[\p{L}_$][\w$]*)(?:: (.*))?$/u;
const cause = /^\s*Caused by: ((?:[\p{L}_$][\w$]*\.)*[\p{L}_$][\w$]*)(?:: (.*))?$/u;
const frame = /^\s+at (?:[\w.]+(?:@[\w.]+)?\/)?([\p{L}\w.$<>]+)\(([^():]*)(?::(\d+))?\)$/u;
const launcher = /^Error: ((?:Main method (?:not found|is not static|must return)|Could not find or load main class).*)$/;
const outOfMemoryStart = /^Exception: ((?:\w+\.)*\w+) thrown from the UncaughtExceptionHandler/;

/** True for a frame of the student's own: its file is one of the program's, or, without a program, it is not the library's. */
function isOwn(name: string, file: string, program: Readonly<Record<string, string>> | undefined): boolean {
  if (/^(?:java|javax|jdk|sun|com\.sun)\./.test(name)) return false;
  return program === undefined || file in program || file === "Unknown Source" || !/\.java$/.test(file) ? /\.java$/.test(file) : true;
}

/**
 * Reads what javac and java print: `File.java:line: error: words` with the echoed line and its arrow, the details that follow, a launcher's
 * refusal for want of main, and stack traces with causes (newest call first; they come out oldest first). The first error of the
 * translator is primary; of a stack trace with causes the last cause. Columns are 1-based code points from the arrow's place.
 */
export function readJavaMessages(output: string, program?: Readonly<Record<string, string>>): Diagnostic[] {
  const found: Diagnostic[] = [];
  const blocks: ExceptionTold[] = [];
  const lines = lineTexts(output);
  for (let at = 0; at < lines.length; at++) {
    const text = lines[at] ?? "";
    const place = located.exec(text);
    if (place) {
      const [diagnostic, next] = readTranslation(lines, at, place, program);
      found.push(diagnostic);
      at = next;
      continue;
    }
    const plain = unlocated.exec(text);
    if (plain) {
      found.push({ severity: plain[1] === "warning" ? "warning" : "error", message: plain[2] ?? "", stage: "translation", primary: false });
      continue;
    }
    const refused = launcher.exec(text);
    if (refused) {
      found.push({ severity: "error", errorName: "launcher", message: refused[1] ?? "", stage: "translation", primary: false });
      continue;
    }
    const call = frame.exec(text);
    const block = blocks.at(-1);
    if (call && block) {
      const [, name = "", file = "", line] = call;
      block.frames.unshift({ file, name, own: isOwn(name, file, program), ...(line ? { line: Number(line) } : {}) });
      continue;
    }
    const because = cause.exec(text);
    if (because && blocks.length > 0) {
      blocks.push({ errorName: because[1] ?? "", message: because[2] ?? "", frames: [] });
      continue;
    }
    const lost = outOfMemoryStart.exec(text);
    const head = lost ?? (text.startsWith("Exception in thread") || frame.test(lines[at + 1] ?? "") ? thrown.exec(text) : null);
    if (head) blocks.push({ errorName: head[1] ?? "", message: lost ? "" : (head[2] ?? ""), frames: [] });
    else if (block && block.frames.length === 0 && text.trim() !== "") block.message += `\n${text}`;
  }
  for (const block of blocks) found.push(exceptionDiagnostic(block));
  const first = found.find((diagnostic) => diagnostic.severity === "error" && diagnostic.stage === "translation");
  const primary = first ?? found.findLast((diagnostic) => diagnostic.stage === "run");
  if (primary) primary.primary = true;
  return found;
}

/** One message of the translator from its first line; returns it with the last line that belongs to it. */
function readTranslation(
  lines: readonly string[],
  at: number,
  place: RegExpExecArray,
  program: Readonly<Record<string, string>> | undefined,
): [Diagnostic, number] {
  const [, file = "", line = "0", severity, words = ""] = place;
  const option = /^\[(\w[\w-]*)\] (.*)$/.exec(words);
  const diagnostic: Diagnostic = {
    severity: severity === "warning" ? "warning" : "error",
    file,
    line: Number(line),
    ...(option ? { code: option[1] } : {}),
    message: option?.[2] ?? words,
    stage: "translation",
    primary: false,
  };
  const rest: string[] = [];
  let next = at + 1;
  for (; next < lines.length; next++) {
    const text = lines[next] ?? "";
    if (located.test(text) || /^\d+ (?:errors?|warnings?)$/.test(text) || unlocated.test(text) || text.trim() === "" || launcher.test(text)) break;
    rest.push(text);
  }
  const arrow = rest.findIndex((text) => /^\s*\^\s*$/.test(text));
  if (arrow > 0) {
    const echoed = rest[arrow - 1] ?? "";
    const column = (rest[arrow] ?? "").indexOf("^");
    const source = program?.[file] === undefined ? undefined : lineTexts(program[file] ?? "")[Number(line) - 1];
    // The translator widens tabs in the arrow's line, not in the echo; blanks before the arrow count columns of the line as it stands.
    diagnostic.excerpt = echoed.trim();
    diagnostic.column = columnOf(source ?? echoed, Math.min(column, (source ?? echoed).length));
    const details = [...rest.slice(0, arrow - 1), ...rest.slice(arrow + 1)].map((text) => text.trim());
    if (details.length > 0) diagnostic.message += `\n${details.join("\n")}`;
  } else if (rest.length > 0) diagnostic.message += `\n${rest.map((text) => text.trim()).join("\n")}`;
  return [diagnostic, next - 1];
}

const grammar =
  /expected|illegal start of|not a statement|unclosed|reached end of file|without|orphaned|illegal character|malformed|empty character|integer number too large|<identifier>|invalid method declaration|class, interface/;

/** Grammar, or a matter of names, types and entry points. */
export function kindOfJavaRefusal(diagnostic: Diagnostic): "form" | "meaning" {
  if (diagnostic.errorName === "launcher" || /^(?:incompatible types|cannot find symbol)/.test(diagnostic.message)) return "meaning";
  return grammar.test(diagnostic.message.split("\n")[0] ?? "") ? "form" : "meaning";
}
