import { diffArrays } from "diff";
import { calledName } from "../edits/places.ts";
import type { Language } from "../languages/language.ts";
import { commonLibrary, type Library } from "../languages/writing.ts";
import { type PlacedToken, placed } from "../syntax/placed.ts";
import { nodesOf, parts, type SyntaxNode, walk } from "../syntax/tree.ts";
import { findHunks } from "./hunks.ts";

/** A check that a mended program passed: what was typed in and what was to come out, if anyone said so. */
export type PassedCheck = { input: string; expected?: string | null };

/**
 * Whether a change repairs its fault or only hides it. `open`: nothing speaks against it, and what it passes is not enough
 * to say that it repairs. `because` is a sentence.
 */
export type Repair = {
  repairs: "repairs" | "hides" | "open";
  because: string;
  /** True where it hides by a value that was put in the place of one that is worked out: other inputs or data tell for sure. */
  byValue?: true;
};

/** A place that differs: tokens that went, tokens that came. */
type Difference = { removed: PlacedToken[]; added: PlacedToken[] };

function tokensOf(language: Language, text: string): PlacedToken[] {
  return placed(
    text,
    language.tokens(text).filter((token) => token.kind !== "comment"),
  );
}

function differences(before: readonly PlacedToken[], after: readonly PlacedToken[]): Difference[] {
  const found: Difference[] = [];
  let open: Difference | null = null;
  let [one, other] = [0, 0];
  const texts = (tokens: readonly PlacedToken[]) => tokens.map((token) => token.text);
  for (const part of diffArrays(texts(before), texts(after))) {
    const count = part.value.length;
    if (!part.added && !part.removed) {
      open = null;
      one += count;
      other += count;
      continue;
    }
    open ??= { removed: [], added: [] };
    if (!found.includes(open)) found.push(open);
    if (part.removed) {
      open.removed.push(...before.slice(one, one + count));
      one += count;
    } else {
      open.added.push(...after.slice(other, other + count));
      other += count;
    }
  }
  return found;
}

/** Differences of the changed lines alone: a sign on a line that stays is none of them. */
function byLines(
  before: string,
  after: string,
  one: readonly PlacedToken[],
  other: readonly PlacedToken[],
): Difference[] {
  let shift = 0;
  return findHunks(before, after).flatMap((hunk) => {
    const within = (tokens: readonly PlacedToken[], first: number, count: number) =>
      tokens.filter((token) => token.line >= first && token.line < first + count);
    const start = hunk.start + shift;
    shift += hunk.after.length - hunk.before.length;
    return differences(within(one, hunk.start, hunk.before.length), within(other, start, hunk.after.length));
  });
}

/** Numbers in a text, as they are written. */
function numbersIn(text: string): Set<string> {
  return new Set((text.match(/\d+(?:\.\d+)?/g) ?? []).map((number) => String(Number(number))));
}

const ordinary = new Set(["0", "1", "-1"]);
const catchAll =
  /^(Exception|BaseException|Throwable|RuntimeException|Error|StandardError|System\.Exception|ApplicationException)$/;
const handlers = /^(except|catch|unwind_protect_cleanup|finally)$/i;
function libraryOfLanguage(language: Language): Library {
  return language.writing?.library ?? commonLibrary;
}

/** How many handlers a program has that catch whatever comes, and of those that do nothing with what they catch. */
function handlersOf(language: Language, tokens: readonly PlacedToken[]): { all: number; idle: number } {
  let all = 0;
  let idle = 0;
  tokens.forEach((token, at) => {
    if (!handlers.test(token.text) || token.kind === "text") return;
    const rest = tokens.slice(at + 1);
    const line = rest.filter((each) => each.line === token.line);
    const caught = line.filter((each) => each.kind === "name").map((each) => each.text);
    const named = caught[0];
    const nothing = named === undefined || caught.some((name) => catchAll.test(name));
    // What the handler does: up to where the lines come back, or its closing sign.
    const body = bodyBehind(language, tokens, at);
    const does = body.filter((each) => each.kind === "name" || each.kind === "keyword").map((each) => each.text);
    const raises = does.some((each) => /^(raise|throw|rethrow|error)$/i.test(each));
    const idles = does.every((each) => /^(pass|continue|break|end|begin)$/i.test(each));
    if (nothing && !raises && !/^finally$/i.test(token.text)) all += 1;
    if (idles && !/^finally$/i.test(token.text)) idle += 1;
  });
  return { all, idle };
}

