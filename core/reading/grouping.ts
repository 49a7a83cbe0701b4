import type { Language } from "../languages/language.ts";
import type { Diagnostic } from "../outcome/outcome.ts";
import type { MessageMeaning } from "./explain.ts";
import type { FileParts } from "./programParts.ts";

/** Where a message stands to the one to work on; `why` in words for a person. */
export type Standing = { group: "primary" | "follows" | "own" | "warning" | "note"; why: string };

const brackets: ReadonlySet<string> = new Set(["bracket not closed", "block not closed"]);

/**
 * Says of every message whether it is the one to work on, is likely to follow from it, or seems to be one of its own. A
 * message follows if it is about the same name, the same brackets or the same place, if the first one's line declares
 * the name it misses, or if it comes after a fault of grammar in the same file, past which the rest is read wrongly.
 * Warnings and notes stand apart and never count as errors.
 */
export function standings(
  language: Language,
  messages: ReadonlyArray<{ diagnostic: Diagnostic; meaning: MessageMeaning | null }>,
  parts: (file: string | undefined) => FileParts | null,
): Standing[] {
  const at = messages.findIndex(({ diagnostic }) => diagnostic.primary);
  const primary = messages[at];
  const namesOf = (meaning: MessageMeaning | null) =>
    new Set(
      (meaning?.words ?? [])
        .filter((word) => word.role === "name")
        .map((word) => (language.profile.caseSensitive ? word.text : word.text.toLowerCase())),
    );
  const own = namesOf(primary?.meaning ?? null);
  const refusal = primary?.diagnostic.stage === "translation";
  const grammar = refusal && language.kindOfRefusal(primary.diagnostic) === "form";
  const declared =
    primary && messages.length > 1
      ? declaredNames(language, primary.diagnostic, grammar, parts(primary.diagnostic.file) ?? parts(undefined))
      : new Set<string>();
  return messages.map(({ diagnostic, meaning }, index): Standing => {
    if (index === at) return { group: "primary", why: primaryReason(language, primary?.diagnostic, messages.length) };
    if (diagnostic.severity === "warning")
      return { group: "warning", why: "A warning: it refuses nothing and decides no class." };
    if (diagnostic.severity === "note") return { group: "note", why: "A remark on the message above it." };
    if (!primary) return { group: "own", why: "" };
    if (!refusal) {
      if (diagnostic.stage === "result") return { group: "own", why: "A test that got another result." };
      return index < at
        ? {
            group: "follows",
            why: "It came before: the one to work on was met on the way, or while this one was dealt with.",
          }
        : { group: "follows", why: "It was told after it: the program was already stopping." };
    }
    if (diagnostic.stage !== "translation")
      return { group: "own", why: "It is about a run, perhaps of an earlier version: what is refused does not run." };
    const shared = [...namesOf(meaning)].find((name) => own.has(name));
    if (shared) return { group: "follows", why: `It is about the same name, “${shared}”.` };
    const missing = [...namesOf(meaning)].find((name) => declared.has(name));
    if (missing)
      return {
        group: "follows",
        why: `“${missing}” stands in line ${primary.diagnostic.line} or just above, which could not be read: its declaration may be lost there.`,
      };
    if (
      diagnostic.line !== undefined &&
      diagnostic.line === primary.diagnostic.line &&
      sameFile(diagnostic, primary.diagnostic)
    )
      return { group: "follows", why: "It is about the same line." };
    if (meaning && primary.meaning && brackets.has(meaning.kind) && brackets.has(primary.meaning.kind))
      return {
        group: "follows",
        why: "It is about brackets or blocks as well: one missing sign upsets all that come after.",
      };
    if (grammar && sameFile(diagnostic, primary.diagnostic) && index > at)
      return {
        group: "follows",
        why: "It comes after a fault of grammar, past which the rest is easily read wrongly.",
      };
    return {
      group: "own",
      why: "Nothing ties it to the first one; it may be a fault of its own. Mend the first, then look again.",
    };
  });
}

function sameFile(one: Diagnostic, other: Diagnostic): boolean {
  return one.file === undefined || other.file === undefined || one.file === other.file;
}

/**
 * Names that the line of a refusal, or the code line above it, declares; where grammar is at fault, every name on the
 * line may be meant so.
 */
function declaredNames(
  language: Language,
  diagnostic: Diagnostic,
  grammar: boolean,
  parts: FileParts | null,
): Set<string> {
  if (!parts || diagnostic.line === undefined) return new Set();
  const lines = parts.byLine;
  // A refusal is often told a line late, so the code line above counts as well.
  const above = [...lines.keys()].filter((line) => line < (diagnostic.line ?? 0)).sort((one, other) => other - one)[0];
  const names = [diagnostic.line, above].flatMap((line) => {
    const tokens = lines.get(line ?? -1) ?? [];
    return [
      ...language.assignedNames(tokens),
      ...((grammar && line === diagnostic.line) || language.definesFunction(tokens)
        ? tokens.filter((token) => token.kind === "name").map((token) => token.text)
        : []),
    ];
  });
  return new Set(names.map((name) => (language.profile.caseSensitive ? name : name.toLowerCase())));
}

function primaryReason(language: Language, diagnostic: Diagnostic | undefined, count: number): string {
  if (!diagnostic || count === 1) return "It is the only one.";
  if (diagnostic.stage === "translation")
    return "It is the first error of the translator; the others may vanish with it.";
  return language.primaryRule === "last"
    ? "It is the last one told: what stopped the program in the end."
    : "It is what stopped the program; of causes the last one counts.";
}
