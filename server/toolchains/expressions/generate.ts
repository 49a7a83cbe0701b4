/** Kinds of values that expressions are generated of. */
export type Sort = "whole" | "real" | "truth" | "text" | "letter";

/** How a language writes what is generated. `{0}`, `{1}`, `{2}` stand for parts of the sorts that `of` says. */
export type Form = { of: readonly Sort[]; as: string };

export type Grammar = {
  /** Values that stand for themselves, by sort; names are declared by the program with the same values. */
  literals: Readonly<Partial<Record<Sort, readonly string[]>>>;
  names: Readonly<Partial<Record<Sort, readonly string[]>>>;
  forms: Readonly<Partial<Record<Sort, readonly Form[]>>>;
  /** Brackets are left out where the order of operators is to decide; here is how often they are put in, from 0 to 1. */
  brackets: number;
};

/** A source of numbers from 0 to 1 that is the same for the same seed (mulberry32). */
export function chance(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** An expression of a sort, at most `depth` operations deep. */
export function generate(grammar: Grammar, sort: Sort, depth: number, next: () => number): string {
  const pick = <Item>(items: readonly Item[]): Item => items[Math.floor(next() * items.length)] as Item;
  const forms = grammar.forms[sort] ?? [];
  if (depth === 0 || forms.length === 0 || next() < 0.15) {
    const names = grammar.names[sort] ?? [];
    const literals = grammar.literals[sort] ?? [];
    return names.length > 0 && (literals.length === 0 || next() < 0.6) ? pick(names) : pick(literals);
  }
  const form = pick(forms);
  return form.as.replace(/\{(\d)\}/g, (_, place: string) => {
    const inner = generate(grammar, form.of[Number(place)] ?? sort, depth - 1, next);
    const isPlain = /^[\w.'"]+$/.test(inner);
    return !isPlain && next() < grammar.brackets ? `(${inner})` : inner;
  });
}

/** Two-sided operators as forms. */
export function between(signs: string, of: readonly [Sort, Sort]): Form[] {
  return signs.split(" ").map((sign) => ({ of, as: `{0} ${sign} {1}` }));
}

/** A form with other signs: calls, choices, prefixes. */
export function form(as: string, ...of: Sort[]): Form {
  return { of, as };
}
