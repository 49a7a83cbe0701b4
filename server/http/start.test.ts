import { type ChildProcess, execFileSync, spawn } from "node:child_process";
import { randomBytes } from "node:crypto";
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { CannotKeep, openDatabase } from "../database/database.ts";
import { ofSystem, StartProblem } from "../database/folder.ts";
import { productFolder } from "../productFolder.ts";

let place = "";
let whole = "";
beforeAll(async () => {
  place = mkdtempSync(join(tmpdir(), "bent-nail-"));
  whole = join(place, "whole");
  await (await openDatabase(join(whole, "database"))).close();
});
afterAll(() => rmSync(place, { recursive: true, force: true }));

/** A data folder with a sound database, under a name of its own. */
function folderOf(name: string): string {
  const folder = join(place, name);
  cpSync(whole, folder, { recursive: true });
  return folder;
}

type Started = { child: ChildProcess; said: string; code: number | null };

/** Starts a real server; resolves when it listens (code null) or has ended. */
function start(folder: string, port = "0", whileStarting?: (child: ChildProcess) => void): Promise<Started> {
  const child = spawn(join(productFolder, "bin/bent-nail"), ["serve", "--port", port], {
    env: { ...process.env, BENT_NAIL_DATA: folder, BENT_NAIL_LOG: "silent" },
  });
  let said = "";
  whileStarting?.(child);
  return new Promise((resolve) => {
    for (const stream of [child.stdout, child.stderr])
      stream.on("data", (part) => {
        said += String(part);
        if (said.includes("Bent Nail is at")) resolve({ child, said, code: null });
      });
    child.once("exit", (code) => resolve({ child, said, code }));
  });
}

async function stop({ child }: Started): Promise<void> {
  const gone = new Promise((resolve) => child.once("exit", resolve));
  child.kill("SIGTERM");
  await gone;
}

/** Processes that a server which has ended left in its control groups, once the system has had the time to clear up. */
async function leftOf(server: number | undefined): Promise<string[]> {
  const root = ["/sys/fs/cgroup/memory", "/sys/fs/cgroup"].find((folder) => existsSync(folder)) ?? "";
  const left = () =>
    readdirSync(root)
      .filter((name) => name.startsWith(`bent-nail-${server}-`))
      .flatMap((name) => readFileSync(join(root, name, "cgroup.procs"), "utf8").split("\n"))
      .filter((id) => id !== "");
  for (let tries = 0; tries < 50 && left().length > 0; tries += 1)
    await new Promise((resolve) => setTimeout(resolve, 100));
  return left();
}

/** One sentence or two for a person: no trace of where in the program it was found. */
function expectWords(started: Started, words: string): void {
  expect(started).toMatchObject({ code: 1, said: expect.stringContaining(words) });
  expect(started.said).toMatch(/^bent-nail: [^\n]+\n$/);
}

test("a database folder that came only in part is refused and left as it is: no empty one is put over it", async () => {
  const folder = folderOf("half");
  rmSync(join(folder, "database/PG_VERSION"));
  rmSync(join(folder, "database/global"), { recursive: true });
  const before = readdirSync(join(folder, "database")).sort();
  expectWords(await start(folder), "is not whole: PG_VERSION, global is missing");
  expect(readdirSync(join(folder, "database")).sort()).toEqual(before);
});

test("damaged data is said to be damaged", async () => {
  const folder = folderOf("damaged");
  writeFileSync(join(folder, "database/global/pg_control"), Buffer.alloc(8192, 7));
  expectWords(await start(folder), "is damaged and cannot be opened");
});

test("a folder with a name far longer than a socket's may be starts again and again, and has one owner", async () => {
  const folder = folderOf(`long/${"deck-loads-of-the-island-ferry-".repeat(5)}`);
  for (let times = 0; times < 2; times += 1) {
    const first = await start(folder);
    expect(first.said).toContain("Bent Nail is at");
    if (times === 0) expectWords(await start(folder), "in use by a Bent Nail server");
    await stop(first);
  }
});

