import type { Language } from "../../languages/language.ts";
import type { FaultClass, Verdict } from "../../verdict/verdict.ts";
import type { ExerciseCheck } from "../exercise.ts";

/** A fault that was planted in a right program and run. Lines are 1-based in the faulty program. */
export type PlantedFault = {
  program: string;
  mended: string;
  class: FaultClass;
  kind: Verdict["kind"];
  lines: number[];
  reportedLine: number | null;
  message: string;
  symptom: string;
  /** What kind of small change made it, in the table of edits or the catalogue; and the pattern that it is told to be. */
  family: string;
  pattern: string | null;
  /** By how many checks it is noticed. */
  noticed: { by: number; of: number };
  level: number;
  points: number;
  /** Why it has its level, in words. */
  why: string[];
  /** Faults with one effect are one for a set. */
  effect: string;
};

/** What a set is to be: how many, of which classes, of which pattern, of which level; all where nothing is said. */
export type SetWish = {
  count: number;
  classes?: readonly FaultClass[];
  pattern?: string;
  level?: number;
};

/** What faults are planted in, and which are wanted. `fileName` is that of the program. */
export type PlantRequest = SetWish & {
  language: Language;
  fileName: string;
  program: string;
  checks: readonly ExerciseCheck[];
  seconds: number;
  onTried?: (tried: number, of: number) => void;
};

/** How many of a set may be of one family of edits, and how many each class has where the program allows it. */
const mostOfFamily = 2;
const leastOfClass = 2;
const leastLevels = 4;

/** What a candidate adds to a set, more being better; null where it may not be in it. */
export function worthFor(set: readonly PlantedFault[], one: PlantedFault, wish: SetWish): number | null {
  if (wish.classes && wish.classes.length > 0 && !wish.classes.includes(one.class)) return null;
  if (wish.pattern !== undefined && one.pattern !== wish.pattern) return null;
  if (wish.level !== undefined && one.level !== wish.level) return null;
  const family = wish.pattern !== undefined ? [] : set.filter((other) => other.family === one.family);
  if (family.length >= mostOfFamily) return null;
  if (set.some((other) => other.effect === one.effect)) return null;
  const ofClass = set.filter((other) => other.class === one.class).length;
  const levels = new Set(set.map((other) => other.level));
  let worth = 0;
  if (ofClass < leastOfClass) worth += 6 - ofClass;
  if (!levels.has(one.level)) worth += levels.size < leastLevels ? 7 : 3;
  worth -= set.filter((other) => other.level === one.level).length;
  worth -= 2 * set.filter((other) => other.lines.some((line) => one.lines.includes(line))).length;
  worth -= 2 * family.length;
  worth -= 0.5 * ofClass;
  return worth;
}

/** The candidate that adds most to a set; null where none may be in it. */
export function nextFor(
  set: readonly PlantedFault[],
  candidates: readonly PlantedFault[],
  wish: SetWish,
): PlantedFault | null {
  let best: { one: PlantedFault; worth: number } | null = null;
  for (const one of candidates) {
    const worth = worthFor(set, one, wish);
    if (worth !== null && (!best || worth > best.worth)) best = { one, worth };
  }
  return best?.one ?? null;
}

const ranks: Readonly<Record<FaultClass, number>> = { syntax: 0, runtime: 1, logic: 2 };

/** A set in the order in which it is sat: levels never fall; of one level the easier class first. */
export function inRisingOrder(set: readonly PlantedFault[]): PlantedFault[] {
  return [...set].sort(
    (one, other) => one.level - other.level || ranks[one.class] - ranks[other.class] || one.points - other.points,
  );
}
