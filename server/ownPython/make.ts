import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { promisify } from "node:util";
import { brotliCompress, constants } from "node:zlib";
import { build } from "esbuild";
import { fromBuffer } from "yauzl";
import yazl from "yazl";
import * as z from "zod";
import { writePack } from "../../core/formats/pack.ts";
import { productFolder } from "../productFolder.ts";
import { type OwnPython, ownPythonFolder } from "./ownPython.ts";

const compress = promisify(brotliCompress);
const packages = join(productFolder, "node_modules");

/** Text that is the same on every machine, so that what is made of it has the same name. */
const readText = (...path: string[]) => readFileSync(join(productFolder, ...path), "utf8");

/** The runner as the browser has it: the server's own files, with the browser's sink in the place of the block. */
export function runnerFiles(): Record<string, string> {
  const folder = "runners/python/bent_nail_runner";
  const own = readdirSync(join(productFolder, folder)).filter((name) => name.endsWith(".py"));
  return {
    ...Object.fromEntries(own.map((name) => [`bent_nail_runner/${name}`, readText(folder, name)])),
    "bent_nail_sandbox/__init__.py": "",
    "bent_nail_sandbox/block.py": readText("runners/browser/block.py"),
    "bent_nail_sandbox/case_files.py": readText("runners/sandbox/bent_nail_sandbox/case_files.py"),
    "bent_nail_browser.py": readText("runners/browser/bent_nail_browser.py"),
  };
}

/** One of the scripts inside the frame, bundled whole. */
async function script(name: string, define: Record<string, string> = {}): Promise<string> {
  const made = await build({
    entryPoints: [join(productFolder, "app/ownPython/inside", name)],
    ...{ bundle: true, write: false, minify: true, format: "iife", target: "es2022", define },
  });
  // The text stands in a page's script element.
  return (made.outputFiles[0]?.text ?? "").replaceAll("</", "<\\/");
}

/** The files of a zip by name, its folders left out. */
async function unzip(zip: Buffer): Promise<Map<string, Buffer>> {
  const files = new Map<string, Buffer>();
  await new Promise<void>((resolve, reject) =>
    fromBuffer(zip, { lazyEntries: true }, (problem, file) => {
      if (problem) return reject(problem);
      file.on("end", resolve).on("error", reject);
      file.on("entry", (entry) => {
        if (entry.fileName.endsWith("/")) return file.readEntry();
        file.openReadStream(entry, async (trouble, stream) => {
          if (trouble) return reject(trouble);
          const chunks: Buffer[] = [];
          for await (const chunk of stream) chunks.push(chunk);
          files.set(entry.fileName, Buffer.concat(chunks));
          file.readEntry();
        });
      });
      file.readEntry();
    }),
  );
  return files;
}

/** A zip with nothing in it compressed: what is alike between its files is found when all of it is. */
async function storedZip(files: ReadonlyMap<string, Buffer>): Promise<Buffer> {
  const target = new yazl.ZipFile();
  for (const [name, bytes] of files) target.addBuffer(bytes, name, { compress: false, mtime: new Date(2000, 0, 1) });
  target.end();
  const chunks: Buffer[] = [];
  for await (const chunk of target.outputStream) chunks.push(Buffer.from(chunk));
  return Buffer.concat(chunks);
}

/**
 * Translates in Python what it loads at its start, so that no browser has to: the files' names and their code as the
 * import system reads it (PEP 552, never checked against a source). `wanted`: what the runner and first programs load.
 */
const translateLibrary = `
import importlib.util, marshal, sys, zipfile
for name in wanted.split():
    __import__(name)
prefix = "/lib/python311.zip/"
paths = sorted({getattr(module, "__file__", None) or "" for module in list(sys.modules.values())})
library = zipfile.ZipFile("/lib/python311.zip")
[
    (path[len(prefix):], importlib.util.MAGIC_NUMBER + (1).to_bytes(4, "little") + bytes(8) + marshal.dumps(compile(library.read(path[len(prefix):]), path, "exec", dont_inherit=True)))
    for path in paths if path.startswith(prefix) and path.endswith(".py")
]
`;
const wanted =
  "atexit gc io json linecache os random re signal traceback types warnings ast math time datetime string collections copy functools itertools statistics csv";
/** What no student's program fails inside of; its text is left out where it is there translated. */
const inside =
  /^(?:_pyodide|asyncio|concurrent|encodings|importlib|logging|pyodide)\/|^(?:ssl|socket|selectors|subprocess|inspect|typing|tokenize|token|dis|opcode|zipfile|shutil|tempfile|_sysconfigdata[^/]*|sysconfig|bz2|lzma|_compression|os|posixpath|genericpath|stat|site|codecs|io|abc|ast|traceback|linecache|weakref|_weakrefset|signal|threading|locale)\.py$/;

