import { execFileSync } from "node:child_process";
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  utimesSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { basename, join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { productFolder } from "../productFolder.ts";
import { builtRunners, isUpToDate, prepareRunners, pythonRunner } from "./builtRunners.ts";

const hosts = ["runners/sandbox/bent_nail_sandbox", "runners/native", "runners/python/bent_nail_runner"];
let folder: string;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), "bent-nail-runners-"));
  await prepareRunners();
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

test.for(hosts)("%s comes with what the interpreter has made of each of its modules", (sources) => {
  const [own, compiled] = pythonRunner(sources, "/runner/here");
  expect(own).toEqual({ folder: join(productFolder, sources), inside: "/runner/here" });
  expect(compiled?.inside).toBe("/runner/here/__pycache__");
  const modules = readdirSync(own?.folder ?? "").filter((name) => name.endsWith(".py"));
  expect(readdirSync(compiled?.folder ?? "").map((name) => name.replace(/\..*/, ".py"))).toEqual(modules);
});

test("a copy of a module is not translated anew, whatever its times: what was made of it is taken", () => {
  for (const { folder: from, inside } of pythonRunner("runners/sandbox/bent_nail_sandbox", "bent_nail_sandbox")) {
    mkdirSync(join(folder, inside), { recursive: true });
    for (const entry of readdirSync(from, { withFileTypes: true }))
      if (entry.isFile()) copyFileSync(join(from, entry.name), join(folder, inside, entry.name));
  }
  const ask = ["import sys", "import bent_nail_sandbox.block as one", "print(one.__cached__)", "print(one.__file__)"];
  const said = execFileSync("/usr/bin/python3", ["-B", "-S", "-s", "-c", ask.join("; ")], {
    env: { PYTHONPATH: folder },
    encoding: "utf8",
    stdio: ["ignore", "pipe", "pipe"],
  });
  const [cached = "", file = ""] = said.trim().split("\n");
  expect(existsSync(cached)).toBe(true);
  expect(file).toBe(join(folder, "bent_nail_sandbox", "block.py"));
  // Bytes 4 to 8 of such a file say how it is held against its source: 1 is "by its text, and not looked at".
  expect(readFileSync(cached).readUInt32LE(4)).toBe(1);
});

test("what was made is up to date until one of its sources is newer, or while there is nothing", () => {
  const [sources, made] = [join(folder, "sources"), join(folder, "made")];
  for (const each of [join(sources, "deep"), made]) mkdirSync(each, { recursive: true });
  const at = (path: string, seconds: number) => utimesSync(path, seconds, seconds);
  const files = ["one.py", "deep/other.py"].map((name) => join(sources, name));
  for (const file of files) writeFileSync(file, "");
  for (const path of [...files, join(sources, "deep")]) at(path, 1000);
  at(made, 1000);
  expect(isUpToDate(made, sources)).toBe(true);
  for (const file of files) {
    at(file, 1001);
    expect(isUpToDate(made, sources)).toBe(false);
    at(file, 1000);
  }
  expect(isUpToDate(join(folder, "none"), sources)).toBe(false);
});

test("folders that no interpreter translates come alone", () => {
  expect(pythonRunner("runners/octave", "/runner/octave")).toEqual([
    { folder: join(productFolder, "runners/octave"), inside: "/runner/octave" },
  ]);
  expect(readdirSync(builtRunners)).toEqual(expect.arrayContaining(hosts.map((each) => basename(each))));
});

test.runIf(existsSync("/usr/bin/javac"))(
  "classes of the translator that are kept ready are taken by the machine",
  () => {
    const archive = join(builtRunners, "archives/javac.jsa");
    const options = ["-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1", `-XX:SharedArchiveFile=${archive}`];
    const asked = [...options, "-Xshare:on", "-Xlog:class+load"].map((each) => `-J${each}`);
    const said = execFileSync("/usr/bin/javac", [...asked, "-version"], { encoding: "utf8" });
    expect(said).toMatch(/com\.sun\.tools\.javac\.main\.Main source: shared objects file \(top\)/);
  },
);
