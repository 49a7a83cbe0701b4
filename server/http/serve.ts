import { existsSync } from "node:fs";
import { rm } from "node:fs/promises";
import type { Server } from "node:http";
import { homedir } from "node:os";
import { join } from "node:path";
import { pathToFileURL } from "node:url";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express from "express";
import type { ServerBuild } from "react-router";
import { resumeJudging } from "../collecting/judging.ts";
import { openDatabase } from "../database/database.ts";
import { FolderInUse, ownFolder } from "../database/owner.ts";
import { log } from "../log.ts";
import { resumeMarking } from "../markingWork.ts";
import { productFolder } from "../productFolder.ts";
import { provideServices, type Services } from "../services.ts";
import { createToolchains } from "../toolchains/toolchains.ts";
import { createTraceCache } from "../traceCache.ts";
import { guardTeacher } from "./guard.ts";
import { teacherPassword } from "./password.ts";
import { inPersonsName } from "./person.ts";
import { isLoopback, refuseFloods, refuseForgery, setSafeHeaders } from "./safety.ts";
import { forgetServerAddress, noteServerAddress } from "./serverAddress.ts";

export type ServeOptions = {
  port: number;
  host: string;
  folder?: string /** Throw away what the folder holds. */;
  fresh?: boolean;
  prepare?: (services: Services) => Promise<void>;
};

/** Where data is kept if BENT_NAIL_DATA does not say: the user's data folder (XDG Base Directory). */
export function dataFolder(): string {
  return process.env.BENT_NAIL_DATA ?? join(process.env.XDG_DATA_HOME ?? join(homedir(), ".local/share"), "bent-nail");
}

async function loadBuild(): Promise<ServerBuild> {
  const path = join(productFolder, "build/server/index.js");
  if (!existsSync(path)) throw new Error("The pages are not built yet: run `npm run build` first.");
  const build: ServerBuild = await import(pathToFileURL(path).href);
  return build;
}

/** Starts the server; resolves when it listens. Ends the process with a message if the folder or the port is taken. */
export async function serve(options: ServeOptions): Promise<void> {
  const folder = options.folder ?? dataFolder();
  let letGo: () => void;
  try {
    letGo = await ownFolder(folder);
  } catch (problem) {
    if (!(problem instanceof FolderInUse)) throw problem;
    process.stderr.write(`bent-nail: ${problem.message}\n`);
    process.exitCode = 1;
    return;
  }
  const password = teacherPassword(folder);
  const guarded = !isLoopback(options.host);
  if (guarded && !password.isSet()) {
    const problem = password.set(process.env.BENT_NAIL_PASSWORD ?? "");
    if (problem) {
      process.stderr.write(
        `bent-nail: ${options.host} can be reached from other machines, so a teacher's password is needed first. ${problem} Give it once as BENT_NAIL_PASSWORD; its hash is kept in ${folder}.\n`,
      );
      process.exitCode = 1;
      letGo();
      return;
    }
  }
  if (options.fresh) await rm(join(folder, "database"), { recursive: true, force: true });
  const services: Services = { database: await openDatabase(join(folder, "database")), toolchains: createToolchains(), traces: createTraceCache() };
  provideServices(services);
  await options.prepare?.(services);
  const build = await loadBuild();
  await resumeJudging(services);
  await resumeMarking(services);

  const app = express();
  app.disable("x-powered-by");
  app.use(setSafeHeaders, refuseForgery(options.host), refuseFloods);
  if (guarded) app.use(guardTeacher(password));
  app.use(compression());
  app.use("/assets", express.static(join(productFolder, "build/client/assets"), { immutable: true, maxAge: "1y" }));
  app.use(express.static(join(productFolder, "build/client"), { maxAge: "1h" }));
  app.use((request, response, next) => {
    const start = performance.now();
    response.on("finish", () =>
      log.debug({ method: request.method, path: request.path, status: response.statusCode, milliseconds: Math.round(performance.now() - start) }),
    );
    next();
  });
  app.use(inPersonsName(services.toolchains.desk));
  app.all(
    "*path",
    createRequestHandler({ build, getLoadContext: (request, response) => ({ nonce: String(response.locals.nonce), address: request.ip ?? "" }) }),
  );

  const server = await new Promise<Server>((resolve, reject) => {
    const listening = app.listen(options.port, options.host, (problem) => (problem ? reject(problem) : resolve(listening)));
  });
  const address = server.address();
  const port = typeof address === "object" && address ? address.port : options.port;
  // On a wildcard address the server is asked by the machine's own.
  noteServerAddress(folder, `http://${["0.0.0.0", "::"].includes(options.host) ? "127.0.0.1" : options.host}:${port}`);
  process.stdout.write(`Bent Nail is at http://${options.host}:${port}/\n`);

  const stop = async () => {
    server.close();
    server.closeAllConnections();
    forgetServerAddress(folder);
    await services.toolchains.close();
    await services.database.close();
    letGo();
    process.exit(0);
  };
  process.once("SIGINT", () => void stop());
  process.once("SIGTERM", () => void stop());
}
