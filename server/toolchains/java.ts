import { java as language } from "../../core/languages/java/java.ts";
import type { RunRequest } from "../../core/outcome/outcome.ts";
import type { SandboxSpecification } from "../sandbox/bubblewrap.ts";
import { StoppedByHand } from "../sandbox/desk.ts";
import type { Pool, PoolOf } from "../sandbox/pool.ts";
import { builtRunners } from "./builtRunners.ts";
import { createCommandToolchain, type Plan } from "./commandToolchain.ts";
import { shownFolders, systemNeeds } from "./systemNeeds.ts";
import type { Toolchain } from "./toolchain.ts";
import { createTranslators, gaveUp, type Translated, type Translation } from "./translators.ts";
import { findBelow, toolVersion } from "./version.ts";

const home = findBelow("/usr/lib/jvm", /^java-17-openjdk-/, "bin");
const machine = `${home}/java`;
const jar = "/runner/built/java.jar";
const libraries = ["asm", "asm-tree", "asm-analysis", "asm-commons"].map((name) => `/usr/share/java/${name}.jar`);
const megabyte = 1024 * 1024;
/** javac in a machine that stays up. */
const translator: SandboxSpecification = {
  command: [
    machine,
    ...["-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1", "-Xshare:auto", "-Xss4m", "-Xmx384m", "-XX:-UsePerfData"],
    ...["-cp", [jar, ...libraries].join(":"), "bentnail.Translator"],
  ],
  runners: [{ folder: builtRunners, inside: "/runner/built" }],
  environment: { PATH: "/usr/bin:/bin", LANG: "C.UTF-8", LC_ALL: "C.UTF-8", TZ: "UTC", HOME: "/tmp" },
  shown: shownFolders(),
  overheadBytes: 512 * megabyte,
};

/** Java by the JDK: javac kept warm, a machine of its own for every run. */
export function createJavaToolchain(workbench: () => Pool): Toolchain {
  let translators: PoolOf<Translation, Translated> | null = null;

  async function plan(request: RunRequest, mode: "check" | "run" | "trace"): Promise<Plan> {
    translators ??= createTranslators(translator);
    let translated: Translated;
    try {
      translated = await translators.run({ record: mode === "trace", files: request.files }, request.signal);
    } catch (problem) {
      if (problem instanceof StoppedByHand) throw problem;
      return { files: request.files, build: [], run: null, said: { text: gaveUp, refused: true } };
    }
    const heap = Math.floor(request.limits.memoryBytes / megabyte);
    const options = [
      ...[
        "-XX:+UseSerialGC",
        "-XX:TieredStopAtLevel=1",
        "-Xshare:auto",
        "-XX:-UsePerfData",
        "-XX:ActiveProcessorCount=1",
        "-XX:ErrorFile=/dev/null",
      ],
      ...[
        `-Xmx${heap}m`,
        "-XX:MaxMetaspaceSize=96m",
        "-Djava.awt.headless=true",
        "-Dfile.encoding=UTF-8",
        "-Dstdout.encoding=UTF-8",
      ],
    ];
    const path = mode === "trace" ? `/case:${jar}` : "/case";
    return {
      files: [...request.files, ...translated.made],
      build: [],
      run: [
        machine,
        ...options,
        "-cp",
        path,
        ...(mode === "trace" ? ["bentnail.Start", String(request.limits.steps)] : []),
        translated.main,
      ],
      recording: mode === "trace",
      said: { text: translated.said, refused: !translated.ok },
      limits: { boundAddresses: false, overheadBytes: 192 * megabyte },
    };
  }

  return createCommandToolchain(
    {
      language,
      means: "javac, kept warm, and a machine of its own for every run; recorded by instrumented classes.",
      startSeconds: 0.9,
      needs: systemNeeds(language.id),
      version: async () => `Java ${await toolVersion(machine, ["-version"], /version "([^"]+)"/)}`,
      plan,
      outOfMemory: (errors) => /java\.lang\.OutOfMemoryError/.test(errors),
      close: async () => {
        await translators?.close();
      },
    },
    workbench,
  );
}
