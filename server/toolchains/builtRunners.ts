import { execFile } from "node:child_process";
import { existsSync, mkdirSync, readdirSync, statSync } from "node:fs";
import { join } from "node:path";
import { productFolder } from "../productFolder.ts";

/** Where the runners lie that have to be translated first (tools/build-runners.mjs). */
export const builtRunners = join(productFolder, "node_modules/.cache/bent-nail/runners");

/**
 * The runners that are translated: what is made, the folder of its sources, and the translator without which it is not
 * made.
 */
const runners = [
  { made: "bent_nail_sandbox", sources: "runners/sandbox/bent_nail_sandbox", translator: "/usr/bin/python3" },
  { made: "native", sources: "runners/native", translator: "/usr/bin/python3" },
  { made: "bent_nail_runner", sources: "runners/python/bent_nail_runner", translator: "/usr/bin/python3" },
  { made: "java.jar", sources: "runners/java", translator: "/usr/bin/javac" },
  { made: "sketch.jar", sources: "runners/sketch", translator: "/usr/bin/javac" },
  { made: "csharp.exe", sources: "runners/csharp", translator: "/usr/bin/mcs" },
  { made: "basic.dll", sources: "runners/basic", translator: "/usr/bin/mcs" },
];

/** True if what is made (a file or a folder) of a folder's sources is there and not older than any of them. */
export function isUpToDate(made: string, sources: string): boolean {
  if (!existsSync(made)) return false;
  const time = statSync(made).mtimeMs;
  return readdirSync(sources, { recursive: true, encoding: "utf8" }).every(
    (name) => statSync(join(sources, name)).mtimeMs <= time,
  );
}

const isRunnerMade = ({ made, sources }: (typeof runners)[number]) =>
  isUpToDate(join(builtRunners, made), join(productFolder, sources));

/** True if everything that can be made here is there and not older than its sources. */
function isMade(): boolean {
  return runners.every((each) => !existsSync(each.translator) || isRunnerMade(each));
}

/**
 * A folder of runners as a sandbox takes it (its path in the product, and where it appears inside), and with it what
 * CPython has made of its modules already. That is taken by CPython without a look at its source, so it comes along only
 * where none of them is newer.
 */
export function pythonRunner(sources: string, inside: string): Array<{ folder: string; inside: string }> {
  const runner = runners.find((each) => each.sources === sources);
  return [
    { folder: join(productFolder, sources), inside },
    ...(runner && isRunnerMade(runner)
      ? [{ folder: join(builtRunners, runner.made), inside: `${inside}/__pycache__` }]
      : []),
  ];
}

let making: Promise<void> | undefined;

/** Translates the runners if that is not done yet. A language whose own translator is missing is passed over. */
export function prepareRunners(): Promise<void> {
  mkdirSync(builtRunners, { recursive: true });
  making ??= isMade()
    ? Promise.resolve()
    : new Promise((resolve, reject) => {
        execFile(process.execPath, [join(productFolder, "tools/build-runners.mjs")], (problem, _out, err) => {
          if (problem) reject(new Error(`the runners cannot be translated: ${err || problem.message}`));
          else resolve();
        });
      });
  making.catch(() => {
    making = undefined;
  });
  return making;
}
