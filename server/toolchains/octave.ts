import { instrumentOctave } from "../../core/languages/octave/instrument.ts";
import { octave as language } from "../../core/languages/octave/octave.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { Pool } from "../sandbox/pool.ts";
import { createCommandToolchain, plainEnvironment } from "./commandToolchain.ts";
import { manyInOctave } from "./octaveMany.ts";
import { systemNeeds } from "./systemNeeds.ts";
import type { Toolchain } from "./toolchain.ts";
import { toolVersion } from "./version.ts";

const interpreter = "/usr/bin/octave-cli";
const startSeconds = 0.8;
const options = ["-q", "--norc", "--no-history", "--no-line-editing"];

/** The matrix language by GNU Octave. */
export function createOctaveToolchain(workbench: () => Pool): Toolchain {
  return createCommandToolchain(
    {
      language,
      means: "GNU Octave for every run, with an empty workspace; recorded by calls put before its statements.",
      startSeconds,
      needs: systemNeeds(language.id),
      version: async () => `Octave ${await toolVersion(interpreter, ["--version"], /version ([\d.]+)/)}`,
      planMany: (request, variants) => manyInOctave([interpreter, ...options], request, variants, startSeconds),
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
          limits: { boundAddresses: false, overheadBytes: 192 * 1024 * 1024 },
        };
      },
    },
    workbench,
  );
}
