import { Worker } from "node:worker_threads";
import { bundle } from "../../tools/run-source.mjs";
import { migrate } from "./migrate.ts";

/** Runs one statement with $1, $2 ... and gives its rows, to be parsed by a schema. */
export type Query = (sql: string, values?: readonly unknown[]) => Promise<unknown[]>;

/** The one way to the data. Statements are PostgreSQL's dialect, so that a server could stand behind it too. */
export type Database = {
  query: Query;
  /** Several statements without values. */
  exec: (sql: string) => Promise<void>;
  /** Everything in `work` happens, or nothing of it. Other queries wait meanwhile. */
  transaction: <Result>(work: (query: Query) => Promise<Result>) => Promise<Result>;
  /** Writes the whole database into a file that can serve as a template. */
  dump: (file: string) => Promise<void>;
  close: () => Promise<void>;
};

type Reply = { id: number; rows?: unknown[]; error?: string };

/** Opens the embedded database in a folder (null: in memory, from a dumped `template` if one is named) and brings its tables up to date. */
export async function openDatabase(folder: string | null, template: string | null = null): Promise<Database> {
  const worker = new Worker(await bundle("server/database/worker.ts"), { workerData: { folder, template } });
  const waiting = new Map<number, { resolve: (rows: unknown[]) => void; reject: (reason: Error) => void }>();
  let lastId = 0;
  let failed: Error | null = null;
  const fail = (problem: Error) => {
    failed = problem;
    for (const each of waiting.values()) each.reject(problem);
    waiting.clear();
  };
  worker.on("error", fail);
  worker.on("exit", () => fail(new Error("the database is closed")));
  worker.on("message", (reply: Reply) => {
    const asker = waiting.get(reply.id);
    waiting.delete(reply.id);
    if (reply.error !== undefined) asker?.reject(new Error(reply.error));
    else asker?.resolve(reply.rows ?? []);
  });
  const ready = new Promise<unknown[]>((resolve, reject) => waiting.set(0, { resolve, reject }));

  const ask = (kind: "query" | "exec" | "dump" | "close", sql: string, values: readonly unknown[]): Promise<unknown[]> =>
    new Promise((resolve, reject) => {
      if (failed) return reject(failed);
      const id = ++lastId;
      waiting.set(id, { resolve, reject });
      worker.postMessage({ id, kind, sql, values });
    });

  // One connection: whoever holds a transaction keeps the others waiting.
  let line: Promise<unknown> = Promise.resolve();
  const inTurn = <Result>(work: () => Promise<Result>): Promise<Result> => {
    const turn = line.then(work, work);
    line = turn.catch(() => undefined);
    return turn;
  };
  const direct: Query = (sql, values = []) => ask("query", sql, values);

  const database: Database = {
    query: (sql, values = []) => inTurn(() => direct(sql, values)),
    exec: (sql) => inTurn(async () => void (await ask("exec", sql, []))),
    transaction: (work) =>
      inTurn(async () => {
        await ask("exec", "begin", []);
        try {
          const result = await work(direct);
          await ask("exec", "commit", []);
          return result;
        } catch (problem) {
          await ask("exec", "rollback", []);
          throw problem;
        }
      }),
    dump: (file) => inTurn(async () => void (await ask("dump", file, []))),
    close: () =>
      inTurn(async () => {
        await ask("close", "", []);
        await worker.terminate();
      }),
  };
  await ready;
  await migrate(database);
  return database;
}
