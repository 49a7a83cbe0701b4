import type { Language } from "../languages/language.ts";
import type { Token } from "../languages/token.ts";
import { explain } from "../reading/explain.ts";
import type { MessageKind } from "../reading/kinds.ts";
import type { Step, Trace, Write } from "../trace/trace.ts";
import type { Lead, LeadContext, LeadRule } from "./lead.ts";
import { lineKind } from "./lineKind.ts";
import { sliceBack } from "./slice.ts";

/** Faults whose cause is mostly where the value was made, and not where it stops the program. */
const madeBefore: ReadonlySet<MessageKind> = new Set<MessageKind>([
  "index out of range",
  "empty reference",
  "type mismatch",
  "conversion",
  "memory misused",
  "key missing",
]);

/** The names between the brackets that pick an element on a line. */
function indexNames(tokens: readonly Token[], byCall: boolean): Set<string> {
  const names = new Set<string>();
  let depth = 0;
  for (const [at, token] of tokens.entries()) {
    const before = tokens[at - 1];
    const opens =
      token.text === "[" ||
      (byCall && token.text === "(" && before?.kind === "name") ||
      (token.text === "(" && /^(charAt|get|substring|elementAt|ElementAt)$/.test(before?.text ?? ""));
    if (opens && (depth > 0 || before?.kind === "name" || before?.text === ")" || before?.text === "]")) depth += 1;
    else if (depth > 0 && (token.text === "]" || token.text === ")")) depth -= 1;
    else if (depth > 0 && token.kind === "name") names.add(token.text);
  }
  return names;
}

/** Where a function says which variables of the whole program it changes: a name that is missing there is one of its own. */
function scopeLines(codeLines: LeadContext["codeLines"], failing: number): Lead[] {
  const said = [...codeLines].filter(([line, tokens]) => line < failing && tokens[0]?.text === "global").at(-1);
  if (!said) return [];
  return [
    {
      line: said[0],
      why: "Names that are listed here belong to the whole program; the one that has no value yet is not among them.",
      weight: 104,
    },
  ];
}

/** Whether a line begins a loop. */
function headsLoop(language: Language, tokens: readonly Token[]): boolean {
  return tokens
    .slice(0, 3)
    .some((token) => token.kind === "keyword" && language.loopWords.has(token.text.toLowerCase()));
}

/** True behind a name that is given nothing: `= null;`. */
function givesNothing([sign, value, end]: readonly Token[]): boolean {
  return sign?.text === "=" && /^(?:null|NULL|nil)$/.test(value?.text ?? "") && end?.text === ";";
}

/** True where a line gives a value to a part of that name: `locker.owner = name`. */
function givesPart(tokens: readonly Token[], name: string): boolean {
  return tokens.some(
    (token, at) =>
      token.text === name && /^(?:\.|->)$/.test(tokens[at - 1]?.text ?? "") && tokens[at + 1]?.text === "=",
  );
}

/** Lines that declare a name of the failing line that nothing in the program ever gives a value; `pointers`: those of places alone, beside what the failing line does. */
function neverGiven(
  { language, codeLines }: LeadContext,
  names: readonly string[],
  pointers: { failing: number } | null = null,
): Lead[] {
  const onlyDeclares = (tokens: readonly Token[], name: string) => {
    const at = tokens.findIndex((token) => token.text === name);
    const type = tokens[at - 1];
    return (
      at > 0 &&
      !language.definesFunction(tokens) &&
      (/^[;,]$/.test(tokens[at + 1]?.text ?? "") || givesNothing(tokens.slice(at + 1))) &&
      (pointers
        ? type?.text === "*"
        : type?.kind === "name" || type?.kind === "keyword" || /^[>\]*]$/.test(type?.text ?? ""))
    );
  };
  return names.flatMap((name) => {
    const giving = [...codeLines].filter(
      ([line, tokens]) => line !== pointers?.failing && language.assignedNames(tokens).includes(name),
    );
    const [declared] = giving;
    const ofAnother = [...codeLines.values()].some((tokens) => givesPart(tokens, name));
    if (!declared || ofAnother || !giving.every(([, tokens]) => onlyDeclares(tokens, name))) return [];
    const given = pointers ? "a place to point to" : "an object";
    return [{ line: declared[0], why: `“${name}” is declared here, and no line ever gives it ${given}.`, weight: 112 }];
  });
}

