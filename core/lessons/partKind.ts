import type { z } from "zod";
import type { FaultClass } from "../verdict/verdict.ts";

/** What a lesson may know of an exercise that one of its parts is about. */
export type KnownExercise = { key: string; title: string; classes: readonly FaultClass[] };

/** What a lesson may know of a sheet that is sat in it. `minutes`: as long as it may be sat; null: as long as it is open. */
export type KnownSheet = { key: string; title: string; marks: number; minutes: number | null };

/** What parts are counted with. */
export type Known = { exercises: ReadonlyMap<string, KnownExercise>; sheets: ReadonlyMap<string, KnownSheet> };

/**
 * A kind of part of a lesson. `minutes`: how long it takes a class, by a rule of thumb that the teacher may overrule;
 * `tasks`: how many things students are asked to do in it, which get numbers.
 */
export type PartKind<Content = unknown> = {
  kind: string;
  title: string;
  /** For whoever chooses a part, in a sentence. */
  about: string;
  schema: z.ZodType<Content>;
  minutes: (content: Content, known: Known) => number;
  tasks: (content: Content) => number;
  /** What a new part begins with, from what there is; words where there is nothing that it could be about. */
  begins: (there: ThereIs) => Content | string;
};

/** What a new part may be about. */
export type ThereIs = {
  exercises: ReadonlyArray<{ key: string; mended: boolean }>;
  sheets: ReadonlyArray<{ key: string }>;
};

/** A kind of part as it is listed; its content is read by its schema before it is asked. */
export function definePart<Content>(part: PartKind<Content>): PartKind {
  const read = (content: unknown) => part.schema.parse(content);
  return {
    ...part,
    minutes: (content, known) => part.minutes(read(content), known),
    tasks: (content) => part.tasks(read(content)),
  };
}
