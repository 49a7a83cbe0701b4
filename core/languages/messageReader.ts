import type { Diagnostic } from "../outcome/outcome.ts";
import { cleanOutput } from "../reading/clean.ts";
import { columnOf, lineTexts } from "../source/lines.ts";

/**
 * What a construct may look at: the output's lines, cleaned, and the program's lines by file, where the program is
 * known.
 */
export type MessageContext = {
  lines: readonly string[];
  program: Readonly<Record<string, string>> | undefined;
  /** The line (1-based) of a file of the program, found by the last part of its path; undefined if it is not there. */
  sourceLine: (path: string, line: number) => string | undefined;
  /** The text of a file of the program, found in the same way. */
  programText: (path: string) => string | undefined;
};

/** A message as a construct reads it; the driver adds tool, place in the output and which one is primary. */
export type MessageFound = Omit<Diagnostic, "primary" | "tool">;

/**
 * What a construct has read: messages, and the first line (0-based) that no longer belongs to it. `before`: characters
 * of the first line that stand before the message and are the program's own.
 */
export type ConstructFound = { messages: MessageFound[]; next: number; before?: number };

/**
 * One form in which a tool says something: micro-readers of one shape, listed by family and driven by readOutputWith.
 */
export type MessageConstruct = {
  /**
   * False where no such message can begin at this line; must be cheap, since every construct is asked for every line.
   */
  begins: (line: string) => boolean;
  /** Reads from the line `at` (0-based); null if it is no such message after all. */
  read: (context: MessageContext, at: number) => ConstructFound | null;
};

/**
 * A family of tools that speak alike. `checkedAgainst` names the real tools whose outputs the reader was tried on;
 * null: none runs here.
 */
export type ToolFamily = {
  id: string;
  name: string;
  checkedAgainst: string | null;
  constructs: readonly MessageConstruct[];
};

/**
 * A stretch of an output, 1-based lines, the last included; `upTo`: only so many characters of its (one) line, since a
 * message follows on it. "summary": counts and follow-ups of a tool that say nothing new.
 */
export type OutputPart = { kind: "message" | "summary" | "command" | "other"; from: number; to: number; upTo?: number };

/** A whole output as read: its messages in the order in which they stand, and what every line belongs to. */
export type OutputRead = { diagnostics: Diagnostic[]; parts: OutputPart[]; lines: readonly string[] };

/**
 * Which error is the one to work on. "first refusal": the translator's first error, else the last stop; "first": the
 * first of all; "last": the last of all.
 */
export type PrimaryRule = "first refusal" | "first" | "last";

/** Messages of one output that are kept; a flood beyond it is counted in no list. */
const mostMessages = 1000;

const isPlace = (number: number | undefined) => Number.isSafeInteger(number) && (number ?? 0) >= 1;

/** A message or a call without lines and columns that none can be: a program can print what looks like a message, and a torn text tells of line 0. */
function withRealPlaces(message: MessageFound): MessageFound {
  const { line, column, endLine, endColumn, frames, ...rest } = message;
  // What is typed at a prompt has a column and no line.
  const isOpen = line === undefined || isPlace(line);
  return {
    ...rest,
    ...(isPlace(line) ? { line } : {}),
    ...(isOpen && isPlace(column) ? { column } : {}),
    ...(isOpen && isPlace(endLine) ? { endLine } : {}),
    ...(isOpen && isPlace(endColumn) ? { endColumn } : {}),
    ...(frames
      ? { frames: frames.map(({ line: at, ...frame }) => ({ ...frame, ...(isPlace(at) ? { line: at } : {}) })) }
      : {}),
  };
}

/** The last part of a path, by either kind of slash. */
export function baseName(path: string): string {
  return path.slice(Math.max(path.lastIndexOf("/"), path.lastIndexOf("\\")) + 1);
}

function nameIn(program: MessageContext["program"], path: string): string | undefined {
  const wanted = baseName(path);
  return program && Object.keys(program).find((candidate) => candidate === path || baseName(candidate) === wanted);
}

function sourceLines(program: MessageContext["program"]): MessageContext["sourceLine"] {
  const split = new Map<string, string[]>();
  return (path, line) => {
    const name = nameIn(program, path);
    if (name === undefined) return undefined;
    let lines = split.get(name);
    if (!lines) {
      lines = lineTexts(program?.[name] ?? "");
      split.set(name, lines);
    }
    return lines[line - 1];
  };
}

