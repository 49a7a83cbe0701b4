import { AsyncLocalStorage } from "node:async_hooks";
import { type Connection, connect, saysDiskFull } from "./connection.ts";
import { copyEmptyFolder } from "./emptyFolder.ts";
import { NestedQuery } from "./errors.ts";
import { prepareFolder, StartProblem } from "./folder.ts";
import { migrate } from "./migrate.ts";
import type { Database, Query } from "./query.ts";

export type { Database, Query };

/** Time between two tries to open the data anew, in milliseconds. */
const pause = 1000;

/**
 * Nothing can be kept at the moment; the message is for the person who wanted to. What was confirmed before is safe.
 */
export class CannotKeep extends Error {
  constructor() {
    super(
      "This could not be saved: the disk is full, or takes nothing at the moment. What was saved before is safe. Free some space, and do this again.",
    );
  }
}

/**
 * Opens the embedded database in a folder (null: in memory, from a dumped `template` if one is named) and brings its
 * tables up to date, or to the migration `upTo`. Throws StartProblem, with words for the person, where the folder's data cannot be opened. While it
 * is open, CannotKeep is thrown for what cannot be written; after that the data is opened anew, so that all goes on as
 * soon as there is room.
 */
export async function openDatabase(
  folder: string | null,
  template: string | null = null,
  upTo = Number.POSITIVE_INFINITY,
): Promise<Database> {
  if (folder !== null) {
    prepareFolder(folder);
    if (upTo === Number.POSITIVE_INFINITY) copyEmptyFolder(folder);
  }
  let connection = await connect(folder, template).catch((problem: unknown) => {
    throw StartProblem.ofOpening(folder ?? "", problem);
  });

  const openAnew = async (of: string): Promise<void> => {
    if (Date.now() < tryAgainAt) throw new CannotKeep();
    await connection.drop();
    try {
      connection = await connect(of, null);
    } catch {
      // It needs some room to begin with; until then each try would take its time for nothing.
      tryAgainAt = Date.now() + pause;
      throw new CannotKeep();
    }
  };
  let opening: Promise<void> | null = null;
  /** The connection, opened anew if the former one could not write: once, however many ask for it meanwhile. */
  const sound = async (): Promise<Connection> => {
    if (connection.isSound() || folder === null || closed) return connection;
    opening ??= openAnew(folder).finally(() => {
      opening = null;
    });
    await opening;
    return connection;
  };
  let closed = false;
  let tryAgainAt = 0;

  const ask: Connection["ask"] = async (kind, sql, values) => {
    try {
      return await (await sound()).ask(kind, sql, values);
    } catch (problem) {
      throw saysDiskFull(problem) ? new CannotKeep() : problem;
    }
  };

  // One connection: whoever holds a transaction keeps the others waiting, and would wait for itself.
  let line: Promise<unknown> = Promise.resolve();
  const beside = new Set<Promise<unknown>>();
  const holds = new AsyncLocalStorage<{ open: boolean }>();
  const isNested = () => holds.getStore()?.open === true;
  /** Alone: after all that was asked before, and before all that is asked later. */
  const inTurn = <Result>(what: string, work: () => Promise<Result>): Promise<Result> => {
    if (isNested()) return Promise.reject(new NestedQuery(what));
    const turn = Promise.allSettled([line, ...beside]).then(work);
    line = turn.catch(() => undefined);
    return turn;
  };
  /** Single statements need not wait for each other here: the database takes them one after another. */
  const besideOthers = (sql: string, work: () => Promise<unknown[]>): Promise<unknown[]> => {
    if (isNested()) return Promise.reject(new NestedQuery(sql));
    const turn = line.then(work);
    const ended: Promise<unknown> = turn.catch(() => undefined).finally(() => beside.delete(ended));
    beside.add(ended);
    return turn;
  };
  // No text of the database can hold a NUL; what must keep it (programs, outputs) crosses as bytes.
  const direct: Query = (sql, values = []) =>
    ask(
      "query",
      sql,
      values.map((value) => (typeof value === "string" ? value.replaceAll("\0", "") : value)),
    );

  const database: Database = {
    query: (sql, values = []) => besideOthers(sql, () => direct(sql, values)),
    exec: (sql) => inTurn(sql, async () => void (await ask("exec", sql, []))),
    transaction: (work) =>
      inTurn("begin", async () => {
        await ask("exec", "begin", []);
        const held = connection;
        // A connection that is lost in the middle takes what was done so far along; nothing of it may go on in a new
        // one.
        const within: Query = (sql, values) =>
          held.isSound() ? direct(sql, values) : Promise.reject(new CannotKeep());
        const turn = { open: true };
        try {
          const result = await holds.run(turn, () => work(within));
          if (!held.isSound()) throw new CannotKeep();
          await ask("exec", "commit", []);
          return result;
        } catch (problem) {
          if (held.isSound()) await ask("exec", "rollback", []);
          throw problem;
        } finally {
          turn.open = false;
        }
      }),
    dump: (file) => inTurn("dump", async () => void (await ask("dump", file, []))),
    close: () =>
      inTurn("close", async () => {
        closed = true;
        if (connection.isSound()) await connection.ask("close", "", []).catch(() => undefined);
        await connection.drop();
      }),
  };
  await migrate(database, upTo);
  return database;
}
