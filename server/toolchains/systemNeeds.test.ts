import { readdirSync } from "node:fs";
import { expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { copiedRunners, isThere, shownFolders, systemNeeds } from "./systemNeeds.ts";
import { createToolchains } from "./toolchains.ts";

test("every language that runs here says what it needs, and nothing else does", async () => {
  const toolchains = createToolchains();
  const running = toolchains.all.map((toolchain) => toolchain.language).sort();
  const files = readdirSync(new URL("./system", import.meta.url)).map((name) => name.replace(/\.txt$/, ""));
  expect(files.sort()).toEqual(running);
  for (const language of running) {
    expect(findLanguage(language)).toBeDefined();
    for (const need of systemNeeds(language)) {
      expect(need).toEqual({
        path: expect.stringMatching(/^\/\S+$/),
        package: expect.stringMatching(/^[a-z][\w.+-]+$/),
      });
      expect(isThere(need.path), need.path).toBe(true);
    }
  }
  await toolchains.close();
});

test("a path with signs that stand for others is found, one that fits nothing is not", () => {
  expect(isThere("/usr/b[ij]n/e*v")).toBe(true);
  expect(isThere("/usr/b[jk]n/env")).toBe(false);
  expect(isThere("/usr/bin/no-such-*")).toBe(false);
  expect(isThere("/no-such-folder/*")).toBe(false);
  expect(isThere("/usr/bin/env/*")).toBe(false);
  expect(shownFolders()).toContain("/etc/mono");
  expect(copiedRunners()).toEqual(["macro", "native", "octave", "octave_many"]);
});
