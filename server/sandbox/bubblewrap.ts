import { type ChildProcess, spawn } from "node:child_process";
import { closeSync, existsSync, openSync, readdirSync } from "node:fs";
import { join } from "node:path";
import type { ControlGroup } from "./controlGroup.ts";

/** The unprivileged user that programs run as when the server itself runs as root. */
const unprivilegedUser = 64_001;

/** Folders of the host that hold translators and their libraries; all read-only inside. */
const systemFolders = ["/usr", "/lib", "/lib64", "/bin", "/etc/alternatives", "/etc/ld.so.cache"];

/** A running sandbox. */
export type SandboxProcess = ChildProcess;

export type SandboxSpecification = {
  /** Program and arguments, by their path inside the sandbox. */
  command: readonly string[];
  /** Folders of the product whose files are copied in, and where they appear inside. */
  runners: ReadonlyArray<{ folder: string; inside: string }>;
  environment: Readonly<Record<string, string>>;
  /** Folders of the system's settings that are shown inside, beside those that every program sees. */
  shown?: readonly string[];
  /** Memory that the control group allows beyond a program's own limit; 192 MiB if not given. */
  overheadBytes?: number;
};

/** The path of bubblewrap on this machine, or null. */
export function findBubblewrap(): string | null {
  return ["/usr/bin/bwrap", "/usr/local/bin/bwrap"].find((path) => existsSync(path)) ?? null;
}

/**
 * Enters the control groups whose open descriptors are 3, 4 ... (as many as $1 says), closes them, and becomes the
 * command behind.
 */
const enterGroups =
  'n=$1; shift; if [ $n -gt 0 ]; then echo 0 >&3; fi; if [ $n -gt 1 ]; then echo 0 >&4; fi; if [ $n -gt 0 ]; then exec 3>&- 4>&-; fi; exec "$@"';

/**
 * Starts a command inside bubblewrap: no network, read-only system, nothing else of the host, own process tree that
 * dies with this server. The runner's files are handed over as open descriptors, so the unprivileged user needs no
 * right to the folder the product lies in. They are copied into the sandbox's own root, which is read-only then: a mount
 * for each of them would be made and taken down again with the namespaces of every job. Descriptors 0 and 1 are pipes to the
 * caller, 2 collects complaints. All of it is in the control group from before its start.
 */
export function startInSandbox(
  bubblewrap: string,
  specification: SandboxSpecification,
  group: ControlGroup | null = null,
): SandboxProcess {
  const files = specification.runners.flatMap(({ folder, inside }) =>
    readdirSync(folder, { withFileTypes: true })
      .filter((entry) => entry.isFile())
      .map((entry) => ({ from: join(folder, entry.name), to: `${inside}/${entry.name}` })),
  );
  const descriptors = files.map((file) => openSync(file.from, "r"));
  const entrances = group?.entrances ?? [];
  const copies = files.flatMap((file, index) => {
    const descriptor = String(index + 3 + entrances.length);
    return ["--perms", "0444", "--file", descriptor, file.to];
  });
  const environment = Object.entries(specification.environment).flatMap(([name, value]) => ["--setenv", name, value]);
  const folders = [...systemFolders, ...(specification.shown ?? [])]
    .filter((folder) => existsSync(folder))
    .flatMap((folder) => ["--ro-bind", folder, folder]);
  const root = process.getuid?.() === 0;
  try {
    return spawn(
      "/bin/sh",
      [
        ...["-c", enterGroups, "sandbox", String(entrances.length), bubblewrap],
        ...[
          "--unshare-all",
          "--die-with-parent",
          "--new-session",
          "--cap-drop",
          "ALL",
          "--clearenv",
          "--hostname",
          "workbench",
        ],
        ...folders,
        ...["--proc", "/proc", "--dev", "/dev", "--tmpfs", "/tmp", "--dir", "/case"],
        ...copies,
        ...environment,
        ...["--chdir", "/", "--remount-ro", "/", "--remount-ro", "/dev", "--"],
        ...specification.command,
      ],
      {
        stdio: ["pipe", "pipe", "pipe", ...entrances, ...descriptors],
        env: {},
        ...(root ? { uid: unprivilegedUser, gid: unprivilegedUser } : {}),
      },
    );
  } finally {
    for (const descriptor of descriptors) closeSync(descriptor);
    group?.closeEntrances();
  }
}
