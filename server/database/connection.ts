import { readFile } from "node:fs/promises";
import { join } from "node:path";
import { Worker } from "node:worker_threads";
import { bundle } from "../../tools/run-source.mjs";
import { productFolder } from "../productFolder.ts";
import { DatabaseError } from "./errors.ts";

type Kind = "query" | "exec" | "dump" | "close";
type Reply = { id: number; rows?: unknown[]; error?: { message: string; code?: string; constraint?: string } };

/** The embedded database in its thread. `ask` rejects if the statement fails, or if the thread has ended. */
export type Connection = {
  ask: (kind: Kind, sql: string, values: readonly unknown[]) => Promise<unknown[]>;
  /** False once the thread has ended or its data could not be written any more. */
  isSound: () => boolean;
  /** Ends the thread at once; what was confirmed is in the folder. */
  drop: () => Promise<void>;
};

/** What the database or the system says when a disk is full or takes no more (errno ENOSPC, EDQUOT, EROFS, EIO). */
const cannotWrite =
  /No space left on device|Disk quota exceeded|Read-only file system|I\/O error|Input\/output error|ENOSPC|EDQUOT|EROFS|\bEIO\b/i;

/** PostgreSQL's codes of the same: disk_full, io_error, read_only_sql_transaction. */
const cannotWriteCodes: readonly string[] = ["53100", "58030", "25006"];

/** True if an error says that the disk takes no more. */
export function saysDiskFull(problem: unknown): boolean {
  if (problem instanceof DatabaseError && cannotWriteCodes.includes(problem.code)) return true;
  return problem instanceof Error && cannotWrite.test(problem.message);
}

let machine: Promise<{ database: WebAssembly.Module; maker: WebAssembly.Module }> | undefined;
/** The database's machine code, made once for all threads of the process that open one; where it is there, `connect` begins its thread at once. */
export function databaseMachine() {
  const compile = async (name: string) =>
    WebAssembly.compile(await readFile(join(productFolder, "node_modules/@electric-sql/pglite/dist", name)));
  machine ??= Promise.all([compile("pglite.wasm"), compile("initdb.wasm")]).then(
    ([database, maker]) => ({ database, maker }),
    (problem: unknown) => {
      // What failed once may be there the next time the data is opened anew.
      machine = undefined;
      throw problem;
    },
  );
  return machine;
}

/**
 * Opens the database of a folder (null: in memory, from a dumped `template` if one is named) in a thread of its own.
 */
export async function connect(folder: string | null, template: string | null): Promise<Connection> {
  const worker = new Worker(await bundle("server/database/worker.ts"), {
    workerData: { folder, template, machine: await databaseMachine() },
  });
  const waiting = new Map<number, { resolve: (rows: unknown[]) => void; reject: (reason: Error) => void }>();
  let lastId = 0;
  let failed: Error | null = null;
  const fail = (problem: Error) => {
    failed ??= problem;
    for (const each of waiting.values()) each.reject(problem);
    waiting.clear();
  };
  worker.on("error", fail);
  worker.on("exit", () => fail(new Error("the database is closed")));
  worker.on("message", (reply: Reply) => {
    const asker = waiting.get(reply.id);
    waiting.delete(reply.id);
    if (reply.error === undefined) return void asker?.resolve(reply.rows ?? []);
    const { message, code, constraint } = reply.error;
    const problem = new DatabaseError(message, code, constraint);
    asker?.reject(problem);
    // After such an error the database answers nothing any more; whoever waits would wait for ever.
    if (saysDiskFull(problem)) fail(problem);
  });
  const connection: Connection = {
    isSound: () => failed === null,
    drop: async () => void (await worker.terminate()),
    ask: (kind, sql, values) =>
      new Promise((resolve, reject) => {
        if (failed) return reject(failed);
        const id = ++lastId;
        waiting.set(id, { resolve, reject });
        worker.postMessage({ id, kind, sql, values });
      }),
  };
  try {
    await new Promise<unknown[]>((resolve, reject) => waiting.set(0, { resolve, reject }));
  } catch (problem) {
    await worker.terminate();
    throw problem;
  }
  return connection;
}
