import { existsSync } from "node:fs";
import { dirname, join } from "node:path";
import type { RunRequest } from "../../core/outcome/outcome.ts";
import type { SandboxSpecification } from "../sandbox/bubblewrap.ts";
import type { Pool } from "../sandbox/pool.ts";
import { builtRunners } from "./builtRunners.ts";
import { shownFolders } from "./systemNeeds.ts";
import { translatorsWhenAsked } from "./translators.ts";
import { findBelow, toolVersion } from "./version.ts";

/** What Java programs and drawing sketches have in common: the JDK, its translator kept warm, a machine for every run. */
export const home = findBelow("/usr/lib/jvm", /^java-17-openjdk-/, "bin");
export const machine = `${home}/java`;
export const jar = "/runner/built/java.jar";
/** What sketches can call (runners/sketch). */
export const sketchLibrary = "/runner/built/sketch.jar";
const libraries = ["asm", "asm-tree", "asm-analysis", "asm-commons"].map((name) => `/usr/share/java/${name}.jar`);
/** javac's own classes as the machine keeps them ready (tools/build-runners.mjs), and where they lie in the sandbox. */
const archiveName = "javac.jsa";
const archive = join(builtRunners, "archives", archiveName);
const archiveInside = "/runner/archives";
const megabyte = 1024 * 1024;
export const startSeconds = 0.9;
export const limits = { boundAddresses: false, overheadBytes: 192 * megabyte };
/** javac in a machine that stays up; its classes come out of an archive of them, where that was made. */
const translator = (): SandboxSpecification => ({
  command: [
    machine,
    ...["-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1", "-Xshare:auto", "-Xss4m", "-Xmx384m", "-XX:-UsePerfData"],
    ...(existsSync(archive) ? [`-XX:SharedArchiveFile=${archiveInside}/${archiveName}`] : []),
    ...["-cp", [jar, ...libraries].join(":"), "bentnail.Translator", sketchLibrary],
  ],
  runners: [
    { folder: builtRunners, inside: "/runner/built" },
    ...(existsSync(archive) ? [{ folder: dirname(archive), inside: archiveInside }] : []),
  ],
  environment: { PATH: "/usr/bin:/bin", LANG: "C.UTF-8", LC_ALL: "C.UTF-8", TZ: "UTC", HOME: "/tmp" },
  shown: shownFolders(),
  overheadBytes: 512 * megabyte,
});
/** One warm machine translates in a tenth of the time that a second one takes to become warm. */
const translators = { usual: 1, most: 2, patience: 2000 };

type Translators = ReturnType<typeof translatorsWhenAsked>;
const known = new WeakMap<() => Pool, Translators>();

/** The translators of a workbench, the same for both languages. */
export function javaTranslators(workbench: () => Pool): Translators {
  const found = known.get(workbench) ?? translatorsWhenAsked(translator, translators);
  known.set(workbench, found);
  return found;
}

/** Options of the machine that runs a program. */
export function optionsFor(request: RunRequest): string[] {
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

/**
 * Words by which a program may reach what all programs of a machine have in common; such a one is run alone.
 */
export const reachesOthers =
  /\b(?:addShutdownHook|console|setSecurityManager|Preferences|halt|hashCode|setDefault\w*|setProperty)\b/;

export const javaVersion = async () => `Java ${await toolVersion(machine, ["-version"], /version "([^"]+)"/)}`;
