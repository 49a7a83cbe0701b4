import { readdirSync, readFileSync, statSync } from "node:fs";
import { join, normalize } from "node:path";
import { expect, test } from "vitest";

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

test("no program is started but through the sandbox", () => {
  const starters = ["core", "server", "app", "cli", "demo"]
    .flatMap(filesUnder)
    .filter((file) => !file.endsWith(".test.ts") && importsOf(file).some((path) => path === "node:child_process" || path === "child_process"));
  // The other two start tools with words of our own: to ask for a version, and to translate our own runners. No student's text reaches them.
  expect(starters).toEqual(["server/sandbox/bubblewrap.ts", "server/toolchains/builtRunners.ts", "server/toolchains/version.ts"]);
});

test("nothing outside a language's folder asks which language it is", () => {
  const asking = ["core", "server", "app", "cli"]
    .flatMap(filesUnder)
    .filter((file) => !file.startsWith("core/languages/") && !file.endsWith(".test.ts"))
    .filter((file) => /language(?:\.id|Id)?\s*[!=]==?\s*"/.test(readFileSync(join(root, file), "utf8")));
  expect(asking).toEqual([]);
});
