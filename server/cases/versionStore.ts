import { createHash } from "node:crypto";
import * as z from "zod";
import type { ToolOutput } from "../../core/cases/case.ts";
import { keptName } from "../../core/languages/recognise.ts";
import type { ProgramFiles } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { Query } from "../database/database.ts";
import { asBytes, asJson, bytesColumn, textBytes, timeColumn } from "../database/rows.ts";
import { newKey } from "../keys.ts";

const headRow = z.object({
  key: z.string(),
  number: z.number(),
  origin: z.string(),
  parent: z.string().nullable(),
  worked: z.boolean(),
  handed_in: z.boolean(),
  /** What the person believed who tried it, and what became of the try; null where it was none. */
  belief: textBytes,
  result: z.enum(["verified", "next fault", "not mended", "open"]).nullable(),
  created_at: timeColumn,
});
const fileRow = z.object({ version: z.string(), name: z.string(), encoding: z.string(), bytes: bytesColumn });
const outputRow = z.object({ key: z.string(), version: z.string(), origin: z.string(), content: textBytes });
const additionRow = z.object({ content: textBytes, created_at: timeColumn });

/** What is known of a version without its text. */
export type VersionHead = z.infer<typeof headRow>;
/** A version with its files; `files[0]` is where the program starts. */
export type Version = VersionHead & {
  files: Array<{ name: string; bytes: Uint8Array; text: string; encoding: string }>;
};
export type KeptOutput = z.infer<typeof outputRow>;
export type Addition = z.infer<typeof additionRow>;

/**
 * Which versions of a case are read with their files: those that are worked on (the current one and those that are said
 * to have worked), these and others by their keys, or all.
 */
export type WantedFiles = "current" | "all" | readonly string[];

export async function listVersions(query: Query, faultyCase: string): Promise<VersionHead[]> {
  return z
    .array(headRow)
    .parse(
      await query(
        "select key, number, origin, parent, worked, handed_in, belief, result, created_at from version where faulty_case = $1 order by number",
        [faultyCase],
      ),
    );
}

/** The files of a case's versions, by version. */
export async function readFiles(
  query: Query,
  faultyCase: string,
  wanted: WantedFiles,
): Promise<ReadonlyMap<string, Version["files"]>> {
  const keys = typeof wanted === "string" ? [] : wanted;
  const rows = await query(
    `select f.version, f.name, f.encoding, c.bytes from version_file f
       join version v on v.key = f.version join content c on c.hash = f.hash join faulty_case k on k.key = v.faulty_case
     where v.faulty_case = $1
       and ($2 or v.worked or v.key = k.current_version or v.key in (select jsonb_array_elements_text($3::jsonb)))
     order by f.version, f.position`,
    [faultyCase, wanted === "all", asJson(keys)],
  );
  const byVersion = new Map<string, Version["files"]>();
  for (const { version, ...file } of z.array(fileRow).parse(rows)) {
    const files = byVersion.get(version) ?? [];
    files.push({ ...file, text: decodeText(file.bytes).text });
    byVersion.set(version, files);
  }
  return byVersion;
}

/** What tools said of a case's versions, in the order in which it was given. */
export async function listOutputs(query: Query, faultyCase: string): Promise<KeptOutput[]> {
  return z.array(outputRow).parse(
    await query(
      `select o.key, o.version, o.origin, o.content from tool_output o join version v on v.key = o.version
         where v.faulty_case = $1 order by v.number, o.position`,
      [faultyCase],
    ),
  );
}

/** What the student added to a hand-in later. */
export async function listAdditions(query: Query, faultyCase: string): Promise<Addition[]> {
  return z
    .array(additionRow)
    .parse(
      await query("select content, created_at from student_addition where faulty_case = $1 order by created_at", [
        faultyCase,
      ]),
    );
}

export async function insertAddition(query: Query, faultyCase: string, content: string): Promise<void> {
  await query("insert into student_addition (key, faulty_case, content) values ($1, $2, $3)", [
    newKey(),
    faultyCase,
    asBytes(content),
  ]);
}

/** Keeps the files of a version by the hash of their bytes. `said`: whether it was handed in, and whether it worked. */
export async function insertVersion(
  query: Query,
  caseKey: string,
  files: ProgramFiles,
  origin: string,
  parent: string | null,
  said: { handedIn?: boolean; worked?: boolean; belief?: string; at?: string } = {},
): Promise<string> {
  const key = newKey();
  await query(
    `insert into version (key, faulty_case, number, origin, parent, handed_in, worked, belief, created_at)
     values ($1, $2, (select coalesce(max(number), 0) + 1 from version where faulty_case = $2), $3, $4, $5, $6, $7, coalesce($8, now()))`,
    [
      ...[key, caseKey, origin, parent, said.handedIn ?? false, said.worked ?? false, asBytes(said.belief ?? "")],
      said.at ?? null,
    ],
  );
  for (const [position, file] of files.entries()) {
    const hash = createHash("sha256").update(file.bytes).digest("hex");
    await query(
      `with kept as (insert into content (hash, bytes) values ($4, $6) on conflict (hash) do nothing)
       insert into version_file (version, position, name, hash, encoding) values ($1, $2, $3, $4, $5)`,
      [key, position, keptName(file.name), hash, decodeText(file.bytes).encoding, file.bytes],
    );
  }
  return key;
}

/** Keeps what became of a try. */
export async function setVersionResult(query: Query, version: string, result: VersionHead["result"]): Promise<void> {
  await query("update version set result = $2 where key = $1", [version, result]);
}

/** Keeps what a tool said of a version, after what is there. */
export async function insertOutput(query: Query, version: string, output: ToolOutput): Promise<void> {
  await query(
    `insert into tool_output (key, version, position, origin, content)
     values ($1, $2, (select coalesce(max(position), -1) + 1 from tool_output where version = $2), $3, $4)`,
    [newKey(), version, output.origin, asBytes(output.text)],
  );
}

/** The version that was handed in last, or null. */
export async function lastHandedIn(query: Query, faultyCase: string): Promise<string | null> {
  const rows = await query(
    "select key from version where faulty_case = $1 and handed_in order by number desc limit 1",
    [faultyCase],
  );
  return rows.length === 0 ? null : z.object({ key: z.string() }).parse(rows[0]).key;
}

/** Says of a version that it worked, or takes that back; what was changed since is then the first suspect. */
export async function setWorked(query: Query, faultyCase: string, version: string, worked: boolean): Promise<void> {
  await query("update version set worked = $3 where key = $2 and faulty_case = $1", [faultyCase, version, worked]);
}

/** The main files of the newest programs that were handed in for an assignment, as text. */
export async function listNewestTexts(
  { query }: { query: Query },
  assignment: string,
  most: number,
): Promise<Array<{ language: string; text: string }>> {
  const rows = await query(
    `select f.language, c.bytes from faulty_case f
       join version_file vf on vf.version = f.current_version and vf.position = 0 join content c on c.hash = vf.hash
     where f.assignment = $1 and f.deleted_at is null order by f.created_at desc limit $2`,
    [assignment, most],
  );
  return z
    .array(z.object({ language: z.string(), bytes: bytesColumn }))
    .parse(rows)
    .map(({ language, bytes }) => ({ language, text: decodeText(bytes).text }));
}
