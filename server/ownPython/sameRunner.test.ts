import { existsSync, readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { loadPyodide, type PyodideInterface } from "pyodide";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { python as language } from "../../core/languages/python/python.ts";
import { pythonResultSchema } from "../../core/languages/python/runnerResult.ts";
import { createFrameReader } from "../../core/outcome/readFrames.ts";
import { withClassNames } from "../../core/trace/methodClasses.ts";
import { buildTable } from "../../core/trace/table.ts";
import type { Step } from "../../core/trace/trace.ts";
import { usualLimits } from "../judge/run.ts";
import { productFolder } from "../productFolder.ts";
import { sharedToolchains } from "../testToolchains.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { runnerFiles } from "./make.ts";

let toolchains: Toolchains;
let python: PyodideInterface;

beforeAll(async () => {
  toolchains = sharedToolchains();
  // The interpreter that browsers are given, here without a browser.
  python = await loadPyodide({ indexURL: join(productFolder, "node_modules/pyodide"), env: { PYTHONHASHSEED: "0" } });
  for (const [name, text] of Object.entries(runnerFiles())) {
    const path = `/runner/${name}`;
    python.FS.mkdirTree(path.slice(0, path.lastIndexOf("/")));
    python.FS.writeFile(path, text);
  }
  python.runPython("import sys; sys.path.insert(0, '/runner'); import bent_nail_browser");
});
afterAll(() => toolchains.close());

/** Runs a program by the runner of browsers. */
function runHere(text: string, input: string, mode: "run" | "trace") {
  const reader = createFrameReader(pythonResultSchema);
  const order = {
    ...{ mode, main: "program.py", files: [["program.py", text]], input },
    ...{ outputLimit: 1 << 20, stepLimit: 20_000, change: null },
  };
  const sink = (kind: string, line: number, step: number, bytes: Uint8Array) => reader.add(kind, line, step, bytes);
  python.pyimport("bent_nail_browser").go(python.toPy(order), sink, () => undefined);
  return reader.whole();
}

function onServer() {
  const found = toolchains.find("python");
  if (!found?.trace) throw new Error("no Python");
  return { run: found.run, trace: found.trace };
}
const requestOf = (text: string, input: string) => ({
  ...{ files: [{ name: "program.py", bytes: Buffer.from(text) }], input, limits: usualLimits },
});

const folder = join(productFolder, "runners/conformance/python");
const programs = readdirSync(folder).filter((name) => name.endsWith(".py"));

describe("a browser's run and recording are the server's", () => {
  test.each(programs)("%s", async (name) => {
    const text = readFileSync(join(folder, name), "utf8");
    const typed = join(folder, name.replace(/\.py$/, ".in"));
    const input = existsSync(typed) ? readFileSync(typed, "utf8") : "";
    const server = await onServer().trace(requestOf(text, input));
    const here = runHere(text, input, "trace");
    expect(here.console).toEqual(server.outcome.console);
    const rows = (steps: readonly Step[]) =>
      buildTable({ outcome: server.outcome, files: ["program.py"], steps: [...steps] }, { rows: "change" }).rows.map(
        ({ line, cells, input: read, output, raised, depth }) => ({ line, cells, read, output, raised, depth }),
      );
    expect(rows(withClassNames(language, [text], here.steps))).toEqual(rows(server.steps));
  });

  const failing: ReadonlyArray<readonly [string, string, string]> = [
    ["a name that is not known, with what was meant", "deck = 3\nprint(dek)\n", ""],
    ["a line that cannot be read", "load = 3\nif load > 2\n    print(load)\n", ""],
    ["an indentation that is not", "def load():\nreturn 3\n", ""],
    ["a text that is no number", "tide = int(input('Tide? '))\nprint(tide)\n", "high\n"],
    ["more asked for than is typed in", "one = input()\ntwo = input()\n", "4\n"],
    ["a message out of the library", "import json\njson.loads('{')\n", ""],
    ["an exit in the middle", "import sys\nprint('so far')\nsys.exit('no ferry')\n", ""],
    ["a chain of problems", "try:\n    1 / 0\nexcept ZeroDivisionError:\n    [][1]\n", ""],
    ["a function that calls itself for ever", "def again(n):\n    return again(n + 1)\nagain(0)\n", ""],
    ["chance, which is the same each time", "import random\nprint(random.randint(1, 1000), random.random())\n", ""],
    ["tabs and blanks", "if True:\n\tx = 1\n        y = 2\n", ""],
    ["letters of other alphabets", "name = 'Skærgård ⚓'\nprint(name, len(name))\n", ""],
  ];
  test.each(failing)("%s", async (_what, text, input) => {
    const server = await onServer().run(requestOf(text, input));
    const { console, result } = runHere(text, input, "run");
    const words = (pieces: typeof console) =>
      pieces
        .map((piece) => piece.text)
        .join("")
        // Where the library lies is the machine's own; lines inside a zip are not shown, and the stack is as deep as it is.
        .replace(/("\/(?:usr\/lib\/python3\.11|lib\/python311\.zip)\/)(.*\n)(?: {4}.*\n)*/g, '"LIBRARY/$2')
        .replace(/repeated \d+ more/, "repeated many more");
    expect(words(console)).toEqual(words(server.console));
    expect(result?.ranOut).toBe(server.inputRanOut);
    expect(result?.started).toBe(server.started);
  });
});
