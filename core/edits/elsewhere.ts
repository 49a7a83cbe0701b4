import { ownOf } from "../source/ownOf.ts";
import type { PlacedToken } from "../syntax/placed.ts";
import type { Small } from "./asOne.ts";
import type { EditContext } from "./edit.ts";

/** A form of another language, and this one's (Writing.elsewhere). */
export type Elsewhere = readonly [other: string, own: string];

const partner: Readonly<Record<string, string>> = { "(": ")", "[": "]", ")": "(", "]": "[" };

/** Where the bracket that opens (or closes) at a place has its partner, going on by `step`; -1 where it has none. */
function partnerAt(code: readonly PlacedToken[], at: number, step: 1 | -1): number {
  const [own, other] = [code[at]?.text ?? "", ownOf(partner, code[at]?.text ?? "")];
  let depth = 0;
  for (let each = at; each >= 0 && each < code.length; each += step) {
    if (code[each]?.text === own) depth += 1;
    if (code[each]?.text === other) depth -= 1;
    if (depth === 0) return each;
  }
  return -1;
}

/** Where what something is asked of begins, whose last token stands at a place: a name, with its own parts and places. */
function beginOfObject(code: readonly PlacedToken[], at: number): number {
  const token = code[at];
  if (!token) return -1;
  if (token.text === "]" || token.text === ")") {
    const opening = partnerAt(code, at, -1);
    return opening > 0 && code[opening - 1]?.kind === "name" ? beginOfObject(code, opening - 1) : -1;
  }
  if (token.kind !== "name" && token.kind !== "text") return -1;
  return code[at - 1]?.text === "." && at > 1 ? beginOfObject(code, at - 2) : at;
}

/** A form with what it asks something of, as it stands in the program. */
const withValue = (form: string, value: string): string => form.replaceAll("_", () => value);

/** The words and signs of a form. */
const partsOf = (form: string): string[] => form.match(/\w+|[^\w\s]/g) ?? [];

/**
 * The places of a program where a form stands (Writing.elsewhere says how forms are written), with the other form for each:
 * what `_` stood for is in it as often as the other form has it. Functions of the program's own are none of another language.
 */
export function readElsewhere(context: EditContext, form: string, other: string): Small[] {
  const { code, functions } = context;
  const [words, others] = [partsOf(form), partsOf(other)];
  const isMember = words[0] === "_" && words[1] === ".";
  const isCall = !isMember && words.length === 4 && words[1] === "(" && words[2] === "_";
  const isHead = form.endsWith("(");
  // What is only followed by something has to be so in both.
  if (isHead !== other.endsWith("(") || (!isMember && !isCall && !isHead)) return [];
  const name = isMember ? words[2] : words[0];
  const matches = (from: number, wanted: readonly string[]) =>
    wanted.every((word, place) => code[from + place]?.text === word);
  const { assign } = context.writing;
  // A part that the program gives a value itself is one of its own objects.
  const isOwn =
    isMember &&
    code.some(({ text }, at) => text === name && code[at - 1]?.text === "." && code[at + 1]?.text === assign);
  if (isOwn || functions.includes(name ?? "")) return [];
  return code.flatMap((token, at): Small[] => {
    if (token.text !== name || token.kind === "text") return [];
    const [before, next] = [code[at - 1]?.text, code[at + 1]?.text];
    if (isMember) {
      if (before !== "." || !matches(at, words.slice(2))) return [];
      // A part that is called is another form than one that is not.
      if (words.length === 3 && next === "(") return [];
      const last = code[at + words.length - 3];
      if (!last) return [];
      if (isHead && others[0] === "_") return [{ from: token.from, to: last.to, text: others.slice(2).join("") }];
      const begin = code[beginOfObject(code, at - 2)];
      const end = code[at - 2];
      if (!begin || !end || isHead) return [];
      return [
        {
          from: begin.from,
          to: last.to,
          text: withValue(other, context.sourceOf({ from: begin.from, to: end.to })),
        },
      ];
    }
    if (before === "." || before === "new" || before === "def" || before === "function") return [];
    if (isHead) {
      const last = code[at + words.length - 1];
      return last && matches(at, words) && others[0] !== "_" ? [{ from: token.from, to: last.to, text: other }] : [];
    }
    if (next !== "(") return [];
    const closing = code[partnerAt(code, at + 1, 1)];
    const [opening, first] = [code[at + 1], code[at + 2]];
    if (!closing || !opening || !first || first === closing) return [];
    const value = context.sourceOf({ from: opening.to, to: closing.from });
    return /,/.test(value) ? [] : [{ from: token.from, to: closing.to, text: withValue(other, value) }];
  });
}
