import { mkdtemp, rm } from "node:fs/promises";
import { join } from "node:path";
import { writeBackup } from "../../server/backup/writeBackup.ts";
import type { Route } from "./+types/nowFile.ts";
import { zipAnswer } from "./fileOf.ts";

/** Everything as it is now, as a backup. */
export async function loader({ context }: Route.LoaderArgs): Promise<Response> {
  const { database, folder } = context.services;
  if (folder === null) return new Response("This data lies in memory alone.", { status: 404 });
  const place = await mkdtemp(join(folder, ".asked-"));
  const path = join(place, "backup.zip");
  try {
    await writeBackup(database, path);
    const day = new Date().toISOString().slice(0, 10);
    return zipAnswer(path, `bent-nail-${day}.zip`, place);
  } catch (problem) {
    await rm(place, { recursive: true, force: true });
    throw problem;
  }
}