/** The headers of the loops in which elements get their values: what such a loop leaves out stays empty. */
function fillingLoops({ language, codeLines, text }: LeadContext, lines: readonly number[]): Lead[] {
  const program = text.join("\n");
  const filling = lines.filter((line) => {
    const tokens = codeLines.get(line) ?? [];
    return tokens[0]?.kind === "name" && tokens[1]?.text === "[" && tokens.some((token) => /^:?=$/.test(token.text));
  });
  if (filling.length === 0) return [];
  return [...codeLines].flatMap(([header, tokens]) => {
    if (!headsLoop(language, tokens) || !filling.some((line) => language.blockLines(program, header).includes(line)))
      return [];
    return [
      { line: header, why: "This loop gives the elements their values; what it leaves out stays empty.", weight: 103 },
    ];
  });
}

/** Where an array was made without room for a single element, from which the failing step (at `at`) picks one. */
function arraysWithoutRoom({ codeLines, trace, verdict }: LeadContext, at: number, names: readonly string[]): Lead[] {
  // A place before the first one is in no array, however large.
  if (/-\d/.test(verdict.diagnostic?.message ?? "")) return [];
  const before = trace?.steps.slice(0, at + 1) ?? [];
  return names.flatMap((name) => {
    const isIts = (step: Step) => step.writes.some(({ path }) => path.length === 1 && path[0] === name);
    const made = before.findLast(isIts);
    const value = made?.writes.findLast(({ path }) => path.length === 1 && path[0] === name)?.value;
    const isFixed = (codeLines.get(made?.line ?? 0) ?? []).some((token) => token.text === "new");
    if (made?.file !== 0 || !isFixed || value?.shape !== "list") return [];
    if ((value.length ?? value.items?.length) !== 0) return [];
    return [{ line: made.line, why: `“${name}” is made here with room for no element at all.`, weight: 113 }];
  });
}

/** True for a line that gives a name a number written out that is no place in a list: less than the first place. */
function isBeforeFirst(tokens: readonly Token[], first: 0 | 1 | "declared"): boolean {
  if (first === "declared") return false;
  const given = /(?<![<>=!])(?::=|=|<-)(-?\d+);?$/.exec(tokens.map(({ text }) => text).join(""))?.[1];
  return given !== undefined && Number(given) < first;
}

/** True for a name whose last value before a step is nothing: no object. */
function holdsNothing(trace: Trace, at: number, name: string): boolean {
  const frame = trace.steps[at]?.frame;
  const last = trace.steps
    .slice(0, at + 1)
    .findLast(({ writes }) => writes.some((write) => isOf(write, name, frame)))
    ?.writes.findLast((write) => isOf(write, name, frame));
  return /^(?:null|NULL|None|nil|0x0)$/.test(last?.value?.text ?? "");
}

const isOf = ({ path, scope, owner }: Write, name: string, frame: number | undefined) =>
  path.length === 1 && path[0] === name && (scope === "global" || owner === frame);

function failingLine({ verdict, outcome }: LeadContext): number | null {
  if (verdict.reportedLine !== null) return verdict.reportedLine;
  const frames = outcome?.found?.frames.filter((frame) => frame.own && frame.line !== undefined) ?? [];
  return frames.at(-1)?.line ?? null;
}

/**
 * For a stop while running: where the values of the failing line come from, by the recorded run if there is one (back along
 * its values), else by reading upwards. Where such a stop mostly has its cause in how a value was made, the line that made it
 * comes before the reported one.
 */
