import { instrumentOctave } from "../../core/languages/octave/instrument.ts";
import { octave as language } from "../../core/languages/octave/octave.ts";
import type { RunRequest } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { Pool } from "../sandbox/pool.ts";
import { createCommandToolchain, plainEnvironment } from "./commandToolchain.ts";
import { inCode, planHosted } from "./hostedTries.ts";
import type { OtherWay } from "./otherWays.ts";
import { systemNeeds } from "./systemNeeds.ts";
import type { Toolchain, Variant } from "./toolchain.ts";
import { toolVersion } from "./version.ts";

const interpreter = "/usr/bin/octave-cli";
const startSeconds = 0.8;
const options = ["-q", "--norc", "--no-history", "--no-line-editing"];

const limits = { boundAddresses: false, overheadBytes: 192 * 1024 * 1024 };

/**
 * Words by which a program may reach what is not gone with its names, or stands otherwise in an interpreter of many.
 */
const words = `addpath rmpath pkg atexit mlock diary setenv putenv more debug_on_\\w+ dbstop dbstack evalin assignin evalc source run
  tic toc cputime getpid argv program_name mfilename program_invocation_name onCleanup system shell_cmd popen2? fork exec kill figure
  plot max_recursion_depth rethrow lasterr lasterror stdin fread fscanf scanf fgetl fgets kbhit keyboard pause print_usage who\\w*
  isargout rand\\w* warning`;
const reachesOthers = inCode(
  language,
  new RegExp(`\\b(?:${words.trim().split(/\s+/).join("|")})\\b`),
  /\b(?:eval|feval|str2func|inline)\b/,
);
/** A main file that begins with a function, which the interpreter takes for that function alone. */
const isFunction = /^(?:\s|[%#][^\n]*(?:\n|$))*function\b/;

/** Many programs in one interpreter, each in an empty workspace (runners/octave_many/__bent_nail_many__.m). */
const planTries = (request: RunRequest, variants: readonly Variant[], until: number) =>
  planHosted(request, variants, {
    until,
    startSeconds: startSeconds - 0.2,
    // Nothing is translated: each is read when it is run.
    translate: async ({ files }) => ({ ok: true, said: "", made: files.slice(0, 1), main: files[0]?.name ?? "" }),
    alone: (text) => isFunction.test(text) || reachesOthers(text),
    line: (folder, main) => `${folder}/${main}`,
    // A warning tells the calls that led to it, up to the host's own.
    hostShows: /__bent_nail_many__/,
    host: (list) => [
      interpreter,
      ...options,
      "--path",
      "/runner/octave_many",
      "--eval",
      `__bent_nail_many__ ("${list}");`,
    ],
    limits,
  });

/** As the language was before its own additions. */
function otherWays(): OtherWay[] {
  const parse = (main: string) =>
    `try, __parse_file__('${main.replaceAll("'", "''")}'); catch problem, fprintf(stderr, "%s\\n", problem.message); end`;
  return [
    {
      ...{ id: "traditional", words: "octave --traditional" },
      command: ([main = ""]) => [interpreter, ...options, "--traditional", "--eval", parse(main)],
    },
  ];
}

/** The matrix language by GNU Octave. */
export function createOctaveToolchain(workbench: () => Pool): Toolchain {
  return createCommandToolchain(
    {
      language,
      means: "GNU Octave for every run, with an empty workspace; recorded by calls put before its statements.",
      startSeconds,
      otherWays,
      needs: systemNeeds(language.id),
      version: async () => `Octave ${await toolVersion(interpreter, ["--version"], /version ([\d.]+)/)}`,
      planTries,
      plan: async (request, mode) => {
        const programs = request.files.map((file) => file.name).filter((name) => name.endsWith(language.extension));
        // Running reads the whole main file first; a slip in another file shows only where it is called, so those are
        // read as well.
        const read = mode === "check" ? programs : programs.slice(1);
        const parse = read.map((name) => `__parse_file__('${name.replaceAll("'", "''")}');`).join(" ");
        const record = mode === "trace";
        // The main file is a script whatever stands first in it; the others hold functions.
        const files = record
          ? request.files.map((file, number) =>
              file.name.endsWith(language.extension)
                ? {
                    name: file.name,
                    bytes: Buffer.from(instrumentOctave(decodeText(file.bytes).text, number, number === 0), "utf8"),
                  }
                : file,
            )
          : request.files;
        return {
          files,
          runsAnyway: true,
          build: parse ? [[interpreter, ...options, "--eval", parse]] : [],
          recording: record,
          environment: { ...plainEnvironment, BENT_NAIL_STEPS: String(request.limits.steps) },
          run: [interpreter, ...options, ...(record ? ["--path", "/runner/octave"] : []), request.files[0]?.name ?? ""],
          limits,
        };
      },
    },
    workbench,
  );
}
