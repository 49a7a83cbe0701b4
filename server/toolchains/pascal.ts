import { existsSync } from "node:fs";
import { pascal as language } from "../../core/languages/pascal/pascal.ts";
import type { RunRequest } from "../../core/outcome/outcome.ts";
import type { Pool } from "../sandbox/pool.ts";
import { createCommandToolchain } from "./commandToolchain.ts";
import { type Habits, nativeTranslator } from "./native.ts";
import { type OtherWay, translated } from "./otherWays.ts";
import { partOfPascal } from "./parts.ts";
import { systemNeeds } from "./systemNeeds.ts";
import type { Toolchain } from "./toolchain.ts";
import { findBelow, toolVersion } from "./version.ts";

/** The front of the compiler, which only chooses the compiler for a processor, and that of this one. */
const front = "/usr/bin/fpc";
const compiler = ["/usr/bin/ppcx64", "/usr/bin/ppca64"].find((path) => existsSync(path)) ?? front;
/** Where Debian keeps the units: /usr/lib/<machine>/fpc/<version>. */
const library = findBelow(
  findBelow(findBelow("/usr/lib", /-linux-gnu$/, "fpc"), /^\d+\.\d+\.\d+$/, "units"),
  /-linux$/,
  "",
);

/**
 * With debug information, line numbers in run-time messages, and warnings, notes and hints; no settings of the machine.
 */
function build(request: RunRequest, program: string): string[] {
  const options = [
    "-n",
    "-gl",
    "-gw3",
    "-O-",
    "-vewnh",
    "-l-",
    "-Sgic",
    `-Fu${library}/*`,
    `-Fu${library}`,
    "-FU/tmp/build",
    `-o${program}`,
  ];
  return [compiler, ...options, request.files[0]?.name ?? ""];
}

/** Many variants together: lines of run-time messages, and nothing else that only a person would want to know. */
const quick = ["-n", "-gl", "-O-", "-ve", "-l-", "-Sgic", `-Fu${library}/*`, `-Fu${library}`, "-FU/tmp/build"];

const habits: Habits = {
  quote: "'",
  nothing: "nil",
  textsEndByZero: false,
  globalsBeginUnset: true,
  resultInRegister: false,
  libraryOwnsIndirect: true,
  oneLineLoop: String.raw`\b(?:for|while)\b.*\bdo\b\s*(?!begin\s*(?:\{.*\}\s*|//.*)?$)[^\s{/]|\brepeat\b.*\buntil\b`,
  header: String.raw`^\s*(?:class\s+)?(?:function|procedure|constructor|destructor|operator)\s+(?:\w+\.)*NAME\b`,
  // The run-time library's own exit codes (its documentation of run-time errors).
  stops: { from: 200, to: 231, words: "Runtime error %d" },
};

/** The other modes in which the language is read. */
function otherWays(): OtherWay[] {
  return ["tp", "delphi", "objfpc"].map((mode) => ({
    ...{ id: mode, words: `fpc -M${mode}` },
    command: ([main = ""]) => [
      compiler,
      ...quick.slice(0, -1),
      "-vewnh",
      `-M${mode}`,
      `-FU${translated}`,
      `-FE${translated}`,
      main,
    ],
  }));
}

/** Object Pascal by Free Pascal. */
export function createPascalToolchain(workbench: () => Pool): Toolchain {
  return createCommandToolchain(
    {
      language,
      means:
        "Free Pascal for every run, all warnings asked for; recorded by stopping at every line with the debug information.",
      startSeconds: 0.1,
      changes: true,
      otherWays,
      needs: systemNeeds(language.id),
      version: async () => `Free Pascal ${await toolVersion(compiler, ["-iV"], /^([\d.]+)/m)}`,
      ...nativeTranslator(language, habits, build, {
        kind: "pas",
        part: partOfPascal,
        build: (source, program) => [compiler, ...quick, `-o${program}`, source],
      }),
    },
    workbench,
  );
}
