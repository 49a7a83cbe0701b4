import { ownMessages, prepareSketch, sketchClass } from "../../core/languages/sketch/prepare.ts";
import { sketch as language } from "../../core/languages/sketch/sketch.ts";
import { isTab, joinTabs, type Tabs, withPlaces } from "../../core/languages/sketch/tabs.ts";
import type { ConsolePiece, ProgramFiles, RunRequest } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { Pool } from "../sandbox/pool.ts";
import { changeWords } from "./changeWords.ts";
import type { Plan } from "./commandPlan.ts";
import { createCommandToolchain } from "./commandToolchain.ts";
import { takeDrawing } from "./drawings.ts";
import { inCode, planHosted } from "./hostedTries.ts";
import {
  jar,
  javaTranslators,
  javaVersion,
  limits,
  machine,
  optionsFor,
  reachesOthers,
  sketchLibrary,
  startSeconds,
} from "./javaMachine.ts";
import { systemNeeds } from "./systemNeeds.ts";
import type { Toolchain, Variant } from "./toolchain.ts";
import { gaveUp, type Translated, type Translation } from "./translators.ts";

/** Plays a sketch; with one more word it tells the last picture only (runners/sketch/bentnail/sketch/Player.java). */
const player = `bentnail.sketch.Player ${sketchClass}`;

/** Of how many runs of one job every frame is told; of more only the last picture each. */
const mostFilms = 24;

/** Room for what is told of the frames, beside what the sketch itself may print. */
const roomOfFrames = 256 * 1024;

/** The files of a request as one sketch. */
const tabsOf = (files: ProgramFiles): Tabs =>
  joinTabs(files.map(({ name, bytes }) => ({ name, text: decodeText(bytes).text })));

/** What the player told, taken out of a console; calls are named in the files that they are in. */
function takeTold(console: readonly ConsolePiece[], { files }: RunRequest) {
  const told = takeDrawing(console);
  const names = files.map(({ name }) => name);
  if (!names.slice(1).some(isTab)) return told;
  const tabs = tabsOf(files);
  const placed = told.console.map((piece) =>
    piece.kind === "err" ? { ...piece, text: withPlaces(piece.text, names, tabs) } : piece,
  );
  return { ...told, console: placed };
}

/** Drawing sketches as Java, by the JDK and a drawing library of ours that records what is drawn. */
export function createSketchToolchain(workbench: () => Pool): Toolchain {
  const { translate, close } = javaTranslators(workbench);

  /** Translates the first file as a sketch; what is said is said of the student's own text. */
  async function translateSketch(translation: Translation, signal?: AbortSignal): Promise<Translated | null> {
    const [main, ...others] = translation.files;
    const name = main?.name ?? "";
    const tabs = tabsOf(translation.files);
    const prepared = prepareSketch(tabs.text, tabs.mainEnd);
    const files: ProgramFiles = [{ name, bytes: Buffer.from(prepared.text, "utf8") }, ...others];
    const translated = await translate({ ...translation, files }, signal);
    if (!translated) return null;
    const said = ownMessages(translated.said, name, tabs.text, prepared);
    return {
      ...translated,
      said: withPlaces(
        said,
        translation.files.map((file) => file.name),
        tabs,
      ),
    };
  }

  async function plan(request: RunRequest, mode: "check" | "run" | "trace"): Promise<Plan> {
    const change = changeWords(request);
    const translation = { record: mode === "trace", change, files: request.files };
    const translated = await translateSketch(translation, request.signal);
    if (!translated) return { files: request.files, build: [], run: null, said: { text: gaveUp, refused: true } };
    const record = mode === "trace";
    return {
      files: [...request.files, ...translated.made],
      build: [],
      run: [
        ...[machine, ...optionsFor(request), "-cp", ["/case", sketchLibrary, ...(record ? [jar] : [])].join(":")],
        ...(record ? ["bentnail.Start", String(request.limits.steps), player] : player.split(" ")),
        ...(change ?? []),
      ],
      recording: record,
      said: { text: translated.said, refused: !translated.ok },
      limits: { ...limits, outputBytes: request.limits.outputBytes + roomOfFrames },
    };
  }

  /** Many sketches in one machine, each with classes of its own. */
  const planTries = (request: RunRequest, variants: readonly Variant[], until: number) =>
    planHosted(request, variants, {
      ...{ until, startSeconds: startSeconds - 0.1, alone: inCode(language, reachesOthers), limits },
      translate: (translation) => translateSketch(translation, request.signal),
      line: (folder) => `${folder} ${player}${variants.length > mostFilms ? " picture" : ""}`,
      host: (list) => [machine, ...optionsFor(request), "-cp", jar, "bentnail.Many", list, sketchLibrary],
    });

  const toolchain = createCommandToolchain(
    {
      language,
      means:
        "javac, kept warm, and a machine of its own for every run; what can be drawn with is a library of ours (stand-in) that tells each frame. A sketch is translated as a class, line by line.",
      startSeconds,
      changes: true,
      needs: systemNeeds(language.id),
      version: javaVersion,
      plan,
      planTries,
      takeTold,
      outOfMemory: (errors) => /java\.lang\.OutOfMemoryError/.test(errors),
      close,
    },
    workbench,
  );
  return {
    ...toolchain,
    trace: async (request) => {
      const trace = await toolchain.trace(request);
      if (!request.files.slice(1).some(({ name }) => isTab(name))) return trace;
      const tabs = tabsOf(request.files);
      return {
        ...trace,
        steps: trace.steps.map((step) => (step.file === 0 ? { ...step, ...tabs.placeOf(step.line) } : step)),
      };
    },
  };
}
