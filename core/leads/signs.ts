import { editContext } from "../edits/context.ts";
import type { EditContext } from "../edits/edit.ts";
import { gatherings } from "../edits/gathered.ts";
import { calledName, isOrder, ofKind } from "../edits/places.ts";
import { consoleText, type Outcome } from "../outcome/outcome.ts";
import { isLoop, part, type SyntaxNode } from "../syntax/tree.ts";
import type { Verdict } from "../verdict/verdict.ts";
import type { LeadRule } from "./lead.ts";

/** What a wrong result looks like beside the intended one, as far as both and what was typed in tell. */
export type Seen = {
  actual: string;
  intended: string;
  /** The first numbers that differ, NaN where there are none. */
  got: number;
  wanted: number;
  typed: readonly string[];
  /** Whole lines that came out, and the place of the first wrong one among them. */
  lines: readonly string[];
  at: number;
};

/**
 * A sign in a wrong result, and where what makes it mostly stands: `suspects` picks the pieces of a program, `says` is the
 * sign in words.
 */
type Sign = {
  id: string;
  says: string;
  shows: (seen: Seen) => boolean;
  suspects: (context: EditContext) => SyntaxNode[];
};

const nodes = (context: EditContext, fits: (node: SyntaxNode) => boolean) =>
  context.nodes.flatMap(({ node }) => (fits(node) ? [node] : []));
const reads = (context: EditContext) =>
  nodes(context, (node) => node.kind === "call" && context.writing.library.reads(calledName(node)));
const loops = (context: EditContext) => nodes(context, isLoop);
const comparisons = (context: EditContext) => nodes(context, (node) => node.kind === "binary" && isOrder(node.sign));
const changesOf = (context: EditContext) =>
  ofKind(context, "assignment").flatMap(({ node, around }) => (around.some(isLoop) ? [node] : []));
/** Conditions of decisions that let something be counted. */
const askedForCounts = (context: EditContext) =>
  ofKind(context, "if").flatMap(({ node }) => {
    const [condition, body] = [part(node, "condition"), part(node, "body")];
    const counts = body && gatherings(context).some(({ placed }) => placed.around.includes(body));
    return condition && counts ? [condition] : [];
  });
const typedNumber = (seen: Seen, number: number) =>
  Number.isFinite(number) && number !== 0 && seen.typed.some((each) => Number(each) === number);

const wordsOf = (line: string) => line.split(/[\s,;]+/).filter((each) => each !== "");

/** True where the words of the line are the intended ones in another order. */
export function isLineInAnotherOrder({ actual, intended }: Seen): boolean {
  const [one, other] = [wordsOf(actual), wordsOf(intended)];
  return actual !== intended && one.length > 2 && one.toSorted().join(" ") === other.toSorted().join(" ");
}

/** True where the intended line comes later, or the words of the line are the intended ones in another order. */
export function isInAnotherOrder(seen: Seen): boolean {
  const { actual, intended, lines, at } = seen;
  if (intended.trim() === "" || actual === intended) return false;
  return (
    isLineInAnotherOrder(seen) ||
    (actual !== "" && lines.slice(at + 1).includes(intended) && !lines.slice(0, at).includes(actual))
  );
}

/** True where a comparison asks for elements or parts on both sides, as one does that puts them in order. */
function compareElements(node: SyntaxNode): boolean {
  const sides = [part(node, "left"), part(node, "right")];
  return sides.every((side) => side !== undefined && ["index", "field", "call"].includes(side.kind));
}

