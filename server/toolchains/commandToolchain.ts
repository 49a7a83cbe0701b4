import type { Language } from "../../core/languages/language.ts";
import {
  type ConsolePiece,
  consoleText,
  type Diagnostic,
  type Found,
  limitsSchema,
  type Outcome,
  type RunRequest,
} from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { Step } from "../../core/trace/trace.ts";
import { findBubblewrap } from "../sandbox/bubblewrap.ts";
import type { Pool } from "../sandbox/pool.ts";
import type { Job, JobAnswer } from "../sandbox/warmWorker.ts";
import { prepareRunners } from "./builtRunners.ts";
import { type CommandBlock, commandResultSchema } from "./commandBlock.ts";
import { buildLimits, type Plan } from "./commandPlan.ts";
import { runTries, type TriesPlan } from "./commandTries.ts";
import { cutRecording } from "./cut.ts";
import { type OtherWay, usableWays } from "./otherWays.ts";
import { readBlock } from "./readBlock.ts";
import { faultSignals, signalDiagnostic } from "./signals.ts";
import { isThere } from "./systemNeeds.ts";
import type { Toolchain, Variant } from "./toolchain.ts";

/** What is peculiar to a translator that is used by commands. */
export type CommandTranslator = {
  language: Language;
  /** By which means programs are checked, run and recorded, in words for the page of languages. */
  means: string;
  /** True where its recorder can have something changed at a step. */
  changes?: true;
  startSeconds: number;
  /** What must be installed: a path and the Debian package that has it. */
  needs: ReadonlyArray<{ path: string; package: string }>;
  /** Name and version of the translator. */
  version: () => Promise<string>;
  plan: (request: RunRequest, mode: Job["mode"]) => Promise<Plan>;
  /** How variants of a program are run in one job (commandTries.ts); absent where each has one of its own. */
  planTries?: (request: RunRequest, variants: readonly Variant[], until: number) => Promise<TriesPlan>;
  otherWays?: () => OtherWay[];
  /**
   * Where a program was that a signal killed, by what the run itself left or a second run under a debugger; null if
   * that cannot be told.
   */
  findCrash?: (
    request: RunRequest,
    block: CommandBlock,
    perform: (plan: Plan) => Promise<{ answer: JobAnswer; block: CommandBlock }>,
  ) => Promise<Found | null>;
  /** Takes note of a program that was built. */
  keepBuilt?: (request: RunRequest, program: Buffer, said: string) => void;
  /** Takes what the runner itself told out of the console, and gives it with the rest. */
  takeTold?: (console: readonly ConsolePiece[], request: RunRequest) => { console: ConsolePiece[] } & Partial<Outcome>;
  /** True if the console's error text says that memory ran out. */
  outOfMemory?: (errors: string) => boolean;
  close?: () => Promise<void>;
};

export const plainEnvironment = {
  PATH: "/usr/bin:/bin",
  LANG: "C.UTF-8",
  LC_ALL: "C.UTF-8",
  TZ: "UTC",
  HOME: "/tmp",
  TERM: "dumb",
};

/** As a program says it that does not stand in a package or namespace of ours, nor in a folder of that name. */
function withoutPlace(text: string, within: string | undefined): string {
  return within ? text.replaceAll(`${within}.`, "").replaceAll(`${within}/`, "") : text;
}

/** Puts the case's own file names back into what a tool said. */
function withOwnNames(text: string, { renamed, within }: Pick<Plan, "renamed" | "within">): string {
  return (renamed ?? [])
    .reduce(
      (changed, [inside, own]) => (inside === own ? changed : changed.replaceAll(inside, own)),
      withoutPlace(text, within),
    )
    .replaceAll("/case/", "");
}

/** The refusals of other files with what the run said, each once; a refusal is what matters then. */
function withRefused(refused: readonly Diagnostic[], said: readonly Diagnostic[]): Diagnostic[] {
  if (refused.length === 0) return [...said];
  const isTold = (one: Diagnostic) =>
    refused.some((each) => each.message === one.message && each.file === one.file && each.line === one.line);
  return [
    ...refused.map((each, index) => ({ ...each, primary: index === 0 })),
    ...said.filter((one) => !isTold(one)).map((one) => ({ ...one, primary: false })),
  ];
}

const tried = new WeakMap<Pool, Promise<void>>();

/**
 * Runs a program that does nothing, once: a kernel that cannot do what the workbench needs says so before a student's
 * program meets it.
 */
export function tryWorkbench(workbench: Pool): Promise<void> {
  let trial = tried.get(workbench);
  if (!trial) {
    const commands = {
      build: [],
      run: ["/bin/true"],
      environment: plainEnvironment,
      terminal: true,
      recording: false,
      buildLimits,
    };
    trial = workbench
      .run({ mode: "run", files: [], input: new Uint8Array(), limits: limitsSchema.parse({}), commands })
      .then(() => undefined);
    tried.set(workbench, trial);
    trial.catch(() => tried.delete(workbench));
  }
  return trial;
}

