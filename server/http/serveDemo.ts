import { join } from "node:path";
import { loadDemo } from "../../demo/load.ts";
import { productFolder } from "../productFolder.ts";
import { serve } from "./serve.ts";

/** Serves fresh demo data from a folder of its own: every start begins anew. */
export async function serveDemo(options: { port: number }): Promise<void> {
  const folder = process.env.BENT_NAIL_DEMO_DATA ?? join(productFolder, ".data/demo");
  await serve({ ...options, host: "127.0.0.1", folder, fresh: true, prepare: loadDemo });
}
