import type { Entry } from "../collecting/entries.ts";
import { decodeText } from "../source/decode.ts";
import type { FileCheck } from "./assignmentFile.ts";

/** Endings of what is typed in and of what should come out; files of one name belong together. */
const inputEnding = /\.in$/i;
const outputEnding = /\.(?:out|ans)$/i;

/** Checks that were read of files, with the names of those that belong to nothing. */
export type ReadCheckFiles = { checks: FileCheck[]; leftOver: string[] };

/** The name of a check: its file's without the ending, in natural order ("2" before "10"). */
const byName = new Intl.Collator("en", { numeric: true }).compare;

/** Reads checks from files: NAME.in is what is typed in, NAME.out or NAME.ans what should come out. */
export function readCheckFiles(entries: readonly Entry[]): ReadCheckFiles {
  const outputs = new Map<string, Entry>();
  for (const entry of entries)
    if (outputEnding.test(entry.path)) outputs.set(entry.path.replace(outputEnding, ""), entry);
  const used = new Set<string>();
  const text = (entry: Entry | undefined) => (entry ? decodeText(entry.bytes).text : null);
  const checks: FileCheck[] = [];
  for (const entry of [...entries].sort((one, other) => byName(one.path, other.path))) {
    if (!inputEnding.test(entry.path)) continue;
    const stem = entry.path.replace(inputEnding, "");
    const output = outputs.get(stem);
    used.add(entry.path);
    if (output) used.add(output.path);
    checks.push({
      name: (stem.split("/").at(-1) ?? stem).slice(0, 120),
      ...{ input: text(entry) ?? "", expected: text(output), pieces: null, surroundings: {} },
      ...{ kind: "normal", purpose: "", visible: false, confirmed: true, comparison: {} },
    });
  }
  // Numbers that stand before every name, in their order, only keep that order.
  const numbered = checks.every((check, index) => check.name.startsWith(`${String(index + 1).padStart(2, "0")} `));
  if (numbered) for (const check of checks) check.name = check.name.replace(/^\d+ /, "");
  return { checks, leftOver: entries.map((entry) => entry.path).filter((path) => !used.has(path)) };
}

/** A name for a file that holds no sign that a system does not take. */
function fileName(name: string, index: number): string {
  const plain = name.replace(/[^\p{L}\p{N} ._-]+/gu, "-").replace(/^[. ]+|[. ]+$/g, "");
  return `${String(index + 1).padStart(2, "0")} ${plain || "check"}`;
}

/** Writes checks as files, NAME.in with NAME.out, numbered so that they come back in their order. */
export function writeCheckFiles(checks: ReadonlyArray<Pick<FileCheck, "name" | "input" | "expected">>): Entry[] {
  const encoder = new TextEncoder();
  return checks.flatMap(({ name, input, expected }, index) => {
    const stem = fileName(name, index);
    return [
      { path: `${stem}.in`, bytes: encoder.encode(input) },
      ...(expected === null ? [] : [{ path: `${stem}.out`, bytes: encoder.encode(expected) }]),
    ];
  });
}
