import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { collectCase } from "../server/cases/caseStore.ts";
import { serve } from "../server/http/serve.ts";
import type { Services } from "../server/services.ts";
import type { Measure } from "./measure.ts";
import { againstEmptyQuery } from "./yardsticks.ts";

const cases = 20_000;
const rounds = 40;
const port = 4397;
const base = `http://127.0.0.1:${port}`;

/** A program that stops in its last line, each with a name of its own. */
const program = (number: number) =>
  `loads = [4, ${number}]\ntotal = 0\nfor load in loads:\n    total += load\nprint(totl_${number % 100})\n`;

/** Which revision of a case its page was made from; 0 where it does not say. */
const revisionIn = (page: string) => /name="revision"[^>]* value="(\d+)"/.exec(page)?.[1] ?? "0";

/**
 * Server time of the two keys of working through the Tray with 20 000 cases: the one that goes to the next case, and the
 * one that accepts what is proposed and reads the page anew. The cases are judged before, as they are behind the page in
 * a walk. Throws where something is not accepted: a refusal would be quick.
 */
export async function benchWorking(): Promise<Measure[]> {
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-bench-"));
  const keys: string[] = [];
  const fill = async ({ database }: Services) => {
    for (let number = 0; number < cases; number++)
      keys.push(
        await collectCase(database, {
          ...{ language: "python", course: null, student: null, title: `Deck load ${number}`, intent: "" },
          ...{ changedLast: "", input: "", expected: `${number + 4}\n`, symptom: null },
          files: [{ name: "deck.py", bytes: Buffer.from(program(number)) }],
        }),
      );
  };
  process.env.BENT_NAIL_LOG = "silent";
  await serve({ port, host: "127.0.0.1", folder, load: fill });
  const addressOf = (at: number, suffix = "") => `${base}/cases/${keys[at]}${suffix}?through=tray`;
  const revisions: string[] = [];
  for (let at = 0; at < rounds + 10; at++) {
    await (await fetch(addressOf(at))).text();
    revisions.push(revisionIn(await (await fetch(addressOf(at))).text()));
  }
  let at = 0;
  const next = await againstEmptyQuery(rounds, async () => (await fetch(addressOf(at++, ".data"))).text());
  at = 0;
  const accepted = await againstEmptyQuery(rounds, async () => {
    const body = new URLSearchParams({
      ...{ intent: "accept", class: "runtime", kind: "", lines: "[5]", fix: "", revision: revisions[at] ?? "" },
    });
    const answer = await fetch(addressOf(at, ".data"), { method: "POST", body, headers: { Origin: base } });
    const said = await answer.text();
    if (!said.includes("Accepted: class and line.")) throw new Error(`${answer.status}: ${said.slice(0, 500)}`);
    await (await fetch(addressOf(at++, ".data"))).text();
  });
  const both = { "the next case": next, "accepting, and the page anew": accepted };
  rmSync(folder, { recursive: true, force: true });
  return Object.entries(both).map(([name, { time, query, value }]) => {
    console.log(`${name}, ${cases} cases: ${time.toFixed(1)} ms (p95); an empty query ${query.toFixed(2)} ms`);
    const work = `${name}, working through ${cases} cases, p95`;
    return { work, against: "empty query", value, unit: "x", atMost: 200 };
  });
}
