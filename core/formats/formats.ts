import { casesCsv } from "./caseCsv.ts";
import type { ReadEntry } from "./caseEntry.ts";
import { casesMarkdown } from "./caseMarkdown.ts";
import { casesPatch } from "./casePatch.ts";
import { casesSarif } from "./caseSarif.ts";

/** A text format that cases go out in; `suffix` of a file's name. */
export type CaseFormat = {
  id: string;
  words: string;
  suffix: string;
  type: string;
  write: (entries: readonly ReadEntry[]) => string;
};

/** Every text format of cases; a new one is one file and one entry here. Bundles are no text (bundle.ts). */
export const caseFormats: readonly CaseFormat[] = [
  { id: "csv", words: "table (CSV)", suffix: "csv", type: "text/csv", write: casesCsv },
  {
    id: "sarif",
    words: "results with fixes (SARIF 2.1.0)",
    suffix: "sarif",
    type: "application/sarif+json",
    write: (entries) => `${JSON.stringify(casesSarif(entries), null, 2)}\n`,
  },
  { id: "diff", words: "fixes (unified diff)", suffix: "patch", type: "text/x-diff", write: casesPatch },
  { id: "markdown", words: "entries (Markdown)", suffix: "md", type: "text/markdown", write: casesMarkdown },
];
