import { parentPort } from "node:worker_threads";
import { PGlite } from "@electric-sql/pglite";

/** The plain embedded database in a thread of its own, asked in its own way: what a message brings is its statement. */
const database = await PGlite.create();
parentPort?.on("message", async (sql: string) => parentPort?.postMessage((await database.query(sql)).rows));
parentPort?.postMessage([]);
