import type { Hunk } from "../../core/fixes/hunks.ts";
import { languages } from "../../core/languages/languages.ts";
import { languageName } from "../../core/languages/named.ts";
import { findPattern } from "../../core/patterns/patterns.ts";
import type { Reading } from "../../core/reading/reading.ts";
import { readOutput } from "../../core/reading/reading.ts";
import { signatureOf } from "../../core/reading/signature.ts";
import type { FaultClass } from "../../core/verdict/verdict.ts";
import { messageOf } from "../../core/verdict/words.ts";
import type { Database } from "../database/database.ts";
import { likenessOf, listSeen, type SeenRow } from "./seenStore.ts";

/** Earlier faults that are shown at most. */
const mostSeen = 12;

/** An earlier fault that is like another: what it was, where, and what was done then. Lines from 1. */
export type Seen = {
  case: string;
  title: string;
  language: string;
  languageName: string;
  student: string | null;
  course: string | null;
  wording: string | null;
  collected: string;
  state: "open" | "judged" | "verified";
  class: FaultClass | null;
  kind: "form" | "meaning" | null;
  pattern: { id: string; name: string } | null;
  message: string;
  reportedLine: number | null;
  faultyLines: number[];
  fix: Hunk[];
  explanation: string;
  /** Why it is shown: what of it is the same. */
  same: Array<"message" | "kind of mistake" | "fix">;
};

function seenOf(row: SeenRow): Seen {
  const named = row.pattern === null ? null : findPattern(row.pattern);
  return {
    ...{ case: row.faulty_case, title: row.title, student: row.label, course: row.course_name },
    ...{ language: row.language, languageName: languageName(row.language) },
    ...{ wording: row.wording, collected: row.created_at, state: row.state, class: row.class, kind: row.kind },
    pattern: row.pattern === null ? null : { id: row.pattern, name: named?.name ?? row.pattern },
    ...{ message: row.message ?? "", reportedLine: row.reported_line },
    faultyLines: (row.faulty_lines ?? []).flatMap(({ line, file }) => (file === undefined ? [line] : [])),
    fix: (row.fix ?? []).filter((hunk) => !hunk.extra),
    explanation: [row.explanation, row.intention].filter((words) => words).join(" "),
    same: [
      ...(row.same_message ? (["message"] as const) : []),
      ...(row.same_pattern ? (["kind of mistake"] as const) : []),
      ...(row.same_fix ? (["fix"] as const) : []),
    ],
  };
}

/** Earlier faults like that of a case, the newest first, those with the same message before the others. */
export async function seenBefore(database: Pick<Database, "query">, faultyCase: string): Promise<Seen[]> {
  const like = await likenessOf(database.query, faultyCase);
  if (!like) return [];
  return (await listSeen(database.query, { ...like, except: faultyCase }, mostSeen)).map(seenOf);
}

/** An output read by the language whose tools it fits best: the one that recognises most of it. */
export function readWhatever(output: string): { language: string; reading: Reading } | null {
  const all = languages.map((language) => ({ language: language.id, reading: readOutput(language, output) }));
  const best = all
    .filter(({ reading }) => reading.recognised && reading.primary !== null)
    .sort((one, other) => known(other.reading) - known(one.reading))[0];
  return best ?? null;
}
/** How much of an output is known: messages whose meaning is, then messages at all. */
const known = (reading: Reading) =>
  10 * reading.messages.filter(({ meaning }) => meaning !== null).length + reading.messages.length;

/** What is known of a message that somebody pasted, and the earlier faults that had it. */
export type SeenMessage = {
  language: string;
  languageName: string;
  message: string;
  line: number | null;
  says: string | null;
  usually: string | null;
  signature: string;
  seen: Seen[];
};

/** Looks for faults that had the message of a pasted output; null where no tool's message is in it. `language` by its id, if it is known. */
export async function seenForMessage(
  database: Pick<Database, "query">,
  output: string,
  language?: string,
): Promise<SeenMessage | null> {
  const of = languages.find((each) => each.id === language);
  const read = of ? { language: of.id, reading: readOutput(of, output) } : readWhatever(output);
  const primary = read?.reading.primary;
  const found = languages.find((each) => each.id === read?.language);
  if (!read || !primary || !found) return null;
  const signature = signatureOf(found, primary.diagnostic);
  return {
    languageName: found.name,
    ...{ language: found.id, message: messageOf(primary.diagnostic), line: primary.diagnostic.line ?? null, signature },
    ...{ says: primary.meaning?.says ?? null, usually: primary.meaning?.usually ?? null },
    seen: (await listSeen(database.query, { signature }, mostSeen)).map(seenOf),
  };
}
