// Translates the parts of the product that run in a student's language, once and again when a source is newer. Usage:
// node tools/build-runners.mjs
import { execFileSync } from "node:child_process";
import { cpSync, existsSync, mkdirSync, readdirSync, realpathSync, renameSync, rmSync, statSync } from "node:fs";
import { basename, dirname, join } from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";

const home = join(dirname(fileURLToPath(import.meta.url)), "..");
const store = join(home, "node_modules/.cache/bent-nail/runners");

/** Files below a folder with the given ending. */
function sourcesOf(folder, ending) {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && entry.name.endsWith(ending))
    .map((entry) => join(entry.parentPath ?? entry.path, entry.name));
}

/** Mono's own readers and writers of assemblies and of debug information. */
const libraries = ["Mono.Cecil", "Mono.CompilerServices.SymbolWriter"].map((name) => {
  const folder = join("/usr/lib/mono/gac", name);
  const version = existsSync(folder)
    ? readdirSync(folder)
        .sort((one, other) => one.localeCompare(other, "en", { numeric: true }))
        .at(-1)
    : undefined;
  return join(folder, version ?? "", `${name}.dll`);
});

const newest = (files) => Math.max(...files.map((file) => statSync(file).mtimeMs));

/**
 * Makes `target` (a folder or file in the store) with `make(temporary path)`, unless it is there and newer than its
 * sources.
 */
function once(name, sources, make) {
  const target = join(store, name);
  if (existsSync(target) && statSync(target).mtimeMs >= newest(sources)) return target;
  mkdirSync(store, { recursive: true });
  const temporary = `${target}.${process.pid}`;
  try {
    make(temporary);
  } catch (problem) {
    for (const left of readdirSync(dirname(temporary)))
      if (left.startsWith(basename(temporary)))
        rmSync(join(dirname(temporary), left), { recursive: true, force: true });
    throw problem;
  }
  rmSync(target, { recursive: true, force: true });
  renameSync(temporary, target);
  return target;
}

/** Java sources of a folder of runners as a jar, or null where there is no JDK. */
function buildJar(name, folder, libraries) {
  if (!existsSync("/usr/bin/javac") || !existsSync("/usr/share/java/asm.jar")) return null;
  const sources = sourcesOf(join(home, folder), ".java");
  return once(name, sources, (temporary) => {
    const classes = `${temporary}.classes`;
    const path = libraries.map((each) => `/usr/share/java/${each}.jar`).join(":");
    execFileSync("/usr/bin/javac", ["-nowarn", "-d", classes, "-cp", path, ...sources], {
      stdio: ["ignore", "inherit", "inherit"],
    });
    execFileSync("/usr/bin/jar", ["--create", "--no-compress", "--file", temporary, "-C", classes, "."], {
      stdio: "inherit",
    });
    rmSync(classes, { recursive: true });
  });
}

/** The translator and recorder of Java. */
export const buildJava = () => buildJar("java.jar", "runners/java", ["asm", "asm-tree", "asm-analysis", "asm-commons"]);

/**
 * javac's own classes as the machine keeps them ready, so that a translator that is started need not read them anew. A
 * machine of another version or with other options passes over it.
 */
export function buildJavaArchive() {
  const javac = "/usr/bin/javac";
  if (!existsSync(javac)) return;
  // Of what it reads, writes and complains of, those are an example that need nothing beside the JDK.
  const examples = ["Json", "Literal", "Many", "Recorder", "Start", "StepChange"];
  const sources = examples.map((name) => join(home, `runners/java/bentnail/${name}.java`));
  mkdirSync(join(store, "archives"), { recursive: true });
  once("archives/javac.jsa", [realpathSync(javac), fileURLToPath(import.meta.url)], (temporary) => {
    const classes = `${temporary}.classes`;
    const options = ["-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1", `-XX:ArchiveClassesAtExit=${temporary}`];
    try {
      execFileSync(javac, [...options.map((each) => `-J${each}`), "-Xlint:all", "-d", classes, ...sources], {
        stdio: "ignore",
      });
    } finally {
      rmSync(classes, { recursive: true, force: true });
    }
  });
}

/** What drawing sketches are made with. */
export const buildSketch = () => buildJar("sketch.jar", "runners/sketch", []);

/** The C# recorder, or null where there is no mono compiler. */
export function buildCSharp() {
  const sources = sourcesOf(join(home, "runners/csharp"), ".cs");
  if (!existsSync("/usr/bin/mcs") || libraries.some((library) => !existsSync(library))) return null;
  return once("csharp.exe", sources, (temporary) => {
    // An assembly is called after the file that it is first written to.
    const folder = `${temporary}.made`;
    mkdirSync(folder, { recursive: true });
    execFileSync(
      "/usr/bin/mcs",
      ["-nologo", `-out:${folder}/csharp.exe`, ...libraries.map((library) => `-r:${library}`), ...sources],
      {
        stdio: ["ignore", "inherit", "inherit"],
      },
    );
    renameSync(join(folder, "csharp.exe"), temporary);
    rmSync(folder, { recursive: true });
  });
}

/** What programs in typed Basic are translated against. */
export function buildBasic() {
  if (!existsSync("/usr/bin/mcs")) return null;
  const sources = sourcesOf(join(home, "runners/basic"), ".cs");
  return once("basic.dll", sources, (temporary) => {
    const folder = `${temporary}.made`;
    mkdirSync(folder, { recursive: true });
    execFileSync("/usr/bin/mcs", ["-nologo", "-target:library", `-out:${folder}/basic.dll`, ...sources], {
      stdio: ["ignore", "inherit", "inherit"],
    });
    renameSync(join(folder, "basic.dll"), temporary);
    rmSync(folder, { recursive: true });
  });
}

/** Folders of what hosts runs in CPython (server/toolchains/builtRunners.ts), by the name that each has inside. */
const hosts = ["runners/sandbox/bent_nail_sandbox", "runners/native", "runners/python/bent_nail_runner"];

/**
 * What CPython makes of its modules, so that no host translates them anew: they are copied into each sandbox, so their
 * times say nothing there, and CPython is told to ask for none. One that another version of CPython made is passed over
 * by it.
 */
export function buildHosts() {
  const python = ["/usr/bin/python3", "/usr/local/bin/python3"].find((path) => existsSync(path));
  if (!python) return;
  for (const folder of hosts)
    once(basename(folder), sourcesOf(join(home, folder), ".py"), (temporary) => {
      const copy = `${temporary}.copy`;
      cpSync(join(home, folder), copy, { recursive: true, filter: (path) => !path.endsWith("__pycache__") });
      const compile = ["-m", "compileall", "-q", "--invalidation-mode", "unchecked-hash", "-s", copy];
      execFileSync(python, [...compile, "-p", `/runner/${basename(folder)}`, copy], { stdio: "inherit" });
      renameSync(join(copy, "__pycache__"), temporary);
      rmSync(copy, { recursive: true });
    });
}

if (process.argv[1] && import.meta.url === pathToFileURL(process.argv[1]).href) {
  buildJava();
  buildSketch();
  buildCSharp();
  buildBasic();
  // Everything runs without these, only later: a tool that cannot make them keeps nobody from what it can.
  for (const build of [buildHosts, buildJavaArchive])
    try {
      build();
    } catch (problem) {
      console.error(`passed over: ${problem instanceof Error ? problem.message : problem}`);
    }
}
