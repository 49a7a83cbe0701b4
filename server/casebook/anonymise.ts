import { createHash } from "node:crypto";
import type { CaseEntry } from "../../core/formats/caseEntry.ts";
import { escapedName } from "../../core/source/escaped.ts";

/** A label of fewer letters stands in too many words to be looked for inside of them. */
const shortest = 2;

/** What stands in the place of the label that comes `at` in the list: letters, so that it may stand in a name as well. */
const standIn = (at: number) => `Student${String(at + 1)}`;

/** Replaces labels in a text, also where one is part of a longer word, in any letter case. */
export function textAnonymiser(labels: readonly string[]): (text: string) => string {
  const wanted = labels
    .map((label, at) => ({ label: label.trim(), by: standIn(at) }))
    .filter(({ label }) => label.length >= shortest)
    // The longest first: of "Ann" and "Anna" the second is no "Ann" with a letter more.
    .sort((one, other) => other.label.length - one.label.length);
  if (wanted.length === 0) return (text) => text;
  const forms = wanted.map(({ label }) => escapedName(label, "[\\s_.-]*"));
  const form = new RegExp(forms.map((each) => `(${each})`).join("|"), "giu");
  return (text) =>
    text.replace(form, (...found: unknown[]) => {
      const at = found.slice(1).findIndex((each) => each !== undefined);
      return wanted[at]?.by ?? "Student";
    });
}

/**
 * Replaces every label of a course in whatever goes out of a case: texts, file names and the bytes of programs, as `textAnonymiser` does. Fields whose
 * words are the product's own (keys, classes, kinds, hashes, dates) are left. Bytes that no longer are what they were get their new SHA-256.
 */
export function anonymiser(labels: readonly string[]) {
  const replace = textAnonymiser(labels);
  /** Keys whose values are the product's own words, or name something else. */
  const own = new Set([
    "key",
    "language",
    "sha256",
    "encoding",
    "kind",
    "class",
    "at",
    "collected",
    "check",
    "version",
    "translator",
    "moment",
    "depends",
    "cause",
    "symptom",
    "outcome",
    "advice",
    "place",
    "result",
    "pattern",
    "suggestedPattern",
    "gate",
  ]);
  const cleaned = (value: unknown, name = ""): unknown => {
    if (typeof value === "string") return own.has(name) ? value : replace(value);
    if (Array.isArray(value)) return value.map((each) => cleaned(each, name));
    if (typeof value === "object" && value !== null)
      return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, cleaned(each, key)]));
    return value;
  };
  return (entry: CaseEntry, bytes: ReadonlyMap<string, Uint8Array>) => {
    const hashes = new Map<string, string>();
    const contents = new Map<string, Uint8Array>();
    for (const [hash, content] of bytes) {
      // Byte for byte, so that what is no text keeps its bytes: labels are looked for in both ways of writing letters beyond ASCII.
      const utf8 = Buffer.from(content).toString("utf8");
      const isUtf8 = Buffer.from(utf8, "utf8").equals(Buffer.from(content));
      const text = isUtf8 ? utf8 : Buffer.from(content).toString("latin1");
      const clean = replace(text);
      const next = clean === text ? content : Buffer.from(clean, isUtf8 ? "utf8" : "latin1");
      const renamed = createHash("sha256").update(next).digest("hex");
      hashes.set(hash, renamed);
      contents.set(renamed, next);
    }
    const clean = cleaned(entry) as CaseEntry;
    const renamed: CaseEntry = {
      ...clean,
      student: null,
      versions: clean.versions.map((version) => ({
        ...version,
        files: version.files.map((file) => ({ ...file, sha256: hashes.get(file.sha256) ?? file.sha256 })),
      })),
    };
    return { entry: renamed, bytes: contents };
  };
}
