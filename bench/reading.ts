import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { languages } from "../core/languages/languages.ts";
import { readOutput } from "../core/reading/reading.ts";
import { productFolder } from "../server/productFolder.ts";
import type { Measure } from "./main.ts";

type Row = { language: string; output: string; program: Record<string, string> };

function collection(): Row[] {
  const folder = join(productFolder, "core/languages/collection");
  return readdirSync(folder).flatMap((name) =>
    readFileSync(join(folder, name), "utf8")
      .trim()
      .split("\n")
      .map((line): Row => JSON.parse(line)),
  );
}

/** Outputs of about the given size: one real output, or several of the language, cut at the size. */
function ofSize(rows: readonly Row[], size: number): Row[] {
  return rows.map((row, index) => {
    let output = row.output;
    for (let next = index + 1; output.length < size; next++) output += rows.filter((each) => each.language === row.language)[next % 40]?.output ?? "x\n";
    return { ...row, output: output.slice(0, size) };
  });
}

function milliseconds(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

/** Outputs that would be slow to a reader that goes back and forth: by what they repeat. */
const hostile = [
  "a:1:2:",
  "/a\\b",
  "A.b",
  '  File "deck.py", line 3, in load\n',
  "\tat Deck.load(Deck.java:3)\n",
  "error: x\n\n",
  "1. ERROR in A.java (at line 4)\n",
  "System.AException: a ---> ",
  "\t",
];

/** Reading outputs of 1 KB with their programs, one of 200 KB in each language, and how the time grows with the length. */
export async function benchReading(): Promise<Measure[]> {
  const language = (id: string) => languages.find((each) => each.id === id) ?? languages[0];
  const rows = ofSize(collection(), 1024);
  const read = (row: Row) => {
    const of = language(row.language);
    if (of) readOutput(of, row.output, row.program);
  };
  for (const row of rows) read(row);
  const small = milliseconds(() => {
    for (let round = 0; round < 3; round++) for (const row of rows) read(row);
  });
  let slowest = { time: 0, language: "" };
  for (const each of new Set(rows.map((row) => row.language))) {
    const [row] = ofSize(rows.filter((candidate) => candidate.language === each).slice(0, 1), 200 * 1024);
    if (!row) continue;
    const long = {
      ...row,
      output: rows
        .filter((candidate) => candidate.language === each)
        .map((candidate) => candidate.output)
        .join("\n")
        .repeat(20)
        .slice(0, 200 * 1024),
    };
    read(long);
    const times = [1, 2, 3, 4, 5].map(() => milliseconds(() => read(long))).sort((one, other) => one - other);
    console.log(`  200 KB, ${each}: ${times[2]?.toFixed(1)} ms`);
    if ((times[2] ?? 0) > slowest.time) slowest = { time: times[2] ?? 0, language: each };
  }
  let growth = 0;
  for (const unit of hostile) {
    for (const each of languages) {
      const time = (size: number) => {
        const text = unit.repeat(Math.ceil(size / unit.length));
        readOutput(each, text);
        return Math.min(...[1, 2, 3].map(() => milliseconds(() => readOutput(each, text))));
      };
      const ratio = time(200_000) / Math.max(0.5, time(50_000));
      if (ratio > 6) console.log(`  ${each.id}, ${JSON.stringify(unit)}: ${ratio.toFixed(1)}`);
      growth = Math.max(growth, ratio);
    }
  }
  return [
    { work: "read an output of 1 KB", against: `${rows.length} real outputs`, value: (small * 1000) / (3 * rows.length), unit: "µs", atMost: 200 },
    { work: "read an output of 200 KB, the slowest language", against: slowest.language, value: slowest.time, unit: "ms", atMost: 20 },
    { work: "read four times as much of what repeats", against: "a quarter of it", value: growth, unit: "x", atMost: 8 },
  ];
}
