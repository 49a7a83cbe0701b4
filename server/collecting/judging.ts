import { z } from "zod";
import { judgeVersion, versionOf } from "../casework.ts";
import type { Services } from "../services.ts";
import { findCase } from "../stores/cases.ts";
import { findCollection } from "./collections.ts";

/** How far the judging of a set is. */
export type JudgingProgress = { total: number; done: number; state: "running" | "stopped" | "done" };

/** The app is bundled apart from the server, so both find the running work through the process. */
const place: unique symbol = Symbol.for("bent-nail.judging");
const holder = globalThis as typeof globalThis & { [place]?: Map<string, JudgingProgress> };

function running(): Map<string, JudgingProgress> {
  holder[place] ??= new Map();
  return holder[place];
}

/** Cases that are worked on at once; the desk gives turns to people in between. */
const atOnce = 3;

/** Judges the cases of a set but those that are judged already, one after another behind the pages. What is judged is kept as runs, so that a later start goes on where this one was. */
export function startJudging(services: Services, collection: string, cases: readonly string[], judged: readonly string[] = []): void {
  const waiting = cases.filter((key) => !judged.includes(key));
  const progress: JudgingProgress = { total: cases.length, done: cases.length - waiting.length, state: "running" };
  running().set(collection, progress);
  const work = async () => {
    for (let key = waiting.shift(); key !== undefined; key = waiting.shift()) {
      if (progress.state !== "running") return;
      // One program that cannot be judged keeps none of the others from it; its own page says why.
      await services.toolchains.desk
        .behind("collection", async () => {
          const found = await findCase(services.database, key);
          if (found && found.deleted_at === null) await judgeVersion(services, found, versionOf(found, found.current_version));
        })
        .catch(() => undefined);
      progress.done += 1;
    }
  };
  void Promise.all(Array.from({ length: atOnce }, work)).then(async () => {
    if (progress.state !== "running") return;
    progress.state = "done";
    await services.database.query("update collection set state = 'judged' where key = $1", [collection]).catch(() => undefined);
  });
}

/** Stops the judging of a set; what is in the Tray stays there and is judged when it is looked at. */
export async function stopJudging(services: Services, collection: string): Promise<void> {
  const progress = running().get(collection);
  if (progress) progress.state = "stopped";
  await services.database.query("update collection set state = 'stopped' where key = $1 and state = 'kept'", [collection]);
}

/** Those of some cases that have been judged: a run of them is kept. */
async function judgedOf(services: Services, cases: readonly string[]): Promise<string[]> {
  const rows = await services.database.query(
    "select distinct v.faulty_case as key from run r join version v on v.key = r.version where v.faulty_case in (select json_array_elements_text($1::json))",
    [JSON.stringify(cases)],
  );
  return z
    .array(z.object({ key: z.string() }))
    .parse(rows)
    .map((row) => row.key);
}

/** How far a set is: from the work that goes on, else from what was kept of it. */
export async function judgingProgress(services: Services, key: string): Promise<JudgingProgress | null> {
  const known = running().get(key);
  if (known) return known;
  const collection = await findCollection(services.database, key);
  if (!collection || collection.state === "open") return null;
  return {
    total: collection.cases.length,
    done: (await judgedOf(services, collection.cases)).length,
    state: collection.state === "judged" ? "done" : "stopped",
  };
}

/** Goes on with sets whose judging was cut off by the end of the server. */
export async function resumeJudging(services: Services): Promise<void> {
  const rows = z
    .array(z.object({ key: z.string(), cases: z.string() }))
    .parse(await services.database.query("select key, cases from collection where state = 'kept'"));
  for (const row of rows) {
    const cases = z.array(z.string()).parse(JSON.parse(row.cases));
    startJudging(services, row.key, cases, await judgedOf(services, cases));
  }
}
