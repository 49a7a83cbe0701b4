import type { Writing } from "./writing.ts";

/** Lines as other languages write them. */
export type Lines = NonNullable<Writing["linesElsewhere"]>;

/** Makes rows of such a table: how a line is read, what it is here, and how sure that is; `flags` are those of regular expressions. */
export const lineRows =
  (flags = "") =>
  (read: string, write: string, odds?: number): Lines[number] => ({
    read: new RegExp(read, flags),
    write,
    ...(odds === undefined ? {} : { odds }),
  });
