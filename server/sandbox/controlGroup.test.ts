import { spawn } from "node:child_process";
import { accessSync, constants, existsSync, readdirSync, writeSync } from "node:fs";
import { expect, test } from "vitest";
import { makeGroup } from "./controlGroup.ts";

const root = existsSync("/sys/fs/cgroup/cgroup.controllers") ? "/sys/fs/cgroup" : "/sys/fs/cgroup/pids";
const mayGroup = (() => {
  try {
    accessSync(root, constants.W_OK);
    return true;
  } catch {
    return false;
  }
})();

const own = () => readdirSync(root).filter((name) => name.startsWith(`bent-nail-${process.pid}-`));

test.runIf(mayGroup)("what still stands in a group when its sandbox is over is ended, and the group goes", async () => {
  const others = own();
  const group = makeGroup(1 << 28, 20);
  if (!group) throw new Error("no group");
  const child = spawn("/bin/sh", ["-c", "read go; exec sleep 600"], { stdio: ["pipe", "ignore", "ignore"] });
  const ended = new Promise<string | null>((resolve) => child.on("exit", (_, signal) => resolve(signal)));
  for (const entrance of group.entrances) writeSync(entrance, String(child.pid));
  group.closeEntrances();
  child.stdin.end("go\n");
  expect(own()).toHaveLength(others.length + 1);
  await group.remove();
  expect(await ended).toBe("SIGKILL");
  expect(own()).toEqual(others);
});

test("where no group can be made there is none, and nothing is thrown", () => {
  expect(makeGroup(1 << 28, 20, "/proc/no such place")).toBeNull();
});
