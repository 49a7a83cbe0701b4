import { afterAll, beforeAll, expect, test } from "vitest";
import { findCase, versionOf } from "../cases/caseStore.ts";
import { findCollection } from "../collect/collectionStore.ts";
import { keepCollection } from "../collect/collections.ts";
import { judgingProgress, startJudging, stopJudging } from "../collect/judging.ts";
import { takeSet } from "../collect/takeSet.ts";
import { judgeVersion } from "../judge/judge.ts";
import { addCourse } from "../people/courseStore.ts";
import { openTestServices } from "../testServices.ts";
import { countToSearch, foundFor, searchAhead, searchJudged, startSearch } from "./findFixes.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices({ searchesSets: true });
});
afterAll(() => services.close());

const programs = {
  "tern_refused.py": "cars = 4\nif cars > 3\n    print('full')\n",
  "gull_stopped.py": "loads = [4, 9]\ntotal = 0\nfor load in loads:\n    total += laod\nprint(total)\n",
  "skua_right.py": "print('the ferry leaves at', 9)\n",
};

/** A set of programs taken in; its cases by the program that they hold. */
async function takenIn(): Promise<{ key: string; cases: Map<string, string> }> {
  const course = await addCourse(services.database, `course ${Math.random()}`, "python");
  const entries = Object.entries(programs).map(([path, text]) => ({ path, bytes: Buffer.from(text) }));
  const taken = await takeSet(services.database, course, entries);
  const collection = taken.ok ? await findCollection(services.database, taken.key) : null;
  if (!collection) throw new Error("no set");
  const cases = new Map<string, string>();
  for (const key of (await keepCollection(services.database, collection)) ?? [])
    cases.set((await whole(key)).loaded[0]?.files[0]?.name ?? "", key);
  return { key: collection.key, cases };
}

async function whole(key: string) {
  const found = await findCase(services.database, key);
  if (!found) throw new Error("no such case");
  return found;
}

async function fixesOf(key: string | undefined) {
  const found = await foundFor(services, await whole(key ?? ""));
  return found && { state: found.state, lines: found.fixes[0]?.lines ?? found.starts[0]?.lines ?? null };
}

test("a set that was judged is looked at by itself, and is ready when its cases are opened", async () => {
  const { key, cases } = await takenIn();
  await startJudging(services, key, [...cases.values()]);
  await services.queue.settled();
  expect(await judgingProgress(services, key)).toEqual({ total: 3, done: 3, state: "done", toSearch: 0 });
  expect(await fixesOf(cases.get("tern_refused.py"))).toEqual({ state: "done", lines: [2] });
  expect(await fixesOf(cases.get("gull_stopped.py"))).toEqual({ state: "done", lines: [4] });
  expect(await fixesOf(cases.get("skua_right.py"))).toEqual({ state: "done", lines: null });
});

test("a case that is opened while it waits with its set comes before the others", async () => {
  const { key, cases } = await takenIn();
  for (const each of cases.values()) await searchJudged(services, each, key);
  const last = await whole([...cases.values()].at(-1) ?? "");
  const priorities = async () => {
    const rows = await services.database.query(
      "select data ->> 'version' as version, priority from pgboss.job where data ->> 'of' = $1 and state = 'created'",
      [key],
    );
    return rows as Array<{ version: string; priority: number }>;
  };
  expect((await priorities()).map((row) => row.priority)).not.toContain(1);
  await searchAhead(services, [last.key]);
  const raised = (await priorities()).filter((row) => row.priority === 1).map((row) => row.version);
  expect(raised).toEqual([last.current_version]);
  await stopJudging(services, key);
  await services.queue.settled();
});

test("stopping a set takes what nobody began to look at out of the work; an opened case is looked at all the same", async () => {
  const { key, cases } = await takenIn();
  for (const each of cases.values()) await searchJudged(services, each, key);
  expect(await countToSearch(services, key)).toBeGreaterThan(0);
  await stopJudging(services, key);
  await services.queue.settled();
  expect(await countToSearch(services, key)).toBe(0);
  const right = cases.get("skua_right.py") ?? "";
  expect(await fixesOf(right)).toBe(null);
  const faulty = await whole(cases.get("tern_refused.py") ?? "");
  await startSearch(
    services,
    faulty,
    await judgeVersion(services, faulty, versionOf(faulty, faulty.current_version)),
    true,
  );
  await services.queue.settled();
  expect(await fixesOf(faulty.key)).toEqual({ state: "done", lines: [2] });
});

test("a server that is told to leave sets alone looks at nothing by itself", async () => {
  const { key, cases } = await takenIn();
  const quiet = { ...services, searchesSets: false };
  for (const each of cases.values()) await searchJudged(quiet, each, key);
  expect(await countToSearch(services, key)).toBe(0);
});