/** A toolchain made of commands that are run on the workbench. */
export function createCommandToolchain(translator: CommandTranslator, workbench: () => Pool): Toolchain {
  const { language } = translator;
  let version: Promise<string> | undefined;

  async function available(): ReturnType<Toolchain["available"]> {
    const missing = translator.needs.filter((need) => !isThere(need.path)).map((need) => need.package);
    if (missing.length > 0)
      return {
        ready: false,
        reason: `${language.name} is not installed (apt-get install ${[...new Set(missing)].join(" ")})`,
      };
    if (!findBubblewrap()) return { ready: false, reason: "bubblewrap is not installed (apt-get install bubblewrap)" };
    try {
      await prepareRunners();
      version ??= translator.version();
      const [told] = await Promise.all([version, tryWorkbench(workbench())]);
      return { ready: true, version: told };
    } catch (problem) {
      return {
        ready: false,
        reason: `the sandbox does not start here: ${problem instanceof Error ? problem.message : String(problem)}`,
      };
    }
  }

  async function perform(
    mode: Job["mode"],
    request: RunRequest,
    plan: Plan,
  ): Promise<{ answer: JobAnswer; block: CommandBlock }> {
    const {
      files,
      build,
      run,
      limits,
      environment = plainEnvironment,
      terminal = true,
      recording = false,
      afterSignal,
      keep,
      runsAnyway,
      tries,
    } = plan;
    const answer = await workbench().run(
      {
        mode,
        files,
        input: Buffer.from(request.input, "utf8"),
        limits: { ...request.limits, ...limits },
        commands: {
          build,
          run: mode === "check" ? null : run,
          environment,
          terminal,
          recording,
          ...(afterSignal ? { afterSignal } : {}),
          ...(keep ? { keep } : {}),
          ...(runsAnyway ? { runsAnyway } : {}),
          ...(tries ? { tries } : {}),
          buildLimits: plan.buildLimits ?? buildLimits,
        },
      },
      request.signal,
    );
    return { answer, block: readBlock(answer.block, answer.raw, commandResultSchema) };
  }

  function outcomeOf(
    mode: Job["mode"],
    request: RunRequest,
    plan: Plan,
    done: { answer: JobAnswer; block: CommandBlock } | null,
  ): Outcome {
    const program = Object.fromEntries(request.files.map((file) => [file.name, decodeText(file.bytes).text]));
    const result = done?.block.result ?? null;
    // A supervisor that could not tell its result was stopped in the run, unless it was still building.
    const built = result
      ? result.built.every((status) => status === 0)
      : done?.answer.building === false && done.answer.stopped !== "none";
    const failedBuild =
      plan.said?.refused || (!built && !(plan.runsAnyway && mode !== "check" && result?.exit !== null));
    const said = withOwnNames(`${plan.said?.text ?? ""}${done?.block.messages ?? ""}`, plan);
    const translation = language
      .readMessages(said, program)
      .map((diagnostic): Diagnostic => ({ ...diagnostic, stage: "translation" }));
    const shared = {
      exit: { code: result?.exit ?? (failedBuild ? 1 : 0), signal: result?.signal ?? 0 },
      effects: done?.block.effects ?? [],
      inputRanOut: result?.ranOut ?? false,
      milliseconds: done?.answer.milliseconds ?? 0,
      translator: "",
    };
    if (failedBuild) {
      const stopped = done?.answer.stopped ?? "none";
      if (!translation.some((diagnostic) => diagnostic.severity === "error")) {
        const message =
          stopped !== "none"
            ? `The translator was stopped at the ${stopped} limit.`
            : said.trim().split("\n").at(-1) || "The translator refused without a message.";
        translation.push({ severity: "error", message, stage: "translation", primary: true });
      }
      return {
        ...shared,
        started: mode === "check" ? null : false,
        finished: false,
        stoppedBy: "refused",
        diagnostics: translation,
        console: [{ kind: "err", text: said }],
      };
    }
    const warnings = translation
      .map((diagnostic) => ({ ...diagnostic, primary: false }))
      .filter((diagnostic) => diagnostic.severity !== "error");
    // Files beside the main one that are refused where they are needed.
    const refusedFiles = built ? [] : translation.filter((diagnostic) => diagnostic.severity === "error");
    if (mode === "check")
      return { ...shared, started: null, finished: true, stoppedBy: "none", diagnostics: warnings, console: [] };
    const { answer, block } = done as { answer: JobAnswer; block: CommandBlock };
    const { console: printed, ...told } = translator.takeTold?.(block.console, request) ?? { console: block.console };
    const console = printed.map((piece) =>
      piece.kind === "err"
        ? { ...piece, text: withOwnNames(piece.text, plan) }
        : piece.kind === "out"
          ? { ...piece, text: withoutPlace(piece.text, plan.within) }
          : piece,
    );
    const errors = consoleText(console, ["err"]);
    const signal = result?.signal ?? 0;
    // A program that a fault of its own had ended was stopped by no limit: that was the second run, which looks for the place.
    const hadEnded = result?.stopped === "none" && result.exit !== null && faultSignals.has(signal);
    const limited =
      answer.stopped !== "none" && !hadEnded
        ? answer.stopped
        : result?.stopped === "output" || result?.stopped === "steps"
          ? result.stopped
          : null;
    const crashed =
      limited === null && (signal !== 0 || result?.exit !== 0) ? language.readMessages(errors, program) : [];
    const main = request.files[0]?.name;
    const refusedAtStart = crashed.some(
      (each) => each.stage === "translation" && each.primary && (each.file === undefined || each.file === main),
    );
    if (limited === null && signal !== 0 && !crashed.some((diagnostic) => diagnostic.primary))
      crashed.push(signalDiagnostic(signal));
    const stoppedBy: Outcome["stoppedBy"] =
      limited ??
      (refusedAtStart
        ? "refused"
        : crashed.some((diagnostic) => diagnostic.primary)
          ? (translator.outOfMemory?.(errors) ?? false)
            ? "memory"
            : "fault"
          : "none");
    return {
      ...{ ...shared, ...told },
      started: !refusedAtStart,
      finished: stoppedBy === "none",
      stoppedBy,
      diagnostics: [
        ...warnings,
        ...withRefused(refusedFiles, refusedAtStart ? [] : crashed),
        ...(refusedAtStart ? crashed : []),
      ],
      console,
    };
  }

  async function go(mode: Job["mode"], request: RunRequest) {
    const state = await available();
    if (!state.ready) throw new Error(state.reason);
    const plan = await translator.plan(request, mode);
    const done = plan.said?.refused ? null : await perform(mode, request, plan);
    if (done?.block.built) translator.keepBuilt?.(request, done.block.built, done.block.messages);
    const outcome = { ...outcomeOf(mode, request, plan, done), translator: state.version };
    if (
      mode === "run" &&
      outcome.exit.signal !== 0 &&
      outcome.stoppedBy === "fault" &&
      translator.findCrash &&
      done &&
      !request.hurried
    ) {
      const found = await translator.findCrash(request, done.block, (again) => perform("run", request, again));
      if (found) outcome.found = found;
    }
    return { outcome, block: done?.block };
  }

  /** Runs many variants in one job, as the translator plans it. */
  const runTriesBy =
    (plan: NonNullable<CommandTranslator["planTries"]>): NonNullable<Toolchain["runMany"]> =>
    async (request, variants, seconds) => {
      const state = await available();
      if (!state.ready) throw new Error(state.reason);
      const found = await runTries(request, variants, seconds, {
        plan,
        perform: (each, own) => perform("run", each, own),
        outcomeOf: (each, own, done) => outcomeOf("run", each, own, done),
      });
      return found.map((outcome) => outcome && { ...outcome, translator: state.version });
    };

  return {
    language: language.id,
    ...(translator.planTries ? { runMany: runTriesBy(translator.planTries) } : {}),
    otherWays: () => usableWays(translator.otherWays?.()),
    means: translator.means,
    startSeconds: translator.startSeconds,
    ...(translator.changes ? { changes: true } : {}),
    packages: [...new Set(translator.needs.map((need) => need.package))],
    available,
    check: async (request) => (await go("check", request)).outcome,
    run: async (request) => (await go("run", request)).outcome,
    trace: async (request) => {
      const { outcome, block } = await go("trace", request);
      const { steps, cut } = cutRecording(block, outcome, request.limits);
      return {
        outcome,
        files: request.files.map((file) => file.name),
        steps: withStop(steps, outcome),
        ...(cut === undefined ? {} : { cut }),
        ...(block?.notChanged === undefined ? {} : { notChanged: block.notChanged }),
        ...(block?.filesAt ? { filesAt: block.filesAt } : {}),
      };
    },
    close: async () => {
      await translator.close?.();
    },
  };
}

/** Notes on the last step what stopped the run there, where the recorder could not see it itself. */
function withStop(steps: Step[], outcome: Outcome): Step[] {
  const last = steps.at(-1);
  const primary = outcome.diagnostics.find((diagnostic) => diagnostic.primary);
  if (outcome.stoppedBy !== "fault" || !last || !primary || last.raised?.message) return steps;
  if (last.raised === undefined && primary.line !== undefined && primary.line !== last.line) return steps;
  last.raised = { errorName: primary.errorName ?? "error", message: primary.message };
  return steps;
}
