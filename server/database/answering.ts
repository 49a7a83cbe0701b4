import { CannotKeep } from "./database.ts";
import type { Database } from "./query.ts";

/** A database whose trouble with the disk reaches a page as an answer with the same words. */
export function answering(database: Database): Database {
  const said = async <T>(work: Promise<T>): Promise<T> => {
    try {
      return await work;
    } catch (problem) {
      throw problem instanceof CannotKeep
        ? new Response(problem.message, { status: 507, headers: { "Content-Type": "text/plain" } })
        : problem;
    }
  };
  return {
    ...database,
    query: (sql, values) => said(database.query(sql, values)),
    exec: (sql) => said(database.exec(sql)),
    transaction: (work) => said(database.transaction(work)),
  };
}
