import { java as language } from "../../core/languages/java/java.ts";
import type { RunRequest } from "../../core/outcome/outcome.ts";
import type { Pool } from "../sandbox/pool.ts";
import { changeWords } from "./changeWords.ts";
import type { Plan } from "./commandPlan.ts";
import { createCommandToolchain } from "./commandToolchain.ts";
import { inCode, planHosted } from "./hostedTries.ts";
import {
  home,
  jar,
  javaTranslators,
  javaVersion,
  limits,
  machine,
  optionsFor,
  reachesOthers,
  startSeconds,
} from "./javaMachine.ts";
import { installed, type OtherWay, translated } from "./otherWays.ts";
import { systemNeeds } from "./systemNeeds.ts";
import type { Toolchain, Variant } from "./toolchain.ts";
import { gaveUp } from "./translators.ts";

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

/** Words by which a program has a package, or asks for a class by its name. */
const toldByPackage = /\b(?:package|module|forName|getPackage\w*|getResource\w*|StackTraceElement|getStackTrace)\b/;
/** A package stands before the first line of its text: what the translator says of that line, it says of a text alone. */
const firstLine = /^[^\s:]+:1: error:/m;

/** Java by the JDK: javac kept warm, a machine of its own for every run. */
export function createJavaToolchain(workbench: () => Pool): Toolchain {
  const { translate, translateTogether, close } = javaTranslators(workbench);

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
      together: {
        apart: toldByPackage,
        translate: async (programs) =>
          (await translateTogether(programs, request.signal)).map((one) =>
            one?.ok === false && firstLine.test(one.said) ? null : one,
          ),
      },
      alone: inCode(language, reachesOthers),
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
      version: javaVersion,
      plan,
      planTries,
      outOfMemory: (errors) => /java\.lang\.OutOfMemoryError/.test(errors),
      close,
    },
    workbench,
  );
}
