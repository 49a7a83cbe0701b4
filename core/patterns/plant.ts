import { editContext } from "../edits/context.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { proposeEdits } from "../edits/families.ts";
import { findHunks } from "../fixes/hunks.ts";
import type { Language } from "../languages/language.ts";
import { evidenceOf } from "./evidence.ts";
import { patterns } from "./patterns.ts";
import { suggestPatterns } from "./suggest.ts";

/** A right program with a mistake planted in it by an edit; undoing the edit mends it. `line` is that of the mistake, from 1. */
export type Planted = { program: string; edit: Edit; line: number };

/** How a planted mistake may show: that is known once it is run. */
const classes = ["logic", "runtime", "syntax"] as const;

/** What can be planted in the programs that were asked about last: the programs that ship are asked for one kind after the other. */
const kept = new Map<string, Map<string, Planted[]>>();
const mostKept = 100;
const keyOf = (language: Language, program: string) => `${language.id}\n${program}`;

function keep(key: string, known: Map<string, Planted[]>): void {
  kept.delete(key);
  kept.set(key, known);
  for (const oldest of kept.keys()) {
    if (kept.size <= mostKept) break;
    kept.delete(oldest);
  }
}

/**
 * The ways to plant a kind of mistake in a right program. How each shows, and whether it shows at all, is a matter of a run. A program that was
 * not asked about lately takes milliseconds for each of its small changes: where others wait meanwhile, `preparePlants` goes before.
 */
export function plantsOf(pattern: string, language: Language, program: string): Planted[] {
  const key = keyOf(language, program);
  const known = kept.get(key) ?? plantedKinds(language, program);
  keep(key, known);
  return known.get(pattern) ?? [];
}

/** Works out what can be planted in a program, so that `plantsOf` has it at hand; `pause` is waited for between two small changes. */
export async function preparePlants(language: Language, program: string, pause: () => Promise<void>): Promise<void> {
  const key = keyOf(language, program);
  if (kept.has(key)) return;
  const work = planting(language, program);
  for (let step = work.next(); ; step = work.next()) {
    if (step.done) return keep(key, step.value);
    await pause();
  }
}

/**
 * Everything that can be planted in a right program, by kind of mistake: by edits of the kind itself, and by those of the table of small edits whose
 * undoing is told to be of this kind first.
 */
export function plantedKinds(language: Language, program: string): Map<string, Planted[]> {
  const work = planting(language, program);
  for (let step = work.next(); ; step = work.next()) if (step.done) return step.value;
}

/** The same change by change. */
function* planting(language: Language, program: string): Generator<void, Map<string, Planted[]>> {
  const context = editContext(language, program);
  const byKind = new Map<string, Planted[]>();
  if (!context) return byKind;
  const found = (kind: string, planted: Planted) => byKind.set(kind, [...(byKind.get(kind) ?? []), planted]);
  for (const { id, plants } of patterns)
    for (const proposal of plants?.(context) ?? []) {
      const faulty = applyEdit(program, proposal);
      const line = findHunks(faulty, program)[0]?.start;
      if (line !== undefined) found(id, { program: faulty, edit: { ...proposal, family: id }, line });
    }
  for (const edit of proposeEdits(context, "plant")) {
    yield;
    const faulty = applyEdit(program, edit);
    const hunks = findHunks(faulty, program);
    const line = hunks[0]?.start;
    if (line === undefined) continue;
    const fix = { hunks, families: hunks.map(() => edit.family), lines: [line], repairs: "repairs" as const };
    const evidence = evidenceOf(language, faulty, { class: "logic", diagnostic: null, leads: [{ line }] }, [fix]);
    const kinds = new Set(classes.map((of) => suggestPatterns({ ...evidence, class: of })[0]?.id));
    for (const kind of kinds) if (kind !== undefined) found(kind, { program: faulty, edit, line });
  }
  return byKind;
}
