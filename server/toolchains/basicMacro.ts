import { basicMacro as language } from "../../core/languages/basicMacro/basicMacro.ts";
import { instrumentMacro } from "../../core/languages/basicMacro/instrument.ts";
import { entryOf, lookBefore } from "../../core/languages/basicMacro/look.ts";
import { isForOtherOffice } from "../../core/languages/basicMacro/otherNames.ts";
import type { Outcome, ProgramFiles, RunRequest } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { Pool } from "../sandbox/pool.ts";
import { createCommandToolchain, plainEnvironment } from "./commandToolchain.ts";
import { inCode, planHosted } from "./hostedTries.ts";
import { takeSheets } from "./sheets.ts";
import { systemNeeds } from "./systemNeeds.ts";
import type { Toolchain, Variant } from "./toolchain.ts";
import { toolVersion } from "./version.ts";
import { hostInterpreter } from "./workbench.ts";

/** What the office takes until a macro begins, in seconds of processor time. */
const startSeconds = 1.4;
/** What it is given for that, since a slow or busy machine takes several times as long. */
const mostForStart = 3 * startSeconds;

/** Words by which a macro reaches what does not go with its workbook; such a one gets an office of its own. */
const alone =
  /\b(?:createUno\w+|StarDesktop|GlobalScope|BasicLibraries|DialogLibraries|getProcessServiceManager|getDefaultContext|Shell|Declare|Open|Kill|ChDir|MkDir|RmDir|Environ|SetAttr|FileCopy|Name\s+\S+\s+As|Randomize|Rnd|Wait|WaitUntil|Global|storeTo\w*|loadComponent\w*|BentNail\w*)\b/i;

const isModule = (name: string) => name.toLowerCase().endsWith(language.extension);
const textOf = (bytes: Uint8Array) => decodeText(bytes).text;

/** The modules of a program, the one that it starts in first. */
const modulesOf = (files: ProgramFiles): string[] =>
  files.filter(({ name }, index) => index === 0 || isModule(name)).map(({ bytes }) => textOf(bytes));

/** What is refused before the run, in words that are read like a tool's; "" where nothing is. */
function refusedBefore(files: ProgramFiles): string {
  const found = lookBefore(modulesOf(files));
  return found ? `Looked for before the run (${files[0]?.name ?? ""}, line ${found.line}): ${found.message}\n` : "";
}

/** The modules as they are run, in a folder of their own: what is refused is what the student wrote. */
function marked(files: ProgramFiles, recording: boolean): { files: ProgramFiles; paths: Record<string, string> } {
  const found = files.flatMap(({ name, bytes }, number) =>
    number === 0 || isModule(name)
      ? [{ name, at: `/tmp/marked/${number}.bas`, text: instrumentMacro(textOf(bytes), number, recording) }]
      : [],
  );
  return {
    files: found.map(({ at, text }) => ({ name: at, bytes: Buffer.from(text, "utf8") })),
    paths: Object.fromEntries(found.map(({ name, at }) => [name, at])),
  };
}

const command = (order: Readonly<Record<string, unknown>>): readonly string[] => [
  hostInterpreter ?? "/usr/bin/python3",
  ...["-s", "-S", "/runner/macro/start.py", JSON.stringify(order)],
];

const memory = { boundAddresses: false, overheadBytes: 384 * 1024 * 1024 };

/** The office's start takes time beside the program's own. */
const limitsOf = ({ limits }: RunRequest) => ({
  ...memory,
  ...{ cpuSeconds: limits.cpuSeconds + mostForStart, wallSeconds: limits.wallSeconds + 2 * mostForStart },
});

/** The file of a variant's text as it is run. */
const runAs = "marked.txt";

