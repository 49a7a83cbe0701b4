/**
 * A statement that the database refused. `code` is PostgreSQL's five signs for the kind of error (its manual, appendix
 * A), "" where there is none; `constraint` names the rule that was broken, if it was one.
 */
export class DatabaseError extends Error {
  readonly code: string;
  readonly constraint: string;
  constructor(message: string, code = "", constraint = "") {
    super(message);
    this.code = code;
    this.constraint = constraint;
  }
}

/** True if a statement was refused because a row with the same value is there already (unique_violation). */
export function isDuplicate(problem: unknown): boolean {
  // Not by its class: pages are bundled apart from the server, each with a class of its own.
  return problem instanceof Error && "code" in problem && problem.code === "23505";
}

/** True if a statement was refused because a row that it refers to is not there (foreign_key_violation). */
export function refersToNone(problem: unknown): boolean {
  return problem instanceof Error && "code" in problem && problem.code === "23503";
}

/**
 * A statement that was asked of the database while its own caller holds a transaction: it would wait for the end of the
 * transaction, which waits for it. A mistake of ours; the transaction's own `query` is meant.
 */
export class NestedQuery extends Error {
  constructor(sql: string) {
    super(`inside a transaction its own query is to be used, not the database's: ${sql.slice(0, 80)}`);
  }
}
