import { Command, CommanderError } from "commander";
import { StartProblem } from "../server/database/folder.ts";
import { FolderInUse } from "../server/database/owner.ts";
import { MaterialProblem } from "./material.ts";

/**
 * Every command by its name; a new one is one file and one line here. Only the file of the command that is asked for is
 * loaded: all of them bring the whole product along.
 */
const commands: Readonly<Record<string, () => Promise<(program: Command) => void>>> = {
  read: async () => (await import("./read.ts")).addReadCommand,
  judge: async () => (await import("./judge.ts")).addJudgeCommand,
  mend: async () => (await import("./mend.ts")).addMendCommand,
  checks: async () => (await import("./checks.ts")).addChecksCommand,
  trace: async () => (await import("./trace.ts")).addTraceCommand,
  write: async () => (await import("./write.ts")).addWriteCommand,
  draw: async () => (await import("./draw.ts")).addDrawCommand,
  plant: async () => (await import("./plant.ts")).addPlantCommand,
  exercise: async () => (await import("./exercise.ts")).addExerciseCommand,
  patterns: async () => (await import("./patterns.ts")).addPatternsCommand,
  seen: async () => (await import("./seen.ts")).addSeenCommand,
  collect: async () => (await import("./collect.ts")).addCollectCommand,
  "hand-in": async () => (await import("./handIn.ts")).addHandInCommand,
  export: async () => (await import("./exchange.ts")).addExportCommand,
  import: async () => (await import("./exchange.ts")).addImportCommand,
  backup: async () => (await import("./backup.ts")).addBackupCommand,
  restore: async () => (await import("./backup.ts")).addRestoreCommand,
  serve: async () => (await import("./serve.ts")).addServeCommand,
  demo: async () => (await import("./demo.ts")).addDemoCommand,
};

/**
 * Runs one command by its arguments, the first of which names it; it writes to the process's own streams. The exit code: 1
 * for what is wrong with the material, 2 for wrong use. Throws what is a fault of our own.
 */
export async function runCommand(given: readonly string[]): Promise<number> {
  const program = new Command("bent-nail");
  program
    .description("Finds out by evidence what is wrong with a program, and serves the workbench.")
    .exitOverride()
    .showHelpAfterError();
  // Without a name that is known, what there is has to be told: all of them.
  const asked = commands[given[0] ?? ""];
  for (const load of asked ? [asked] : Object.values(commands)) (await load())(program);
  try {
    await program.parseAsync([...given], { from: "user" });
    return 0;
  } catch (problem) {
    if (problem instanceof CommanderError) return problem.exitCode === 0 ? 0 : 2;
    if (problem instanceof MaterialProblem || problem instanceof StartProblem || problem instanceof FolderInUse) {
      process.stderr.write(`bent-nail: ${problem.message}\n`);
      return 1;
    }
    throw problem;
  }
}