/**
 * The column (1-based, code points) of an arrow under an echoed line. `arrow` is the 0-based place in the arrow's line,
 * `echo` the line above as shown; a tool may have taken indentation off both. Without the program's line the column is
 * that of the echo only if `kept` says that the tool keeps indentation.
 */
export function arrowColumn(
  source: string | undefined,
  echo: string,
  arrow: number,
  kept: boolean,
): number | undefined {
  if (arrow < 0) return undefined;
  if (source === undefined) return kept ? columnOf(echo, Math.min(arrow, echo.length)) : undefined;
  if (source.trim() !== echo.trim()) return kept ? columnOf(echo, Math.min(arrow, echo.length)) : undefined;
  const shift = source.length - source.trimStart().length - (echo.length - echo.trimStart().length);
  return columnOf(source, Math.max(0, Math.min(arrow + shift, source.length)));
}

/** Lines that a tool adds after its messages, and lines that a person typed at a prompt. */
const commandLine =
  /^(?:[\w.-]+@[\w.-]+:[^$#\n]{0,80}[$#]|PS [A-Z]:\\[^>\n]{0,120}>|[A-Z]:\\[^>\n]{0,120}>|octave:\d+>|>>>|\.\.\.|>>|[$%]) ?\S/;

/** What must be in a line before its longer pattern is worth trying. */
const commandSigns = /[$#%>]|^\.\.\./;

/**
 * Drives the constructs of a language's families over an output. Every line is asked of every construct in their order;
 * the first that reads a message takes its lines. A line that none takes is a summary, a typed command or other text.
 * Nothing is guessed.
 */
export function readOutputWith(
  families: readonly ToolFamily[],
  rule: PrimaryRule,
  isSummary: (line: string) => boolean,
  output: string,
  program?: Readonly<Record<string, string>>,
): OutputRead {
  const lines = cleanOutput(output);
  const context: MessageContext = {
    ...{ lines, program, sourceLine: sourceLines(program) },
    programText: (path) => program?.[nameIn(program, path) ?? ""],
  };
  const constructs = families.flatMap((family) =>
    family.constructs.map((construct) => ({ ...construct, tool: family.name })),
  );
  const diagnostics: Diagnostic[] = [];
  const parts: OutputPart[] = [];
  const claim = (kind: OutputPart["kind"], from: number, to: number) => {
    const last = parts.at(-1);
    if (last && last.kind === kind && kind !== "message" && last.upTo === undefined && last.to === from - 1)
      last.to = to;
    else parts.push({ kind, from, to });
  };
  for (let at = 0; at < lines.length; ) {
    const line = lines[at] ?? "";
    const read = line === "" || diagnostics.length >= mostMessages ? null : readAt(constructs, context, at, line);
    if (!read) {
      claim(
        isSummary(line) ? "summary" : commandSigns.test(line) && commandLine.test(line) ? "command" : "other",
        at + 1,
        at + 1,
      );
      at += 1;
      continue;
    }
    const next = Math.max(at + 1, Math.min(read.found.next, lines.length));
    if (read.found.before) parts.push({ kind: "other", from: at + 1, to: at + 1, upTo: read.found.before });
    claim(read.found.messages.length > 0 ? "message" : "summary", at + 1, next);
    for (const message of read.found.messages) {
      const outputLines = message.outputLines ?? { from: at + 1, to: next };
      diagnostics.push({ ...withRealPlaces(message), tool: read.tool, outputLines, primary: false });
    }
    at = next;
  }
  const primary = choosePrimary(diagnostics, rule);
  if (primary) primary.primary = true;
  return { diagnostics, parts, lines };
}

function readAt(
  constructs: ReadonlyArray<MessageConstruct & { tool: string }>,
  context: MessageContext,
  at: number,
  line: string,
) {
  for (const construct of constructs) {
    if (!construct.begins(line)) continue;
    const found = construct.read(context, at);
    if (found) return { found, tool: construct.tool };
  }
  return null;
}

/** The error to work on, by the language's rule; a test that failed counts only where nothing else does. */
export function choosePrimary(diagnostics: readonly Diagnostic[], rule: PrimaryRule): Diagnostic | undefined {
  const errors = diagnostics.filter((each) => each.severity === "error");
  const stops = errors.filter((each) => each.stage !== "result");
  const told = stops.length > 0 ? stops : errors;
  if (rule === "first") return told[0];
  if (rule === "last") return told.at(-1);
  return (
    told.find((each) => each.stage === "translation") ?? told.findLast((each) => each.line !== undefined) ?? told.at(-1)
  );
}
