import { existsSync } from "node:fs";
import type { z } from "zod";
import { python as language } from "../../core/languages/python/python.ts";
import { pythonResultSchema } from "../../core/languages/python/runnerResult.ts";
import { consoleText, type Diagnostic, type Outcome, type RunRequest } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import { readLimits } from "../limits.ts";
import { findBubblewrap } from "../sandbox/bubblewrap.ts";
import { createPool, type Pool } from "../sandbox/pool.ts";
import { type Job, type JobAnswer, startWarmWorker } from "../sandbox/warmWorker.ts";
import { pythonRunner } from "./builtRunners.ts";
import { changeWords } from "./changeWords.ts";
import { cutRecording } from "./cut.ts";
import { installed, type OtherWay, usableWays } from "./otherWays.ts";
import { type Block as AnyBlock, readBlock, readTries } from "./readBlock.ts";
import { systemNeeds } from "./systemNeeds.ts";
import type { Toolchain, Variant } from "./toolchain.ts";

type Block = AnyBlock<z.infer<typeof pythonResultSchema>>;

/** System interpreters in the order they are tried; only system folders are visible inside the sandbox. */
const interpreters = ["/usr/bin/python3", "/usr/local/bin/python3"];

function createPythonPool(interpreter: string): Pool {
  const specification = () => ({
    command: [interpreter, "-B", "-s", "-m", "bent_nail_sandbox.host", "bent_nail_runner.program"],
    runners: [
      ...pythonRunner("runners/sandbox/bent_nail_sandbox", "/runner/bent_nail_sandbox"),
      ...pythonRunner("runners/python/bent_nail_runner", "/runner/bent_nail_runner"),
    ],
    environment: {
      PATH: "/usr/bin:/bin",
      LANG: "C.UTF-8",
      LC_ALL: "C.UTF-8",
      TZ: "UTC",
      PYTHONHASHSEED: "0",
      PYTHONPATH: "/runner",
      PYTHONDONTWRITEBYTECODE: "1",
      HOME: "/tmp",
    },
  });
  const limits = readLimits();
  return createPool(() => startWarmWorker(specification(), limits));
}

/**
 * The message by which an uncaught exception ended the program, as the console shows it; "" if none did. The console
 * decides, and the way the process ended: the runner lives in the program's own process, so its word counts only where
 * the console shows the same.
 */
function crashOf(block: Block, exit: number): string {
  const shown = consoleText(block.console, ["err"]);
  const told = block.result?.crash ?? "";
  if (told !== "" && shown.endsWith(told)) return told;
  const last = shown.lastIndexOf("Traceback (most recent call last):\n");
  return exit === 0 || last < 0 ? "" : shown.slice(last);
}

function diagnosticsOf(block: Block, request: RunRequest, crash: string): Diagnostic[] {
  const program = Object.fromEntries(request.files.map((file) => [file.name, decodeText(file.bytes).text]));
  const refused = (block.result?.problems ?? []).flatMap((problem): Diagnostic[] => {
    if (problem.severity === "warning") {
      const [errorName = "Warning", ...rest] = problem.text.split(": ");
      return [
        {
          severity: "warning",
          file: problem.file,
          errorName,
          message: rest.join(": "),
          stage: "translation",
          primary: false,
          ...(problem.line ? { line: problem.line } : {}),
        },
      ];
    }
    const read = language.readMessages(problem.text, program);
    if (read.length > 0) return read.map((diagnostic) => ({ ...diagnostic, stage: "translation", primary: false }));
    const [errorName = "", ...rest] = problem.text.trim().split(": ");
    return [
      {
        severity: "error",
        file: problem.file,
        errorName,
        message: rest.join(": "),
        stage: "translation",
        primary: false,
      },
    ];
  });
  const told = crash ? language.readMessages(crash, program) : [];
  // A file that is refused where it is imported is told twice: by its check, and with the imports that led to it.
  const isRefused = (one: Diagnostic) =>
    refused.find(
      (each) =>
        each.severity === "error" &&
        each.errorName === one.errorName &&
        each.file === one.file &&
        each.line === one.line,
    );
  for (const one of told) Object.assign(isRefused(one) ?? {}, one.frames ? { frames: one.frames } : {});
  const firstRefused = refused.find((each) => each.severity === "error");
  if (firstRefused) firstRefused.primary = true;
  const crashed = told
    .filter((one) => !isRefused(one))
    .map((one): Diagnostic => ({ ...one, stage: "run", primary: one.primary && !firstRefused }));
  const all = [...refused, ...crashed];
  const firstError = all.find((diagnostic) => diagnostic.severity === "error");
  if (firstError && !all.some((diagnostic) => diagnostic.primary)) firstError.primary = true;
  return all;
}

