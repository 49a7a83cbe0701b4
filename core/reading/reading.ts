import type { Language } from "../languages/language.ts";
import type { OutputPart } from "../languages/messageReader.ts";
import type { Diagnostic, Outcome, StackFrame } from "../outcome/outcome.ts";
import { lineTexts } from "../source/lines.ts";
import { explain, type MessageMeaning } from "./explain.ts";
import { type Standing, standings } from "./grouping.ts";
import { programParts } from "./programParts.ts";
import { type TokensAt, tokensAt } from "./tokensAt.ts";

/** A call of a chain, oldest first, and its part in it. */
export type ChainLink = StackFrame & { role: "raised here" | "called from" };

/**
 * A message taken apart. `chain` holds the student's own calls; `folded` is the number of the library's that are left
 * out of it.
 */
export type ReadMessage = {
  diagnostic: Diagnostic;
  meaning: MessageMeaning | null;
  standing: Standing;
  tokens: TokensAt | null;
  chain: ChainLink[];
  folded: number;
};

/**
 * "errors", "warnings only", "clean": nothing was said, which is no proof that the program is right; "unknown": something
 * was said that no reader knows.
 */
export type TextState = "errors" | "warnings only" | "clean" | "unknown";

/** The state that messages tell of. */
function stateOf(diagnostics: readonly Pick<Diagnostic, "severity">[]): Exclude<TextState, "unknown"> {
  const has = (severity: Diagnostic["severity"]) => diagnostics.some((each) => each.severity === severity);
  return has("error") ? "errors" : has("warning") ? "warnings only" : "clean";
}

/** The state of a program's text by what its translator said of it; what stopped a run is none of it. */
export function textStateOf(outcome: Pick<Outcome, "diagnostics">): Exclude<TextState, "unknown"> {
  return stateOf(outcome.diagnostics.filter((each) => each.stage === "translation"));
}

/**
 * An output as read. `recognised` is false where no reader knows any of it: the text is kept whole and nothing is
 * guessed. `normalOutput` is what belongs to no message, with what it proves.
 */
export type Reading = {
  recognised: boolean;
  messages: ReadMessage[];
  primary: ReadMessage | null;
  counts: { errors: number; warnings: number; notes: number };
  state: TextState;
  parts: OutputPart[];
  normalOutput: { text: string; proves: string } | null;
};

/** Calls shown of a chain; of an endless recursion the first and the last ones tell enough. */
const longestChain = 40;

function chainOf(diagnostic: Diagnostic): { chain: ChainLink[]; folded: number } {
  const frames = diagnostic.frames ?? [];
  const own = frames.filter((frame) => frame.own);
  const shown = own.length > longestChain ? [...own.slice(0, longestChain / 2), ...own.slice(-longestChain / 2)] : own;
  return {
    chain: shown.map((frame, index) => ({
      ...frame,
      role: index === shown.length - 1 ? "raised here" : "called from",
    })),
    folded: frames.length - shown.length,
  };
}

/**
 * Messages taken apart: what each means, which one matters, the tokens at its place, its calls. `program` is the text
 * of each file by name.
 */
export function takeApart(
  language: Language,
  diagnostics: readonly Diagnostic[],
  program?: Readonly<Record<string, string>>,
): ReadMessage[] {
  const parts = programParts(language, program);
  const names = Object.keys(program ?? {});
  // A message that names another file than there is, is about the only one.
  const linesFor = (file: string | undefined) => (parts(file) ?? (names.length === 1 ? parts(undefined) : null))?.lines;
  const explained = diagnostics.map((diagnostic, index) => ({
    diagnostic,
    meaning: explain(language, diagnostic, index < 50 ? linesFor(diagnostic.file) : undefined),
  }));
  const standing = standings(language, explained, parts);
  return explained.map(({ diagnostic, meaning }, index): ReadMessage => {
    const { file, line, column } = diagnostic;
    const own = line !== undefined && column !== undefined && index < 50 ? parts(file) : null;
    return {
      diagnostic,
      meaning,
      standing: standing[index] ?? { group: "own", why: "" },
      tokens: own ? tokensAt(own.tokens, own.lines, line ?? 1, column ?? 1) : null,
      ...chainOf(diagnostic),
    };
  });
}

/** A reading of messages, with what stands around them in an output. */
export function readingOf(
  language: Language,
  messages: ReadMessage[],
  parts: OutputPart[] = [],
  lines: readonly string[] = [],
): Reading {
  const count = (severity: Diagnostic["severity"]) =>
    messages.filter((each) => each.diagnostic.severity === severity).length;
  const counts = { errors: count("error"), warnings: count("warning"), notes: count("note") };
  const primary = messages.find((message) => message.diagnostic.primary) ?? null;
  return {
    recognised: messages.length > 0,
    messages,
    primary,
    counts,
    state:
      messages.length === 0 && lines.some((line) => line.trim() !== "")
        ? "unknown"
        : stateOf(messages.map((message) => message.diagnostic)),
    parts,
    normalOutput: normalOutput(language, lines, parts, primary),
  };
}

/**
 * Reads an error output as far as it goes. `program` is the text of each file by name; the first one counts where a
 * message names none. The output itself is not changed; lines of it are 1-based in all that refers to them.
 */
export function readOutput(language: Language, output: string, program?: Readonly<Record<string, string>>): Reading {
  const read = language.readOutput(output, program);
  return readingOf(language, takeApart(language, read.diagnostics, program), read.parts, read.lines);
}

/**
 * The lines that belong to no message, and what they say of the run: only where a message was recognised beside them.
 */
function normalOutput(
  language: Language,
  lines: readonly string[],
  parts: readonly OutputPart[],
  primary: ReadMessage | null,
): Reading["normalOutput"] {
  if (!primary) return null;
  const own = parts
    .filter((part) => part.kind === "other")
    .flatMap((part) =>
      part.upTo === undefined
        ? lines.slice(part.from - 1, part.to)
        : [(lines[part.from - 1] ?? "").slice(0, part.upTo)],
    );
  const text = own.join("\n").trim();
  if (text === "") return null;
  const first = lineTexts(text)[0] ?? "";
  const shown = first.length > 40 ? `${first.slice(0, 40)}…` : first;
  if (primary.diagnostic.stage === "translation")
    return {
      text,
      proves: `“${shown}” belongs to no message. If the program printed it, that was an earlier run: a program that is refused prints nothing.`,
    };
  return {
    text,
    proves: `The program had printed “${shown}”, so it had been translated and had started: this is no syntax error.${language.outputCaution ? ` ${language.outputCaution}` : ""}`,
  };
}

/** A state of a program's text in words; "clean" never reads as right. */
export const stateWords: Readonly<Record<TextState, string>> = {
  errors: "errors",
  "warnings only": "warnings only: it can run",
  clean: "nothing was said: that does not show that it is right",
  unknown: "not recognised: nothing is said of it",
};
