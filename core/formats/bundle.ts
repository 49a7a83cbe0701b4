import * as z from "zod";
import { type CaseEntry, caseEntrySchema } from "./caseEntry.ts";

/** The newest version of the container that is read; it goes up when a part means something else than before. */
export const bundleVersion = 1;

/**
 * The container of bundles, backups and sheets: a zip with this file at its root, a folder for each part, and bytes under `bytes/` by their SHA-256.
 * Keys that are not known are kept.
 */
export const bundleFileSchema = z.looseObject({
  format: z.literal("bent-nail-bundle"),
  version: z.number().int().positive(),
  made: z.string(),
  /** Whether labels of students stand in it. */
  names: z.boolean(),
  parts: z.array(
    z.looseObject({ kind: z.string(), folder: z.string().regex(/^[a-z][a-z-]{0,40}$/), count: z.number().int() }),
  ),
});
export type BundleFile = z.infer<typeof bundleFileSchema>;

/** A file of a container. */
export type BundleEntry = { path: string; bytes: Uint8Array };

/** Cases as the files of a bundle: one JSON object a line, and the bytes of their programs. */
export function writeBundle(
  { entries, bytes }: { entries: readonly CaseEntry[]; bytes: ReadonlyMap<string, Uint8Array> },
  { names, made }: { names: boolean; made: string },
): BundleEntry[] {
  const head: BundleFile = {
    ...{ format: "bent-nail-bundle", version: bundleVersion, made, names },
    parts: [{ kind: "cases", folder: "cases", count: entries.length }],
  };
  const encoded = (text: string) => new TextEncoder().encode(text);
  return [
    { path: "bundle.json", bytes: encoded(`${JSON.stringify(head, null, 2)}\n`) },
    { path: "cases/cases.jsonl", bytes: encoded(entries.map((entry) => `${JSON.stringify(entry)}\n`).join("")) },
    ...[...bytes].map(([hash, content]) => ({ path: `bytes/${hash}`, bytes: content })),
  ];
}

/** What a bundle holds, or why it cannot be read, in words. `skipped`: parts of kinds that this version does not know. */
export type ReadBundle =
  | { ok: true; head: BundleFile; entries: CaseEntry[]; bytes: Map<string, Uint8Array>; skipped: string[] }
  | { ok: false; message: string };

const decoded = (bytes: Uint8Array) => new TextDecoder("utf-8").decode(bytes);

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

const refused = (message: string): ReadBundle => ({ ok: false, message });

/** Reads the files of a bundle. Newer versions are refused, in words; what else is wrong is said with the case that it is about. */
export function readBundle(files: readonly BundleEntry[]): ReadBundle {
  const byPath = new Map(files.map(({ path, bytes }) => [path, bytes]));
  const headFile = byPath.get("bundle.json");
  if (!headFile) return refused("This is no bundle of Bent Nail: it has no bundle.json.");
  const raw = parsed(decoded(headFile));
  const version = z.looseObject({ format: z.literal("bent-nail-bundle"), version: z.number() }).safeParse(raw);
  if (!version.success) return refused("Its bundle.json is not one of Bent Nail, or is damaged.");
  if (version.data.version > bundleVersion)
    return refused(
      `This bundle was made by a newer version of Bent Nail (its format is ${version.data.version}, this one reads up to ${bundleVersion}). Nothing was taken in.`,
    );
  const head = bundleFileSchema.safeParse(raw);
  if (!head.success) return refused(`Its bundle.json is damaged: ${z.prettifyError(head.error)}`);
  const entries: CaseEntry[] = [];
  const bytes = new Map<string, Uint8Array>();
  for (const part of head.data.parts.filter(({ kind }) => kind === "cases")) {
    const text = byPath.get(`${part.folder}/cases.jsonl`);
    if (!text) return refused(`The part “${part.folder}” is missing in it.`);
    const lines = decoded(text).split("\n");
    for (const [at, line] of lines.entries()) {
      if (line.trim() === "") continue;
      const entry = caseEntrySchema.safeParse(parsed(line));
      if (!entry.success)
        return refused(`Case ${at + 1} of the bundle cannot be read: ${z.prettifyError(entry.error)}`);
      for (const { sha256 } of entry.data.versions.flatMap(({ files: of }) => of)) {
        const content = byPath.get(`bytes/${sha256}`);
        if (!content) return refused(`A program of case ${at + 1} (“${entry.data.title}”) is missing in the bundle.`);
        bytes.set(sha256, content);
      }
      entries.push(entry.data);
    }
    if (entries.length !== part.count)
      return refused(`The bundle says that it holds ${part.count} cases and holds ${entries.length}: it is damaged.`);
  }
  const skipped = head.data.parts.map(({ kind }) => kind).filter((kind) => kind !== "cases");
  return { ok: true, head: head.data, entries, bytes, skipped };
}

/** The schema of a case of a bundle, as JSON Schema (2020-12). */
export function bundleJsonSchema() {
  return {
    ...z.toJSONSchema(caseEntrySchema, { io: "input", unrepresentable: "any" }),
    title: "A case of a Bent Nail bundle: a line of cases/cases.jsonl",
  };
}