/** The standard library, what is loaded at the start translated. */
async function libraryZip(): Promise<Buffer> {
  const files = await unzip(readFileSync(join(packages, "pyodide/python_stdlib.zip")));
  const { loadPyodide } = await import("pyodide");
  const python = await loadPyodide({ indexURL: join(packages, "pyodide") });
  python.globals.set("wanted", wanted);
  const translated: unknown = python.runPython(translateLibrary).toJs();
  for (const [name, code] of z.array(z.tuple([z.string(), z.instanceof(Uint8Array)])).parse(translated)) {
    files.set(`${name}c`, Buffer.from(code));
    if (inside.test(name)) files.delete(name);
  }
  return storedZip(files);
}

/** Brotli (RFC 7932) at its best, which takes half a minute for all of it; what has been made once is kept. */
async function small(bytes: Uint8Array): Promise<Buffer> {
  const kept = join(ownPythonFolder, "parts", createHash("sha256").update(bytes).digest("hex"));
  if (existsSync(kept)) return readFileSync(kept);
  const made = await compress(bytes, {
    params: {
      [constants.BROTLI_PARAM_QUALITY]: 11,
      [constants.BROTLI_PARAM_LGWIN]: 24,
      [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length,
    },
  });
  mkdirSync(join(ownPythonFolder, "parts"), { recursive: true });
  writeFileSync(`${kept}.${process.pid}`, made);
  renameSync(`${kept}.${process.pid}`, kept);
  return made;
}

/**
 * Makes what students' browsers fetch to run Python themselves, unless it is there already: one pack with CPython
 * (package pyodide), its standard library and our runner, and the page of the frame in which it runs.
 */
export async function makeOwnPython(): Promise<OwnPython> {
  const from = (name: string) => readFileSync(join(packages, "pyodide", name));
  const worker = await script("worker.ts");
  const frame = await script("frame.ts", { WORKER_SCRIPT: JSON.stringify(worker) });
  const runner = JSON.stringify(runnerFiles());
  const versions = ["pyodide", "brotli-dec-wasm"].map((name) => readText("node_modules", name, "package.json"));
  const key = createHash("sha256")
    .update([runner, frame, translateLibrary, wanted, inside.source, ...versions].join("\0"))
    .digest("hex")
    .slice(0, 20);
  const folder = join(ownPythonFolder, key);
  const scriptHash = createHash("sha256").update(frame).digest("base64");
  const own: OwnPython = {
    key,
    // Everything is refused but this script, the worker that it makes, and turning bytes into the machine's code.
    policy: `default-src 'none'; script-src 'sha256-${scriptHash}' blob: 'wasm-unsafe-eval'; worker-src blob:; frame-ancestors 'self'; base-uri 'none'; form-action 'none'; sandbox allow-scripts`,
  };
  if (!existsSync(join(folder, "own.json"))) {
    const temporary = `${folder}.${process.pid}`;
    mkdirSync(temporary, { recursive: true });
    const scripts = [from("pyodide.asm.js"), from("pyodide.js")].map((text) =>
      text.toString("utf8").replace(/^\/\/# sourceMappingURL=.*$/m, ""),
    );
    const [library, wasm, together, runnerSmall] = await Promise.all([
      libraryZip().then(small),
      small(from("pyodide.asm.wasm")),
      small(Buffer.from(scripts.join("\n;\n"))),
      small(Buffer.from(runner)),
    ]);
    const pack = writePack([
      { name: "decoder.wasm", bytes: readFileSync(join(packages, "brotli-dec-wasm/pkg/brotli_dec_wasm_bg.wasm")) },
      { name: "python.wasm.br", bytes: wasm },
      { name: "python.js.br", bytes: together },
      { name: "library.zip.br", bytes: library },
      { name: "runner.json.br", bytes: runnerSmall },
    ]);
    writeFileSync(join(temporary, "python.pack"), pack);
    writeFileSync(
      join(temporary, "frame.html"),
      `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Python</title><script>${frame}</script></head></html>`,
    );
    writeFileSync(join(temporary, "own.json"), JSON.stringify(own));
    rmSync(folder, { recursive: true, force: true });
    try {
      renameSync(temporary, folder);
    } catch {
      // Another process put its own there at the same time; one is as good as the other.
      rmSync(temporary, { recursive: true, force: true });
    }
  }
  writeFileSync(join(ownPythonFolder, "current.json"), JSON.stringify(own));
  for (const name of readdirSync(ownPythonFolder))
    if (name !== key && name !== "current.json" && name !== "parts")
      rmSync(join(ownPythonFolder, name), { recursive: true, force: true });
  return own;
}
