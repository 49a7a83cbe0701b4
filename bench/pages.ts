import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { collectCase } from "../server/cases/caseStore.ts";
import { serve } from "../server/http/serve.ts";
import type { Services } from "../server/services.ts";
import type { Measure } from "./measure.ts";
import { againstEmptyQuery } from "./yardsticks.ts";

const cases = 20_000;
const port = 4399;

/** A program of four lines with a word of its own, so that a search finds one, some or all of them. */
function program(number: number): string {
  const harbour = ["puffin", "razorbill", "guillemot", "fulmar"][number % 4];
  return `deck = ${number}\n${harbour}_${number % 100} = 3\nprint("Load:", deck + ${harbour}_${number % 100})\nprint("Crossing ${number}")\n`;
}

/**
 * Server time of the case page, of the Casebook and of its search with 20 000 cases, one user, against a query that does
 * nothing; and how the list's size answers to their number.
 */
export async function benchPages(): Promise<Measure[]> {
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-bench-"));
  const keys: string[] = [];
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
          files: [{ name: "deck.py", bytes: Buffer.from(program(number)) }],
          input: "",
          expected: `Load: ${number}\n`,
          symptom: null,
        }),
      );
    }
  };
  process.env.BENT_NAIL_LOG = "silent";
  await serve({ port, host: "127.0.0.1", folder, load: fill });
  const base = `http://127.0.0.1:${port}`;
  const pages = {
    "case page": `/cases/${keys[2500]}`,
    "a case while working through the Tray": `/cases/${keys[2500]}?through=tray`,
    Casebook: "/casebook",
    "Casebook's last page": `/casebook?page=${Math.ceil(cases / 25) - 1}`,
    "search that finds all": "/casebook?text=crossing",
    "search that finds one of a hundred": "/casebook?text=puffin_44",
    "search that finds one": `/casebook?text=crossing+${cases - 77}`,
    "search that finds none": "/casebook?text=gannet",
    Tray: "/",
    "groups of the Tray that fail alike": "/alike?through=tray",
  };
  const measures: Measure[] = [];
  for (const [work, path] of Object.entries(pages)) {
    const { time, query, value } = await againstEmptyQuery(40, async () => (await fetch(base + path)).text());
    console.log(`${work} with ${cases} cases: ${time.toFixed(1)} ms (p95); an empty query ${query.toFixed(2)} ms`);
    measures.push({
      work: `${work} with ${cases} cases, p95`,
      against: "empty query",
      value,
      unit: "x",
      atMost: 200,
    });
  }
  const rows = ((await (await fetch(`${base}/casebook`)).text()).match(/Put away: /g) ?? []).length;
  rmSync(folder, { recursive: true, force: true });
  return [
    ...measures,
    { work: "rows on the Casebook's page", against: `${cases} cases`, value: rows, unit: "rows", atMost: 25 },
  ];
}