function bodyBehind(language: Language, tokens: readonly PlacedToken[], at: number): PlacedToken[] {
  const head = tokens[at];
  if (!head) return [];
  const open = tokens.findIndex((token, index) => index > at && token.text === "{");
  if (language.writing?.blocks.by === "braces" && open > 0) {
    let depth = 0;
    for (let index = open; index < tokens.length; index++) {
      if (tokens[index]?.text === "{") depth += 1;
      if (tokens[index]?.text === "}") depth -= 1;
      if (depth === 0) return tokens.slice(open + 1, index);
    }
    return tokens.slice(open + 1);
  }
  const later = tokens.slice(at + 1);
  if (language.writing?.blocks.by === "indentation") {
    const header = tokens.find((token) => token.line === head.line);
    const end = later.findIndex(
      (token, index) =>
        token.line > head.line && token.line !== later[index - 1]?.line && token.offset <= (header?.offset ?? 0),
    );
    const colon = later.findIndex((token) => token.text === ":");
    return later.slice(colon + 1, end < 0 ? undefined : end);
  }
  const end = later.findIndex((token) => /^(end|end_try_catch)$/i.test(token.text));
  return later
    .slice(0, end < 0 ? undefined : end)
    .filter((token) => token.line > head.line || later.some((each) => each.line > head.line) === false);
}

function count(tokens: readonly PlacedToken[], does: (name: string) => boolean): number {
  return tokens.filter(
    (token, at) =>
      (token.kind === "name" || token.kind === "keyword") && does(token.text) && tokens[at - 1]?.text !== "def",
  ).length;
}

/** Lists of values as they are written, by how many values each has. */
function listsOf(tree: SyntaxNode): number[] {
  return nodesOf(tree).flatMap((node) =>
    node.kind === "list" &&
    node.children.length > 1 &&
    node.children.every((child) => child.kind === "number" || child.kind === "text" || child.kind === "unary")
      ? [node.children.length]
      : [],
  );
}

/** Calls in a tree that stand around a place. */
function callsAround(tree: SyntaxNode, place: { from: number; to: number }): string[] {
  const names: string[] = [];
  walk(tree, (node) => {
    if (node.kind === "call" && node.from <= place.from && node.to >= place.to) names.push(calledName(node));
  });
  return names;
}

/** The statement around a place, if it is a simple one. */
function statementAround(tree: SyntaxNode, place: { from: number; to: number }): SyntaxNode | undefined {
  let found: SyntaxNode | undefined;
  walk(tree, (node) => {
    if (["statement", "declaration", "return"].includes(node.kind) && node.from <= place.from && node.to >= place.to)
      found = node;
  });
  return found;
}

/** A value that was worked out is a fixed one now, which an intended output or an input has. */
function fixedValue(
  language: Language,
  differ: readonly Difference[],
  before: string,
  after: string,
  checks: readonly PassedCheck[],
): string | null {
  const { prints } = libraryOfLanguage(language);
  const tree = language.syntax?.(after);
  if (!tree) return null;
  const expected = checks.map((check) => check.expected ?? "").join("\n");
  const wanted = numbersIn(expected);
  const typed = numbersIn(checks.map((check) => check.input).join("\n"));
  const known = numbersIn(before);
  for (const { removed, added } of differ) {
    const worked = removed.some(
      (token) => token.kind === "name" || (token.kind === "operator" && /^[-+*/%]|div|mod$/.test(token.text)),
    );
    const stillThere = new Set(added.map((token) => token.text));
    const gone = removed.filter((token) => token.kind === "name" && !stillThere.has(token.text));
    for (const token of added) {
      if (token.kind !== "number" && token.kind !== "text") continue;
      const inPrint = callsAround(tree, token).some((name) => prints(name));
      const numbers = token.kind === "number" ? new Set([String(Number(token.text))]) : numbersIn(token.text);
      const others = added.filter(
        (each) =>
          each !== token &&
          (each.kind === "name" || each.kind === "operator") &&
          !prints(each.text) &&
          !/^[=(),;:.]|:=$/.test(each.text),
      );
      const fresh = removed.length === 0;
      for (const number of numbers) {
        const told = wanted.has(number);
        if (inPrint && told && (gone.length > 0 || (fresh && !known.has(number)))) return number;
        if (token.kind === "text") continue;
        if (ordinary.has(number) && !(gone.length > 0 && told && others.length === 0)) continue;
        const replaced = gone.length > 0 && worked && others.length === 0;
        if (replaced && (told || typed.has(number))) return number;
        const statement = statementAround(tree, token);
        const alone =
          fresh &&
          statement?.children[0]?.kind === "assignment" &&
          parts(statement.children[0], "value")[0]?.kind === "number";
        if (alone && told && !known.has(number)) return number;
      }
      // A whole text of the intended output in the place of something that was worked out.
      const inner = token.kind === "text" ? token.text.replace(/^[^"']*["']+|["']+$/g, "").trim() : "";
      if (inner.length > 1 && gone.length > 0 && expected.includes(inner) && !before.includes(inner) && worked)
        return `“${inner}”`;
    }
  }
  return null;
}

