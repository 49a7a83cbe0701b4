import { existsSync, mkdirSync, rmdirSync, writeFileSync } from "node:fs";
import { join } from "node:path";

/**
 * Puts a sandbox into a control group of its own that bounds memory and processes over its whole tree.
 * Works where the server may write control groups (version 1 or 2); elsewhere returns null and the
 * limits kept inside the sandbox (polling of the tree, process limit of the namespace) stand alone.
 */
export type ControlGroup = { remove: () => void };

type Attempt = { folder: string; settings: Record<string, string> };

export function confine(pid: number, memoryBytes: number, processes: number): ControlGroup | null {
  const name = `bent-nail-${process.pid}-${pid}`;
  const attempts: Attempt[] = existsSync("/sys/fs/cgroup/cgroup.controllers")
    ? [{ folder: join("/sys/fs/cgroup", name), settings: { "memory.max": String(memoryBytes), "memory.swap.max": "0", "pids.max": String(processes) } }]
    : [
        { folder: join("/sys/fs/cgroup/memory", name), settings: { "memory.limit_in_bytes": String(memoryBytes) } },
        { folder: join("/sys/fs/cgroup/pids", name), settings: { "pids.max": String(processes) } },
      ];
  const made: string[] = [];
  for (const { folder, settings } of attempts) {
    try {
      mkdirSync(folder);
      made.push(folder);
      for (const [file, value] of Object.entries(settings)) {
        if (existsSync(join(folder, file))) writeFileSync(join(folder, file), value);
      }
      writeFileSync(join(folder, "cgroup.procs"), String(pid));
    } catch {
      // Not writable here: the limits inside the sandbox remain.
    }
  }
  if (made.length === 0) return null;
  return {
    remove: () => {
      for (const folder of made) {
        try {
          rmdirSync(folder);
        } catch {
          // Still in use for a moment after the kill; an empty group costs nothing.
        }
      }
    },
  };
}
