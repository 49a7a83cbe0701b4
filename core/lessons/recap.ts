import type { ExerciseContent } from "../exercises/exercise.ts";
import type { FaultClass } from "../verdict/verdict.ts";

/** What a class of error is, what it brings about, how it is looked for, and examples of a sheet. */
export type RecapClass = {
  of: FaultClass;
  is: string;
  shows: string;
  find: readonly string[];
  examples: Array<{
    title: string;
    language: string;
    before: readonly string[];
    after: readonly string[];
    says: string;
  }>;
};

const meanings: Readonly<Record<FaultClass, Pick<RecapClass, "is" | "shows" | "find">>> = {
  syntax: {
    is: "A rule of the language is broken.",
    shows: "It is refused before any line of it runs, with a message.",
    find: [
      "Read the first message to its end; later ones may follow from it.",
      "The line that is named is where it was noticed. Look there, and then at the line above.",
      "Count pairs: brackets, quotes, what opens and closes a block.",
    ],
  },
  runtime: {
    is: "Something cannot be done while it runs.",
    shows: "It starts, may print something, and is stopped with a message that names a line.",
    find: [
      "Go to the line that is named and ask which values it had just then.",
      "Ask what that line needs to go well, and which line should have seen to it.",
      "Try it with another input: does it always stop there?",
    ],
  },
  logic: {
    is: "It does something else than was meant.",
    shows: "It runs to its end, or for ever, with a wrong result and no message.",
    find: [
      "Work out by hand what should come out, for a small input.",
      "Go through it with a table of its values, until the first one that is not as you expect.",
      "Try values on either side of every limit.",
    ],
  },
};

const withoutEnd = (line: string) => line.replace(/[\r\n]+$/, "");

/** Lines of a fix that are shown of an example. */
const mostLines = 4;

/**
 * The classes of error that a sheet has, in the order in which they are met when a program is run (refused, stopped, wrong),
 * each with its examples from the sheet.
 */
export function recapOf(exercises: ReadonlyArray<{ title: string; content: ExerciseContent }>): RecapClass[] {
  const order: readonly FaultClass[] = ["syntax", "runtime", "logic"];
  return order.flatMap((of) => {
    const examples = exercises.flatMap(({ title, content }) =>
      content.faults
        .filter((fault) => fault.class === of)
        .map(({ hunks, message }) => ({
          ...{ title, language: content.language },
          before: hunks.flatMap((hunk) => hunk.before.map(withoutEnd)).slice(0, mostLines),
          after: hunks.flatMap((hunk) => hunk.after.map(withoutEnd)).slice(0, mostLines),
          says: message.trim().split("\n").at(-1) ?? "",
        })),
    );
    return examples.length === 0 ? [] : [{ of, ...meanings[of], examples }];
  });
}
