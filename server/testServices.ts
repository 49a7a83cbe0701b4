import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync } from "node:fs";
import { join } from "node:path";
import { openDatabase } from "./database/database.ts";
import { productFolder } from "./productFolder.ts";
import type { Services } from "./services.ts";
import { createToolchains } from "./toolchains/toolchains.ts";
import { createTraceCache } from "./traceCache.ts";

/** Services as a running server has them, on a database in memory: for tests. The empty tables are loaded from a dump kept between runs. */
export async function openTestServices(): Promise<Services & { close: () => Promise<void> }> {
  const migrations = join(productFolder, "db/migrations");
  const hash = createHash("sha256");
  for (const name of readdirSync(migrations).sort()) hash.update(readFileSync(join(migrations, name)));
  const folder = join(productFolder, "node_modules/.cache/bent-nail");
  const template = join(folder, `empty-${hash.digest("hex").slice(0, 16)}.tar`);
  if (!existsSync(template)) {
    mkdirSync(folder, { recursive: true });
    const fresh = await openDatabase(null);
    await fresh.dump(`${template}.${process.pid}`);
    await fresh.close();
    renameSync(`${template}.${process.pid}`, template);
  }
  const services: Services = { database: await openDatabase(null, template), toolchains: createToolchains(), traces: createTraceCache() };
  return {
    ...services,
    close: async () => {
      await services.toolchains.close();
      await services.database.close();
    },
  };
}
