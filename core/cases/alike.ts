import { masked } from "../assignments/overview.ts";
import type { FaultClass } from "../verdict/verdict.ts";

/** What a case shows, as far as another one may show the same. `shows`: the message, or how its result differs, in words. */
export type Showing = {
  key: string;
  language: string;
  class: FaultClass;
  kind: string | null;
  shows: string;
};

/** Cases that fail alike: in one language, with one class, and with the same words, numbers and quoted names aside. */
export type AlikeGroup<Case extends Showing> = {
  class: FaultClass;
  kind: string | null;
  /** What all of them show: the very words where they are the same, else # stands for a number, … for a quoted name. */
  shows: string;
  cases: Case[];
};

/**
 * What is alike in words that differ in names and numbers: quoted pieces and numbers are masked, and what a translator guesses
 * beside them (CPython, gcc: "did you mean …?") is left out.
 */
export function alikeWords(words: string): string {
  const quoted = words.replace(/'[^']*'|"[^"]*"|‘[^’]*’/g, "…");
  return masked(quoted.replace(/[.;,]? did you mean[^?]*\?/i, ""));
}

/** Groups of cases that fail alike, the largest first; a case that fails like no other one is a group of its own. */
export function groupCases<Case extends Showing>(cases: readonly Case[]): AlikeGroup<Case>[] {
  const groups = new Map<string, AlikeGroup<Case>>();
  for (const each of cases) {
    const shows = alikeWords(each.shows);
    const signature = JSON.stringify([each.language, each.class, each.kind, shows]);
    const known = groups.get(signature);
    if (known) known.cases.push(each);
    else groups.set(signature, { class: each.class, kind: each.kind, shows, cases: [each] });
  }
  return [...groups.values()]
    .map((group) => {
      const [first, ...others] = group.cases;
      return first && others.every((each) => each.shows === first.shows) ? { ...group, shows: first.shows } : group;
    })
    .sort((one, other) => other.cases.length - one.cases.length);
}
