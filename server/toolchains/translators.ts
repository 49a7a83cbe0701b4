import { z } from "zod";
import type { ProgramFiles } from "../../core/outcome/outcome.ts";
import { readLimits } from "../limits.ts";
import type { SandboxSpecification } from "../sandbox/bubblewrap.ts";
import { StoppedByHand } from "../sandbox/desk.ts";
import { createPool, type PoolOf } from "../sandbox/pool.ts";
import { startServant } from "../sandbox/warmWorker.ts";
import { textKey } from "./textKey.ts";

const translatorsAtOnce = 2;
/** Time in which a program must be translated, in milliseconds. */
const patience = 20_000;

const headSchema = z.object({
  ok: z.boolean(),
  main: z.string(),
  text: z.number(),
  classes: z.array(z.tuple([z.string(), z.number()])),
});

/** What is to be translated; `record`: with calls of the recorder put in, and what is changed at a step (changeWords). */
export type Translation = { record: boolean; change?: readonly string[] | null; files: ProgramFiles };
/**
 * `said` is what the translator printed, `made` the files that it made, `main` the class to start in where the language
 * has one.
 */
export type Translated = { ok: boolean; main: string; said: string; made: ProgramFiles };

/**
 * A translator that is kept running inside the sandbox. It translates one text after another and runs nothing of them.
 * It speaks frames: the head of a request is a list ["translate" | "record", name, size, ...] (behind "record" a line each for what is changed at a step), its body the files; the
 * head of an answer is as `headSchema` says, its body the text and then the files made.
 */
function createTranslators(specification: SandboxSpecification): PoolOf<Translation, Translated> {
  return rememberingTranslations(createServants(specification));
}

/**
 * Translators that are started when a first text is there. `translate` gives null where they gave up; it throws StoppedByHand
 * where a person stopped it.
 */
export function translatorsWhenAsked(specification: SandboxSpecification) {
  let pool: PoolOf<Translation, Translated> | null = null;
  return {
    translate: async (translation: Translation, signal?: AbortSignal): Promise<Translated | null> => {
      pool ??= createTranslators(specification);
      try {
        return await pool.run(translation, signal);
      } catch (problem) {
        if (problem instanceof StoppedByHand) throw problem;
        return null;
      }
    },
    close: async () => pool?.close(),
  };
}

/** Texts whose translation is remembered, and most bytes that the files of one may have. */
const mostRemembered = 64;
const mostBytes = 512 * 1024;

/** The same with translations remembered by their text, so that a program that is run by ten checks is translated once. */
function rememberingTranslations(pool: PoolOf<Translation, Translated>): PoolOf<Translation, Translated> {
  const known = new Map<string, Translated>();
  return {
    ...pool,
    run: async (translation, signal) => {
      const key = `${translation.record} ${JSON.stringify(translation.change ?? [])} ${textKey(translation)}`;
      const before = known.get(key);
      if (before) return before;
      const translated = await pool.run(translation, signal);
      if (translated.made.reduce((sum, file) => sum + file.bytes.length, 0) > mostBytes) return translated;
      known.set(key, translated);
      const oldest = known.keys().next().value;
      if (known.size > mostRemembered && oldest !== undefined) known.delete(oldest);
      return translated;
    },
  };
}

function createServants(specification: SandboxSpecification): PoolOf<Translation, Translated> {
  const limits = readLimits();
  return createPool(() => {
    const servant = startServant(specification, limits);
    return {
      ...servant,
      run: async ({ record, change, files }) => {
        const head = [
          // A value may have several lines: it stands last.
          [record ? "record" : "translate", ...(change?.slice(0, 4) ?? [])].join("\n"),
          ...files.flatMap((file) => [file.name, String(file.bytes.length)]),
        ];
        const message = await servant.ask(head, Buffer.concat(files.map((file) => file.bytes)), patience);
        const { ok, main, text, classes } = headSchema.parse(message.head);
        let at = text;
        const made = classes.map(([name, length]) => {
          at += length;
          return { name, bytes: message.body.subarray(at - length, at) };
        });
        return { ok, main, said: message.body.toString("utf8", 0, text), made };
      },
    };
  }, translatorsAtOnce);
}

/** What is said of a text on which a translator was stopped. */
export const gaveUp = "error: the translator did not come to an end with this text\n";
