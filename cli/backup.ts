import { createWriteStream, existsSync } from "node:fs";
import { rename, rm } from "node:fs/promises";
import { resolve } from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import type { Command } from "commander";
import { askRunning, whereDataIs, withData } from "./data.ts";
import { MaterialProblem } from "./material.ts";

/** Writes everything into a file: by the server that has the data, while people work, or by itself. */
async function backUp(file: string): Promise<void> {
  const folder = await whereDataIs();
  const path = resolve(file);
  const asked = await askRunning(folder, "/backups/now.zip");
  if (asked?.body) {
    const part = `${path}.part`;
    try {
      await pipeline(
        Readable.fromWeb(asked.body as Parameters<typeof Readable.fromWeb>[0]),
        createWriteStream(part, { mode: 0o600 }),
      );
      await rename(part, path);
    } finally {
      await rm(part, { force: true });
    }
  } else {
    const { writeBackup } = await import("../server/backup/writeBackup.ts");
    await withData(folder, (database) => writeBackup(database, path));
  }
  const { planRestore } = await import("../server/backup/restore.ts");
  const { holds } = await planRestore(path, new Map());
  process.stdout.write(`${file} holds ${holds}.\n`);
}

/** Makes the data anew from a file; where there is data, it first says what it would do. */
async function restore(file: string, agreed: boolean): Promise<void> {
  const folder = await whereDataIs();
  if (!existsSync(file)) throw new MaterialProblem(`${file} is not there.`);
  const [{ planRestore, restoreBackup, rowsOfFolder }, { BackupProblem }, { ownFolder, FolderInUse }, { mkdirSync }] =
    await Promise.all([
      import("../server/backup/restore.ts"),
      import("../server/backup/readBackup.ts"),
      import("../server/database/owner.ts"),
      import("node:fs"),
    ]);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const letGo = await ownFolder(folder).catch((problem: unknown) => {
    throw problem instanceof FolderInUse ? new MaterialProblem(`${problem.message} Stop it first.`) : problem;
  });
  try {
    const { holds, madeAt, replaces } = await planRestore(file, await rowsOfFolder(folder));
    process.stdout.write(`The backup of ${madeAt} holds ${holds}.\n`);
    if (replaces !== null && !agreed)
      throw new MaterialProblem(
        `${folder} holds ${replaces}. That would be put aside there, and the backup would take its place. Nothing was changed; to do it, say --yes.`,
      );
    const aside = await restoreBackup(folder, file);
    process.stdout.write(`Restored in ${folder}.${aside ? ` What was there lies beside it as ${aside}.` : ""}\n`);
  } catch (problem) {
    throw problem instanceof BackupProblem ? new MaterialProblem(problem.message) : problem;
  } finally {
    letGo();
  }
}

/** Adds `bent-nail backup`. */
export function addBackupCommand(program: Command): void {
  program
    .command("backup")
    .description("write everything into one file, also while people work")
    .argument("<file>", "the zip to be written")
    .action(backUp);
}

/** Adds `bent-nail restore`. */
export function addRestoreCommand(program: Command): void {
  program
    .command("restore")
    .description("make the data anew from a backup, of this version or an earlier one")
    .argument("<file>", "the zip")
    .option("--yes", "do it although there is data; that is put aside")
    .action((file: string, { yes = false }: { yes?: boolean }) => restore(file, yes));
}
