import * as z from "zod";
import type { ProgramFiles } from "../../core/outcome/outcome.ts";
import { readLimits } from "../limits.ts";
import type { SandboxSpecification } from "../sandbox/bubblewrap.ts";
import { StoppedByHand } from "../sandbox/desk.ts";
import { createPool, type PoolOf, type PoolSize } from "../sandbox/pool.ts";
import { startServant } from "../sandbox/warmWorker.ts";
import { textKey } from "./textKey.ts";

/** Time in which a program must be translated, in milliseconds. */
const patience = 20_000;

const oneSchema = z.object({
  ok: z.boolean(),
  main: z.string(),
  text: z.number(),
  classes: z.array(z.tuple([z.string(), z.number()])),
});
const headSchema = z.union([
  z.object({ many: z.array(oneSchema.nullable()) }),
  oneSchema.transform((one) => ({ many: [one] })),
]);

/** What is to be translated; `record`: with calls of the recorder put in, and what is changed at a step (changeWords). */
export type Translation = { record: boolean; change?: readonly string[] | null; files: ProgramFiles };
/** Programs of one file each that are translated in one go, each in the folder (package, namespace) of its file's name. */
type ManyTexts = { together: ProgramFiles };
/**
 * `said` is what the translator printed, `made` the files that it made, `main` the class to start in where the language
 * has one.
 */
export type Translated = { ok: boolean; main: string; said: string; made: ProgramFiles };

export type Servants = PoolOf<Translation | ManyTexts, Array<Translated | null>>;

/**
 * A translator that is kept running inside the sandbox. It translates one text after another and runs nothing of them.
 * It speaks frames: the head of a request is a list ["translate" | "record" | "together", name, size, ...] (behind "record" a line each for what is changed at a step), its body the files; the
 * head of an answer is as `headSchema` says, its body the text and then the files made, of one program after another.
 */
function createTranslators(specification: () => SandboxSpecification, size: PoolSize): Servants {
  return rememberingTranslations(createServants(specification, size));
}

/**
 * Translators that are started when a first text is there: `specification` says how, whenever one is. `translate` gives null where they gave up; it throws StoppedByHand
 * where a person stopped it.
 */
export function translatorsWhenAsked(specification: () => SandboxSpecification, size: PoolSize) {
  let pool: Servants | null = null;
  const asked = async (what: Translation | ManyTexts, signal?: AbortSignal) => {
    pool ??= createTranslators(specification, size);
    try {
      return await pool.run(what, signal);
    } catch (problem) {
      if (problem instanceof StoppedByHand) throw problem;
      return null;
    }
  };
  return {
    translate: async (translation: Translation, signal?: AbortSignal): Promise<Translated | null> =>
      (await asked(translation, signal))?.[0] ?? null,
    /** The answers stand at the places of the programs; null for one that has to be translated alone. */
    translateTogether: async (files: ProgramFiles, signal?: AbortSignal): Promise<ReadonlyArray<Translated | null>> =>
      (await asked({ together: files }, signal)) ?? [],
    close: async () => pool?.close(),
  };
}

/** Texts whose translation is remembered, and most bytes that the files of one may have. */
const mostRemembered = 64;
const mostBytes = 512 * 1024;

/** The same with translations remembered by their text, so that a program that is run by ten checks is translated once. */
export function rememberingTranslations(pool: Servants): Servants {
  const known = new Map<string, Translated>();
  const underWay = new Map<string, ReturnType<Servants["run"]>>();
  return {
    ...pool,
    run: async (translation, signal) => {
      if ("together" in translation) return pool.run(translation, signal);
      const key = `${translation.record} ${JSON.stringify(translation.change ?? [])} ${textKey(translation)}`;
      const before = known.get(key);
      if (before) return [before];
      // Whoever asks for the same meanwhile waits for it; what came to nothing there is tried once more by each.
      const others = underWay.get(key);
      if (others) {
        const came = await others.catch(() => []);
        if (came[0]) return came;
      }
      const own = pool.run(translation, signal);
      underWay.set(key, own);
      const [translated] = await own.finally(() => underWay.get(key) === own && underWay.delete(key));
      if (!translated) return [];
      if (translated.made.reduce((sum, file) => sum + file.bytes.length, 0) > mostBytes) return [translated];
      known.set(key, translated);
      const oldest = known.keys().next().value;
      if (known.size > mostRemembered && oldest !== undefined) known.delete(oldest);
      return [translated];
    },
  };
}

function createServants(specification: () => SandboxSpecification, size: PoolSize): Servants {
  const limits = readLimits();
  return createPool(() => {
    const servant = startServant(specification(), limits);
    return {
      ...servant,
      run: async (what) => {
        const files = "together" in what ? what.together : what.files;
        const head = [
          // A value may have several lines: it stands last.
          "together" in what
            ? "together"
            : [what.record ? "record" : "translate", ...(what.change?.slice(0, 4) ?? [])].join("\n"),
          ...files.flatMap((file) => [file.name, String(file.bytes.length)]),
        ];
        const message = await servant.ask(head, Buffer.concat(files.map((file) => file.bytes)), patience);
        const { body } = message;
        let at = 0;
        const next = (length: number): Uint8Array => {
          at += length;
          return body.subarray(at - length, at);
        };
        return headSchema.parse(message.head).many.map((one) => {
          if (!one) return null;
          const said = Buffer.from(next(one.text)).toString("utf8");
          const made = one.classes.map(([name, length]) => ({ name, bytes: next(length) }));
          return { ok: one.ok, main: one.main, said, made };
        });
      },
    };
  }, size);
}

/** What is said of a text on which a translator was stopped. */
export const gaveUp = "error: the translator did not come to an end with this text\n";
