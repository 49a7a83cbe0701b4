import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { serve } from "../server/http/serve.ts";
import type { Services } from "../server/services.ts";
import { collectCase } from "../server/stores/cases.ts";
import type { Measure } from "./main.ts";

const cases = 5000;
const port = 4399;

async function percentile95(address: string): Promise<{ time: number; length: number }> {
  const times: number[] = [];
  let length = 0;
  for (let round = 0; round < 45; round++) {
    const start = performance.now();
    const text = await (await fetch(address)).text();
    times.push(performance.now() - start);
    length = text.length;
  }
  const warm = times.slice(5).sort((one, other) => one - other);
  return { time: warm[Math.floor(warm.length * 0.95)] ?? Number.POSITIVE_INFINITY, length };
}

/** Server time of the case page and of the Casebook with 5 000 cases, one user; and how the list's size answers to their number. */
export async function benchPages(): Promise<Measure[]> {
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-bench-"));
  const keys: string[] = [];
  let few = 0;
  const fill = async ({ database }: Services) => {
    for (let number = 0; number < cases; number++) {
      keys.push(
        await collectCase(database, {
          language: "python",
          course: null,
          student: null,
          title: `Deck load ${number}`,
          intent: "Add up the loads on the deck.",
          changedLast: "",
          files: [{ name: "deck.py", bytes: Buffer.from(`deck = ${number}\ncar = 3\nprint("Load:", deck + car)\n`) }],
          input: "",
          expected: `Load: ${number}\n`,
          symptom: null,
        }),
      );
      if (number === 29) few = keys.length;
    }
  };
  process.env.BENT_NAIL_LOG = "silent";
  await serve({ port, host: "127.0.0.1", folder, prepare: fill });
  const base = `http://127.0.0.1:${port}`;
  const list = await percentile95(`${base}/casebook`);
  const page = await percentile95(`${base}/cases/${keys[2500]}`);
  const last = await percentile95(`${base}/casebook?page=199`);
  console.log(
    `with ${cases} cases: Casebook ${list.time.toFixed(1)} ms, its last page ${last.time.toFixed(1)} ms, case page ${page.time.toFixed(1)} ms (p95); list ${Math.round(list.length / 1024)} KiB from ${few} shown or more`,
  );
  rmSync(folder, { recursive: true, force: true });
  const rows = ((await (await fetch(`${base}/casebook`)).text()).match(/Put away: /g) ?? []).length;
  return [
    { work: "case page with 5 000 cases, p95", against: "one user", value: page.time, unit: "ms", atMost: 100 },
    { work: "Casebook with 5 000 cases, p95", against: "one user", value: Math.max(list.time, last.time), unit: "ms", atMost: 100 },
    { work: "rows on the Casebook's page", against: "5 000 cases", value: rows, unit: "rows", atMost: 25 },
  ];
}
