import type { FaultClass } from "../verdict/verdict.ts";

/** How much is said: the same facts at each depth, in fewer words or with their reasons. */
export type Depth = "short" | "usual" | "long";

/** For whom something is explained; `calls` are words that these readers have for something. */
export type Reader = { id: string; name: string; depth: Depth; calls: ReadonlyArray<readonly [string, string]> };

/** Who may read an explanation; a new reader is one entry here. */
export const readers: readonly Reader[] = [
  { id: "school", name: "A school class before its exams", depth: "usual", calls: [] },
  { id: "university", name: "Students at a university", depth: "long", calls: [] },
  {
    ...{ id: "office", name: "People who write macros at work", depth: "usual" as const },
    calls: [
      ["a program", "a macro"],
      ["the program", "the macro"],
    ],
  },
  { id: "home", name: "People who do not program, as parents", depth: "short", calls: [] },
];

/** The reader with this id; the first one where there is none. */
export function readerOf(id: string): Reader {
  const [usual] = readers;
  const found = readers.find((reader) => reader.id === id) ?? usual;
  if (!found) throw new Error("there is no reader");
  return found;
}

/** Something that is to be known of a class of error, at each depth. */
type Fact = { says: Readonly<Record<Depth, string>> };

/** What a class of error is, what it brings about, and how it is looked for. */
export type ClassText = { is: string; shows: string; find: string[] };

type Facts = { is: Fact; shows: Fact; find: readonly Fact[] };

const fact = (short: string, usual: string, long: string): Fact => ({ says: { short, usual, long } });

/** The facts of each class. */
export const classFacts: Readonly<Record<FaultClass, Facts>> = {
  syntax: {
    is: fact(
      "A rule of the language is broken.",
      "A rule of the language is broken, so the text cannot be read as a program.",
      "A rule of the language is broken, of its form (what may follow what) or of its meaning (names that are not there, types that do not fit), so the text cannot be read as a program.",
    ),
    shows: fact(
      "It never starts; there is a message.",
      "It is refused before any line of it runs, with a message.",
      "The translator refuses it before any line of it runs, with one message or several. Where a language is translated line by line or file by file, others may have run before.",
    ),
    find: [
      fact(
        "Read the first message.",
        "Read the first message to its end; later ones may follow from it.",
        "Read the first message to its end. Later ones may follow from it, since the translator goes on with a guess after the first; mend one thing and translate again.",
      ),
      fact(
        "Look at the line that is named, and above it.",
        "The line that is named is where it was noticed. Look there, and then at the line above.",
        "The line that is named is where it was noticed, which is where the text first could not be right any more. What is missing may be missing earlier: look there, and then at the line above.",
      ),
      fact(
        "Count pairs: brackets, quotes.",
        "Count pairs: brackets, quotes, what opens and closes a block.",
        "Count pairs: brackets, quotes, what opens and closes a block. One that is not closed may swallow many lines before anything looks wrong.",
      ),
    ],
  },
  runtime: {
    is: fact(
      "Something cannot be done while it runs.",
      "Something cannot be done while it runs, as dividing by nought or taking a place that is not there.",
      "Every rule of the language is kept, but with the values of this run something cannot be done, as dividing by nought, taking a place that is not there or opening a file that is missing.",
    ),
    shows: fact(
      "It starts, and is stopped with a message.",
      "It starts, may print something, and is stopped with a message that names a line.",
      "It starts, may print something, and is stopped with a message that names a line, and mostly the chain of calls that led there. With another input it may come to its end.",
    ),
    find: [
      fact(
        "Go to the line that is named and ask what it had to work with.",
        "Go to the line that is named and ask which values it had just then.",
        "Go to the line that is named and ask which values it had just then: by printing them before it, in a table, or by stopping there.",
      ),
      fact(
        "Ask which line should have seen to it.",
        "Ask what that line needs to go well, and which line should have seen to it.",
        "Ask what that line needs to go well, and which line should have seen to it: where the value was made, read in or checked is often where the mistake is.",
      ),
      fact(
        "Try it with something else typed in.",
        "Try it with another input: does it always stop there?",
        "Try it with another input: does it always stop there? What the failing ones have in common says what was not thought of.",
      ),
    ],
  },
  logic: {
    is: fact(
      "It does something else than was meant.",
      "It does something else than was meant, and breaks no rule in doing so.",
      "It does something else than was meant, and breaks no rule in doing so: to the machine it is a program like any other. Only whoever knows what was meant can tell.",
    ),
    shows: fact(
      "It runs, with a wrong result and no message.",
      "It runs to its end, or for ever, with a wrong result and no message.",
      "It runs to its end, or for ever, with a wrong result and no message. For some inputs the result may even be right.",
    ),
    find: [
      fact(
        "Work out what should come out.",
        "Work out by hand what should come out, for a small input.",
        "Work out by hand what should come out, for a small input. Without that there is nothing to compare with.",
      ),
      fact(
        "Follow its values line by line.",
        "Go through it with a table of its values, until the first one that is not as you expect.",
        "Go through it with a table of its values, until the first one that is not as you expect. The mistake is in that line, or in what decided that it runs.",
      ),
      fact(
        "Try values on both sides of a limit.",
        "Try values on either side of every limit.",
        "Try values on either side of every limit and on the limit itself, nothing at all, one and many: most mistakes of this kind live there.",
      ),
    ],
  },
};

/** A class of error explained to a reader. */
export function classTextFor(of: FaultClass, reader: Reader): ClassText {
  const { is, shows, find } = classFacts[of];
  const say = ({ says }: Fact) =>
    reader.calls.reduce((text, [usual, own]) => text.replaceAll(usual, own), says[reader.depth]);
  return { is: say(is), shows: say(shows), find: find.map(say) };
}
