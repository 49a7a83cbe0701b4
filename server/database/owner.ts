import { mkdirSync, unlinkSync } from "node:fs";
import { connect, createServer, type Server } from "node:net";
import { join } from "node:path";

/** Raised when another running process has the data folder; its message is for the person. */
export class FolderInUse extends Error {}

function isAlive(path: string): Promise<boolean> {
  return new Promise((resolve) => {
    const socket = connect(path);
    socket.once("connect", () => {
      socket.destroy();
      resolve(true);
    });
    socket.once("error", () => resolve(false));
  });
}

function listen(path: string): Promise<Server | null> {
  return new Promise((resolve, reject) => {
    const server = createServer((socket) => socket.end());
    server.once("error", (problem: NodeJS.ErrnoException) => (problem.code === "EADDRINUSE" ? resolve(null) : reject(problem)));
    server.listen(path, () => {
      server.unref();
      resolve(server);
    });
  });
}

/**
 * Makes this process the owner of a data folder: a listening socket in it, which dies with its owner, so that a killed
 * server leaves nothing that blocks the next. Throws FolderInUse if another process is the owner. Returns how to let go.
 */
export async function ownFolder(folder: string): Promise<() => void> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const path = join(folder, "owner.sock");
  for (let attempt = 0; attempt < 3; attempt++) {
    const server = await listen(path);
    if (server) return () => void server.close();
    if (await isAlive(path)) throw new FolderInUse(`The data in ${folder} is in use by a Bent Nail server that is running already.`);
    try {
      unlinkSync(path);
    } catch {
      // Somebody else cleared it away first; the next attempt shows who won.
    }
  }
  throw new FolderInUse(`The data in ${folder} could not be taken: another server is starting.`);
}
