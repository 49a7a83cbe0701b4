import type { Command } from "commander";

/** Adds `bent-nail demo`. */
export function addDemoCommand(program: Command): void {
  program
    .command("demo")
    .description("serve the workbench with fresh demo data in a folder of its own")
    .option("--port <number>", "port", "4200")
    .action(async (options: { port: string }) => {
      const { serveDemo } = await import("../server/http/serveDemo.ts");
      await serveDemo({ port: Number(options.port) });
    });
}