/** Every sign; a new one is one entry. The most telling first: only the first that shows is spoken of. */
export const signs: readonly Sign[] = [
  {
    id: "digits side by side",
    says: "The digits of what was typed in stand side by side: texts were put together where numbers are meant.",
    shows: ({ actual, typed, got, wanted }) =>
      got !== wanted &&
      typed.length > 0 &&
      (typed.some((one) => typed.some((other) => one !== "" && other !== "" && actual.includes(one + other))) ||
        typed.some((one) => /^\d+$/.test(one) && new RegExp(`(?:${one}){3,}`).test(actual))),
    suspects: reads,
  },
  {
    id: "part behind the point is missing",
    says: "The part behind the point is missing: whole numbers were divided, or a decimal number was cut.",
    shows: ({ got, wanted }) => !Number.isInteger(wanted) && Number.isInteger(got) && Math.abs(got - wanted) < 1,
    suspects: (context) =>
      nodes(
        context,
        (node) =>
          node.kind === "binary" &&
          [context.writing.divides.decimal, context.writing.divides.whole].includes(node.sign ?? ""),
      ),
  },
  {
    id: "one pass late",
    says: "What comes out is what should have come out a line before: it is printed before it is worked out.",
    shows: ({ lines, at, intended }) => at > 0 && lines[at] === lines[at - 1] && lines[at + 1] === intended,
    suspects: changesOf,
  },
  {
    id: "neighbours are equal",
    says: "Lines beside each other are equal that should differ: something in the loop stays the same.",
    shows: ({ lines, at, intended }) => at > 0 && lines[at] === lines[at - 1] && lines[at] !== intended,
    suspects: (context) => [...ofKind(context, "index").map(({ node }) => node), ...changesOf(context)],
  },
  {
    id: "another order",
    says: "The same comes out in another order: it is sorted the other way round, or put in at the other end.",
    shows: (seen) => isInAnotherOrder(seen),
    suspects: (context) => {
      const sorted = nodes(context, (node) => node.kind === "call" && /sort|order|revers/i.test(calledName(node)));
      return sorted.length > 0 ? sorted : comparisons(context).filter((node) => compareElements(node));
    },
  },
  {
    id: "one too few or too many",
    says: "It is one less or one more than intended: a limit is off by one.",
    shows: ({ got, wanted }) => Math.abs(got - wanted) === 1 && Number.isInteger(got),
    suspects: (context) => [...loops(context), ...comparisons(context), ...askedForCounts(context)],
  },
  {
    id: "nothing was counted",
    says: "It still has the value that it began with: nothing was counted or added.",
    shows: (seen) => (seen.got === 0 || seen.got === 1) && seen.wanted > 1 && !typedNumber(seen, seen.got),
    suspects: (context) => [...changesOf(context), ...comparisons(context), ...askedForCounts(context)],
  },
  {
    id: "equals what was typed in",
    says: "It is what was typed in: nothing was worked out of it, or the wrong name is printed.",
    shows: (seen) => seen.got !== seen.wanted && typedNumber(seen, seen.got),
    suspects: (context) => ofKind(context, "assignment").map(({ node }) => node),
  },
  {
    id: "one value is missing or counted twice",
    says: "What is missing, or too much, is one of the values that were typed in: a first or last one is left out, or one is taken twice.",
    shows: (seen) => seen.typed.length > 2 && typedNumber(seen, Math.abs(seen.got - seen.wanted)),
    suspects: (context) => [...loops(context), ...changesOf(context)],
  },
  {
    id: "out of its range",
    says: "It cannot be so small or so large: two values are swapped, or the number does not fit.",
    shows: ({ got, wanted }) => (got < 0 && wanted >= 0) || Math.abs(got) > 1000 * Math.max(1, Math.abs(wanted)),
    suspects: (context) => nodes(context, (node) => node.kind === "binary" && /^[-*]$/.test(node.sign ?? "")),
  },
];

/** The numbers in a line of output, in their order. */
export const numbersOf = (text: string) => (text.match(/-?\d+(?:\.\d+)?/g) ?? []).map(Number);

/** What a judgement and the run that it was made of tell of a wrong result; null where no result is wrong, or all of it is missing. */
export function seenIn(verdict: Verdict, outcome: Outcome): Seen | null {
  const { comparison } = verdict;
  if (!comparison || comparison.same || comparison.intended === null || comparison.actual === null) return null;
  const [got, wanted] = [numbersOf(comparison.actual), numbersOf(comparison.intended)];
  const place = got.findIndex((each, at) => each !== wanted[at]);
  const typed = outcome.console.flatMap((piece) =>
    piece.kind === "in" ? piece.text.split("\n").map((each) => each.trim()) : [],
  );
  return {
    ...{ actual: comparison.actual, intended: comparison.intended },
    ...{ got: got[place] ?? Number.NaN, wanted: wanted[place] ?? Number.NaN },
    typed: typed.filter((each) => each !== ""),
    lines: consoleText(outcome.console, ["out"]).split("\n"),
    at: comparison.line - 1,
  };
}

/** The sign that a wrong result shows, if any. */
export function signIn(verdict: Verdict, outcome: Outcome): Sign | null {
  const seen = seenIn(verdict, outcome);
  return (seen && signs.find((sign) => sign.shows(seen))) ?? null;
}

/** For a wrong result: lines where what makes it look so mostly stands. They decide between others, and come last alone. */
export const signsInResult: LeadRule = ({ verdict, outcome, language, program, trace }) => {
  if (verdict.class !== "logic" || !outcome) return [];
  const sign = signIn(verdict, outcome);
  const context = sign && editContext(language, program);
  if (!sign || !context) return [];
  const ran = trace ? new Set(trace.steps.filter((step) => step.file === 0).map((step) => step.line)) : null;
  const lines = new Set(sign.suspects(context).map((node) => context.lineOf(node.from)));
  return [...lines].filter((line) => !ran || ran.has(line)).map((line) => ({ line, why: sign.says, weight: 40 }));
};