function outcomeOf(
  mode: Job["mode"],
  answer: JobAnswer,
  block: Block,
  request: RunRequest,
  translator: string,
): Outcome {
  const result = block.result;
  const main = request.files[0]?.name;
  const refused =
    result?.problems.some((each) => each.severity === "error" && (each.file === main || mode === "check")) ?? false;
  const signal = answer.signal ?? 0;
  const exit = answer.exit ?? result?.exit ?? -1;
  const crash = refused ? "" : crashOf(block, exit);
  let stoppedBy: Outcome["stoppedBy"] = refused ? "refused" : (result?.stoppedBy ?? "none");
  if (stoppedBy === "fault" && crash === "") stoppedBy = "none";
  if (stoppedBy === "none" && crash !== "") stoppedBy = "fault";
  if (answer.stopped !== "none") stoppedBy = answer.stopped;
  else if (!refused && !result && signal !== 0)
    stoppedBy = answer.peakMemory > request.limits.memoryBytes * 0.8 && signal === 9 ? "memory" : "fault";
  return {
    started: mode === "check" ? null : !refused,
    finished: mode === "run" || mode === "trace" ? stoppedBy === "none" : !refused,
    stoppedBy,
    exit: { code: exit, signal },
    diagnostics: diagnosticsOf(block, request, crash),
    console: block.console,
    effects: block.effects,
    inputRanOut: result?.ranOut ?? false,
    milliseconds: answer.milliseconds,
    translator,
  };
}

/** What became of a program of which no more is asked than where it is refused. */
function refusedAt(line: number, file: string, translator: string): Outcome {
  const diagnostic: Diagnostic = {
    severity: "error",
    stage: "translation",
    primary: true,
    errorName: "SyntaxError",
    message: "",
    file,
  };
  if (line > 0) diagnostic.line = line;
  return {
    started: false,
    finished: false,
    stoppedBy: "refused",
    exit: { code: 1, signal: 0 },
    diagnostics: [diagnostic],
    console: [],
    effects: [],
    inputRanOut: false,
    milliseconds: 0,
    translator,
  };
}

/** With warnings as errors, and other versions that are installed. */
function otherWays(): OtherWay[] {
  const only = "import sys; compile(open(sys.argv[1], 'rb').read(), sys.argv[1], 'exec')";
  const others = [...installed("/usr/bin", /^python3\.\d+$/, "/usr/bin/python3"), ...installed("/usr/bin", /^pypy3$/)];
  const by =
    (interpreter: string, ...options: string[]) =>
    ([main = ""]: readonly string[]) => [interpreter, "-I", ...options, "-c", only, main];
  return [
    { id: "warnings", words: "python3 -W error", command: by("/usr/bin/python3", "-W", "error") },
    ...others.map(({ name, path }) => ({ id: name, words: name, command: by(path) })),
  ];
}

