import { join } from "node:path";
import type { Database } from "../server/database/database.ts";
import { MaterialProblem } from "./material.ts";

/** Asks the server that has a data folder, as its teacher; null where none runs. What it refuses is said as it said it. */
export async function askRunning(folder: string, path: string, init: RequestInit = {}): Promise<Response | null> {
  const { readServerAddress } = await import("../server/http/serverAddress.ts");
  const { teacherPassword } = await import("../server/http/password.ts");
  const address = readServerAddress(folder);
  if (address === null) return null;
  const password = teacherPassword(folder);
  const headers: Record<string, string> = password.isSet() ? { Cookie: `bent-nail-teacher=${password.sign()}` } : {};
  const response = await fetch(new URL(path, address), { ...init, headers }).catch(() => null);
  if (!response || response.ok) return response;
  const body = await response.text();
  throw new MaterialProblem(/"error":"([^"]+)"/.exec(body)?.[1] ?? `the server refused it (${response.status})`);
}

/** Opens the data itself, since no server has it, and lets it go again. */
export async function withData<Result>(folder: string, work: (database: Database) => Promise<Result>): Promise<Result> {
  const [{ ownFolder, FolderInUse }, { openDatabase }] = await Promise.all([
    import("../server/database/owner.ts"),
    import("../server/database/database.ts"),
  ]);
  let letGo: () => void;
  try {
    letGo = await ownFolder(folder);
  } catch (problem) {
    if (problem instanceof FolderInUse) throw new MaterialProblem(problem.message);
    throw problem;
  }
  const database = await openDatabase(join(folder, "database"));
  try {
    return await work(database);
  } finally {
    await database.close();
    letGo();
  }
}

/** The folder where the data is. */
export async function whereDataIs(): Promise<string> {
  const { dataFolder } = await import("../server/http/serve.ts");
  return dataFolder();
}
