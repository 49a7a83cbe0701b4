import { existsSync } from "node:fs";
import { readLimits } from "../limits.ts";
import { createPool, type Pool } from "../sandbox/pool.ts";
import { startWarmWorker } from "../sandbox/warmWorker.ts";
import { builtRunners, pythonRunner } from "./builtRunners.ts";
import { copiedRunners, shownFolders } from "./systemNeeds.ts";

/** The interpreter that hosts runs inside the sandbox; part of every Debian system that has one of the debuggers. */
const interpreters = ["/usr/bin/python3", "/usr/local/bin/python3"];
export const hostInterpreter = interpreters.find((path) => existsSync(path));

const megabyte = 1024 * 1024;

/** Workers that run programs of any language by commands. */
export function createWorkbench(): Pool {
  if (!hostInterpreter) throw new Error("python3 is not installed");
  const specification = () => ({
    command: [hostInterpreter, "-B", "-s", "-S", "-m", "bent_nail_sandbox.host", "+tracer", "+crash_place"],
    runners: [
      ...pythonRunner("runners/sandbox/bent_nail_sandbox", "/runner/bent_nail_sandbox"),
      ...copiedRunners().flatMap((name) => pythonRunner(`runners/${name}`, `/runner/${name}`)),
      { folder: builtRunners, inside: "/runner/built" },
    ],
    environment: {
      PATH: "/usr/bin:/bin",
      LANG: "C.UTF-8",
      LC_ALL: "C.UTF-8",
      TZ: "UTC",
      PYTHONPATH: "/runner:/runner/native",
      PYTHONDONTWRITEBYTECODE: "1",
      HOME: "/tmp",
    },
    shown: shownFolders(),
    overheadBytes: 1024 * megabyte,
  });
  const limits = readLimits();
  return createPool(() => startWarmWorker(specification(), limits));
}
