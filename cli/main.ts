import { Command, CommanderError } from "commander";
import { StartProblem } from "../server/database/folder.ts";
import { FolderInUse } from "../server/database/owner.ts";
import { addBackupCommands } from "./backup.ts";
import { addChecksCommand } from "./checks.ts";
import { addCollectCommand } from "./collect.ts";
import { addDemoCommand } from "./demo.ts";
import { addDrawCommand } from "./draw.ts";
import { addExchangeCommands } from "./exchange.ts";
import { addExerciseCommand } from "./exercise.ts";
import { addHandInCommand } from "./handIn.ts";
import { addJudgeCommand } from "./judge.ts";
import { MaterialProblem } from "./material.ts";
import { addMendCommand } from "./mend.ts";
import { addPatternsCommand } from "./patterns.ts";
import { addPlantCommand } from "./plant.ts";
import { addReadCommand } from "./read.ts";
import { addSeenCommand } from "./seen.ts";
import { addServeCommand } from "./serve.ts";
import { addTraceCommand } from "./trace.ts";
import { addWriteCommand } from "./write.ts";

/** Every command; a new one is one file and one line here. */
const commands = [
  addReadCommand,
  addJudgeCommand,
  addMendCommand,
  addChecksCommand,
  addTraceCommand,
  addWriteCommand,
  addDrawCommand,
  addPlantCommand,
  addExerciseCommand,
  addPatternsCommand,
  addSeenCommand,
  addCollectCommand,
  addHandInCommand,
  addExchangeCommands,
  addBackupCommands,
  addServeCommand,
  addDemoCommand,
];

const program = new Command("bent-nail");
program
  .description("Finds out by evidence what is wrong with a program, and serves the workbench.")
  .exitOverride()
  .showHelpAfterError();
for (const add of commands) add(program);

// Whoever reads the output may have seen enough of it (a pipe to head): that is no problem to speak of.
process.stdout.on("error", (problem: NodeJS.ErrnoException) => {
  if (problem.code === "EPIPE") process.exit(0);
  throw problem;
});

try {
  await program.parseAsync(process.argv);
} catch (problem) {
  if (problem instanceof CommanderError) process.exitCode = problem.exitCode === 0 ? 0 : 2;
  else if (problem instanceof MaterialProblem) {
    process.stderr.write(`bent-nail: ${problem.message}\n`);
    process.exitCode = 1;
  } else if (problem instanceof StartProblem || problem instanceof FolderInUse) {
    process.stderr.write(`bent-nail: ${problem.message}\n`);
    process.exitCode = 1;
  } else throw problem;
}
