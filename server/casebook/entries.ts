import { createHash } from "node:crypto";
import type { CaseEntry, ReadEntry } from "../../core/formats/caseEntry.ts";
import { decodeText } from "../../core/source/decode.ts";
import { findCase, type WholeCase } from "../cases/caseStore.ts";
import type { CaseFilter } from "../cases/recordFilterStore.ts";
import type { Database } from "../database/database.ts";
import { anonymiser } from "./anonymise.ts";
import { type AboutCase, aboutCase, listCaseKeys } from "./entryStore.ts";

/** Cases as they go out: each with what is recorded of it, and the bytes of their programs by SHA-256. */
export type Outgoing = { entries: CaseEntry[]; bytes: Map<string, Uint8Array> };

const hashOf = (bytes: Uint8Array) => createHash("sha256").update(bytes).digest("hex");

function entryOf(found: WholeCase, about: AboutCase, bytes: Map<string, Uint8Array>): CaseEntry {
  const numbers = new Map(found.versions.map((version) => [version.key, version.number]));
  const numberOf = (key: string | null) => (key === null ? null : (numbers.get(key) ?? null));
  return {
    ...about.carried,
    ...{ key: found.key, language: found.language, title: found.title, intent: found.intent },
    ...{
      changedLast: found.changed_last,
      instead: found.instead,
      cameOut: found.came_out,
      handTable: found.hand_table,
    },
    userActions: found.user_actions.split("\n").filter((step) => step !== ""),
    ...{ firstLine: found.first_line, onlyRead: found.only_read, source: found.source, note: found.note },
    ...{ symptom: found.symptom, collected: found.created_at, judged: found.judged_at !== null },
    ...{ mended: found.verified_at !== null, course: found.course_name, assignment: about.assignment },
    ...{ student: found.student_label, current: numberOf(found.current_version) ?? 1 },
    versions: found.loaded.map((version) => ({
      ...{ number: version.number, origin: version.origin, parent: numberOf(version.parent), worked: version.worked },
      ...{ handedIn: version.handed_in, belief: version.belief, result: version.result, at: version.created_at },
      files: version.files.map(({ name, encoding, bytes: content }) => {
        const sha256 = hashOf(content);
        bytes.set(sha256, content);
        return { name, encoding, sha256 };
      }),
      outputs: found.outputs
        .filter((output) => output.version === version.key)
        .map(({ origin, content }) => ({ origin, text: content })),
    })),
    checks: found.checks.map((check) => ({
      ...{ key: check.key, name: check.name, purpose: check.purpose, kind: check.kind, input: check.input },
      ...{ expected: check.expected, surroundings: check.surroundings, comparison: check.comparison },
      ...{ handedIn: check.handed_in, ofAssignment: check.of_assignment, edition: check.edition },
    })),
    layers: found.layers.map((layer) => ({
      ...{
        position: layer.position,
        before: numberOf(layer.version_before) ?? 1,
        after: numberOf(layer.version_after),
      },
      ...{ suggested: layer.verdict, decided: layer.decided, faultyLines: layer.faulty_lines, place: layer.place },
      ...{ placeReason: layer.place_reason, explanation: layer.explanation, fix: layer.fix, firstFix: layer.first_fix },
      ...{ intention: layer.intention, advice: layer.advice, unsaid: layer.unsaid, cause: layer.cause },
      ...{ moment: layer.moment, depends: layer.depends, pattern: layer.pattern },
      suggestedPattern: about.suggested[layer.version_before] ?? null,
      verified: layer.verified,
    })),
    additions: found.additions.map(({ content }) => content),
  };
}

/**
 * The cases that a filter lets through, with all that is recorded. Without `names` no label of a student goes out: programs, messages and notes are
 * gone through as well. `most`: cases that are taken at most.
 */
export async function outgoing(
  database: Pick<Database, "query">,
  filter: CaseFilter,
  { names, most = 5000 }: { names: boolean; most?: number },
): Promise<Outgoing> {
  const keys = (await listCaseKeys(database.query, filter)).slice(0, most);
  const bytes = new Map<string, Uint8Array>();
  const entries: CaseEntry[] = [];
  for (const key of keys) {
    const [found, about] = await Promise.all([findCase(database, key, "all"), aboutCase(database.query, key)]);
    if (!found || !about) continue;
    const own = new Map<string, Uint8Array>();
    const entry = entryOf(found, about, own);
    const clean = names ? { entry, bytes: own } : anonymiser(about.labels)(entry, own);
    entries.push(clean.entry);
    for (const [hash, content] of clean.bytes) bytes.set(hash, content);
  }
  return { entries, bytes };
}

/** Outgoing cases as formats read them. */
export function readEntries({ entries, bytes }: Outgoing): ReadEntry[] {
  const text = (sha256: string) => decodeText(bytes.get(sha256) ?? new Uint8Array()).text;
  return entries.map((entry) => ({ entry, text }));
}
