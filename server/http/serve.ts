import { EventEmitter } from "node:events";
import { existsSync, readFileSync } from "node:fs";
import { rm } from "node:fs/promises";
import { createServer, type Server } from "node:http";
import { createServer as createSecureServer } from "node:https";
import { homedir } from "node:os";
import { join } from "node:path";
import { pathToFileURL } from "node:url";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express from "express";
import type { ServerBuild } from "react-router";
import { keepCopies } from "../backup/copies.ts";
import { restoreWaiting } from "../backup/waiting.ts";
import { resumeJudging } from "../collect/judging.ts";
import { answering } from "../database/answering.ts";
import { databaseMachine } from "../database/connection.ts";
import { openDatabase } from "../database/database.ts";
import { ofSystem, StartProblem } from "../database/folder.ts";
import { FolderInUse, ownFolder } from "../database/owner.ts";
import { keepStatistics } from "../database/statistics.ts";
import { startNoting } from "../judge/findingWork.ts";
import { sweepOldRuns } from "../judge/sweep.ts";
import { createTraceCache } from "../judge/traceCache.ts";
import { log } from "../log.ts";
import { keepCollecting } from "../marks/bell.ts";
import { resumeMarking } from "../marks/markingWork.ts";
import { ownPython, ownPythonAddress, serveOwnPython } from "../ownPython/ownPython.ts";
import { firstTeacher } from "../people/teacherStore.ts";
import { productFolder } from "../productFolder.ts";
import type { Services } from "../services.ts";
import { createToolchains } from "../toolchains/toolchains.ts";
import { allJobs } from "../work/jobs.ts";
import { createLoading, type LoadingState } from "../work/loading.ts";
import { openQueue } from "../work/queue.ts";
import { studentOrigin } from "./addresses.ts";
import { guardTeacher } from "./guard.ts";
import { type TeacherPassword, teacherPassword } from "./password.ts";
import { inPersonsName } from "./person.ts";
import { roomOnTerminal } from "./roomOnTerminal.ts";
import {
  isLoopback,
  refuseFloods,
  refuseForgery,
  refuseManyHandIns,
  refuseNonsense,
  setSafeHeaders,
  takeTheRest,
} from "./safety.ts";
import { forgetServerAddress, noteServerAddress } from "./serverAddress.ts";

export type ServeOptions = {
  port: number;
  host: string;
  folder?: string /** Throw away what the folder holds. */;
  fresh?: boolean;
  /** What is loaded behind the pages, once it answers. */
  load?: (services: Services) => Promise<void>;
  /** Asks a person for the password that is to be the teacher's; `problem`: why the last one would not do. */
  askPassword?: (problem: string | null) => Promise<string>;
  /** Whether the password is asked for although there is one. */
  newPassword?: boolean;
  /** For a room of students: says on the terminal where they go. */
  classroom?: boolean;
  /** Files with a certificate and its key (PEM), for HTTPS. */
  certificate?: { certificate: string; key: string };
};

/** Where data is kept if BENT_NAIL_DATA does not say: the user's data folder (XDG Base Directory). */
export function dataFolder(): string {
  return process.env.BENT_NAIL_DATA ?? join(process.env.XDG_DATA_HOME ?? join(homedir(), ".local/share"), "bent-nail");
}

/** The pages, to be loaded by what this gives back; throws StartProblem at once where they are not built. */
function builtPages(): () => Promise<ServerBuild> {
  const path = join(productFolder, "build/server/index.js");
  if (!existsSync(path)) throw new StartProblem("The pages are not built yet: run `npm run build` first.");
  return () => import(pathToFileURL(path).href);
}

/**
 * Sets the teacher's password that a server needs which other machines can reach: by BENT_NAIL_PASSWORD, else by asking
 * whoever starts it; never by a visitor. Throws StartProblem if there is none.
 */
