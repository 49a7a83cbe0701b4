import { z } from "zod";
import { java as language } from "../../core/languages/java/java.ts";
import type { ProgramFiles, RunRequest } from "../../core/outcome/outcome.ts";
import { readLimits } from "../limits.ts";
import { StoppedByHand } from "../sandbox/desk.ts";
import { createPool, type Pool, type PoolOf } from "../sandbox/pool.ts";
import { startServant } from "../sandbox/warmWorker.ts";
import { builtRunners } from "./builtRunners.ts";
import { createCommandToolchain, type Plan } from "./commandToolchain.ts";
import type { Toolchain } from "./toolchain.ts";
import { findBelow, toolVersion } from "./version.ts";

const home = findBelow("/usr/lib/jvm", /^java-17-openjdk-/, "bin");
const machine = `${home}/java`;
const jar = "/runner/built/java.jar";
const libraries = ["asm", "asm-tree", "asm-analysis", "asm-commons"].map((name) => `/usr/share/java/${name}.jar`);
const megabyte = 1024 * 1024;
/** Time in which a program must be translated, in milliseconds. */
const patience = 20_000;

const headSchema = z.object({ ok: z.boolean(), main: z.string(), text: z.number(), classes: z.array(z.tuple([z.string(), z.number()])) });
type Translated = { ok: boolean; main: string; said: string; classes: ProgramFiles };
type Translation = { record: boolean; files: ProgramFiles };

/** javac in a machine that stays up, inside the sandbox: it translates, and runs nothing of what it translates. */
function createTranslators(): PoolOf<Translation, Translated> {
  const options = ["-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1", "-Xshare:auto", "-Xss4m", "-Xmx384m", "-XX:-UsePerfData"];
  return createPool(() => {
    const servant = startServant(
      {
        command: [machine, ...options, "-cp", [jar, ...libraries].join(":"), "bentnail.Translator"],
        runners: [{ folder: builtRunners, inside: "/runner/built" }],
        environment: { PATH: "/usr/bin:/bin", LANG: "C.UTF-8", LC_ALL: "C.UTF-8", TZ: "UTC", HOME: "/tmp" },
        overheadBytes: 512 * megabyte,
      },
      readLimits(),
    );
    return {
      version: servant.version,
      exited: servant.exited,
      stop: servant.stop,
      run: async ({ record, files }) => {
        const head = [record ? "record" : "translate", ...files.flatMap((file) => [file.name, String(file.bytes.length)])];
        const message = await servant.ask(head, Buffer.concat(files.map((file) => file.bytes)), patience);
        const { ok, main, text, classes } = headSchema.parse(message.head);
        let at = text;
        return {
          ok,
          main,
          said: message.body.toString("utf8", 0, text),
          classes: classes.map(([name, size]) => {
            at += size;
            return { name, bytes: message.body.subarray(at - size, at) };
          }),
        };
      },
    };
  }, 2);
}

/** Java by the JDK: javac kept warm, a machine of its own for every run. */
export function createJavaToolchain(workbench: () => Pool): Toolchain {
  let translators: PoolOf<Translation, Translated> | null = null;

  async function plan(request: RunRequest, mode: "check" | "run" | "trace"): Promise<Plan> {
    translators ??= createTranslators();
    let translated: Translated;
    try {
      translated = await translators.run({ record: mode === "trace", files: request.files }, request.signal);
    } catch (problem) {
      if (problem instanceof StoppedByHand) throw problem;
      return { files: request.files, build: [], run: null, said: { text: "error: the translator did not come to an end with this text\n", refused: true } };
    }
    const heap = Math.floor(request.limits.memoryBytes / megabyte);
    const options = [
      ...["-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1", "-Xshare:auto", "-XX:-UsePerfData", "-XX:ActiveProcessorCount=1", "-XX:ErrorFile=/dev/null"],
      ...[`-Xmx${heap}m`, "-XX:MaxMetaspaceSize=96m", "-Djava.awt.headless=true", "-Dfile.encoding=UTF-8", "-Dstdout.encoding=UTF-8"],
    ];
    const path = mode === "trace" ? `/case:${jar}` : "/case";
    return {
      files: [...request.files, ...translated.classes],
      build: [],
      run: [machine, ...options, "-cp", path, ...(mode === "trace" ? ["bentnail.Start", String(request.limits.steps)] : []), translated.main],
      recording: mode === "trace",
      said: { text: translated.said, refused: !translated.ok },
      limits: { boundAddresses: false, overheadBytes: 192 * megabyte },
    };
  }

  return createCommandToolchain(
    {
      language,
      means: "javac, kept warm, and a machine of its own for every run; recorded by instrumented classes.",
      needs: [
        { path: machine, package: "openjdk-17-jdk-headless" },
        { path: `${home}/javac`, package: "openjdk-17-jdk-headless" },
        { path: libraries[0] ?? "", package: "libasm-java" },
      ],
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
