import type { TakesOf } from "./takes.ts";
import type { Token } from "./token.ts";

/** What is written around a value to make another kind of value of it. */
export type Conversion = { name: string; before: string; after: string };

/**
 * What narrowing by hand puts into programs. `comment` begins a comment up to the line's end; `nothing` is a statement that does
 * nothing, where one is needed; `print` writes a label and a value and ends the line; `ends` is what ends a statement;
 * `between` what parts it from the one before it; `wrap` makes one of two statements.
 */
export type Narrowing = {
  comment: string;
  nothing: string;
  print: (label: string, expression: string) => string;
  ends: string;
  between: (before: string) => string;
  wrap: readonly [string, string] | null;
};

/** What of the small forms (core/edits/forms) is special in a language; what is absent it has not. */
export type SmallForms = {
  /** The sign or word between the name of a loop and what it goes over. */
  goesOver?: string;
  /** True if numbers are counted by two of them with a colon between, elements are picked by round brackets, and values are shown where nothing ends a statement. */
  countsByColon?: true;
  picksRound?: true;
  showsValues?: true;
  /** Calls by which an element of a list, a letter of a text is picked, where a row has brackets; each with the types that it is for. */
  picksByCall?: ReadonlyArray<{ types: RegExp; call: string }>;
  /** What a loop over pairs, and one over places and elements, goes over. */
  pairs?: readonly string[];
  /** The word for any type. */
  anyType?: string;
  /** What stands before a function that a file begins with, where it would be taken for the function alone. */
  programBegins?: string;
  /** The types that lists hold, by those that they cannot. */
  heldTypes?: Readonly<Record<string, string>>;
  /** What reads, with what it is to be handed. */
  reader?: { name: string; handed: string };
  /** The word before the type of a record; what stands behind a whole number that is too large for the usual kind. */
  recordWord?: string;
  largeNumber?: string;
  /** The sign before an instruction to the translator, and the words of these. */
  instruction?: { sign: string; words: readonly string[] };
  /** True if a text is a row of letters, copied by a call. */
  textsAsRows?: true;
  /** The word that tries, those that may follow its block, and a handler of an error that does nothing. */
  handler?: {
    tries: string;
    words: readonly string[];
    write: (error: string, indent: string, unit: string) => string;
  };
  /** The words that bring along a library as a whole, and names of one. */
  libraries?: { brings: string; picks: string };
  /** The name of the function that makes an object ready: what heads it, and what is meant by it. */
  madeReady?: { head: string; name: string; alike: RegExp };
  /** The word that gives back a value which a function works out, where a line may hold a value that nothing takes. */
  unusedValue?: string;
  /** True if keys and what they lead to are written with a colon between, in braces. */
  tables?: true;
  /** How a list, a text, a row say how many there are; each with the types that it is for. */
  sizes?: ReadonlyArray<{ types: RegExp; size: string }>;
  /** The word that keeps a name from being asked elsewhere. */
  hides?: string;
  /** What a function may give back, where its header says so behind a colon. */
  results?: readonly string[];
};

/**
 * How a language writes what small edits put in and take out. Words that need a blank behind them bring it along
 * (`not `).
 */
