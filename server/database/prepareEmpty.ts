import { openQueue } from "../work/queue.ts";
import { openDatabase } from "./database.ts";
import { keepEmptyFolder } from "./emptyFolder.ts";

// Run when the product is built: keeps an empty database, so that a server on a new folder starts at once.
await keepEmptyFolder(async (folder) => {
  const database = await openDatabase(folder);
  await (await openQueue(database)).stop();
  await database.close();
});
process.exit(0);
