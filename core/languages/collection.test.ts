import { readdirSync, readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { describe, expect, test } from "vitest";
import * as z from "zod";
import type { Diagnostic } from "../outcome/outcome.ts";
import { findLanguage } from "./languages.ts";

/**
 * Outputs of the real tools on programs with planted faults, and the truth from each tool's machine-readable mode
 * (tools/outputs).
 */
const rowSchema = z.object({
  family: z.string(),
  language: z.string(),
  what: z.string(),
  program: z.record(z.string(), z.string()),
  output: z.string(),
  truth: z.array(
    z.object({
      severity: z.string(),
      file: z.string().nullish(),
      line: z.number().nullish(),
      column: z.number().nullish(),
      message: z.string().optional(),
      errorName: z.string().optional(),
      /** "primary", "first" or "any": which of the messages it is about; absent: each stands for one, in order. */
      only: z.enum(["primary", "first", "any"]).optional(),
    }),
  ),
});
type Row = z.infer<typeof rowSchema>;
type Truth = Row["truth"][number];

const folder = join(dirname(fileURLToPath(import.meta.url)), "collection");
const families = readdirSync(folder)
  .filter((name) => name.endsWith(".jsonl"))
  .map((name) => ({
    name,
    rows: readFileSync(join(folder, name), "utf8")
      .trim()
      .split("\n")
      .map((line) => rowSchema.parse(JSON.parse(line))),
  }));

/** What a message gets wrong, in words; "" if all is right. A column counts where the output shows one. */
function wrong(found: Diagnostic | undefined, truth: Truth): string {
  if (!found) return "not found";
  const differs: string[] = [];
  const compare = (what: string, got: unknown, want: unknown) => {
    if (want !== undefined && want !== null && want !== "" && got !== want)
      differs.push(`${what} ${JSON.stringify(got)} for ${JSON.stringify(want)}`);
  };
  compare("severity", found.severity, truth.severity);
  compare("file", found.file, truth.file);
  compare("line", found.line, truth.line && truth.line > 0 ? truth.line : undefined);
  if (found.column !== undefined && truth.column && truth.column > 0) compare("column", found.column, truth.column);
  compare("name", found.errorName, truth.errorName);
  // The compiler's own object gives names with their packages; Octave's gives the place once more; 3.11's leaves its
  // suggestion out.
  const plain = (text: string | undefined) =>
    text
      ?.replace(/\s+/g, " ")
      .replace(/\b(?:[a-z]\w*\.)+(?=[A-Z])/g, "")
      .replace(/ near line \d+, column \d+/, "")
      .replace(/\. Did you mean: '\w+'\?$/, "")
      .trim();
  compare("message", plain(found.message), plain(truth.message));
  return differs.join(", ");
}

function mistakes(row: Row): string[] {
  const found = findLanguage(row.language)?.readMessages(row.output, row.program) ?? [];
  const only = row.truth[0]?.only;
  const truth = row.truth[0];
  if (only && truth) {
    const looked =
      only === "primary" ? found.filter((each) => each.primary) : only === "first" ? found.slice(0, 1) : found;
    const results = looked.map((each) => wrong(each, truth));
    return results.includes("") ? [] : [results[0] ?? "nothing found"];
  }
  // A tool may order its messages otherwise in its two modes; each counts once.
  const left = [...found];
  const results = row.truth.flatMap((each, index) => {
    const right = left.findIndex((candidate) => wrong(candidate, each) === "");
    if (right < 0) return [wrong(found[index], each)];
    left.splice(right, 1);
    return [];
  });
  if (found.length > row.truth.length) results.push(`${found.length} messages for ${row.truth.length}`);
  return results;
}

describe.each(families)("$name", ({ rows }) => {
  test("holds enough outputs", () => expect(rows.length).toBeGreaterThanOrEqual(36));

  test("line, column and message are right in at least 99.5 % of what the tool told", () => {
    const all = rows.reduce((sum, row) => sum + row.truth.length, 0);
    const failed = rows.flatMap((row) =>
      mistakes(row).map((words) => `${row.family}, ${row.what}: ${words}\n${row.output.slice(0, 600)}`),
    );
    if (process.env.BENT_NAIL_FIGURES)
      process.stdout.write(`${rows[0]?.family}: ${all - failed.length} of ${all} right, ${rows.length} outputs\n`);
    expect(1 - failed.length / all, failed.slice(0, 4).join("\n---\n")).toBeGreaterThanOrEqual(0.995);
  });
});
