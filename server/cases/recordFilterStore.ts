import { patterns } from "../../core/patterns/patterns.ts";
import { moments } from "../../core/verdict/fields.ts";
import { meantBy } from "../../core/wording/synonyms.ts";
import { asJson } from "../database/rows.ts";

/**
 * What a list or a chart of cases is narrowed to; an empty or absent value narrows nothing. `text` is looked for in programs, outputs, words and
 * notes, and in the names of kinds of mistake; `since` and `until` are dates (2026-09-01), both inclusive, by universal time.
 */
export type CaseFilter = {
  course?: string;
  assignment?: string;
  student?: string;
  language?: string;
  class?: string;
  cause?: string;
  moment?: string;
  pattern?: string;
  distance?: string;
  advice?: string;
  state?: string;
  since?: string;
  until?: string;
  text?: string;
  signature?: string;
};

export const filterNames = [
  ...["course", "assignment", "student", "language", "class", "cause", "moment", "pattern", "distance", "advice"],
  ...["state", "since", "until", "text", "signature"],
] as readonly (keyof CaseFilter)[];

/** How far the reported line is from the faulty one, with the condition for it; `r` is a row of the record. */
export const distances: Readonly<Record<string, { words: string; condition: string }>> = {
  none: { words: "no line is reported", condition: "r.reported_line is null and r.class is not null" },
  far: { words: "reported 6 or more lines above", condition: "r.distance <= -6" },
  above: { words: "reported 1 to 5 lines above", condition: "r.distance between -5 and -1" },
  same: { words: "reported on the faulty line", condition: "r.distance = 0" },
  next: { words: "reported 1 line below", condition: "r.distance = 1" },
  below: { words: "reported 2 to 5 lines below", condition: "r.distance between 2 and 5" },
  deep: { words: "reported 6 or more lines below", condition: "r.distance >= 6" },
};

/** What a message was worth, with the condition for it. */
export const adviceKinds: Readonly<Record<string, { words: string; condition: string }>> = {
  agrees: { words: "the message agrees with the fix", condition: "r.advice = 'agrees'" },
  partly: { words: "the message helps partly", condition: "r.advice = 'partly'" },
  misleads: { words: "the message misleads", condition: "r.advice = 'misleads'" },
};

/** Where a case stands, with the condition for it. */
export const caseStates: Readonly<Record<string, { words: string; condition: string }>> = {
  open: { words: "not judged yet", condition: "r.state = 'open'" },
  judged: { words: "judged, not mended", condition: "r.state = 'judged'" },
  warned: { words: "the translator only warns", condition: "r.text_state = 'warnings only'" },
  differs: { words: "class decided otherwise than the evidence", condition: "r.differs" },
  verified: { words: "mended and verified", condition: "r.state = 'verified'" },
  unsure: {
    words: "kind of mistake suggested, not confirmed",
    condition: "r.pattern is not null and not r.pattern_confirmed",
  },
  nopattern: { words: "no kind of mistake known", condition: "r.class is not null and r.pattern is null" },
  incomplete: {
    words: "something is missing in the record",
    condition:
      "r.class is not null and (not r.confirmed or r.faulty_line is null or r.pattern is null or r.state <> 'verified')",
  },
};

/** Signs that have a meaning in a pattern, as themselves. */
function literal(text: string): string {
  return text.replace(/[\\%_]/g, (sign) => `\\${sign}`);
}

const day = /^\d{4}-\d{2}-\d{2}$/;

/** Conditions on rows of the record (`r`) and their values, in order; the first value has the number `from`. */
export function recordConditions(filter: CaseFilter, from = 1): { conditions: string[]; values: unknown[] } {
  const conditions: string[] = [];
  const values: unknown[] = [];
  const place = (value: unknown) => {
    values.push(value);
    return `$${from + values.length - 1}`;
  };
  for (const name of ["course", "assignment", "student", "language", "class", "cause", "pattern", "signature"] as const)
    if (filter[name]) conditions.push(`r.${name} = ${place(filter[name])}`);
  if (filter.moment && (moments as readonly string[]).includes(filter.moment))
    conditions.push(`r.moment = ${place(filter.moment)}`);
  for (const [kinds, value] of [
    [distances, filter.distance],
    [adviceKinds, filter.advice],
    [caseStates, filter.state],
  ] as const) {
    const kind = kinds[value ?? ""];
    if (kind) conditions.push(`(${kind.condition})`);
  }
  if (day.test(filter.since ?? "")) conditions.push(`r.created_at >= ${place(filter.since)}::date`);
  if (day.test(filter.until ?? "")) conditions.push(`r.created_at < ${place(filter.until)}::date + 1`);
  const { words, classes } = meantBy(filter.text ?? "");
  for (const each of classes) conditions.push(`r.class = ${place(each)}`);
  for (const word of words.slice(0, 8)) {
    const like = `r.faulty_case in (select f.key from faulty_case f where f.search_text like ${place(`%${literal(word.replaceAll("\0", ""))}%`)})`;
    const named = patterns.filter(({ id, name }) => `${id} ${name}`.toLowerCase().includes(word)).map(({ id }) => id);
    conditions.push(
      named.length === 0
        ? like
        : `(${like} or r.pattern in (select jsonb_array_elements_text(${place(asJson(named))}::jsonb)))`,
    );
  }
  return { conditions, values };
}
