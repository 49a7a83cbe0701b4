import { editContext } from "../edits/context.ts";
import type { EditContext } from "../edits/edit.ts";
import { ofKind } from "../edits/places.ts";
import type { Language } from "../languages/language.ts";
import { foundMistakes } from "../leads/mistakes/found.ts";
import { areSimilar } from "../source/spelling.ts";
import { part } from "../syntax/tree.ts";
import { ownWarnings } from "../warnings/ownWarning.ts";

/**
 * A place at which a mistake is easily made, or will be with the next change: no fault by itself. `line` from 1; `pattern` the kind of mistake that it
 * may become.
 */
export type Advice = { line: number; says: string; pattern: string };

type Rule = (context: EditContext) => Advice[];

/** A name without the number or the letter of the plural at its end: a list and its elements, or names that are numbered, are meant to be alike. */
const stem = (name: string) => name.replace(/(?:\d+|s)$/, "");

/** Names that differ by letter case or by one letter only: one of them is easily taken for the other. */
const nearNames: Rule = ({ names, code, language }) => {
  const firstLine = (name: string) => code.find((token) => token.text === name)?.line ?? 1;
  // Of short names nearly all are alike, and numbered ones are meant to be.
  const own = [...new Set(names)].filter((name) => name.length > 3);
  const folded = (name: string) => name.toLowerCase();
  return own.flatMap((name, at) =>
    own.slice(at + 1).flatMap((other): Advice[] => {
      const byCase = folded(name) === folded(other);
      if (byCase && !language.profile.caseSensitive) return [];
      if (!byCase && (!areSimilar(name, other) || stem(name) === stem(other))) return [];
      const line = Math.max(firstLine(name), firstLine(other));
      const how = byCase ? "letter case" : "one letter";
      return [
        {
          line,
          says: `“${name}” and “${other}” differ by ${how} only.`,
          pattern: byCase ? "name-letter-case" : "own-name-misspelt",
        },
      ];
    }),
  );
};

/** Headers whose body is a single statement without marks: a line that is added later does not belong to them. */
const withoutMarks: Rule = (context) => {
  if (context.writing.blocks.by !== "braces" && context.writing.blocks.by !== "two words") return [];
  return ofKind(context, "if", "while", "for", "foreach").flatMap(({ node }) => {
    const body = part(node, "body");
    if (!body || body.kind === "block" || body.from === body.to) return [];
    const governs = context.sourceOf(body).trim().split("\n")[0] ?? "";
    return [
      {
        line: context.lineOf(node.from),
        says: `Its block has no marks: it governs “${governs}” alone.`,
        pattern: "statement-outside-block",
      },
    ];
  });
};

/** And with or in one condition without brackets. */
const mixedWords: Rule = (context) => {
  const { and, or } = context.writing;
  const found = ofKind(context, "binary").filter(({ node }) => node.sign === or.trim());
  return found.flatMap(({ node }) => {
    const sides = [part(node, "left"), part(node, "right")];
    return sides.some((side) => side?.kind === "binary" && side.sign === and.trim())
      ? [
          {
            line: context.lineOf(node.from),
            says: `“${and.trim()}” binds before “${or.trim()}” here: brackets say which is meant.`,
            pattern: "and-or-without-brackets",
          },
        ]
      : [];
  });
};