async function passwordFor(options: ServeOptions, folder: string): Promise<TeacherPassword> {
  const password = teacherPassword(folder);
  if (isLoopback(options.host) || (password.isSet() && !options.newPassword)) return password;
  const given = process.env.BENT_NAIL_PASSWORD;
  let problem = given === undefined && options.askPassword ? null : password.set(given ?? "");
  if (problem === null && password.isSet() && !options.newPassword) return password;
  if (given === undefined && options.askPassword) {
    do problem = password.set(await options.askPassword(problem));
    while (problem !== null);
  }
  if (problem === null) return password;
  throw new StartProblem(
    `${options.host} can be reached from other machines, so a teacher's password is needed first. ${problem} Give it once as BENT_NAIL_PASSWORD; its hash is kept in ${folder}.`,
  );
}

/** As many parts of a page may wait for its compressor. */
const mostListeners = 500;

/** The pages behind everything that guards them. */
function createApp(
  options: ServeOptions,
  services: Services,
  build: ServerBuild,
  password: TeacherPassword,
): express.Express {
  const app = express();
  app.disable("x-powered-by");
  app.use(setSafeHeaders, refuseNonsense, refuseForgery(options.host), refuseFloods, refuseManyHandIns(), takeTheRest);
  if (!isLoopback(options.host)) app.use(guardTeacher(password));
  // A page that is written in many parts waits for its compressor in each of them, and what waited is taken off only at the
  // page's end: that many listeners are no leak.
  EventEmitter.defaultMaxListeners = mostListeners;
  app.use(compression());
  app.use("/assets", express.static(join(productFolder, "build/client/assets"), { immutable: true, maxAge: "1y" }));
  // Only addresses with an ending: no page has to wait until it is seen that no file has its name.
  app.get(/^\/[\w-]+\.\w+$/, express.static(join(productFolder, "build/client"), { maxAge: "1h" }));
  const own = ownPython();
  if (own) app.use(ownPythonAddress, serveOwnPython(own));
  app.use((request, response, next) => {
    const start = performance.now();
    response.on("finish", () =>
      log.debug({
        method: request.method,
        path: request.path,
        status: response.statusCode,
        milliseconds: Math.round(performance.now() - start),
      }),
    );
    next();
  });
  app.use(inPersonsName(services.toolchains.desk));
  const getLoadContext = (request: express.Request, response: express.Response) => ({
    nonce: String(response.locals.nonce),
    address: request.ip ?? "",
    studentOrigin: studentOrigin(options.host, { protocol: request.protocol, host: request.get("host") ?? "" }),
    services,
    who: { role: "teacher" as const, teacher: firstTeacher },
  });
  app.all("*path", createRequestHandler({ build, getLoadContext }));
  // Whatever was not thought of: words without a trace of where it happened.
  app.use(((problem, _request, response, next) => {
    log.error({ err: problem }, "a request failed");
    if (response.headersSent) return next(problem);
    response.status(500).type("text").send("Something went wrong on our side. What was saved is safe.");
  }) satisfies express.ErrorRequestHandler);
  return app;
}

/** A server for HTTPS; throws StartProblem where certificate and key are not what they should be. */
function secureServer(files: NonNullable<ServeOptions["certificate"]>, app: express.Express): Server {
  try {
    return createSecureServer({ cert: readFileSync(files.certificate), key: readFileSync(files.key) }, app);
  } catch (problem) {
    const why = problem instanceof Error ? problem.message : String(problem);
    throw new StartProblem(`The certificate cannot be used: ${why}`);
  }
}

/** Listens; throws StartProblem where the port or the address cannot be had. */
function listen(app: express.Express, { port, host, certificate }: ServeOptions): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = certificate ? secureServer(certificate, app) : createServer(app);
    server.once("listening", () => resolve(server));
    server.once("error", (problem) => {
      const code = "code" in problem ? problem.code : "";
      const words: Record<string, string> = {
        EADDRINUSE: `Port ${port} is taken by another program. Name another one with --port.`,
        EACCES: `This user may not listen on port ${port}. Name one above 1023 with --port.`,
        EADDRNOTAVAIL: `This machine has no address ${host}. Name another one with --host.`,
        ENOTFOUND: `There is no address ${host}. Name another one with --host.`,
      };
      reject(new StartProblem(words[String(code)] ?? `It cannot listen on ${host}, port ${port}: ${problem.message}`));
    });
    server.listen(port, host);
  });
}

