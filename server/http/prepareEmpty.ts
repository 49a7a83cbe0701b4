import { keepEmptyDatabase } from "../work/emptyDatabase.ts";

// Run when the product is built: keeps an empty database, so that a server on a new folder starts at once.
await keepEmptyDatabase();
process.exit(0);
