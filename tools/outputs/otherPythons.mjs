// Adds outputs of another version of CPython to the collection: node otherPythons.mjs FOLDER (one a call), a folder
// with an installed npm package "pyodide" (CPython built for WebAssembly; 0.21 is 3.10, 0.26 is 3.12, 0.29 is 3.13, 314
// is 3.14). Only programs of our own run in it.
import { execFileSync } from "node:child_process";
import { writeFileSync } from "node:fs";
import { dirname, join, resolve } from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";

const here = dirname(fileURLToPath(import.meta.url));
const programs = JSON.parse(
  execFileSync(
    "python3",
    [
      "-c",
      "import json; from plant import *; print(json.dumps([(n, w, t) for n, b in BASES['python'] for w, t in spread(variants(b, ()), 30)] + [('deck.py', 'stop', t) for t in STOPS['python']]))",
    ],
    { cwd: here, encoding: "utf8" },
  ),
);
const truthOf = `
import traceback, json, sys, io, linecache
def words(problem):
    told = traceback.TracebackException.from_exception(problem)
    return told, list(told.format_exception_only())[-1].strip().partition(": ")[2]
def told(name, source):
    linecache.cache.clear()
    with open(name, "w") as file: file.write(source)
    out = io.StringIO()
    try:
        code = compile(source, name, "exec")
        sys.stdout, before = io.StringIO(), sys.stdout
        try: exec(code, {"__name__": "__main__"})
        finally: sys.stdout = before
    except SyntaxError as problem:
        traceback.print_exception(type(problem), problem, None, file=out)
        return json.dumps({"output": out.getvalue(), "truth": {"severity": "error", "file": name, "errorName": type(problem).__name__, "line": problem.lineno, "column": words(problem)[0].offset if words(problem)[0].offset else None, "message": words(problem)[1]}})
    except BaseException as problem:
        trace = problem.__traceback__
        while trace is not None and trace.tb_frame.f_code.co_filename != name: trace = trace.tb_next
        problem = problem.with_traceback(trace)
        traceback.print_exception(type(problem), problem, trace, file=out)
        frames = [f for f in traceback.extract_tb(trace) if f.filename == name]
        frame = frames[-1]
        column = getattr(frame, "colno", None)
        if column is not None: column = len(source.split("\\n")[frame.lineno - 1].encode()[:column].decode(errors="ignore")) + 1
        return json.dumps({"output": out.getvalue(), "truth": {"severity": "error", "file": name, "errorName": type(problem).__name__, "line": frame.lineno, "column": column, "message": words(problem)[1]}})
    return None
`;
const rows = [];
for (const folder of process.argv.slice(2, 3)) {
  const { loadPyodide } = await import(pathToFileURL(join(resolve(folder), "node_modules/pyodide/pyodide.mjs")).href);
  const python = await loadPyodide({ indexURL: join(resolve(folder), "node_modules/pyodide") });
  const version = python.runPython("import sys; '.'.join(map(str, sys.version_info[:2]))");
  python.runPython(truthOf);
  const ask = python.globals.get("told");
  for (const [name, what, text] of programs) {
    const answer = ask(name, text);
    if (!answer) continue;
    const { output, truth } = JSON.parse(answer);
    rows.push({
      family: `cpython ${version}`,
      language: "python",
      what,
      program: { [name]: text },
      output,
      truth: [{ ...truth, only: "primary" }],
      from: `the exception object, CPython ${version}`,
    });
  }
  console.log(version, rows.length);
}
writeFileSync(
  join(here, `../../core/languages/collection/cpython-${rows[0]?.family.split(" ")[1]}.jsonl`),
  `${rows.map((row) => JSON.stringify(row)).join("\n")}\n`,
);
