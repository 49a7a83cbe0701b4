import { readdirSync, readFileSync, statSync } from "node:fs";
import { join, normalize } from "node:path";
import { expect, test } from "vitest";
import { allTaskParts } from "../app/tasks/list.ts";
import { taskKinds } from "../core/exercises/taskKinds.ts";

const root = normalize(join(import.meta.dirname, ".."));

function filesUnder(folder: string): string[] {
  return readdirSync(join(root, folder)).flatMap((name) => {
    const path = join(folder, name);
    if (statSync(join(root, path)).isDirectory()) return filesUnder(path);
    return /\.tsx?$/.test(name) ? [path] : [];
  });
}

function importsOf(file: string): string[] {
  const text = readFileSync(join(root, file), "utf8");
  return [...text.matchAll(/(?:from|import\()\s*"([^"]+)"/g)].map((match) => match[1] ?? "");
}

/** What each part of the house may import from the others. */
const allowed: Record<string, readonly string[]> = {
  core: ["core"],
  server: ["core", "server", "tools"],
  app: ["core", "server", "app"],
  cli: ["core", "server", "cli", "demo"],
  demo: ["core", "server", "demo"],
};

test.each(Object.entries(allowed))("%s imports only what lies on its arrow", (part, parts) => {
  // A test may bring the demo's data.
  const files = filesUnder(part).filter((file) => !file.endsWith(".test.ts"));
  const wrong = files.flatMap((file) =>
    importsOf(file)
      .filter((path) => path.startsWith("."))
      .map((path) => normalize(join(file, "..", path)))
      .filter((target) => !parts.includes(target.split("/")[0] ?? ""))
      .map((target) => `${file} -> ${target}`),
  );
  expect(wrong).toEqual([]);
});

test("core knows neither Node nor the page nor the network", () => {
  const wrong = filesUnder("core")
    .filter((file) => !file.endsWith(".test.ts"))
    .filter(
      (file) =>
        importsOf(file).some((path) => path.startsWith("node:") || path.startsWith("react")) ||
        /\b(?:document|window|fetch|localStorage|process)[.(]/.test(readFileSync(join(root, file), "utf8")),
    );
  expect(wrong).toEqual([]);
});

/** The stages of the server in the order of the job: each uses what stands before it, and nothing behind it. */
const stages: readonly string[] = [
  ...[
    "database",
    "sandbox",
    "interpreters",
    "toolchains",
    "ownPython",
    "work/jobStore",
    "work/measuredStore",
    "work/queue",
    "work/stoppable",
    "people",
    "assignments",
    "cases",
    "judge",
  ],
  "classwork",
  ...[
    "mend",
    "collect",
    "casebook",
    "exercises",
    "sheets",
    "lessons",
    "sittings",
    "marks",
    "results",
    "privacy",
    "backup",
    "work",
    "http",
  ],
];

/** The stage of a file of the server, or -1 for what all stages share. */
function stageOf(file: string): number {
  const inside = file.replace(/^server\//, "").replace(/(?:\.test)?\.ts$/, "");
  const own = stages.indexOf(inside);
  return own >= 0 ? own : stages.indexOf(inside.includes("/") ? (inside.split("/")[0] ?? "") : "");
}

test("a stage of the server uses earlier stages only", () => {
  const files = filesUnder("server").filter((file) => !file.endsWith(".test.ts"));
  const unknown = files.filter((file) => file.split("/").length > 2 && stageOf(file) < 0);
  // Both say what a job is and what the server holds, for the stages whose work it is.
  const shared = ["server/work/job.ts"];
  const wrong = files.flatMap((file) =>
    importsOf(file)
      .filter((path) => path.startsWith("."))
      .map((path) => normalize(join(file, "..", path)))
      .filter((target) => target.startsWith("server/") && !shared.includes(target) && stageOf(target) > stageOf(file))
      .filter(() => stageOf(file) >= 0 && !shared.includes(file))
      .map((target) => `${file} -> ${target}`),
  );
  expect([unknown, wrong]).toEqual([[], []]);
});

test("SQL stands in stores only, each beside what it is about", () => {
  const asking = ["server", "app", "cli", "demo"]
    .flatMap(filesUnder)
    .filter((file) => !file.endsWith(".test.ts") && !/[sS]tore\.ts$/.test(file))
    .filter((file) => !file.startsWith("server/database/") && file !== "server/testServices.ts")
    .filter((file) => /\bdatabase\.(?:query|exec)\(|\bquery\(\s*["'`]/.test(readFileSync(join(root, file), "utf8")));
  expect(asking).toEqual([]);
});

test("no two files need one another, by values or by types", () => {
  const files = ["core", "server", "app", "cli", "demo", "bench"].flatMap(filesUnder);
  const known = new Set(files);
  const targets = (file: string) =>
    importsOf(file)
      .filter((path) => path.startsWith("."))
      .map((path) => normalize(join(file, "..", path)))
      .filter((target) => known.has(target));
  const done = new Set<string>();
  const circles: string[] = [];
  const visit = (file: string, way: readonly string[]): void => {
    const at = way.indexOf(file);
    if (at >= 0) circles.push([...way.slice(at), file].join(" -> "));
    if (at >= 0 || done.has(file)) return;
    for (const target of targets(file)) visit(target, [...way, file]);
    done.add(file);
  };
  for (const file of files) visit(file, []);
  expect(circles).toEqual([]);
});

test("no type comes from a page's own file", () => {
  const pages = new Set(
    [...readFileSync(join(root, "app/routes.ts"), "utf8").matchAll(/"([\w/]+\.tsx?)"/g)].map(
      (match) => `app/${match[1]}`,
    ),
  );
  expect(pages.size).toBeGreaterThan(20);
  const wrong = filesUnder("app")
    .filter((file) => !file.endsWith(".test.ts"))
    .flatMap((file) =>
      importsOf(file)
        .filter((path) => path.startsWith("."))
        .map((path) => normalize(join(file, "..", path)))
        .filter((target) => pages.has(target))
        .map((target) => `${file} -> ${target}`),
    );
  expect(wrong).toEqual([]);
});

/** The kinds of tasks that have a file. */
function taskFiles(): string[] {
  return readdirSync(join(root, "core/exercises/tasks"))
    .filter((name) => !name.endsWith(".test.ts"))
    .map((name) => name.replace(/\.ts$/, ""));
}

test("nothing outside a task kind's own file and folder asks which kind it is", () => {
  const kinds = taskFiles();
  expect(kinds.length).toBeGreaterThan(5);
  const asks = new RegExp(`kind\\s*[!=]==?\\s*"(?:${kinds.join("|")})"|case "(?:${kinds.join("|")})":`);
  const asking = ["core", "server", "app", "cli"]
    .flatMap(filesUnder)
    .filter((file) => !file.startsWith("core/exercises/tasks/") && !file.startsWith("app/tasks/"))
    // Statements of a language are called as they are, whatever kinds of task there are; interpreters know none.
    .filter((file) => !file.startsWith("core/interpreters/"))
    .filter((file) => !file.endsWith(".test.ts") && asks.test(readFileSync(join(root, file), "utf8")));
  expect(asking).toEqual([]);
});

test("what a kind of task shows has a folder and a place in the list for each kind", () => {
  const kinds = taskKinds.map((kind) => kind.kind).sort();
  expect(allTaskParts.map((parts) => parts.kind).sort()).toEqual(kinds);
  expect(taskFiles().sort()).toEqual(kinds);
  expect(
    readdirSync(join(root, "app/tasks"), { withFileTypes: true })
      .filter((entry) => entry.isDirectory())
      .map((entry) => entry.name)
      .sort(),
  ).toEqual(kinds);
});

test("no program is started but through the sandbox", () => {
  const starters = ["core", "server", "app", "cli", "demo"]
    .flatMap(filesUnder)
    .filter(
      (file) =>
        !file.endsWith(".test.ts") &&
        importsOf(file).some((path) => path === "node:child_process" || path === "child_process"),
    );
  // The other two start tools with words of our own: to ask for a version, and to translate our own runners. No
  // student's text reaches them.
  expect(starters).toEqual([
    "server/sandbox/bubblewrap.ts",
    "server/toolchains/builtRunners.ts",
    "server/toolchains/version.ts",
  ]);
});

test("what students write is run nowhere outside of the sandbox but by our own interpreters, in a thread or worker", () => {
  const files = ["core", "server", "app", "cli", "demo"]
    .flatMap(filesUnder)
    .filter((file) => !file.endsWith(".test.ts"));
  const makesCode = /\beval\s*\(|new Function\s*\(/;
  expect(files.filter((file) => makesCode.test(readFileSync(join(root, file), "utf8")))).toEqual([]);
  expect(files.filter((file) => importsOf(file).some((path) => /^(?:node:)?vm$/.test(path)))).toEqual([]);
  const running = files.filter(
    (file) =>
      !file.startsWith("core/interpreters/") &&
      /\b(?:runPseudocode|runMachine)\s*\(/.test(readFileSync(join(root, file), "utf8")),
  );
  expect(running.sort()).toEqual(["app/tryHere/worker.ts", "server/interpreters/worker.ts"]);
});

test("nothing outside a language's folder asks which language it is", () => {
  const asking = ["core", "server", "app", "cli"]
    .flatMap(filesUnder)
    .filter((file) => !file.startsWith("core/languages/") && !file.endsWith(".test.ts"))
    .filter((file) => /language(?:\.id|Id)?\s*[!=]==?\s*"/.test(readFileSync(join(root, file), "utf8")));
  expect(asking).toEqual([]);
});

/** Areas that scroll and whose content always takes the focus: a list of buttons, a dialog's fields. */
const holdsFocus = ["app/assignment/OverviewTable.tsx", "app/components/KeysDialog.tsx"];

test("what scrolls can be scrolled by keys: it takes the focus, or holds what does", () => {
  const opening = /<([A-Za-z.]+)(?:[^<>]|=>|<[^>]*>)*?>/g;
  const unreachable = filesUnder("app")
    .filter((file) => file.endsWith(".tsx") && !holdsFocus.includes(file))
    .flatMap((file) =>
      [...readFileSync(join(root, file), "utf8").matchAll(opening)]
        .filter(([tag, name]) => name !== "textarea" && /\boverflow-(?:x-|y-)?(?:auto|scroll)\b/.test(tag))
        .filter(([tag]) => !tag.includes("tabIndex"))
        .map(([tag]) => `${file}: ${tag.slice(0, 80)}`),
    );
  expect(unreachable).toEqual([]);
});

test("a view names languages and kinds of mistake by what its loader gives it: their lists are large, and stay with the server", () => {
  const lists = /^import (?!type\b)[^;]*"[./]+core\/(?:languages\/(?:languages|named)|patterns\/patterns)\.ts"/m;
  const serves = /^export (?:async )?(?:function|const) (?:loader|action)\b/m;
  const loading = filesUnder("app")
    .filter((file) => file.endsWith(".tsx"))
    .filter((file) => {
      const text = readFileSync(join(root, file), "utf8");
      return lists.test(text) && !serves.test(text);
    });
  expect(loading).toEqual([]);
});
