import { pictureAt, unseenBecause } from "../outcome/drawing.ts";
import { isDrawn } from "../outcome/pictureFacts.ts";
import { areSimilar } from "../source/spelling.ts";
import { linesThatRan, neverRanStretches } from "../trace/neverRan.ts";
import type { Lead, LeadContext, LeadRule } from "./lead.ts";

const unseenWords = {
  number: "What is drawn here has a place that is no number.",
  outside: "What is drawn here lies outside of the drawing area.",
  colour: "What is drawn here has neither a filling nor a line.",
  ground: "What is drawn here has the colour of the background.",
  size: "What is drawn here has no size.",
} as const;

/** A line whose condition kept another one from running, and the names in it. */
type Keeper = { line: number; names: string[] };

/** The innermost header around a line that ran while the line never did; null where none is around it. */
function keeperOf({ language, text, codeLines }: LeadContext, line: number, ran: ReadonlySet<number>): Keeper | null {
  const heads = (at: number) =>
    (codeLines.get(at) ?? []).some(
      (token) => language.decisionWords.has(token.text) || language.loopWords.has(token.text),
    );
  for (let at = line; at > 0; at--) {
    const isAround =
      heads(at) && ran.has(at) && (at === line || language.blockLines(text.join("\n"), at).includes(line));
    if (isAround) return { line: at, names: [...new Set(language.usedNames(codeLines.get(at) ?? []))] };
  }
  return null;
}

/** The line that makes a variable known: its name behind a type or another name. */
function declarationOf({ codeLines }: LeadContext, name: string): number | null {
  for (const [line, tokens] of codeLines) {
    const at = tokens.findIndex((token) => token.text === name);
    const [before, next] = [tokens[at - 1], tokens[at + 1]];
    const isType =
      before?.kind === "keyword" || before?.kind === "name" || before?.text === "]" || before?.text === ",";
    if (at > 0 && isType && /^(?:[;=,]|)$/.test(next?.text ?? "")) return line;
  }
  return null;
}

/** Leads to what keeps a line from being reached: the values in the condition that is never true, and the condition. */
function leadsToKeeper(context: LeadContext, keeper: Keeper, drawn: number, ran: ReadonlySet<number>): Lead[] {
  const { codeLines, language } = context;
  const never = `so what line ${drawn} draws is never reached, and the drawing area stays empty.`;
  const found: Lead[] = [{ line: keeper.line, why: `This condition is never true in this run, ${never}`, weight: 80 }];
  for (const name of keeper.names) {
    const declared = declarationOf(context, name);
    const given = [...codeLines].flatMap(([line, tokens]) =>
      line !== declared && line !== keeper.line && language.assignedNames(tokens).includes(name) ? [line] : [],
    );
    const isGiven = given.some((line) => ran.has(line));
    if (declared !== null && !isGiven && declared !== keeper.line)
      found.push({ line: declared, why: `“${name}” keeps the value that it begins with here, ${never}`, weight: 90 });
    for (const line of given.filter((each) => !ran.has(each)).slice(0, 2))
      found.push({ line, why: `“${name}” would get another value here, but this line never runs.`, weight: 70 });
  }
  return found;
}

/** Nothing is seen in the drawing area: what was never reached, and by what; what cannot be seen, and why. */
export const blankCanvas: LeadRule = (context) => {
  const { language, verdict, outcome, trace, codeLines, text } = context;
  const { draws } = language;
  if (!draws || !outcome?.drawing || !outcome.finished || (verdict.class !== null && verdict.class !== "logic"))
    return [];
  const picture = pictureAt(outcome.drawing, outcome.drawing.last);
  const ran = linesThatRan(trace);
  if (isDrawn(picture) || !ran) return [];
  const callsOne = (words: ReadonlySet<string>) =>
    [...codeLines].flatMap(([line, tokens]) =>
      tokens.some((token, at) => words.has(token.text) && tokens[at + 1]?.text === "(") ? [line] : [],
    );
  const drawing = callsOne(draws.shapes);
  const idle = drawing.filter((line) => !ran.has(line));
  const found: Lead[] = [];
  for (const stretch of neverRanStretches(language, text.join("\n"), ran)) {
    if (stretch.function === null || !idle.some((line) => line >= stretch.from && line <= stretch.to)) continue;
    const header = headerOf(context, stretch.function) ?? stretch.from;
    const meant = draws.called.find((name) => areSimilar(name, stretch.function ?? ""));
    const isMeant = meant !== undefined && !draws.called.includes(stretch.function);
    const why = isMeant
      ? `“${stretch.function}” is called by nobody; “${meant}” looks like it, and is called by itself.`
      : `“${stretch.function}” draws, but was never called.`;
    found.push({ line: header, why, weight: isMeant ? 95 : 75 });
  }
  // One line stands for all that a header keeps from running.
  const keepers = new Set<number>();
  for (const line of idle) {
    const keeper = keeperOf(context, line, ran);
    if (keeper && !keepers.has(keeper.line)) found.push(...leadsToKeeper(context, keeper, line, ran));
    if (keeper) keepers.add(keeper.line);
  }
  const seen = drawing.filter((line) => ran.has(line));
  const covering = callsOne(draws.covers).filter((line) => ran.has(line) && seen.some((each) => each < line));
  if (picture.shapes.length === 0 && seen.length > 0)
    for (const line of covering)
      found.push({ line, why: "What was drawn before is covered here, so nothing of it is seen.", weight: 85 });
  const reasons = new Set(picture.shapes.map((shape) => unseenBecause(shape, picture)));
  const [reason] = reasons;
  if (reason && reasons.size === 1) for (const line of seen) found.push({ line, why: unseenWords[reason], weight: 70 });
  return found;
};

/** The line that the definition of a function begins in. */
function headerOf({ language, codeLines }: LeadContext, name: string): number | null {
  for (const [line, tokens] of codeLines)
    if (
      language.definesFunction(tokens) &&
      tokens.some((token, at) => token.text === name && tokens[at + 1]?.text === "(")
    )
      return line;
  return null;
}