/**
 * Starts the server; resolves when it listens and what is to be loaded is there. Where it cannot start, it says why in one sentence and sets the
 * process's exit code.
 */
export async function serve(options: ServeOptions): Promise<void> {
  const folder = options.folder ?? dataFolder();
  try {
    await start(options, folder);
  } catch (problem) {
    const words =
      problem instanceof StartProblem || problem instanceof FolderInUse
        ? problem.message
        : (ofSystem(folder, problem) ??
          `It could not start: ${problem instanceof Error ? problem.message : String(problem)}`);
    log.debug({ err: problem }, "it could not start");
    process.stderr.write(`bent-nail: ${words}\n`);
    process.exit(1);
  }
}

async function start(options: ServeOptions, folder: string): Promise<void> {
  // Until it listens there is nothing to put away: what has been confirmed is in the folder.
  let stop = async (): Promise<void> => process.exit(0);
  // One listener from the start to the end: a signal that comes while one is exchanged for another would be lost.
  let asked = false;
  for (const signal of ["SIGINT", "SIGTERM"] as const)
    process.on(signal, () => {
      if (asked) process.exit(1);
      asked = true;
      void stop();
    });

  const letGo = await ownFolder(folder);
  const password = await passwordFor(options, folder);
  const loadBuild = builtPages();
  if (options.fresh) await rm(join(folder, "database"), { recursive: true, force: true });
  await restoreWaiting(folder);
  // The database opens in a thread of its own while the pages are loaded in this one, which has to have begun it before.
  await databaseMachine();
  const [opened, build] = await Promise.all([openDatabase(join(folder, "database")), loadBuild()]);
  const database = answering(opened);
  const queue = await openQueue(database);
  const services: Services = {
    ...{ database, folder, toolchains: createToolchains(), traces: createTraceCache(), queue },
    loading: createLoading(tellLoading),
    searchesSets: process.env.BENT_NAIL_SEARCH_SETS !== "off",
  };
  await queue.start(allJobs(services));
  await resumeJudging(services);
  await startNoting(services);
  await resumeMarking(services);
  await queue.add(sweepOldRuns, [{}]);
  const endStatistics = keepStatistics(database);
  const endCollecting = keepCollecting(services);
  const endCopying = keepCopies(database, folder);

  const server = await listen(createApp(options, services, build, password), options);
  const address = server.address();
  const port = typeof address === "object" && address ? address.port : options.port;
  // On a wildcard address the server is asked by the machine's own.
  const protocol = options.certificate ? "https" : "http";
  noteServerAddress(
    folder,
    `${protocol}://${["0.0.0.0", "::"].includes(options.host) ? "127.0.0.1" : options.host}:${port}`,
  );

  stop = async () => {
    server.close();
    server.closeAllConnections();
    forgetServerAddress(folder);
    endStatistics();
    endCollecting();
    endCopying();
    await services.queue.stop();
    await services.toolchains.close();
    await services.database.close();
    letGo();
    process.exit(0);
  };
  // Only now can whoever reads this stop it as it should be stopped.
  void services.toolchains.prepare();
  process.stdout.write(`Bent Nail is at ${protocol}://${options.host}:${port}/\n`);
  if (options.classroom) process.stdout.write(await roomOnTerminal(services.database, protocol, port));
  const { load } = options;
  if (!load) return;
  try {
    await load(services);
    services.loading.finish();
  } catch (problem) {
    if (asked) return;
    log.error({ err: problem }, "loading broke off");
    services.loading.fail(problem instanceof Error ? problem.message : String(problem));
  }
}

/** On a terminal one line that is written over; elsewhere a line when all is there. */
function tellLoading({ what, done, total, failed }: LoadingState): void {
  const line = failed
    ? `Loading broke off: ${failed}`
    : `Loading the demo: ${done} of ${total}${what ? ` (${what})` : ""}`;
  const isOver = failed !== null || (done === total && what === "");
  if (process.stdout.isTTY) process.stdout.write(`\r\u001b[K${line}${isOver ? "\n" : ""}`);
  else if (isOver) process.stdout.write(`${line}\n`);
}
