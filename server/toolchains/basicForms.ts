import { basicForms as language } from "../../core/languages/basicForms/basicForms.ts";
import { lookedThrough, saidBefore } from "../../core/languages/basicForms/refusals.ts";
import type { Outcome, ProgramFiles, RunRequest } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { Trace } from "../../core/trace/trace.ts";
import type { Pool } from "../sandbox/pool.ts";
import type { Plan } from "./commandPlan.ts";
import { createCommandToolchain } from "./commandToolchain.ts";
import { takeForms } from "./formsTold.ts";
import { inCode, planHosted } from "./hostedTries.ts";
import {
  csharpTranslators,
  environmentFor,
  limits,
  machine,
  monoVersion,
  program,
  renamed,
  startSeconds,
} from "./monoMachine.ts";
import { systemNeeds } from "./systemNeeds.ts";
import type { Toolchain, Variant } from "./toolchain.ts";
import { gaveUp, type Translated, type Translation } from "./translators.ts";

/** Room for what is told of forms, beside what the program itself may print. */
const roomOfForms = 64 * 1024;

/** Words by which a program reaches what all programs of a run-time system have in common; such a one is run alone. */
const reachesOthers =
  /\b(?:Threading|Thread|Tasks?|Process|AppDomain|Environment|GetHashCode|End|Stop)\b(?!\s+(?:If|Sub|Function|Select|While|With|Try|Using|Module|Class|Structure|Enum|Property|Get|Set)\b)/i;

/** The name of a file as it is translated: by its ending the translator below knows what it is written against. */
const writtenName = (name: string): string => `${name}${/\.vb$/i.test(name) ? "" : ".vb"}.cs`;

/** What is said of the written files is said of the student's. */
const ownNames = ({ files }: RunRequest) => [
  ...renamed,
  ...files.map(({ name }) => [writtenName(name), name] as const),
];

/** Every file that holds a part of the program, as what it is translated to; the others as they are. */
function writtenFiles(files: ProgramFiles): {
  files: ProgramFiles;
  refused: string;
  gap: string | null;
  warned: string;
} {
  const looked = lookedThrough(files.map(({ name, bytes }) => ({ name, text: decodeText(bytes).text })));
  const made = files.map((file, at) => {
    const text = looked.texts[at];
    return text === null || text === undefined
      ? file
      : { name: writtenName(file.name), bytes: Buffer.from(text, "utf8") };
  });
  return {
    files: made,
    ...saidBefore(
      looked.problems,
      files.map(({ name }) => name),
    ),
  };
}

/** Typed Basic: read and checked by a translator of ours (stand-in), which writes it line by line as C#; that is run by mono. */
export function createBasicFormsToolchain(workbench: () => Pool): Toolchain {
  const { translate, close } = csharpTranslators(workbench);

  async function translateBasic(
    translation: Translation,
    signal?: AbortSignal,
  ): Promise<(Translated & { gap: string | null }) | null> {
    const { files, refused, gap, warned } = writtenFiles(translation.files);
    if (refused !== "" || gap !== null) return { ok: false, main: "", said: refused, made: [], gap };
    const translated = await translate({ ...translation, files }, signal);
    if (!translated) return null;
    // What the translator below does not take, ours should have known: nothing is said of the program by it.
    if (!translated.ok)
      return {
        ...translated,
        said: "",
        made: [],
        gap: `Our translator does not know how to run this program: ${ownWords(translated.said)}`,
      };
    return { ...translated, said: warned, gap: null };
  }

  async function plan(request: RunRequest, mode: "check" | "run" | "trace"): Promise<Plan> {
    const record = mode === "trace";
    const translated = await translateBasic({ record, files: request.files }, request.signal);
    if (!translated) return { files: request.files, build: [], run: null, said: { text: gaveUp, refused: true } };
    return {
      files: [...request.files, ...translated.made],
      build: [],
      run: [...machine, program],
      recording: record,
      terminal: false,
      environment: { ...environmentFor(request), BENT_NAIL_WORDS: "basic" },
      renamed: ownNames(request),
      said: { text: translated.said, refused: !translated.ok },
      limits: { ...limits, outputBytes: request.limits.outputBytes + roomOfForms },
    };
  }

  /** Many programs in one run-time system, each an assembly of its own (runners/csharp/Many.cs). */
  const planTries = (request: RunRequest, variants: readonly Variant[], until: number) =>
    planHosted(request, variants, {
      until,
      startSeconds: startSeconds - 0.1,
      // Of one that our translator cannot run nothing is told here: a run of its own says why.
      translate: async (translation) => {
        const translated = await translateBasic(translation, request.signal);
        return translated?.gap === null ? translated : null;
      },
      alone: inCode(language, reachesOthers),
      line: (folder) => `${folder}/${program}`,
      host: (list) => [...machine, "/runner/built/csharp.exe", "many", list],
      terminal: false,
      environment: { ...environmentFor(request), BENT_NAIL_WORDS: "basic" },
      renamed: ownNames(request),
      limits,
    });

  const toolchain = createCommandToolchain(
    {
      language,
      means:
        "a translator of ours (stand-in) that reads, checks and refuses, with our words beside the documented codes; what it takes is written line by line as C# and run by mono. Forms are lists of what stands on them; what their user does is typed in.",
      startSeconds,
      needs: systemNeeds(language.id),
      version: async () => `our translator, ${await monoVersion()}`,
      plan,
      planTries,
      takeTold: takeForms,
      outOfMemory: (errors) => /System\.OutOfMemoryException/.test(errors),
      close,
    },
    workbench,
  );

  /** What our translator cannot run is no fault of the program: the run tells nothing of it. */
  async function gapOf(request: RunRequest): Promise<string | null> {
    if (!(await toolchain.available()).ready) return null;
    return (await translateBasic({ record: false, files: request.files }, request.signal))?.gap ?? null;
  }
  const unknown = async (trouble: string): Promise<Outcome> => {
    const state = await toolchain.available();
    return {
      ...{
        started: null,
        finished: false,
        stoppedBy: "broken",
        exit: { code: 0, signal: 0 },
        diagnostics: [],
        effects: [],
      },
      ...{ console: [{ kind: "err", text: `${trouble}\n` }], inputRanOut: false, milliseconds: 0, trouble },
      translator: state.ready ? state.version : "",
    };
  };
  const guarded =
    <Told>(act: (request: RunRequest) => Promise<Told>, tell: (outcome: Outcome, request: RunRequest) => Told) =>
    async (request: RunRequest): Promise<Told> => {
      const gap = await gapOf(request);
      return gap === null ? act(request) : tell(await unknown(gap), request);
    };
  const told = (outcome: Outcome) => outcome;
  return {
    ...toolchain,
    check: guarded(toolchain.check, told),
    run: guarded(toolchain.run, told),
    trace: guarded(
      toolchain.trace,
      (outcome, { files }): Trace => ({ outcome, files: files.map(({ name }) => name), steps: [] }),
    ),
  };
}

/** What the translator below said first, without the names that it has for things. */
const ownWords = (said: string): string => {
  const [, line, words = said] = /\((\d+),\d+\): error CS\d+: ([^\n]*)/.exec(said) ?? [];
  return `${line ? `line ${line}: ` : ""}${words.trim().slice(0, 200)}`;
};