/** Numbers joined to a text one by one. */
const joinedNumbers: Rule = ({ lines }) =>
  lines.flatMap(({ number, text }) =>
    /["']\s*\+\s*[A-Za-z_]\w*\s*\+\s*[A-Za-z_]\w*/.test(text)
      ? [
          {
            line: number,
            says: "What stands behind a text is joined to it: a sum needs brackets, or a line of its own.",
            pattern: "sum-joined-to-text",
          },
        ]
      : [],
  );

/** Lines that were copied: of three or more alike, the one whose number breaks the row of the others. */
const brokenRow: Rule = ({ lines }) => {
  const bare = (text: string) => text.trim().replace(/\d+/g, "#");
  const found: Advice[] = [];
  for (let at = 0; at < lines.length; ) {
    let end = at + 1;
    const form = bare(lines[at]?.text ?? "");
    while (end < lines.length && bare(lines[end]?.text ?? "") === form) end += 1;
    const rows = lines.slice(at, end).map(({ text }) => (text.match(/\d+/g) ?? []).map(Number));
    const places = rows[0]?.length ?? 0;
    if (end - at >= 3 && form.includes("#"))
      for (let place = 0; place < places; place++) {
        const column = rows.map((row) => row[place] ?? 0);
        const steps = column.slice(1).map((value, index) => value - (column[index] ?? 0));
        const broken = steps.findIndex((step) => step !== 1);
        if (broken < 0 || steps.filter((step) => step !== 1).length > 2 || steps.every((step) => step === 0)) continue;
        // A single wrong number makes a wrong step to it and, but at the end, one away from it.
        const wrong =
          broken === 0 && steps.length > 1 && steps[1] !== 1 && (column[2] ?? 0) - (column[0] ?? 0) !== 2
            ? 0
            : broken + 1;
        const line = lines[at + wrong]?.number;
        if (line !== undefined)
          found.push({
            line,
            says: `The lines around it count on; this one has ${column[wrong]}.`,
            pattern: "copied-line-not-adapted",
          });
      }
    at = end;
  }
  return found;
};

/** Divisors that may become zero: names and calls, not numbers. */
const divisors: Rule = (context) => {
  const signs = new Set([
    context.writing.divides.decimal,
    context.writing.divides.whole,
    context.writing.divides.rest,
    "/",
    "%",
  ]);
  return ofKind(context, "binary").flatMap(({ node }) => {
    const right = part(node, "right");
    if (!signs.has(node.sign ?? "") || !right || right.kind === "number" || right.kind === "text") return [];
    return [
      {
        line: context.lineOf(node.from),
        says: `Can “${context.sourceOf(right).trim()}” become zero?`,
        pattern: "zero-divisor",
      },
    ];
  });
};

/** What the rules that look for mistakes in a text and the warnings of our own notice, as far as it is advice. */
const noticed: Rule = (context) => {
  const wanted: Readonly<Record<string, string>> = {
    ...{
      "not set": "read-before-set",
      "misleading layout": "statement-outside-block",
      "stack exhausted": "recursion-without-end",
    },
    ...{
      "loop-variable-never-changes": "loop-variable-never-changes",
      "loop-tests-wrong-variable": "loop-tests-wrong-variable",
    },
    ...{ "input-kept-as-text": "input-kept-as-text", "newline-left-in-input": "newline-left-in-input" },
    ...{ "text-compared-by-identity": "text-compared-by-identity", "range-test-on-text": "condition-always-true" },
    ...{
      "result-thrown-away": "result-thrown-away",
      "case-falls-through": "case-falls-through",
      "return-missing": "return-missing",
    },
  };
  const places = [
    ...ownWarnings(context.language, context.text).map(({ kind, line, says }) => ({ id: String(kind), line, says })),
    ...foundMistakes(context).map(({ id, line, why }) => ({ id, line, says: why })),
  ];
  return places.flatMap(({ id, line, says }) => (wanted[id] ? [{ line, says, pattern: wanted[id] }] : []));
};

const rules: readonly Rule[] = [nearNames, withoutMarks, mixedWords, joinedNumbers, brokenRow, divisors, noticed];

/** Places of a program where a mistake is easily made, in the order of its lines; none of them is a fault by itself. Nothing for a language that is not taken apart. */
export function adviceFor(language: Language, program: string): Advice[] {
  const context = editContext(language, program);
  if (!context) return [];
  const found = rules.flatMap((rule) => rule(context));
  const seen = new Set<string>();
  return found
    .filter(({ line, pattern }) => !seen.has(`${line} ${pattern}`) && seen.add(`${line} ${pattern}`))
    .sort((one, other) => one.line - other.line);
}
