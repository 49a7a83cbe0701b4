import { type PGlite, parse, protocol } from "@electric-sql/pglite";

/** A statement the database has taken apart: its name there, the types of its values, and what tells of its columns. */
type Statement = { name: string; types: readonly number[]; columns: Parameters<typeof parse.parseResults>[0] };

/** How many statements are kept; the one that was not asked for longest makes room. */
const most = 300;
const { serialize } = protocol;

/**
 * True if the quickest way to the rows goes by the value: a part of a word may be in none of them or in all. Such a
 * statement is planned each time, for the value that it is asked with.
 */
const goesByValue = (sql: string) => /\blike \$/i.test(sql);

/** True if a statement may change tables: what was taken apart before could give other columns afterwards. */
const changesTables = (sql: string) => /\b(?:create|alter|drop)\b/i.test(sql);

/**
 * A way to ask statements with $1, $2 ... that takes each text apart once. PGlite's own `query` parses and describes it
 * each time and needs six calls of the database for it; what is known needs one call with three messages (PostgreSQL's
 * manual, 53.2.3), a fifth to a ninth of the time. `query` gives the rows by the names of their columns, as PGlite's own
 * does; `exec` runs several statements without values. Both reject with the fields of PostgreSQL's error message.
 */
export function preparing(database: PGlite) {
  const known = new Map<string, Statement>();
  let made = 0;

  /** Several messages at once. The "sync" behind them has the database go on after one that it refused. */
  const send = async (...messages: Uint8Array[]) =>
    (await database.execProtocol(Buffer.concat([...messages, serialize.sync()]))).messages;

  const forget = async (statements: ReadonlyArray<[string, Statement]>) => {
    for (const [sql] of statements) known.delete(sql);
    if (statements.length > 0) await send(...statements.map(([, { name }]) => serialize.close({ type: "S", name })));
  };

  /** Takes a statement apart under a name; under none it holds until the next one without a name. */
  const prepare = async (sql: string, name: string): Promise<Statement> => {
    const told = await send(serialize.parse({ text: sql, name }), serialize.describe({ type: "S", name }));
    const types = parse.parseDescribeStatementResults(told);
    return { name, types, columns: told.filter((message) => message.name === "rowDescription") };
  };

  const statementOf = async (sql: string): Promise<Statement> => {
    const statement = known.get(sql) ?? (await prepare(sql, `statement_${++made}`));
    // Those that are asked for come last, so that the first is the one to go.
    known.delete(sql);
    known.set(sql, statement);
    if (known.size > most) await forget([...known].slice(0, 1));
    return statement;
  };

  const asText = (value: unknown, type = 0): string | null => {
    if (value === null || value === undefined) return null;
    return database.serializers[type]?.(value) ?? String(value);
  };

  return {
    query: (sql: string, values: readonly unknown[]) =>
      database.runExclusive(async () => {
        const { name, types, columns } = await (goesByValue(sql) ? prepare(sql, "") : statementOf(sql));
        const bound = values.map((value, place) => asText(value, types[place]));
        const told = await send(serialize.bind({ statement: name, values: bound }), serialize.execute({}));
        if (changesTables(sql)) await forget([...known]);
        return parse.parseResults([...columns, ...told], database.parsers)[0]?.rows ?? [];
      }),
    exec: async (sql: string) => {
      await database.exec(sql);
      if (changesTables(sql)) await database.runExclusive(() => forget([...known]));
    },
  };
}
