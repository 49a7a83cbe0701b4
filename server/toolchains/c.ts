import { c as language } from "../../core/languages/c/c.ts";
import type { RunRequest } from "../../core/outcome/outcome.ts";
import type { Pool } from "../sandbox/pool.ts";
import { createCommandToolchain } from "./commandToolchain.ts";
import { type Habits, nativeTranslator } from "./native.ts";
import { installed, type OtherWay, translated } from "./otherWays.ts";
import { partOfC } from "./parts.ts";
import { systemNeeds } from "./systemNeeds.ts";
import type { Toolchain } from "./toolchain.ts";
import { toolVersion } from "./version.ts";

/** All program files together, with debug information and every usual warning; a tab counts as one column. */
function build(request: RunRequest, program: string): string[] {
  const sources = request.files.map((file) => file.name).filter((name) => name.endsWith(language.extension));
  const options = [
    "-g",
    "-gdwarf-4",
    "-O0",
    "-std=gnu17",
    "-Wall",
    "-Wextra",
    "-fdiagnostics-color=never",
    "-ftabstop=1",
    "-fno-pie",
    "-no-pie",
  ];
  return ["/usr/bin/gcc", ...options, "-o", program, ...sources.map((name) => `./${name}`), "-lm"];
}

/** Many variants together: nothing that only a person or a debugger would want to know. */
const quick = [
  "-O0",
  "-pipe",
  "-fno-asynchronous-unwind-tables",
  "-std=gnu17",
  "-w",
  "-fdiagnostics-color=never",
  "-ftabstop=1",
  "-fno-pie",
  "-no-pie",
];

const habits: Habits = {
  quote: '"',
  nothing: "NULL",
  textsEndByZero: true,
  globalsBeginUnset: false,
  resultInRegister: true,
  libraryOwnsIndirect: false,
  oneLineLoop: null,
  header: null,
  stops: null,
};

/** An older standard to the letter, the compiler's own looking through paths, and other compilers that are installed. */
function otherWays(): OtherWay[] {
  const others = [
    ...installed("/usr/bin", /^(?:clang|tcc)(?:-\d+)?$/),
    ...installed("/usr/bin", /^gcc-\d+$/, "/usr/bin/gcc"),
  ];
  const plain = "-fdiagnostics-color=never";
  const by =
    (compiler: string, ...options: string[]) =>
    (files: readonly string[]) => [compiler, "-c", ...options, "-o", `${translated}/program.o`, ...files.slice(0, 1)];
  return [
    {
      id: "c99",
      words: "gcc -std=c99 -pedantic -Wall",
      command: by("/usr/bin/gcc", "-std=c99", "-pedantic", "-Wall", plain),
    },
    {
      ...{ id: "analyzer", words: "gcc -O1 -fanalyzer" },
      command: by("/usr/bin/gcc", "-O1", "-fanalyzer", "-fdiagnostics-path-format=none", plain),
    },
    ...others.map(({ name, path }) => ({ id: name, words: name, command: by(path, "-Wall") })),
  ];
}

/** C by gcc. */
export function createCToolchain(workbench: () => Pool): Toolchain {
  return createCommandToolchain(
    {
      language,
      means:
        "gcc for every run, all warnings asked for; recorded by stopping at every line with the debug information; a crash without a line is looked up with gdb.",
      startSeconds: 0.1,
      changes: true,
      otherWays,
      needs: systemNeeds(language.id),
      version: async () => `gcc ${await toolVersion("/usr/bin/gcc", ["-dumpfullversion"], /^([\d.]+)/m)}`,
      ...nativeTranslator(language, habits, build, {
        kind: "c",
        part: partOfC,
        build: (source, program) => ["/usr/bin/gcc", ...quick, "-o", program, source, "-lm"],
      }),
    },
    workbench,
  );
}
