import {
  closeSync,
  existsSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  rmdirSync,
  writeFileSync,
} from "node:fs";
import { join } from "node:path";
import { setTimeout } from "node:timers/promises";

/**
 * A control group that bounds memory and processes over the whole tree of a sandbox. `entrances` are open descriptors,
 * one for each controller: a process that writes 0 into them is in the group from then on, with all that it starts. The
 * caller closes them by `closeEntrances`.
 */
export type ControlGroup = { entrances: number[]; closeEntrances: () => void; remove: () => Promise<void> };

const prefix = "bent-nail-";
/**
 * Pauses between tries to take an emptied group away, in milliseconds; the kernel takes its time to let the last
 * process go.
 */
const pauses = [0, 5, 20, 100, 400, 1000];
/** The pause after which what still stands in the group of a sandbox that has ended is ended, in milliseconds. */
const patience = 20;
let made = 0;

type Attempt = { folder: string; settings: Record<string, string> };

/** Where groups are made on this system (version 2 or 1 of control groups). */
function hierarchies(root: string): { one: string | null; memory: string; processes: string } {
  return existsSync(join(root, "cgroup.controllers"))
    ? { one: root, memory: root, processes: root }
    : { one: null, memory: join(root, "memory"), processes: join(root, "pids") };
}

/**
 * Takes away the groups that servers left behind which do not run any more. Empty ones only: the kernel keeps the
 * others.
 */
export function sweepGroups(root = "/sys/fs/cgroup"): void {
  const { memory, processes } = hierarchies(root);
  for (const folder of new Set([memory, processes])) {
    if (!existsSync(folder)) continue;
    for (const name of readdirSync(folder)) {
      const owner = name.startsWith(prefix) ? Number(name.slice(prefix.length).split("-")[0]) : Number.NaN;
      if (Number.isInteger(owner) && owner !== process.pid && !existsSync(`/proc/${owner}`))
        tryToRemove(join(folder, name));
    }
  }
}

function tryToRemove(folder: string): boolean {
  try {
    rmdirSync(folder);
    return true;
  } catch {
    return !existsSync(folder);
  }
}

/** Ends every process that stands in a group. */
function endAllIn(folder: string): void {
  try {
    for (const line of readFileSync(join(folder, "cgroup.procs"), "utf8").split("\n"))
      if (/^[1-9]\d*$/.test(line)) process.kill(Number(line), "SIGKILL");
  } catch {
    // It has ended meanwhile, or the group is gone.
  }
}

let swept = false;

/**
 * Makes a group with the given limits, to be entered before the sandbox starts. Null where the server may not write
 * control groups: the limits kept inside the sandbox (polling of the tree, process limit of the namespace) stand alone
 * there.
 */
export function makeGroup(memoryBytes: number, processes: number, root = "/sys/fs/cgroup"): ControlGroup | null {
  if (!swept) {
    swept = true;
    sweepGroups(root);
  }
  made += 1;
  const name = `${prefix}${process.pid}-${made}`;
  const places = hierarchies(root);
  const memory = { "memory.max": String(memoryBytes), "memory.swap.max": "0" };
  const attempts: Attempt[] =
    places.one !== null
      ? [{ folder: join(places.one, name), settings: { ...memory, "pids.max": String(processes) } }]
      : [
          { folder: join(places.memory, name), settings: { "memory.limit_in_bytes": String(memoryBytes) } },
          { folder: join(places.processes, name), settings: { "pids.max": String(processes) } },
        ];
  const folders: string[] = [];
  const entrances: number[] = [];
  for (const { folder, settings } of attempts) {
    try {
      mkdirSync(folder);
      folders.push(folder);
      for (const [file, value] of Object.entries(settings))
        if (existsSync(join(folder, file))) writeFileSync(join(folder, file), value);
      entrances.push(openSync(join(folder, "cgroup.procs"), "w"));
    } catch {
      // Not writable here: the limits inside the sandbox remain.
    }
  }
  if (folders.length === 0) return null;
  return {
    entrances,
    closeEntrances: () => {
      for (const descriptor of entrances.splice(0)) closeSync(descriptor);
    },
    remove: async () => {
      let left = folders;
      for (const pause of pauses) {
        await setTimeout(pause);
        left = left.filter((folder) => !tryToRemove(folder));
        if (left.length === 0) return;
        // What is left of a sandbox that was ended while the kernel made its namespaces does not end by itself.
        if (pause >= patience) for (const folder of left) endAllIn(folder);
      }
    },
  };
}
