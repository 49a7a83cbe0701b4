import type { ExerciseContent } from "../exercises/exercise.ts";
import type { FaultClass } from "../verdict/verdict.ts";
import { type ClassText, classTextFor, type Reader, readerOf } from "./classTexts.ts";

/** What a class of error is, what it brings about, how it is looked for, and examples of a sheet. */
export type RecapClass = ClassText & {
  of: FaultClass;
  examples: Array<{
    title: string;
    language: string;
    before: readonly string[];
    after: readonly string[];
    says: string;
  }>;
};

const withoutEnd = (line: string) => line.replace(/[\r\n]+$/, "");

/** Lines of a fix that are shown of an example. */
const mostLines = 4;

/**
 * The classes of error that a sheet has, in the order in which they are met when a program is run (refused, stopped, wrong),
 * each with its examples from the sheet, as it is explained to a reader.
 */
export function recapOf(
  exercises: ReadonlyArray<{ title: string; content: Pick<ExerciseContent, "faults" | "language"> }>,
  reader: Reader = readerOf(""),
): RecapClass[] {
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
    return examples.length === 0 ? [] : [{ of, ...classTextFor(of, reader), examples }];
  });
}