/** Many macros in one office, each in a fresh workbook. */
const planTries = (request: RunRequest, variants: readonly Variant[], until: number) =>
  planHosted(request, variants, {
    ...{ until, startSeconds: 0, alone: inCode(language, alone), limits: memory, environment: plainEnvironment },
    translate: async ({ files }) => {
      const said = refusedBefore(files);
      const main = files[0] ?? { name: "", bytes: new Uint8Array() };
      const run = Buffer.from(instrumentMacro(textOf(main.bytes), 0, false), "utf8");
      const made = [main, { name: runAs, bytes: run }];
      const told = { entry: entryOf(textOf(main.bytes)), compatible: isForOtherOffice(modulesOf(files)) };
      return { ok: said === "", said, made, main: JSON.stringify(told) };
    },
    line: (folder, told) => {
      const [main, ...others] = request.files.map((file) => file.name);
      const own = `${folder}/${main}`;
      return JSON.stringify({ files: [own, ...others], marked: { [own]: `${folder}/${runAs}` }, ...JSON.parse(told) });
    },
    host: (list) => command({ mode: "many", list }),
  });

/** What the office itself did with a macro that our check refuses, in words. */
function wordsOfOffice(own: Outcome): string {
  const primary = own.diagnostics.find((each) => each.primary);
  const came = primary
    ? `stopped at line ${primary.line ?? "?"}: ${primary.message}`
    : own.stoppedBy === "none"
      ? "came to its end, since the place is not reached"
      : `was stopped (${own.stoppedBy})`;
  return `The office looks names up only where they are reached: run all the same, it ${came}\n`;
}

/** Macros of a workbook by the office's Basic. */
export function createBasicMacroToolchain(workbench: () => Pool): Toolchain {
  const office = createCommandToolchain(
    {
      language,
      means:
        "LibreOffice for every run, without a screen and with a fresh workbook; boxes are the console. Names that nothing defines are looked for by a check of ours before the run (stand-in), as the students' tool does.",
      startSeconds,
      needs: systemNeeds(language.id),
      version: async () => {
        const told = /libreoffice-core-nogui\s+(?:\d+:)?([\d.]+)/;
        return `LibreOffice ${await toolVersion("dpkg-query", ["-W", "libreoffice-core-nogui"], told)}`;
      },
      takeTold: takeSheets,
      planTries,
      plan: async (request, mode) => {
        const run = marked(request.files, mode === "trace");
        const order = {
          mode,
          program: {
            files: request.files.map((file) => file.name),
            marked: run.paths,
            compatible: isForOtherOffice(modulesOf(request.files)),
            entry: entryOf(textOf(request.files[0]?.bytes ?? new Uint8Array())) ?? "Main",
          },
        };
        return {
          ...{
            files: [...request.files, ...run.files],
            build: mode === "check" ? [command(order)] : [],
            run: command(order),
          },
          ...{ recording: mode === "trace", limits: limitsOf(request) },
          environment: { ...plainEnvironment, BENT_NAIL_STEPS: String(request.limits.steps) },
        };
      },
    },
    workbench,
  );
  const refusal = (said: string, started: boolean | null): Omit<Outcome, "translator" | "console"> => ({
    ...{ started, finished: false, stoppedBy: "refused", exit: { code: 1, signal: 0 }, effects: [] },
    ...{ diagnostics: language.readMessages(said), inputRanOut: false, milliseconds: 0 },
  });
  return {
    ...office,
    check: async (request) => {
      const outcome = await office.check(request);
      const said = refusedBefore(request.files);
      if (said === "" || outcome.stoppedBy === "refused") return outcome;
      return { ...outcome, ...refusal(said, null), console: [{ kind: "err", text: said }] };
    },
    run: async (request) => {
      const outcome = await office.run(request);
      const said = refusedBefore(request.files);
      if (said === "" || outcome.stoppedBy === "refused") return outcome;
      return {
        ...refusal(said, false),
        translator: outcome.translator,
        console: [{ kind: "err", text: said + wordsOfOffice(outcome) }],
        ...(outcome.sheets ? { sheets: outcome.sheets } : {}),
      };
    },
    trace: async (request) => {
      const said = refusedBefore(request.files);
      if (said === "") return office.trace(request);
      const checked = await office.check(request);
      const outcome =
        checked.stoppedBy === "refused"
          ? { ...checked, started: false }
          : { ...checked, ...refusal(said, false), console: [{ kind: "err" as const, text: said }] };
      return { outcome, files: request.files.map((file) => file.name), steps: [] };
    },
  };
}