/** CPython of this machine, kept warm inside the sandbox. */
export function createPythonToolchain(): Toolchain {
  const interpreter = interpreters.find((path) => existsSync(path));
  let pool: Pool | null = null;
  const getPool = (): Pool => {
    if (!interpreter || !findBubblewrap()) throw new Error("Python cannot be run here.");
    pool ??= createPythonPool(interpreter);
    return pool;
  };

  async function perform(mode: Job["mode"], request: RunRequest): Promise<{ block: Block; outcome: Outcome }> {
    const change = changeWords(request);
    const answer = await getPool().run(
      {
        mode,
        files: request.files,
        input: Buffer.from(request.input, "utf8"),
        limits: request.limits,
        ...(change ? { change } : {}),
      },
      request.signal,
    );
    const block = readBlock(answer.block, answer.raw, pythonResultSchema);
    return { block, outcome: outcomeOf(mode, answer, block, request, await getPool().version()) };
  }

  async function performMany(
    request: RunRequest,
    variants: readonly Variant[],
    seconds: number,
  ): Promise<Array<Outcome | null>> {
    const { cpuSeconds, wallSeconds } = request.limits;
    const most = variants.length;
    const answer = await getPool().run(
      {
        mode: "run",
        files: request.files,
        input: new Uint8Array(),
        limits: {
          ...request.limits,
          cpuSeconds: cpuSeconds * most + 1,
          wallSeconds: Math.min(wallSeconds * most + 1, seconds),
        },
        tries: {
          variants: variants.map(({ main, input }) => ({ main, input: Buffer.from(input, "utf8") })),
          ...{ cpuSeconds, wallSeconds, linesOnly: request.linesOnly ?? false },
        },
      },
      request.signal,
    );
    const translator = await getPool().version();
    const tried = readTries(answer.block);
    return variants.map(({ main, input }, at) => {
      const one = tried.get(at);
      if (!one || one.how === "past the streams") return null;
      if (one.how === "refused") return refusedAt(one.line, request.files[0]?.name ?? "", translator);
      const block = readBlock(one.block, [], pythonResultSchema);
      const files = request.files.map((file, place) => (place === 0 ? { ...file, bytes: main } : file));
      const own = { ...answer, ...{ exit: one.exit, signal: one.signal, milliseconds: one.milliseconds } };
      // Memory is counted over all tries: what a signal ended, or the lack of it, is seen by a run of its own.
      if (one.how === "ended" && (one.signal !== 0 || block.damaged || block.result?.stoppedBy === "memory"))
        return null;
      const stopped = one.how === "time" ? "time" : "none";
      return outcomeOf("run", { ...own, stopped }, block, { ...request, files, input }, translator);
    });
  }

  return {
    otherWays: () => usableWays(otherWays()),
    language: language.id,
    changes: true,
    means: "CPython, kept warm and forked for every run; recorded by its own trace hook.",
    packages: systemNeeds(language.id).map((need) => need.package),
    startSeconds: 0.1,
    available: async () => {
      if (!interpreter) return { ready: false, reason: "python3 is not installed (apt-get install python3)" };
      if (!findBubblewrap())
        return { ready: false, reason: "bubblewrap is not installed (apt-get install bubblewrap)" };
      try {
        return { ready: true, version: await getPool().version() };
      } catch (problem) {
        return {
          ready: false,
          reason: `the sandbox does not start here: ${problem instanceof Error ? problem.message : String(problem)}`,
        };
      }
    },
    prepare: async () => void (await getPool().version()),
    check: async (request) => (await perform("check", request)).outcome,
    run: async (request) => (await perform("run", request)).outcome,
    runMany: performMany,
    trace: async (request) => {
      const { block, outcome } = await perform("trace", request);
      const { steps, cut } = cutRecording(block, outcome, request.limits);
      return {
        outcome,
        files: request.files.map((file) => file.name),
        steps,
        ...(cut === undefined ? {} : { cut }),
        ...(block?.notChanged === undefined ? {} : { notChanged: block.notChanged }),
        ...(block?.filesAt ? { filesAt: block.filesAt } : {}),
      };
    },
    close: async () => {
      await pool?.close();
    },
  };
}
