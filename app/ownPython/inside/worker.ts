/**
 * The worker in which a student's program runs, inside a frame that can reach nothing: it starts CPython from the bytes
 * that it is handed and runs one program. Bundled to one script by server/ownPython/make.ts.
 */
import { decompress, initSync } from "brotli-dec-wasm/web";
import type { PyodideInterface } from "pyodide";
import { readPack } from "../../../core/formats/pack.ts";
import type { FromWorker, RunOrder, ToldFrame, ToWorker, Unpacked } from "./messages.ts";

declare function importScripts(...addresses: string[]): void;
declare function loadPyodide(options: Record<string, unknown>): Promise<PyodideInterface>;

/** An address that is never asked: every file is answered from bytes. */
const nowhere = "https://python.invalid/";
/** What is told is handed on at once as long as it is little, and else no oftener than so many milliseconds. */
const [littleFrames, handOnEvery] = [300, 40];

const tell = (told: FromWorker) => postMessage(told);

/** What an interpreter is started from, its code perhaps not made yet. */
type Starting = Omit<Unpacked, "module"> & { module: WebAssembly.Module | Promise<WebAssembly.Module> };

/** What the decoder gives lies in memory of its own. */
const unpacked = (bytes: Uint8Array): Uint8Array<ArrayBuffer> => {
  const { buffer, byteOffset, length } = decompress(bytes);
  return buffer instanceof ArrayBuffer ? new Uint8Array(buffer, byteOffset, length) : new Uint8Array(length);
};

/**
 * What is in a pack. The machine's code is made beside everything else, and whatever needs it waits for it where it does.
 */
function unpack(pack: ArrayBuffer): Starting {
  const parts = readPack(pack);
  const part = (name: string) => {
    const bytes = parts.get(name);
    if (!bytes) throw new Error(`The pack holds no ${name}.`);
    return bytes;
  };
  initSync({ module: part("decoder.wasm") });
  const module = WebAssembly.compile(unpacked(part("python.wasm.br")));
  const script = new Blob([unpacked(part("python.js.br"))], { type: "text/javascript" });
  const library = unpacked(part("library.zip.br"));
  return { module, library, script, runner: new TextDecoder().decode(unpacked(part("runner.json.br"))) };
}

/** Answers the interpreter's own requests for its files from what was handed over; there is no network here. */
function answerFromBytes({ module, library }: Starting): void {
  const answers: Record<string, () => BodyInit> = {
    "python_stdlib.zip": () => library.slice(),
    "pyodide-lock.json": () => JSON.stringify({ info: { version: "0.25.1", python: "3.11.3" }, packages: {} }),
    "pyodide.asm.wasm": () => "",
  };
  self.fetch = async (asked) => {
    const answer = answers[String(asked).replace(nowhere, "")];
    if (!answer) throw new TypeError("There is no network here.");
    return new Response(answer());
  };
  WebAssembly.instantiateStreaming = async (_response, imports) => {
    const made = await module;
    return { module: made, instance: await WebAssembly.instantiate(made, imports) };
  };
}

async function start(starting: Starting): Promise<PyodideInterface> {
  answerFromBytes(starting);
  const address = URL.createObjectURL(starting.script);
  importScripts(address);
  URL.revokeObjectURL(address);
  const python = await loadPyodide({
    indexURL: nowhere,
    env: { HOME: "/home", PYTHONHASHSEED: "0", TZ: "UTC", PYTHONDONTWRITEBYTECODE: "1" },
  });
  const files: Record<string, string> = JSON.parse(starting.runner);
  for (const [name, text] of Object.entries(files)) {
    const path = `/runner/${name}`;
    python.FS.mkdirTree(path.slice(0, path.lastIndexOf("/")));
    python.FS.writeFile(path, text);
  }
  python.runPython("import sys; sys.path.insert(0, '/runner'); import bent_nail_browser");
  return python;
}

/** Runs the program; the worker is used up then. */
function run(python: PyodideInterface, order: RunOrder): void {
  let waiting: ToldFrame[] = [];
  let [told, last] = [0, 0];
  const handOn = () => {
    if (waiting.length > 0) tell({ told: "frames", frames: waiting });
    told += waiting.length;
    waiting = [];
    last = performance.now();
  };
  const sink = (kind: string, line: number, step: number, bytes: Uint8Array) => {
    waiting.push([kind, line, step, bytes]);
    if (told < littleFrames || performance.now() - last > handOnEvery) handOn();
  };
  let how: "ended" | "broken" = "ended";
  const over = () => {
    handOn();
    tell({ told: "over", how });
  };
  try {
    const asPython = python.toPy(order);
    python.pyimport("bent_nail_browser").go(asPython, sink, over);
  } catch {
    how = "broken";
  }
  over();
}

let python: PyodideInterface | null = null;

self.onmessage = async ({ data }: MessageEvent<ToWorker>) => {
  try {
    if (data.do === "run") {
      if (python) run(python, data.order);
      return;
    }
    const starting = data.do === "start" ? unpack(data.pack) : data.unpacked;
    python = await start(starting);
    tell({ told: "ready", unpacked: { ...starting, module: await starting.module } });
  } catch (problem) {
    tell({ told: "trouble", words: problem instanceof Error ? problem.message : String(problem) });
  }
};