/**
 * Says whether a change of a program repairs its fault or hides it. `refused`: the program did not start before; there
 * starting is enough. Only the texts and what the program passes after it are looked at; nothing is run. The rules: catching
 * whatever comes, a fixed value where one was worked out, data made to fit, a read that is left out, an end put in before the
 * place of the fault, and code that is taken out where nothing says what should come out.
 */
export function repairsOf(given: {
  language: Language;
  before: string;
  after: string;
  refused: boolean;
  /** The checks that the program passes now. */
  passed: readonly PassedCheck[];
}): Repair {
  const { language, before, after, passed } = given;
  const library = libraryOfLanguage(language);
  const [one, other] = [tokensOf(language, before), tokensOf(language, after)];
  const differ = byLines(before, after, one, other);
  const [had, has] = [handlersOf(language, one), handlersOf(language, other)];
  if (has.all > had.all)
    return {
      repairs: "hides",
      because: "It catches whatever goes wrong, and what goes wrong is not looked at any more.",
    };
  if (has.idle > had.idle) return { repairs: "hides", because: "It catches the fault and does nothing about it." };
  if (count(other, library.reads) < count(one, library.reads))
    return { repairs: "hides", because: "It leaves out a read, so what is typed in there is not used." };
  if (!given.refused) {
    const fixed = fixedValue(language, differ, before, after, passed);
    if (fixed !== null)
      return {
        ...{ repairs: "hides", byValue: true },
        because: `It has ${fixed} fixed where a value was worked out: with other input it would be wrong.`,
      };
    const [lists, listsNow] = [language.syntax?.(before), language.syntax?.(after)].map((tree) =>
      tree ? listsOf(tree) : [],
    );
    const longer =
      lists &&
      listsNow &&
      lists.length === listsNow.length &&
      lists.some((size, at) => (listsNow[at] ?? size) !== size);
    if (longer)
      return {
        repairs: "hides",
        because: "It changes how many values the data has, so that the fault does not meet its end any more.",
      };
    const padded = differ.some(
      ({ removed, added }) =>
        removed.length === 0 &&
        added.some((token) => /^(append|add|Add|push|insert)$/.test(token.text)) &&
        added.some((token) => token.kind === "number" || token.kind === "text"),
    );
    if (padded)
      return {
        repairs: "hides",
        because: "It puts a fixed value into the data, so that the fault does not meet its end any more.",
      };
    if (count(other, library.leaves) > count(one, library.leaves))
      return { repairs: "hides", because: "It ends the program before the place of the fault." };
    const gone = differ.reduce((sum, { removed, added }) => sum + removed.length - added.length, 0);
    const came = differ.reduce((sum, { added }) => sum + added.length, 0);
    const said = passed.some((check) => check.expected !== undefined && check.expected !== null);
    if (gone >= 3 && came === 0 && !said)
      return {
        repairs: "hides",
        because: "It takes out what went wrong, and nothing says what should come out without it.",
      };
  }
  if (given.refused) return { repairs: "repairs", because: "The program starts." };
  const inputs = new Set(passed.map((check) => check.input));
  if (inputs.size >= 2)
    return { repairs: "repairs", because: `It passes ${passed.length} checks with ${inputs.size} different inputs.` };
  return {
    repairs: "open",
    because:
      passed.length > 0
        ? "It passes its only check; another input would tell more."
        : "There is no check that it could pass.",
  };
}
