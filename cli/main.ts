import { runCommand } from "./command.ts";

// Whoever reads the output may have seen enough of it (a pipe to head): that is no problem to speak of.
process.stdout.on("error", (problem: NodeJS.ErrnoException) => {
  if (problem.code === "EPIPE") process.exit(0);
  throw problem;
});

// A command that goes on in spite of something says so itself.
process.exitCode = (await runCommand(process.argv.slice(2))) || process.exitCode;
