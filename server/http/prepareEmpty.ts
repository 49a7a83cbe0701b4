import { openDatabase } from "../database/database.ts";
import { keepEmptyFolder } from "../database/emptyFolder.ts";
import { openQueue } from "../work/queue.ts";

// Run when the product is built: keeps an empty database, so that a server on a new folder starts at once.
await keepEmptyFolder(async (folder) => {
  const database = await openDatabase(folder);
  await (await openQueue(database)).stop();
  await database.close();
});
process.exit(0);
