import type { ComponentType } from "react";
import type { KnownExercise } from "../../../core/lessons/partKind.ts";
import type { ShownPart } from "../../../server/lessons/lessonView.ts";
import type { Presentation } from "../../present/presentation.ts";

/** A part of a kind as it is shown. */
export type PartOf<Kind extends ShownPart["kind"]> = Extract<ShownPart, { kind: Kind }>;

/** What a teacher may choose from when a part is changed. */
export type PartChoices = {
  exercises: ReadonlyArray<KnownExercise & { mended: boolean }>;
  sheets: ReadonlyArray<{ key: string; title: string }>;
};

/** What pages show of a kind of part of a lesson. `shows` of what is gone is null. */
export type PartParts<Kind extends ShownPart["kind"] = ShownPart["kind"]> = {
  kind: Kind;
  /** How often one goes on within it before a class. */
  steps: (part: PartOf<Kind>, loaded: Presentation | null) => number;
  /** The part before a class after so many steps. */
  Before: ComponentType<{ part: PartOf<Kind>; count: number; loaded: Presentation | null }>;
  /** The part on the page that students read. */
  Read: ComponentType<{ part: PartOf<Kind>; code: string }>;
  /** What it is about, in the teacher's plan. */
  Plan: ComponentType<{ part: PartOf<Kind> }>;
  /** The fields of its form. */
  Fields: ComponentType<{ content: unknown; choices: PartChoices }>;
  /** What else may be changed of it, below its form. */
  More?: ComponentType<{ part: PartOf<Kind>; revision: number; busy: boolean }>;
  /** The exercise whose program is run before it is shown to a class; without it none is. */
  runs?: (part: PartOf<Kind>) => string | null;
  /** What its form says, from the names and values of its fields; its schema reads it. */
  contentOf: (given: FormData, before: unknown) => unknown;
};

/** The same of a kind that is not known to whoever uses it. */
export type AnyPartParts = PartParts;
