import type { Language } from "../languages/language.ts";
import { tokensByLine } from "../languages/lexical.ts";
import { buildTable, type TraceSteps } from "./table.ts";

/** A change of a variable: the line that made it, the recorded step (from 0) and what it held then. */
export type ValueChange = { step: number; line: number; value: string };

/**
 * A position that was worked out in a text or list which has changed since: worked out in `madeIn`, what it was of changed in
 * `changedIn`, and used all the same in `usedIn` (lines from 1). `of` is what the position is of.
 */
export type Stale = { of: string; madeIn: number; changedIn: number; usedIn: number };

/** All changes of a variable in a recorded run, in order. `title` is its name; `key` tells it from others of that name. */
export type ValueHistory = { key: string; title: string; changes: ValueChange[]; stale: Stale[] };

/** Words by which a program works out a place or a length in a text or list. */
const places =
  /^(?:r?find|r?index|(?:last)?indexof|pos|length|len|size|count|strfind|numel|columns|rows|strlen|strchr|strstr|search)$/i;
const isPosition = (value: string) => /^-?\d+$/.test(value);
const isWhole = (value: string) => value !== "" && !/^-?[\d.]+$/.test(value);

/** Where each variable of the main file's run changed, and which positions went stale. Steps of other files count as well. */
export function valueHistories(language: Language, program: string, trace: TraceSteps): ValueHistory[] {
  const table = buildTable(trace, { rows: "line" });
  const names = tokensByLine(language.tokens(program));
  const histories = new Map<string, ValueHistory>(
    table.columns.map(({ key, title }) => [key, { key, title, changes: [], stale: [] }]),
  );
  const now = new Map<string, string>();
  /** Positions that are in use, by their variable: what they are of, where they were made, where that changed since. */
  const made = new Map<string, Array<{ of: string; madeIn: number; changedIn: number | null }>>();
  const titles = new Map(table.columns.map(({ key, title }) => [key, title]));
  for (const row of table.rows) {
    const tokens = row.file === 0 ? (names.get(row.line) ?? []) : [];
    const used = new Set(tokens.filter((token) => token.kind === "name").map((token) => token.text));
    for (const [key, list] of made) {
      if (key in row.cells || !used.has(titles.get(key) ?? "")) continue;
      for (const one of list)
        if (one.changedIn !== null && used.has(titles.get(one.of) ?? "")) {
          const stale = histories.get(key)?.stale ?? [];
          const told = { of: titles.get(one.of) ?? "", madeIn: one.madeIn, changedIn: one.changedIn, usedIn: row.line };
          if (!stale.some((each) => each.usedIn === told.usedIn && each.madeIn === told.madeIn)) stale.push(told);
        }
    }
    const workedOut = tokens.some((token) => places.test(token.text));
    for (const [key, value] of Object.entries(row.cells)) {
      histories.get(key)?.changes.push({ step: row.step, line: row.line, value });
      now.set(key, value);
      for (const list of made.values())
        for (const one of list) if (one.of === key && one.changedIn === null) one.changedIn = row.line;
      const of = [...now.keys()].filter(
        (other) => other !== key && used.has(titles.get(other) ?? "") && isWhole(now.get(other) ?? ""),
      );
      made.set(
        key,
        workedOut && isPosition(value) ? of.map((each) => ({ of: each, madeIn: row.line, changedIn: null })) : [],
      );
    }
  }
  return [...histories.values()];
}
