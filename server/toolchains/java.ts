import { java as language } from "../../core/languages/java/java.ts";
import type { RunRequest } from "../../core/outcome/outcome.ts";
import type { SandboxSpecification } from "../sandbox/bubblewrap.ts";
import type { Pool } from "../sandbox/pool.ts";
import { builtRunners } from "./builtRunners.ts";
import { changeWords } from "./changeWords.ts";
import type { Plan } from "./commandPlan.ts";
import { createCommandToolchain } from "./commandToolchain.ts";
import { planHosted } from "./commandTries.ts";
import { installed, type OtherWay, translated } from "./otherWays.ts";
import { shownFolders, systemNeeds } from "./systemNeeds.ts";
import type { Toolchain, Variant } from "./toolchain.ts";
import { gaveUp, translatorsWhenAsked } from "./translators.ts";
import { findBelow, toolVersion } from "./version.ts";

const home = findBelow("/usr/lib/jvm", /^java-17-openjdk-/, "bin");
const machine = `${home}/java`;
const jar = "/runner/built/java.jar";
const libraries = ["asm", "asm-tree", "asm-analysis", "asm-commons"].map((name) => `/usr/share/java/${name}.jar`);
const megabyte = 1024 * 1024;
const startSeconds = 0.9;
const limits = { boundAddresses: false, overheadBytes: 192 * megabyte };
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

/** Warnings of every kind, an older release, and other versions that are installed. */
function otherWays(): OtherWay[] {
  const small = ["-XX:+UseSerialGC", "-Xmx192m", "-XX:TieredStopAtLevel=1", "-Xshare:auto"].map((each) => `-J${each}`);
  const versions = installed("/usr/lib/jvm", /^java-\d.*-openjdk-\w+$/);
  const by =
    (compiler: string, ...options: string[]) =>
    (files: readonly string[]) => [compiler, ...small, ...options, "-d", translated, ...files];
  return [
    { id: "lint", words: "javac -Xlint:all", command: by(`${home}/javac`, "-Xlint:all") },
    { id: "release 8", words: "javac --release 8", command: by(`${home}/javac`, "--release", "8") },
    ...(versions.length > 1 ? versions : []).map(({ name, path }) => ({
      ...{ id: name, words: `javac of ${name}`, command: by(`${path}/bin/javac`) },
    })),
  ];
}

/** Java by the JDK: javac kept warm, a machine of its own for every run. */
export function createJavaToolchain(workbench: () => Pool): Toolchain {
  const { translate, close } = translatorsWhenAsked(translator);

  function optionsFor(request: RunRequest): string[] {
    const heap = Math.floor(request.limits.memoryBytes / megabyte);
    return [
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
  }

  async function plan(request: RunRequest, mode: "check" | "run" | "trace"): Promise<Plan> {
    const change = changeWords(request);
    const translated = await translate({ record: mode === "trace", change, files: request.files }, request.signal);
    if (!translated) return { files: request.files, build: [], run: null, said: { text: gaveUp, refused: true } };
    const path = mode === "trace" ? `/case:${jar}` : "/case";
    return {
      files: [...request.files, ...translated.made],
      build: [],
      run: [
        machine,
        ...optionsFor(request),
        "-cp",
        path,
        ...(mode === "trace" ? ["bentnail.Start", String(request.limits.steps)] : []),
        translated.main,
        ...(change ?? []),
      ],
      recording: mode === "trace",
      said: { text: translated.said, refused: !translated.ok },
      limits,
    };
  }

  /** Many programs in one machine, each by a class loader of its own (runners/java/bentnail/Many.java). */
  const planTries = (request: RunRequest, variants: readonly Variant[], until: number) =>
    planHosted(request, variants, {
      until,
      startSeconds: startSeconds - 0.1,
      translate: (translation) => translate(translation, request.signal),
      alone: /\b(?:addShutdownHook|console|setSecurityManager|Preferences|halt|hashCode|setDefault\w*|setProperty)\b/,
      line: (folder, main) => `${folder} ${main}`,
      host: (list) => [machine, ...optionsFor(request), "-cp", jar, "bentnail.Many", list],
      limits,
    });

  return createCommandToolchain(
    {
      language,
      means: "javac, kept warm, and a machine of its own for every run; recorded by instrumented classes.",
      startSeconds,
      changes: true,
      otherWays,
      needs: systemNeeds(language.id),
      version: async () => `Java ${await toolVersion(machine, ["-version"], /version "([^"]+)"/)}`,
      plan,
      planTries,
      outOfMemory: (errors) => /java\.lang\.OutOfMemoryError/.test(errors),
      close,
    },
    workbench,
  );
}
