import type { Language, OwnWarning } from "../../core/languages/language.ts";
import { consoleText, type Outcome } from "../../core/outcome/outcome.ts";
import { isCheckerOrigin } from "../../core/reading/flaggedWhen.ts";
import { messageKinds } from "../../core/reading/kinds.ts";
import {
  type Reading,
  type ReadMessage,
  readingOf,
  readOutput,
  stateWords,
  takeApart,
} from "../../core/reading/reading.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { ownLines } from "../../core/verdict/judge.ts";
import { ownWarnings } from "../../core/warnings/ownWarning.ts";
import type { WholeCase } from "../../server/cases/caseStore.ts";
import type { Version } from "../../server/cases/versionStore.ts";
import type { WarningDecision } from "../../server/cases/warningStore.ts";

/** Messages of one output that a page shows; a flood beyond it is counted. */
const messagesShown = 40;

/**
 * What names a warning in a case, so that a decision about it outlives its line's number: its file, its line's text,
 * its words.
 */
function aboutOf(message: ReadMessage, version: Version): string {
  const { file, line, message: words } = message.diagnostic;
  const source = version.files.find((each) => each.name === file) ?? version.files[0];
  return [
    file ?? "",
    line === undefined ? "" : (lineTexts(source?.text ?? "")[line - 1] ?? "").trim(),
    words.split("\n")[0],
  ]
    .join(" | ")
    .slice(0, 500);
}

function messageView(
  message: ReadMessage,
  index: number,
  version: Version,
  depth: "short" | "full",
  decisions: readonly WarningDecision[],
) {
  const { diagnostic, meaning, standing, tokens, chain, folded } = message;
  const about = aboutOf(message, version);
  return {
    index,
    severity: diagnostic.severity,
    stage: diagnostic.stage,
    title: [diagnostic.errorName, diagnostic.message.split("\n")[0]].filter((part) => part).join(": "),
    details: diagnostic.message.split("\n").slice(1),
    file: diagnostic.file === version.files[0]?.name ? null : (diagnostic.file ?? null),
    line: diagnostic.line ?? null,
    column: diagnostic.column ?? null,
    code: diagnostic.code ?? null,
    tool: [diagnostic.tool, diagnostic.toolVersion].filter((part) => part).join(", "),
    excerpt: diagnostic.excerpt ?? null,
    cut: diagnostic.cut ?? false,
    outputLines: diagnostic.outputLines ?? null,
    group: standing.group,
    why: standing.why,
    kind: meaning?.kindWords ?? null,
    words: depth === "full" ? (meaning?.words ?? []) : [],
    says: meaning?.says ?? null,
    usually: meaning?.usually ?? null,
    unsaid: depth === "full" ? (meaning?.unsaid ?? null) : null,
    misleads: depth === "full" ? (meaning?.misleads ?? null) : null,
    at: depth === "full" ? (tokens?.at ?? null) : null,
    before: depth === "full" ? (tokens?.before ?? null) : null,
    chain: (depth === "full" ? chain : []).map(({ line, name, role, file }) => ({
      line: line ?? null,
      name: name ?? "",
      role,
      file,
    })),
    folded: depth === "full" ? folded : 0,
    about,
    decision: decisions.find((decision) => decision.about === about) ?? null,
  };
}
export type MessageView = ReturnType<typeof messageView>;

/** Where an output comes from: its heading, the words for it within a sentence, and whether it is an editor's checker. */
type From = { title: string; name: string; isChecker: boolean };

function sourceView(
  from: From,
  text: string,
  reading: Reading,
  version: Version,
  depth: "short" | "full",
  decisions: readonly WarningDecision[],
) {
  return {
    ...from,
    text: text.slice(0, 60_000),
    recognised: reading.recognised,
    counts: reading.counts,
    state: stateWords[reading.state],
    messages: reading.messages
      .slice(0, messagesShown)
      .map((message, index) => messageView(message, index, version, depth, decisions)),
    more: Math.max(0, reading.messages.length - messagesShown),
    proves: reading.normalOutput?.proves ?? null,
  };
}
export type SourceView = ReturnType<typeof sourceView>;

/**
 * A reading with its lines as the text here has them, where the case is a fragment whose first line has a number above
 * 1.
 */
function shifted(reading: Reading, firstLine: number): Reading {
  if (firstLine <= 1) return reading;
  return {
    ...reading,
    messages: reading.messages.map((message) => {
      const diagnostic = ownLines([message.diagnostic], firstLine)[0] ?? message.diagnostic;
      const chain = message.chain.map((link) => ({
        ...link,
        line: ownLines([{ ...message.diagnostic, line: link.line }], firstLine)[0]?.line,
      }));
      return { ...message, diagnostic, chain, tokens: null };
    }),
  };
}

/** Every output of a version taken apart: those that were pasted, by their origin, and what the run here said. */
export function messagesView(
  language: Language,
  found: WholeCase,
  version: Version,
  outcome: Outcome | null,
  depth: "short" | "full",
  decisions: readonly WarningDecision[],
): SourceView[] {
  const files = Object.fromEntries(version.files.map((file) => [file.name, file.text]));
  const sources = found.outputs
    .filter((output) => output.version === version.key && output.content.trim() !== "")
    .map(({ origin, content }) =>
      sourceView(
        origin
          ? { title: `From ${origin}`, name: origin, isChecker: isCheckerOrigin(origin) }
          : { title: "As pasted", name: "as pasted", isChecker: false },
        content,
        shifted(readOutput(language, content, files), found.first_line),
        version,
        depth,
        decisions,
      ),
    );
  if (outcome && outcome.diagnostics.length > 0) {
    const told = consoleText(outcome.console, ["err"]);
    // A translator's warnings about a program that runs do not stand on the console.
    const said = outcome.diagnostics
      .map(
        ({ file, line, column, severity, code, message }) =>
          `${[file, line, column].filter((part) => part).join(":")}: ${severity}: ${message}${code ? ` [${code}]` : ""}`,
      )
      .join("\n");
    const view = sourceView(
      { title: "From the run here", name: "the run here", isChecker: false },
      told.trim() === "" ? said : told,
      readingOf(language, takeApart(language, outcome.diagnostics, files)),
      version,
      depth,
      decisions,
    );
    // What the run says word for word as the pasted output is not told twice.
    const titles = (source: SourceView) =>
      source.messages.map((message) => `${message.line} ${message.title}`).join("\n");
    const same = sources.find((source) => titles(source) === titles(view));
    if (same) same.title = `${same.title}; the run here says the same`;
    else sources.push(view);
  }
  const own = ownWarnings(language, version.files[0]?.text ?? "");
  if (own.length > 0) {
    const said = own.map(({ line, says }) => `line ${line}: ${says}`).join("\n");
    sources.push(
      sourceView(
        { title: "Noticed by us", name: "what we notice", isChecker: true },
        said,
        readingOf(language, own.map(asRead)),
        version,
        depth,
        decisions,
      ),
    );
  }
  return sources;
}

/** What we noticed, in the form of a message taken apart. */
function asRead({ line, kind, says, usually }: OwnWarning): ReadMessage {
  return {
    diagnostic: { severity: "warning", line, message: says, stage: "translation", primary: false, tool: "Bent Nail" },
    meaning: { kind, kindWords: messageKinds[kind], words: [], says: usually },
    standing: { group: "own", why: "The translator says nothing of it." },
    ...{ tokens: null, chain: [], folded: 0 },
  };
}
