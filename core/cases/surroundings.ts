import * as z from "zod";
import type { ProgramFiles } from "../outcome/outcome.ts";

/**
 * What lies beside a program in a check: a file's text by its name, or null where a file of the case is to be absent.
 */
export const surroundingsSchema = z.record(
  z
    .string()
    .min(1)
    .max(120)
    .refine(
      (name) => !/^[/\\]|(?:^|[/\\])\.\.(?:[/\\]|$)|\0/.test(name),
      "a file name may not lead out of the case's folder",
    ),
  z.string().max(1_000_000).nullable(),
);
export type Surroundings = z.infer<typeof surroundingsSchema>;

/**
 * The files of a run: those of the program with what the check changes beside it. The main file, the first one, always
 * stays.
 */
export function withSurroundings(files: ProgramFiles, surroundings: Surroundings): ProgramFiles {
  const [main, ...others] = files;
  if (!main) return files;
  const kept = others.filter((file) => !(file.name in surroundings));
  const encoder = new TextEncoder();
  const added = Object.entries(surroundings).flatMap(([name, text]) =>
    text === null || name === main.name ? [] : [{ name, bytes: encoder.encode(text) }],
  );
  return [main, ...kept, ...added];
}

/** True where nothing lies beside a program but its own files: its run depends on what is typed in alone. */
export function isPlain({ surroundings }: { surroundings: Surroundings }): boolean {
  return Object.keys(surroundings).length === 0;
}
