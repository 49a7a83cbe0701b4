import { createHash } from "node:crypto";
import { comparisonSchema } from "../../core/assignments/comparison.ts";
import { surroundingsSchema } from "../../core/cases/surroundings.ts";
import { type BundleEntry, readBundle } from "../../core/formats/bundle.ts";
import { type CaseEntry, caseEntrySchema } from "../../core/formats/caseEntry.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import { insertCheck } from "../assignments/checkStore.ts";
import { insertCase, noteJudged, setCurrentVersion } from "../cases/caseStore.ts";
import {
  closeLayer,
  insertLayer,
  setAdvice,
  setDecision,
  setFaultFields,
  setFaultWords,
  setFaultyLines,
  setIntention,
  setPattern,
} from "../cases/layerStore.ts";
import { refreshSearchText } from "../cases/searchStore.ts";
import { insertAddition, insertOutput, insertVersion, setVersionResult } from "../cases/versionStore.ts";
import type { Database, Query } from "../database/database.ts";
import { listStudents } from "../people/courseStore.ts";
import { keepCarried, keepImported } from "./entryStore.ts";

/** What was taken in of a bundle. */
export type Imported = { cases: string[]; skipped: string[]; withoutStudent: number };

/** The files of a version, in the order in which they run. */
function filesOf(entry: CaseEntry, number: number, bytes: ReadonlyMap<string, Uint8Array>) {
  const version = entry.versions.find((each) => each.number === number);
  return (version?.files ?? []).map(({ name, sha256 }) => ({ name, bytes: bytes.get(sha256) ?? new Uint8Array() }));
}

/** Keys of an entry that this version does not know. */
function carriedOf(entry: CaseEntry): Record<string, unknown> {
  const known = new Set(Object.keys(caseEntrySchema.shape));
  return Object.fromEntries(Object.entries(entry).filter(([key]) => !known.has(key)));
}

async function insertEntry(
  query: Query,
  entry: CaseEntry,
  bytes: ReadonlyMap<string, Uint8Array>,
  of: { course: string | null; student: string | null },
): Promise<string> {
  const ordered = [...entry.versions].sort((one, other) => one.number - other.number);
  const [first, ...later] = ordered;
  if (!first) throw new Error("an entry without versions");
  const handedIn = entry.checks.find((check) => check.handedIn);
  const key = await insertCase(query, {
    ...{ language: entry.language, course: of.course, student: of.student, title: entry.title, intent: entry.intent },
    ...{
      changedLast: entry.changedLast,
      instead: entry.instead,
      actual: entry.cameOut,
      userActions: entry.userActions,
    },
    ...{ firstLine: entry.firstLine, onlyRead: entry.onlyRead, source: entry.source, symptom: entry.symptom },
    ...{ files: filesOf(entry, first.number, bytes), input: handedIn?.input ?? "", collectedAt: entry.collected },
    ...(handedIn?.expected === null || handedIn === undefined ? {} : { expected: handedIn.expected }),
  });
  const versions = new Map([[first.number, await keepImported(query, key, { ...entry, first })]]);
  const versionOf = (number: number | null) => (number === null ? null : (versions.get(number) ?? null));
  for (const version of later) {
    const { origin, parent, handedIn: isHandedIn, worked, belief, at, result } = version;
    const said = { handedIn: isHandedIn, worked, belief, at };
    const made = await insertVersion(
      query,
      key,
      filesOf(entry, version.number, bytes),
      origin,
      versionOf(parent),
      said,
    );
    versions.set(version.number, made);
    if (result) await setVersionResult(query, made, result);
  }
  for (const { number, outputs } of ordered)
    for (const output of outputs) await insertOutput(query, versions.get(number) ?? "", output);
  const current = versionOf(entry.current);
  if (current) await setCurrentVersion(query, key, current);
  const checks = new Map<string, string>();
  for (const check of entry.checks.filter((each) => each !== handedIn)) {
    const { name, purpose, kind, input, expected } = check;
    const given = { name, purpose, kind, input, expected };
    const [comparison, surroundings] = [
      comparisonSchema.safeParse(check.comparison),
      surroundingsSchema.safeParse(check.surroundings),
    ];
    const made = await insertCheck(
      query,
      { faultyCase: key },
      {
        ...given,
        ...(comparison.success ? { comparison: comparison.data } : {}),
        ...(surroundings.success ? { surroundings: surroundings.data } : {}),
      },
    );
    checks.set(check.key, made);
  }
  for (const layer of [...entry.layers].sort((one, other) => one.position - other.position)) {
    const before = versionOf(layer.before);
    if (!before) continue;
    const made = await insertLayer(query, key, before, layer.suggested);
    if (layer.decided) await setDecision(query, made, layer.decided);
    await setFaultyLines(query, made, layer.faultyLines);
    await setFaultWords(query, made, layer);
    await setAdvice(query, made, layer);
    await setFaultFields(query, made, layer);
    // A kind of mistake of somebody else's own is not known here.
    if (layer.pattern && !layer.pattern.startsWith("own/")) await setPattern(query, made, layer.pattern);
    if (layer.intention !== null) await setIntention(query, made, layer.intention);
    const after = versionOf(layer.after);
    if (after && layer.fix) {
      // What proved it elsewhere was run elsewhere: here it is proved once it is run.
      const verified = {
        version: after,
        checks: [],
        translator: layer.verified?.translator ?? "",
        at: layer.verified?.at ?? entry.collected,
      };
      await closeLayer(query, made, { version: after, fix: layer.fix, firstFix: layer.firstFix, verified });
    }
  }
  if (entry.judged) await noteJudged(query, key);
  for (const addition of entry.additions) await insertAddition(query, key, addition);
  const carried = carriedOf(entry);
  if (Object.keys(carried).length > 0) await keepCarried(query, key, carried);
  await refreshSearchText(query, key);
  return key;
}

/**
 * Takes the cases of a bundle in, all or none: into a course, whose students are found by their labels, or into none. Words where it cannot be read,
 * or where bytes are not what their name says.
 */
export async function importBundle(
  database: Database,
  files: readonly BundleEntry[],
  course: string | null,
): Promise<{ ok: true; imported: Imported } | { ok: false; message: string }> {
  const read = readBundle(files);
  if (!read.ok) return read;
  for (const [hash, content] of read.bytes)
    if (createHash("sha256").update(content).digest("hex") !== hash)
      return {
        ok: false,
        message: "A program of the bundle is not what its name says: it is damaged. Nothing was taken in.",
      };
  const unknown = read.entries.find((entry) => !findLanguage(entry.language));
  if (unknown)
    return {
      ok: false,
      message: `The language “${unknown.language}” of “${unknown.title}” is not known here. Nothing was taken in.`,
    };
  const students = course === null ? [] : await listStudents(database, course);
  let withoutStudent = 0;
  const cases = await database.transaction(async (query) => {
    const made: string[] = [];
    for (const entry of read.entries) {
      const student = students.find(({ label }) => label === entry.student)?.key ?? null;
      if (entry.student !== null && student === null) withoutStudent += 1;
      made.push(await insertEntry(query, entry, read.bytes, { course, student }));
    }
    return made;
  });
  return { ok: true, imported: { cases, skipped: read.skipped, withoutStudent } };
}
