import { existsSync, renameSync, rmSync } from "node:fs";
import { writeFile } from "node:fs/promises";
import { join } from "node:path";
import { log } from "../log.ts";
import { planRestore, restoreBackup } from "./restore.ts";

/** A backup that was handed in by a page, and the same once it was agreed to. */
const handedIn = (folder: string) => join(folder, "restore-asked.zip");
const agreed = (folder: string) => join(folder, "restore-at-start.zip");
const failed = (folder: string) => join(folder, "restore-failed.zip");

/**
 * Lays a backup by until somebody agrees to what it would do. Throws BackupProblem where it is none; then, as where it
 * cannot be written, nothing is laid by.
 */
export async function layBy(folder: string, bytes: Uint8Array): Promise<void> {
  const part = `${handedIn(folder)}.part`;
  try {
    await writeFile(part, bytes, { mode: 0o600 });
    await planRestore(part, new Map());
    renameSync(part, handedIn(folder));
  } finally {
    rmSync(part, { force: true });
  }
}

/** The backup that was laid by, and whether it takes the data's place at the next start. */
export function waitingBackup(folder: string): { path: string; agreed: boolean } | null {
  if (existsSync(agreed(folder))) return { path: agreed(folder), agreed: true };
  return existsSync(handedIn(folder)) ? { path: handedIn(folder), agreed: false } : null;
}

/** Has what was laid by take the data's place at the next start. False where nothing is laid by. */
export function agreeToWaiting(folder: string): boolean {
  if (!existsSync(handedIn(folder))) return false;
  renameSync(handedIn(folder), agreed(folder));
  return true;
}

/** Takes away what was laid by, agreed to or not. */
export function forgetWaiting(folder: string): void {
  rmSync(handedIn(folder), { force: true });
  rmSync(agreed(folder), { force: true });
}

/**
 * Restores the backup that was agreed to, before the data is opened. Where that does not work, the data stays as it is, and
 * the backup is put aside.
 */
export async function restoreWaiting(folder: string): Promise<void> {
  const path = agreed(folder);
  if (!existsSync(path)) return;
  try {
    const aside = await restoreBackup(folder, path);
    rmSync(path);
    process.stdout.write(
      `The backup is restored. ${aside ? `What was here before lies in ${join(folder, aside)}.` : ""}\n`,
    );
  } catch (problem) {
    renameSync(path, failed(folder));
    log.error({ err: problem }, "the backup was not restored");
    const why = problem instanceof Error ? problem.message : String(problem);
    process.stdout.write(`The backup was not restored: ${why} The data is as it was.\n`);
  }
}
