import type { Command } from "commander";

/** Adds `bent-nail serve`. */
export function addServeCommand(program: Command): void {
  program
    .command("serve")
    .description("serve the workbench; data in BENT_NAIL_DATA or the user's data folder")
    .option("--port <number>", "port", "4200")
    .option("--host <address>", "address to listen on", "127.0.0.1")
    .action(async (options: { port: string; host: string }) => {
      const { serve } = await import("../server/http/serve.ts");
      await serve({ port: Number(options.port), host: options.host });
    });
}
