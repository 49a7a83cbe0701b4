import { existsSync } from "node:fs";
import * as z from "zod";
import type { Language } from "../../core/languages/language.ts";
import { tokensByLine } from "../../core/languages/lexical.ts";
import { foundSchema, type RunRequest } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import { planTogether, program, type Together } from "./builtTogether.ts";
import { changeWords } from "./changeWords.ts";
import { type CommandTranslator, plainEnvironment } from "./commandToolchain.ts";
import { textsOf } from "./commandTries.ts";
import { textKey } from "./textKey.ts";

/** Most bytes that the names of a program's lines may take on a command line. */
const mostNames = 100_000;

/** The names that each line gives a value, by "file:line", in small letters. */
function assignedByLine(language: Language, request: RunRequest): string {
  const found: Record<string, string[]> = {};
  for (const [number, file] of request.files.entries())
    for (const [line, tokens] of tokensByLine(language.tokens(decodeText(file.bytes).text))) {
      const names = language.assignedNames(tokens);
      if (names.length > 0) found[`${number}:${line}`] = names.map((name) => name.toLowerCase());
    }
  const text = JSON.stringify(found);
  return text.length <= mostNames ? text : "{}";
}

const crashSchema = foundSchema.extend({ outside: z.boolean().default(false) });

/** What a place-finder left among the messages of a second run, or null. */
function readFound(messages: string): z.infer<typeof crashSchema> | null {
  const start = messages.lastIndexOf('{"frames"');
  if (start < 0) return null;
  try {
    return crashSchema.safeParse(JSON.parse(messages.slice(start))).data ?? null;
  } catch {
    return null;
  }
}

/** The debugger, if it is installed. */
const debuggerPath = "/usr/bin/gdb";
/** The byte that the recorder puts into locals that are not set, so that it can be seen when they are. */
const trash = 0xfe;
/** Programs kept so that another run or a recording of the same text need not build them again. */
const mostKept = 48;

/**
 * How a language that is translated to machine code goes about its values, for the recorder (runners/native): the quote
 * round a text and the word for an address of nothing; whether a text ends by a zero; whether a global has no value of
 * its own until a line gives it one; whether a function's result lies in the processor's register when it returns;
 * whether the language's library looks after what is reached through an address of its own; a pattern for the line with
 * the function's NAME, where the compiler tells only where its statements begin; and the exit codes by which its
 * library stops a program, with their words.
 */
export type Habits = {
  quote: string;
  nothing: string;
  textsEndByZero: boolean;
  globalsBeginUnset: boolean;
  resultInRegister: boolean;
  libraryOwnsIndirect: boolean;
  /** A line that is a whole loop, as a regular expression, where the compiler tells one place for all of its passes. */
  oneLineLoop: string | null;
  header: string | null;
  stops: { from: number; to: number; words: string } | null;
};

/**
 * What translators to machine code have in common: the program is built with debug information and run; recorded by
 * runners/native/tracer.py; and where a signal ends it, the same job runs it once more to find the place: by its frame
 * pointers where that is in its own code (crash_place.py), else by gdb (crash.py). `build` gives the command for a
 * request that makes `program`.
 */
export function nativeTranslator(
  language: Language,
  habits: Habits,
  build: (request: RunRequest, program: string) => string[],
  together: Together,
): Pick<CommandTranslator, "plan" | "planTries" | "findCrash" | "keepBuilt"> {
  const kept = new Map<string, { built: Buffer; said: string }>();
  const names = (request: RunRequest) => request.files.map((file) => file.name);
  return {
    keepBuilt: (request, built, messages) => {
      // What a place-finder told of a crash stands behind what the translator said.
      const found = messages.lastIndexOf('{"frames"');
      kept.set(textKey(request), { built, said: found < 0 ? messages : messages.slice(0, found) });
      const oldest = kept.keys().next().value;
      if (kept.size > mostKept && oldest !== undefined) kept.delete(oldest);
    },
    plan: async (request, mode) => {
      // Only a program of this very text is taken instead of a new build; what its translator said comes with it.
      const ready = kept.get(textKey(request));
      const shared = {
        ...(ready ? { build: [], said: { text: ready.said, refused: false } } : { build: [build(request, program)] }),
        files: ready ? [...request.files, { name: program, bytes: ready.built }] : request.files,
        ...(ready ? {} : { keep: program }),
        renamed: [["./", ""]] as const,
      };
      if (mode !== "trace")
        return {
          ...shared,
          run: [program],
          ...(request.hurried
            ? {}
            : { afterSignal: ["@crash_place", program, JSON.stringify(habits), ...names(request)] }),
        };
      const record = [
        "@tracer",
        program,
        String(request.limits.steps),
        String(trash),
        JSON.stringify({ ...habits, change: changeWords(request) }),
        assignedByLine(language, request),
        ...names(request),
      ];
      return { ...shared, run: record, recording: true };
    },
    planTries: async (request, variants) => {
      const { texts, textOf } = textsOf(variants);
      const all = [...variants.keys()];
      const nothing = { host: null, tellsSignals: true, said: new Map<number, string>(), refused: new Set<number>() };
      if (texts.length > 1) return { ...nothing, ...planTogether(request, variants, together) };
      // One program with many inputs is built as it always is.
      const files = request.files.map((file, at) =>
        at === 0 ? { ...file, bytes: texts[textOf[0] ?? 0] ?? file.bytes } : file,
      );
      const ready = kept.get(textKey({ files }));
      return {
        ...nothing,
        ...(ready
          ? { build: [], files: [...files, { name: program, bytes: ready.built }] }
          : { build: [build({ ...request, files }, program)], files }),
        said: new Map(ready ? all.map((at) => [at, ready.said]) : []),
        saidTogether: true,
        renamed: [["./", ""]] as const,
        each: all.map((at) => ({ at, run: [program] })),
        refusedIn: (messages: string, built: boolean) => new Map(built ? [] : all.map((at) => [at, messages])),
      };
    },
    /** Null where neither can tell, or where it does not crash again: no line is invented. */
    findCrash: async (request, first, perform) => {
      const quick = readFound(first.messages);
      if (!quick) return null;
      if (!quick.outside) return quick.frames.length > 0 ? quick : null;
      if (!existsSync(debuggerPath)) return null;
      const { block } = await perform({
        files: request.files,
        build: [build(request, program)],
        run: [debuggerPath, "-nx", "-batch", "-x", "/runner/native/crash.py", "--args", program],
        environment: { ...plainEnvironment, BENT_NAIL_FILES: names(request).join("\n") },
        recording: true,
        limits: { boundAddresses: false, overheadBytes: 256 * 1024 * 1024 },
      });
      const found = readFound(block.messages);
      return found?.frames.some((frame) => frame.own) ? found : null;
    },
  };
}
