import { closeSync, mkdirSync, openSync, unlinkSync } from "node:fs";
import { connect, createServer, type Server } from "node:net";
import { join } from "node:path";

/** Raised when another running process has the data folder; its message is for the person. */
export class FolderInUse extends Error {}

/** How long an owner may take to answer, in milliseconds; one that has not said a word by then is taken for alive. */
const patience = 10_000;

/**
 * Whether an owner answers, by ending what was begun. Of one that was killed a child that it was just starting may hold
 * the socket a moment longer: nobody answers there, and the connection breaks.
 */
function isAlive(path: string): Promise<boolean> {
  return new Promise((resolve) => {
    const socket = connect(path);
    const is = (alive: boolean) => {
      resolve(alive);
      socket.destroy();
    };
    socket.resume();
    socket.setTimeout(patience, () => is(true));
    socket.once("end", () => is(true));
    socket.once("error", () => is(false));
    socket.once("close", () => is(false));
  });
}

function listen(path: string): Promise<Server | null> {
  return new Promise((resolve, reject) => {
    const server = createServer((socket) => socket.end());
    server.once("error", (problem: NodeJS.ErrnoException) =>
      problem.code === "EADDRINUSE" ? resolve(null) : reject(problem),
    );
    server.listen(path, () => {
      server.unref();
      resolve(server);
    });
  });
}

/**
 * Makes this process the owner of a data folder: a listening socket in it, which dies with its owner, so that a killed
 * server leaves nothing that blocks the next. Throws FolderInUse if another process is the owner. Returns how to let
 * go.
 */
export async function ownFolder(folder: string): Promise<() => void> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const { path, close } = addressable(folder, "owner.sock");
  try {
    const server = await take(folder, path);
    return () => void server.close(close);
  } catch (problem) {
    close();
    throw problem;
  }
}

/** Most bytes of a socket's path (sun_path has 108 with its end, unix(7)); a longer one would be cut without a word. */
const longestPath = 100;

/**
 * A path by which a socket in a folder can be named although the folder's own is too long: by the folder as this
 * process has it open.
 */
function addressable(folder: string, name: string): { path: string; close: () => void } {
  const path = join(folder, name);
  if (Buffer.byteLength(path) <= longestPath) return { path, close: () => undefined };
  const descriptor = openSync(folder, "r");
  return { path: `/proc/self/fd/${descriptor}/${name}`, close: () => closeSync(descriptor) };
}

async function take(folder: string, path: string): Promise<Server> {
  for (let attempt = 0; attempt < 3; attempt++) {
    const server = await listen(path);
    if (server) return server;
    if (await isAlive(path))
      throw new FolderInUse(`The data in ${folder} is in use by a Bent Nail server that is running already.`);
    try {
      unlinkSync(path);
    } catch {
      // Somebody else cleared it away first; the next attempt shows who won.
    }
  }
  throw new FolderInUse(`The data in ${folder} could not be taken: another server is starting.`);
}
