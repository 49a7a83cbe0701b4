import { spawn } from "node:child_process";
import { once } from "node:events";
import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { productFolder } from "../productFolder.ts";
import { FolderInUse, ownFolder } from "./owner.ts";

let folder = "";
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), "bent-nail-"));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

/** Starts a real server on the folder and waits until it says its address or ends. */
function startServer(): Promise<{ kill: () => Promise<void>; said: string; ended: boolean }> {
  const child = spawn(join(productFolder, "bin/bent-nail"), ["serve", "--port", "0"], {
    env: { ...process.env, BENT_NAIL_DATA: folder, BENT_NAIL_LOG: "silent" },
  });
  let said = "";
  const exited = once(child, "exit");
  return new Promise((resolve) => {
    const done = (ended: boolean) =>
      resolve({
        said,
        ended,
        kill: async () => {
          child.kill("SIGKILL");
          await exited;
        },
      });
    child.stdout.on("data", (part) => {
      said += String(part);
      if (said.includes("Bent Nail is at")) done(false);
    });
    child.stderr.on("data", (part) => {
      said += String(part);
    });
    child.once("exit", () => done(true));
  });
}

test("a second server on the same data says so and ends; one that was killed leaves nothing in the way", async () => {
  const first = await startServer();
  expect(first.ended).toBe(false);
  const second = await startServer();
  expect(second.ended).toBe(true);
  expect(second.said).toContain("in use by a Bent Nail server");
  await first.kill();
  const third = await startServer();
  expect(third.said).toContain("Bent Nail is at");
  await third.kill();
});

test("within one process the folder is owned once and can be let go", async () => {
  const letGo = await ownFolder(join(folder, "other"));
  await expect(ownFolder(join(folder, "other"))).rejects.toThrow(FolderInUse);
  letGo();
  (await ownFolder(join(folder, "other")))();
});

test("a server killed in the middle of saving keeps everything that it had confirmed", async () => {
  const server = await startServer();
  expect([server.ended, server.said]).toEqual([false, expect.stringContaining("Bent Nail is at")]);
  const base = /http:\/\/[^/\s]+/.exec(server.said)?.[0] ?? "";
  const confirmed: string[] = [];
  const save = async (name: string) => {
    const response = await fetch(`${base}/courses`, {
      method: "POST",
      redirect: "manual",
      body: new URLSearchParams({ intent: "begin", name, language: "python" }),
    });
    if (response.status === 302) confirmed.push(name);
  };
  const saving = (async () => {
    for (let number = 0; number < 10_000; number++)
      await Promise.all([save(`course ${number} a`), save(`course ${number} b`)]);
  })().catch(() => undefined);
  // However slow the machine is: it is killed when some are saved and more are being saved.
  while (confirmed.length <= 5) await new Promise((resolve) => setTimeout(resolve, 20));
  await server.kill();
  await saving;
  const again = await startServer();
  const page = await (await fetch(`${/http:\/\/[^/\s]+/.exec(again.said)?.[0]}/courses`)).text();
  await again.kill();
  expect(confirmed.filter((name) => !page.includes(`>${name}<`))).toEqual([]);
});