export type Writing = {
  and: string;
  or: string;
  not: string;
  equal: string;
  unequal: string;
  assign: string;
  /** Signs of order that are written in another way than `<=` and `>=`. */
  orders?: Readonly<Partial<Record<"<=" | ">=", string>>>;
  /** What stands around a block: nothing but blanks, braces, two words, or one word that ends what the header opens. */
  blocks:
    | { by: "indentation" }
    | { by: "braces" }
    | { by: "two words"; open: string; close: string }
    | {
        by: "end word";
        close: string;
        /** The word that closes what a line's tokens head, where headers have words of their own. */
        closeOf?: (line: readonly Token[]) => string;
      };
  /** How a variable comes to be: by its first value, in a part of its own, or where its first value stands. */
  variables: "by assignment" | "declared apart" | "declared in place";
  /** The sign around a text, how the same sign is written inside one, and the sign around a single letter, if another. */
  quote: '"' | "'";
  quoteInside: string;
  letterQuote?: "'";
  /** Signs before the name of a part. */
  members: readonly string[];
  /** True if there is a sign that adds to a variable (`+=`). */
  compound: boolean;
  /** The words that head a decision which is asked only where the one before does not hold. */
  chained: string;
  /** The words that stand behind what some words head, by those in small letters (`if`: `then`). */
  headers?: Readonly<Record<string, string>>;
  /** The word before what a counted loop goes on by, where one is written. */
  stepWord?: string;
  /** The call that counts in the header of a loop, where one does. */
  countingCall?: string;
  /** The first element of a list, and a copy of it where another name would be the same list. */
  firstElement: (list: string) => string;
  /** What parts the values of a row, and those of a column; what makes one list of a whole table. */
  standing?: readonly [string, string];
  allOf?: string;
  /** The word for the last place of a list where one of its elements is picked. */
  lastPlace?: string;
  copyOf?: (list: string) => string;
  /** A parameter (its name is the first group) whose first value is made once, and is one and the same for all calls. */
  sharedDefault?: RegExp;
  /** The word by which an object speaks of itself, and whether it is handed to its functions by that name; what stands before a function without it. */
  ownObject?: { word: string; isHanded: boolean; without?: RegExp };
  /** True if elements are counted from a list's end by numbers below zero. */
  countsFromEnd?: true;
  /** Calls that ask for a length of an array of rows and columns by a number, and the number of the rows. */
  lengthsBy?: { names: readonly string[]; rows: 0 | 1 };
  /** Calls that work along the columns of an array, and what stands behind the array where they are to work along its rows. */
  along?: ReadonlyArray<{ names: readonly string[]; rows: string }>;
  /** How a record begins whose last brace ends a statement, as a block's does not. */
  recordHead?: RegExp;
  /** A list made of a value many times, each time made anew; and the value and how many times (its groups) in such a text. */
  madeAnew?: { write: (element: string, times: string) => string; read: RegExp };
  /** Where lists and records are copied, too, when they are handed over: the word that hands their place, and those that hand what is not to be changed. */
  handsPlace?: { word: string; kept: RegExp };
  /** Words in front of a name that is declared never to get another value; `byValue`: names that are declared with a value and no type are such. */
  fixed?: { words?: readonly string[]; byValue?: true };
  /** What in a function's header hands it more than values: places, lists of any length, values by name. */
  handsMore?: RegExp;
  /** Words by which a function reaches behind itself: to names of the whole program, to another place, out of the program. */
  reaches?: readonly string[];
  /** True if `and` and `or` bind more than what compares, so that each comparison needs brackets. */
  logicBindsFirst?: true;
  /** True if what a loop counts by has no value behind the loop. */
  counterEnds?: true;
  /** The sign before a text into which the values of names between braces are filled. */
  filledIn?: string;
  /** True if a piece of a list or text is picked by two places with a colon between them, either of which may be left out. */
  slices?: true;
  /** True if a text takes a number behind it by the sign of addition. */
  joinsNumbers?: true;
  /** A list of all that a loop would go over, made before it begins: of a set, of the keys of a table. */
  listOf?: (walked: string) => string;
  /** True where the places of values in a text have numbers: `{0:F2}`. */
  numberedValues?: true;
  /** Values that a variable may begin with, beside whole numbers. */
  beginnings: readonly string[];
  /**
   * The errors that programs of students meet, the most usual first, and what heads a handler: an expression whose first group
   * is the name of the error that it takes.
   */
  errors?: { usual: readonly string[]; head: RegExp };
  /** A condition that holds where a table has no such key. */
  holdsNoKey?: (table: string, key: string) => string;
  /** What a table gives for a key that it may not hold; `asks` is the call by which it is asked, an index where absent. */
  orDefault?: { asks?: string; write: (table: string, key: string) => string };
  /** First values of what is put into by a call, of what is put into by a place or a key, of a text that is added to, of a mark. */
  firstValues?: Readonly<Partial<Record<"list" | "table" | "text" | "truth", readonly string[]>>>;
  /** The word by which a function names variables of the whole program, and what stands between them. */
  wholeProgram?: { word: string; apart: string };
  /** True if a function that gives nothing back is not refused and its value is used all the same. */
  givesNothing?: true;
  /** What ends (or parts) statements; "" where the line does. */
  statementEnd: string;
  /** Operators that divide: a decimal result, a whole one, the rest; null where there is none. */
  divides: { decimal: string | null; whole: string | null; rest: string };
  /** Operators that are mistaken for one another beside `+ - * /`. */
  otherOperators: readonly (readonly string[])[];
  /** A statement that makes a variable larger or smaller by one. */
  step: (name: string, sign: "+" | "-") => string;
  /** Makes a number of a text, a decimal number of a whole one, a text of a number; the likeliest first. */
  conversions: readonly Conversion[];
  /**
   * Calls that work something out of a value, which stands at the sign `_`: how many elements or letters it has, how far it
   * is from nothing, the same text in letters that compare. The likeliest first.
   */
  worksOut?: Readonly<Record<"sizes" | "distances" | "texts", readonly string[]>>;
  /** Functions of the library that are taken for one another, two and two, by name, or with what they are handed: pop(), pop(0). */
  counterparts?: ReadonlyArray<readonly [string, string]>;
  /**
   * What other languages write, and what this one has for it: `_` is what something is asked of (`_.length`, `len(_)`), what
   * ends with an opening bracket is followed by whatever is handed over (`_.push(`). One may stand there several times.
   */
  elsewhere?: ReadonlyArray<readonly [other: string, own: string]>;
  /** Small forms by which a language differs from others, and which beginners leave out or bring along from those. */
  forms?: SmallForms;
  /** Lines as other languages write them: how one is read, and what it is here (as in `String.replace`); `odds` where it is not sure. */
  linesElsewhere?: ReadonlyArray<{ read: RegExp; write: string; odds?: number }>;
  /** Calls that put something into a list at its end and at its beginning: two names, and what stands before it in the latter. */
  ends?: ReadonlyArray<{ last: string; first: string; place: string }>;
  /**
   * Calls that put values in order, by name, with what makes them do so from the greatest down: what they are handed last, or
   * what stands behind them.
   */
  sortOrders?: ReadonlyArray<{ calls: readonly string[]; handed?: string; turned?: string; behind?: string }>;
  /** Lines asked for first: `body` is indented further and ends with a line end, as does what is given back. */
  guarded: (condition: string, body: string, indent: string, lineEnd: string) => string;
  /** How many elements a list has, where there is one way to ask; and what stands for nothing, where a name may hold it. */
  lengthOf?: (list: string) => string;
  /** The question whether a name holds an object at all; absent where there is none, or none that beginners ask. */
  holdsSomething?: (name: string) => string;
  /** The question whether a name holds no object, where the one before can be asked. */
  holdsNothing?: (name: string) => string;
  nothing?: string;
  /** A statement that gives a value back; "" where a function gives its result in another way. */
  returns: (value: string) => string;
  /**
   * Where a function gives its value back under its own name: the statement, what the header of a function (and not of a
   * procedure) looks like, and what in its body gives a value in another way.
   */
  resultByName?: { gives: (name: string, value: string) => string; header: RegExp; otherwise?: RegExp };
  /** How an equality of texts is written where the sign of equality compares something else. */
  equalTexts?: (one: string, other: string) => string;
  /** Types that are mistaken for one another. */
  types: readonly (readonly string[])[];
  /** Lines that make names of a library known, by a word of it. */
  inclusions: ReadonlyArray<{ words: ReadonlySet<string>; line: string }>;
  /** How a line is switched off, a value printed or another statement put beside one, where a fault is narrowed down by hand. */
  narrowing: Narrowing;
  /** What a call that reads takes of what is typed in. */
  takes: TakesOf;
  /** A whole program of a file that does nothing but print some lines. */
  onlyPrints?: (lines: readonly string[], fileName: string) => string;
  /** Names of functions that print, by what they are mistaken for. */
  printers: readonly (readonly string[])[];
  library: Library;
  /** Names of calls that put something into the list that they are called on, the usual one first; none where lists have no such. */
  fills?: readonly string[];
  /**
   * How an element of a list (`_`) is looked at, with the call that takes it out and gives it; `step` where it gives nothing and
   * is a statement of its own.
   */
  takesOut?: ReadonlyArray<{ picked: string; taken?: string; step?: string }>;
};

/**
 * What functions of a language's library do, by their names: read what is typed in (`readsText`: and give it as a text),
 * print, end the program, only give something back, only change what they are called on.
 */
export type Library = Readonly<
  Record<"reads" | "readsText" | "prints" | "leaves" | "gives" | "changes", (name: string) => boolean>
>;

/** A library by lists of words; `caseSensitive` false: names are the same in any case. */
export function libraryOf(words: Readonly<Record<keyof Library, string>>, caseSensitive = true): Library {
  const folded = (text: string) => (caseSensitive ? text : text.toLowerCase());
  const among = (text: string) => {
    const known = new Set(
      text
        .split(" ")
        .filter((word) => word !== "")
        .map(folded),
    );
    return (name: string) => known.has(folded(name));
  };
  return {
    ...{ reads: among(words.reads), readsText: among(words.readsText), prints: among(words.prints) },
    ...{ leaves: among(words.leaves), gives: among(words.gives), changes: among(words.changes) },
  };
}

/** For languages whose own library is not written down. */
export const commonLibrary: Library = libraryOf(
  {
    ...{ reads: "input read readln readline", readsText: "", prints: "print write writeln printf output display" },
    ...{ leaves: "exit halt quit end stop", gives: "", changes: "" },
  },
  false,
);
