import { z } from "zod";
import type { ProgramFiles } from "../../core/outcome/outcome.ts";
import { readLimits } from "../limits.ts";
import type { SandboxSpecification } from "../sandbox/bubblewrap.ts";
import { createPool, type PoolOf } from "../sandbox/pool.ts";
import { startServant } from "../sandbox/warmWorker.ts";

/** Time in which a program must be translated, in milliseconds. */
const patience = 20_000;

const headSchema = z.object({
  ok: z.boolean(),
  main: z.string(),
  text: z.number(),
  classes: z.array(z.tuple([z.string(), z.number()])),
});

/** What is to be translated; `record`: with calls of the recorder put in. */
export type Translation = { record: boolean; files: ProgramFiles };
/**
 * `said` is what the translator printed, `made` the files that it made, `main` the class to start in where the language
 * has one.
 */
export type Translated = { ok: boolean; main: string; said: string; made: ProgramFiles };

/**
 * A translator that is kept running inside the sandbox. It translates one text after another and runs nothing of them.
 * It speaks frames: the head of a request is a list ["translate" | "record", name, size, ...], its body the files; the
 * head of an answer is as `headSchema` says, its body the text and then the files made.
 */
export function createTranslators(specification: SandboxSpecification, size = 2): PoolOf<Translation, Translated> {
  const limits = readLimits();
  return createPool(() => {
    const servant = startServant(specification, limits);
    return {
      ...servant,
      run: async ({ record, files }) => {
        const head = [
          record ? "record" : "translate",
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
  }, size);
}

/** What is said of a text on which a translator was stopped. */
export const gaveUp = "error: the translator did not come to an end with this text\n";
