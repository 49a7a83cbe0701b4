import { type Command, InvalidArgumentError } from "commander";

/** A port as it is typed. */
export function portNumber(text: string): number {
  const number = Number(text);
  if (!Number.isInteger(number) || number < 0 || number > 65_535)
    throw new InvalidArgumentError("a whole number from 0 to 65535 is needed");
  return number;
}

/** Adds `bent-nail serve`. */
export function addServeCommand(program: Command): void {
  program
    .command("serve")
    .description("serve the workbench; data in BENT_NAIL_DATA or the user's data folder")
    .option("--port <number>", "port", portNumber, 4200)
    .option("--host <address>", "address to listen on", "127.0.0.1")
    .action(async (options: { port: number; host: string }) => {
      const { serve } = await import("../server/http/serve.ts");
      await serve({ port: options.port, host: options.host });
    });
}
