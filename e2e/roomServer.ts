import { type ChildProcess, execFileSync, spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Browser, Page } from "@playwright/test";

const root = join(import.meta.dirname, "..");

/** What a room's data holds. */
export type RoomData = {
  course: string;
  sheet: string;
  assignment: string;
  code: string;
  students: Array<{ label: string; code: string }>;
};

/** The name by which everybody in the room reaches the server; the browser is told that it is this machine. */
export const roomName = "room.test";
export const roomArguments = [
  ...["--no-sandbox", "--disable-gpu", "--no-first-run", "--disable-background-networking", "--disable-sync"],
  `--host-resolver-rules=MAP ${roomName} 127.0.0.1`,
];
const password = "kittiwake at the quay";

/** A real server for a room in a process of its own, with new data, which can be killed and started again. */
export async function openRoomServer(port: number) {
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-room-"));
  const said = execFileSync(process.execPath, [join(root, "tools/run-entry.mjs"), "e2e/roomData.ts"], {
    env: { ...process.env, BENT_NAIL_FOLDER: root, BENT_NAIL_ROOM: folder },
    encoding: "utf8",
  });
  const data: RoomData = JSON.parse(said.slice(said.indexOf("{")));
  let child: ChildProcess | null = null;
  const start = () =>
    new Promise<void>((resolve, reject) => {
      const started = spawn(join(root, "bin/bent-nail"), ["serve", "--classroom", "--port", String(port)], {
        env: { ...process.env, BENT_NAIL_DATA: folder, BENT_NAIL_PASSWORD: password, BENT_NAIL_LOG: "silent" },
      });
      child = started;
      started.stdout.on("data", (part) => String(part).includes("Bent Nail is at") && resolve());
      started.stderr.on("data", (part) => reject(new Error(String(part))));
    });
  const end = (signal: "SIGTERM" | "SIGKILL") =>
    new Promise<void>((resolve) => {
      if (!child || child.exitCode !== null) return resolve();
      child.once("exit", () => resolve());
      child.kill(signal);
    });
  await start();
  const base = `http://${roomName}:${port}`;
  return {
    ...{ base, data, start, folder },
    kill: () => end("SIGKILL"),
    close: async () => {
      await end("SIGTERM");
      rmSync(folder, { recursive: true, force: true });
    },
    /** The teacher, who has given the password, in a browser of their own. */
    teacher: async (browser: Browser): Promise<Page> => {
      const page = await (await browser.newContext({ baseURL: base })).newPage();
      await page.goto("/teacher");
      await page.getByLabel("Teacher’s password").fill(password);
      await page.getByRole("button", { name: "Go on" }).click();
      return page;
    },
    /** A student who has signed in, in a browser of their own. */
    student: async (browser: Browser, at: number): Promise<Page> => {
      const page = await (await browser.newContext({ baseURL: base })).newPage();
      await page.goto(`/s/${data.code}`);
      await page.getByLabel("Your label").selectOption(data.students[at]?.label ?? "");
      await page.getByLabel("Your personal code").fill(data.students[at]?.code ?? "");
      await page.getByRole("button", { name: "Begin" }).click();
      return page;
    },
  };
}
