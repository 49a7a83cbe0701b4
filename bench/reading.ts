import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { languages } from "../core/languages/languages.ts";
import { readOutput } from "../core/reading/reading.ts";
import { productFolder } from "../server/productFolder.ts";
import type { Measure } from "./measure.ts";
import { milliseconds, plainPass } from "./yardsticks.ts";

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
    for (let next = index + 1; output.length < size; next++)
      output += rows.filter((each) => each.language === row.language)[next % 40]?.output ?? "x\n";
    return { ...row, output: output.slice(0, size) };
  });
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

/**
 * Reading outputs of 1 KB with their programs, one of 200 KB in each language, and how the time grows with the length.
 */
export async function benchReading(): Promise<Measure[]> {
  const language = (id: string) => languages.find((each) => each.id === id) ?? languages[0];
  const rows = ofSize(collection(), 1024);
  const read = (row: Row) => {
    const of = language(row.language);
    if (of) readOutput(of, row.output, row.program);
  };
  for (const row of rows) {
    read(row);
    plainPass(row.output);
  }
  // In turn, so that both see the same machine.
  let [small, smallPass] = [0, 0];
  for (let round = 0; round < 3; round++) {
    for (const row of rows) {
      small += milliseconds(() => read(row));
      smallPass += milliseconds(() => void plainPass(row.output));
    }
  }
  console.log(
    `  1 KB: ${((small * 1000) / (3 * rows.length)).toFixed(0)} µs, a plain pass ${((smallPass * 1000) / (3 * rows.length)).toFixed(1)} µs`,
  );
  let slowest = { ratio: 0, language: "" };
  for (const each of new Set(rows.map((row) => row.language))) {
    const ofLanguage = rows.filter((candidate) => candidate.language === each);
    const [row] = ofLanguage;
    if (!row) continue;
    const output = ofLanguage
      .map((candidate) => candidate.output)
      .join("\n")
      .repeat(20)
      .slice(0, 200 * 1024);
    const long = { ...row, output };
    read(long);
    const median = (work: () => void) =>
      [1, 2, 3, 4, 5].map(() => milliseconds(work)).sort((one, other) => one - other)[2] ?? 0;
    const time = median(() => read(long));
    const pass = median(() => void plainPass(output));
    console.log(`  200 KB, ${each}: ${time.toFixed(1)} ms, a plain pass ${pass.toFixed(2)} ms`);
    if (time / pass > slowest.ratio) slowest = { ratio: time / pass, language: each };
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
    {
      work: `read an output of 1 KB with its program (${rows.length} real ones)`,
      against: "plain pass over the output",
      value: small / smallPass,
      unit: "x",
      atMost: 40,
    },
    {
      work: `read an output of 200 KB, the slowest language (${slowest.language})`,
      against: "plain pass over the output",
      value: slowest.ratio,
      unit: "x",
      atMost: 40,
    },
    {
      work: "read four times as much of what repeats",
      against: "a quarter of it",
      value: growth,
      unit: "x",
      atMost: 8,
    },
  ];
}
