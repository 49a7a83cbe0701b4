import { readdir, readFile, stat } from "node:fs/promises";
import { basename, join, relative, sep } from "node:path";
import type { Command } from "commander";
import type { Entry } from "../core/collecting/entries.ts";
import type { Collected } from "../server/collect/collectNow.ts";
import { askRunning, withData } from "./data.ts";
import { MaterialProblem } from "./material.ts";

/** Most files that are read from a folder; what is beyond is said by the limits of a set. */
const mostFiles = 10_001;

async function filesOf(path: string): Promise<Entry[]> {
  const found = await stat(path).catch(() => null);
  if (!found) throw new MaterialProblem(`there is no folder or zip ${path}`);
  if (found.isFile()) return [{ path: basename(path), bytes: await readFile(path) }];
  const entries: Entry[] = [];
  const walk = async (folder: string): Promise<void> => {
    for (const each of await readdir(folder, { withFileTypes: true })) {
      if (entries.length >= mostFiles) return;
      // Links may lead out of the folder; they are not followed.
      if (each.isDirectory()) await walk(join(folder, each.name));
      else if (each.isFile())
        entries.push({
          path: relative(path, join(folder, each.name)).split(sep).join("/"),
          bytes: await readFile(join(folder, each.name)),
        });
    }
  };
  await walk(path);
  return entries;
}

/** Asks the server that has the data; null if none runs. */
async function askServer(
  folder: string,
  course: string,
  entries: readonly Entry[],
  dryRun: boolean,
): Promise<Collected | null> {
  const form = new FormData();
  form.set("course", course);
  if (dryRun) form.set("dryRun", "yes");
  for (const entry of entries) {
    form.append("path", entry.path);
    form.append("file", new Blob([Buffer.from(entry.bytes)]), basename(entry.path));
  }
  const response = await askRunning(folder, "/api/collect", { method: "POST", body: form });
  return response && (await response.json());
}

function table(collected: Collected): string {
  const lines = collected.programs.map(
    (program) =>
      `${program.taken ? "taken  " : "not new"}  ${(program.student || "nobody").padEnd(10)} ${(program.language ?? "?").padEnd(8)} ${program.program}${program.outputs.length > 0 ? `  + ${program.outputs.map((output) => output.path ?? "message at its end").join(", ")}` : ""}${program.joins ? `  next version of ${program.joins}` : ""}${program.sameAs.length > 0 ? `  same as ${program.sameAs.join(", ")}` : ""}`,
  );
  for (const path of collected.unpaired) lines.push(`no program for  ${path}`);
  for (const { path, reason } of collected.refused) lines.push(`not taken  ${path}  ${reason}`);
  return `${lines.join("\n")}\n`;
}

/** Adds `bent-nail collect`. */
export function addCollectCommand(program: Command): void {
  program
    .command("collect")
    .description("take a folder or zip of a class into the Tray, as it is found")
    .argument("<folder-or-zip>", "where the programs are")
    .requiredOption("--course <name>", "the course that they belong to")
    .option("--dry-run", "only say what would be taken")
    .option("--json", "print JSON")
    .action(async (path: string, options: { course: string; dryRun?: boolean; json?: boolean }) => {
      const entries = await filesOf(path);
      const { dataFolder } = await import("../server/http/serve.ts");
      const folder = dataFolder();
      const collected =
        (await askServer(folder, options.course, entries, options.dryRun ?? false)) ??
        (await takeHere(folder, options.course, entries, options.dryRun ?? false));
      process.stdout.write(options.json ? `${JSON.stringify(collected, null, 2)}\n` : table(collected));
    });
}

/** The cases are judged when a server runs next, or when they are opened. */
async function takeHere(
  folder: string,
  course: string,
  entries: readonly Entry[],
  dryRun: boolean,
): Promise<Collected> {
  const { collectNow } = await import("../server/collect/collectNow.ts");
  return withData(folder, async (database) => {
    const result = await collectNow(database, course, entries, dryRun);
    if (!result.ok) throw new MaterialProblem(result.message);
    return result.collected;
  });
}