test("a taken port, a file in place of the folder, and a port that is none are said in a sentence", async () => {
  const other = createServer().listen(0, "127.0.0.1");
  await new Promise((resolve) => other.once("listening", resolve));
  const address = other.address();
  const port = typeof address === "object" && address ? address.port : 0;
  expectWords(await start(folderOf("port"), String(port)), `Port ${port} is taken by another program`);
  other.close();
  writeFileSync(join(place, "file"), "");
  expectWords(await start(join(place, "file")), "is no folder");
  const wrong = await start(folderOf("number"), "seven");
  expect([wrong.code, wrong.said]).toEqual([2, expect.stringContaining("whole number")]);
});

test.each([50, 400, 900, 1200, 1500])(
  "SIGTERM %i ms after the start ends it, and the data is sound",
  async (milliseconds) => {
    const folder = folderOf(`ended-${milliseconds}`);
    const started = await start(folder, "0", (child) => setTimeout(() => child.kill("SIGTERM"), milliseconds));
    if (started.child.exitCode === null && started.child.signalCode === null)
      await new Promise((resolve) => started.child.once("exit", resolve));
    // Before its own code runs, the system ends it.
    expect([0, "SIGTERM"]).toContain(started.child.exitCode ?? started.child.signalCode);
    const database = await openDatabase(join(folder, "database"));
    expect(await database.query("select count(*)::int as count from course")).toEqual([{ count: 0 }]);
    await database.close();
    expect(await leftOf(started.child.pid)).toEqual([]);
  },
);

test.each([
  ["ENOSPC", "is full"],
  ["EROFS", "Nothing can be written"],
  ["EACCES", "Nothing can be written"],
  ["ENOTDIR", "is no folder"],
  ["ENAMETOOLONG", "too long"],
])("%s is said in words that tell what to do", (code, words) => {
  expect(ofSystem("/data", Object.assign(new Error(`${code}: no`), { code }))).toContain(words);
  expect(StartProblem.ofOpening("/data", Object.assign(new Error(code), { code })).message).toContain("/data");
});

/** A small disk of its own, where this user may make one; null elsewhere. */
function smallDisk(name: string): string | null {
  const folder = join(place, name);
  mkdirSync(folder);
  try {
    execFileSync("mount", ["-t", "tmpfs", "-o", "size=115m", "tmpfs", folder], { stdio: "ignore" });
    return folder;
  } catch {
    return null;
  }
}

test("a disk that fills up: the person is told, nothing that was confirmed is lost, and it goes on when there is room", async (context) => {
  const folder = smallDisk("small");
  if (folder === null) return context.skip("this user may not mount a small disk");
  try {
    writeFileSync(join(folder, "other"), Buffer.alloc(30 << 20));
    const database = await openDatabase(join(folder, "database"));
    let confirmed = 0;
    const fill = async () => {
      for (; confirmed < 1000; confirmed += 1)
        await database.query("insert into content (hash, bytes) values ($1, $2)", [
          `deck ${confirmed}`,
          randomBytes(200_000),
        ]);
    };
    await expect(fill()).rejects.toThrow(CannotKeep);
    expect(confirmed).toBeGreaterThan(10);
    // Whoever comes now is told the same and waits for nothing.
    await expect(database.query("select 1")).rejects.toThrow("Free some space");
    await expect(database.transaction((query) => query("select 1"))).rejects.toThrow(CannotKeep);
    rmSync(join(folder, "other"));
    await expect
      .poll(
        () =>
          database.query("select 1").then(
            () => "serves",
            () => "full",
          ),
        { timeout: 300_000, interval: 300 },
      )
      .toBe("serves");
    const [row] = (await database.query(
      "select count(*)::int as count from content where hash like 'deck %'",
    )) as Array<{ count: number }>;
    expect(row?.count).toBeGreaterThanOrEqual(confirmed);
    await database.query("insert into content (hash, bytes) values ('later', 'x')");
    await database.close();
  } finally {
    execFileSync("umount", ["-l", folder]);
  }
});
