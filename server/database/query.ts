/** Runs one statement with $1, $2 ... and gives its rows, to be parsed by a schema. */
export type Query = (sql: string, values?: readonly unknown[]) => Promise<unknown[]>;

/** The one way to the data. Statements are PostgreSQL's dialect, so that a server could stand behind it too. */
export type Database = {
  query: Query;
  /** Several statements without values. */
  exec: (sql: string) => Promise<void>;
  /**
   * Everything in `work` happens, or nothing of it. Other queries wait meanwhile; one that `work` asks of the database
   * itself and not of its own `query` is refused with NestedQuery.
   */
  transaction: <Result>(work: (query: Query) => Promise<Result>) => Promise<Result>;
  /** Writes the whole database into a file that can serve as a template. */
  dump: (file: string) => Promise<void>;
  close: () => Promise<void>;
};
