import { join } from "node:path";
import type { Command } from "commander";
import { productFolder } from "../server/productFolder.ts";
import { addRoomOptions, portNumber, serveOptions } from "./serve.ts";

/** Adds `bent-nail demo`. */
export function addDemoCommand(program: Command): void {
  addRoomOptions(
    program
      .command("demo")
      .description("serve the workbench with fresh demo data in a folder of its own")
      .option("--port <number>", "port", portNumber, 4200),
  ).action(async (options: { port: number }) => {
    const [{ serve }, { loadDemo }] = await Promise.all([import("../server/http/serve.ts"), import("../demo/load.ts")]);
    const folder = process.env.BENT_NAIL_DEMO_DATA ?? join(productFolder, ".data/demo");
    await serve({ ...serveOptions({ ...options, host: "127.0.0.1" }), folder, fresh: true, load: loadDemo });
  });
}