export const definitions: LeadRule = (context) => {
  const { verdict, language, codeLines, trace, text } = context;
  const failing = failingLine(context);
  if (verdict.class !== "runtime" || failing === null || verdict.reportedFile !== null) return [];
  const kind = verdict.diagnostic
    ? (explain(language, verdict.diagnostic, text)?.kind ?? null)
    : context.outcome?.found
      ? "memory misused"
      : null;
  const tokens = codeLines.get(failing) ?? [];
  const inIndex = indexNames(tokens, language.profile.firstIndex === 1);
  const names = language.usedNames(tokens);
  // A key is what is between the brackets, too; what it is looked for in was mostly made rightly.
  const byKey = kind === "key missing";
  const byIndex = kind === "index out of range" || byKey;
  // What is asked to read or to convert is not what is converted.
  const receivers = new Set(
    kind === "conversion"
      ? tokens.flatMap((token, place) => (token.kind === "name" && tokens[place + 1]?.text === "." ? [token.text] : []))
      : [],
  );
  const isMadeHere = language.profile.madeWhereItStops?.test(verdict.diagnostic?.message ?? "") ?? false;
  const weigh = (line: number, name: string, distance: number): number => {
    const own = lineKind(language, codeLines.get(line) ?? []);
    const isLoop = headsLoop(language, codeLines.get(line) ?? []);
    const made = kind !== null && madeBefore.has(kind) && !isMadeHere;
    const isHolder = empty.size === 0 || empty.has(name);
    const wanted = byIndex ? inIndex.has(name) : made && isHolder && !receivers.has(name);
    if (!wanted) return 66 - distance * 4 + own / 2;
    // A place that stands there as a number before the first one was wrong from the beginning.
    if (kind === "index out of range" && isBeforeFirst(codeLines.get(line) ?? [], language.profile.firstIndex))
      return 114 - distance * 4;
    if (byIndex && (!isLoop || byKey)) return 96 - distance * 4 + own / 2;
    return 110 - distance * 4 + own / 2;
  };
  const at = trace ? trace.steps.findLastIndex((step) => step.file === 0 && step.line === failing) : -1;
  // Of the names of a line those that hold nothing are what is asked in vain.
  const empty = new Set(
    kind === "empty reference" && trace ? names.filter((name) => holdsNothing(trace, at, name)) : [],
  );
  const leads: Lead[] = kind === "not set" ? scopeLines(codeLines, failing) : [];
  if (kind === "empty reference") leads.push(...neverGiven(context, names));
  if (kind === "memory misused") leads.push(...neverGiven(context, names, { failing }));
  if (trace && at >= 0) {
    const program = text.join("\n");
    const sources = sliceBack(trace, at, language, codeLines, (header) => language.blockLines(program, header));
    for (const { line, distance, by, name } of sources) {
      if (line === failing) continue;
      const why =
        by === "returned"
          ? "What this line gives back goes into the failing line."
          : by === "call"
            ? `The call of “${name}” with the values of the failing line.`
            : by === "decision"
              ? "A decision that let the failing line run."
              : distance === 1
                ? `“${name}”, used in the failing line, last got its value here.`
                : `“${name}”, from which the failing line has its value, got its value here.`;
      // Who only hands on a text that was typed in made no slip in it: what turns it into a number has to expect it.
      const handsOn =
        by === "call" &&
        kind === "conversion" &&
        !(codeLines.get(line) ?? []).some(
          (token) => token.kind === "text" && (verdict.diagnostic?.message ?? "").includes(token.text.slice(1, -1)),
        );
      const weight = handsOn ? 66 - distance * 4 : weigh(line, name, distance);
      leads.push({ line, why, weight: by === "decision" ? 58 - distance : weight });
    }
    if (byIndex) leads.push(...arraysWithoutRoom(context, at, names));
    if (kind === "empty reference")
      leads.push(
        ...fillingLoops(
          context,
          sources.map(({ line }) => line),
        ),
      );
    return leads;
  }
  for (const name of names) {
    const line = [...codeLines.entries()]
      .filter(([each, its]) => each !== failing && language.assignedNames(its).includes(name))
      .sort(
        ([one], [other]) => (one < failing ? failing - one : one) - (other < failing ? failing - other : other),
      )[0]?.[0];
    if (line !== undefined)
      leads.push({
        line,
        why: `“${name}”, used in the failing line, gets its value here.`,
        weight: weigh(line, name, 1),
      });
  }
  return leads;
};
