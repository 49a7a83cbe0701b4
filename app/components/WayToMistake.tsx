import type { Look } from "../../core/lessons/looks.ts";
import { useCourseWords } from "./marks.tsx";

/** The ways on which the faults of a program are found, line by line; `lines` are the program's. Nothing where none is known. */
export function WayToMistake({ ways, lines }: { ways: ReadonlyArray<readonly Look[]>; lines: readonly string[] }) {
  const inWords = useCourseWords();
  return ways
    .filter((looks) => looks.length > 0)
    .map((looks, fault, known) => (
      <div key={looks.map(({ line }) => line).join(" ")}>
        {known.length > 1 && <p className="font-semibold">Mistake {fault + 1}</p>}
        <ol className="grid list-decimal gap-1 pl-6">
          {looks.map(({ line, why }) => (
            <li key={line}>
              Line {line}: <code className="break-words whitespace-pre-wrap">{lines[line - 1]?.trim()}</code>
              <span className="block">{inWords(why)}</span>
            </li>
          ))}
        </ol>
      </div>
    ));
}
