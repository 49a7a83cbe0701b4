import { readFile, writeFile } from "node:fs/promises";
import { parentPort, workerData } from "node:worker_threads";
import { PGlite, types } from "@electric-sql/pglite";
import { pg_trgm } from "@electric-sql/pglite/contrib/pg_trgm";
import * as z from "zod";
import { preparing } from "./prepared.ts";

/** The thread that PGlite lives in: a long query blocks this thread and not the server. */
const settings = z
  .object({
    folder: z.string().nullable(),
    template: z.string().nullable(),
    machine: z.object({ database: z.instanceof(WebAssembly.Module), maker: z.instanceof(WebAssembly.Module) }),
  })
  .parse(workerData);
const requestSchema = z.object({
  id: z.number(),
  kind: z.enum(["query", "exec", "dump", "close"]),
  sql: z.string(),
  values: z.array(z.unknown()),
});

/** What PGlite throws: fields of the error message of PostgreSQL's protocol (its manual, 53.8). */
const errorSchema = z.object({ message: z.string(), code: z.string().optional(), constraint: z.string().optional() });

/**
 * Bytes cross as hexadecimal digits; PGlite's own way of making and reading them takes half a second for a megabyte,
 * during which nobody else is served.
 */
const bytes = {
  serializers: {
    [types.BYTEA]: (value: unknown) =>
      `\\x${(value instanceof Uint8Array ? Buffer.from(value.buffer, value.byteOffset, value.byteLength) : Buffer.from(String(value))).toString("hex")}`,
  },
  parsers: {
    [types.BYTEA]: (text: string) => new Uint8Array(Buffer.from(text.slice(2), "hex")),
    // As text: whoever asked for it parses it by a schema (rows.ts).
    [types.JSONB]: (text: string) => text,
  },
};
const template = settings.template === null ? {} : { loadDataDir: new Blob([await readFile(settings.template)]) };
const database = await PGlite.create({
  ...(settings.folder === null ? template : { dataDir: settings.folder }),
  ...bytes,
  extensions: { pg_trgm },
  pgliteWasmModule: settings.machine.database,
  initdbWasmModule: settings.machine.maker,
});
const asking = preparing(database);
parentPort?.postMessage({ id: 0, rows: [] });

parentPort?.on("message", async (message: unknown) => {
  const { id, kind, sql, values } = requestSchema.parse(message);
  try {
    if (kind === "close") {
      await database.close();
      parentPort?.postMessage({ id, rows: [] });
    } else if (kind === "dump") {
      await writeFile(sql, Buffer.from(await (await database.dumpDataDir("none")).arrayBuffer()));
      parentPort?.postMessage({ id, rows: [] });
    } else if (kind === "exec") {
      await asking.exec(sql);
      parentPort?.postMessage({ id, rows: [] });
    } else {
      parentPort?.postMessage({ id, rows: await asking.query(sql, values) });
    }
  } catch (problem) {
    const said = errorSchema.safeParse(problem);
    parentPort?.postMessage({ id, error: said.success ? said.data : { message: String(problem) } });
  }
});
