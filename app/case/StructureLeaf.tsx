import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import type { CaseView } from "./caseView.ts";
import { Revision } from "./Revision.tsx";

/** The program laid out by its structure alone, beside the text as it was handed in, which stays as it is. */
export function StructureLeaf({ view }: { view: CaseView }) {
  const copy = view.relaid;
  const running = useFetcher<Reply>();
  if (!copy)
    return (
      <p>This program is not laid out anew: its language has no structure that is read here, or it is very long.</p>
    );
  const number = (line: number) => line + view.firstLine - 1;
  const noted = copy.lines.filter((line) => line.note !== "");
  return (
    <div className="grid gap-2">
      <p>
        {noted.length === 0
          ? "Every statement belongs to the block that it is indented under."
          : `${noted.length} ${noted.length === 1 ? "line does" : "lines do"} not belong where the layout of the original puts ${noted.length === 1 ? "it" : "them"}.`}{" "}
        <span className="note-small">
          A copy, laid out as the translator reads it; numbers are those of the original.
        </span>
      </p>
      {copy.upTo !== null && (
        <p className="border-l-2 border-ink pl-2">
          From line {number(copy.upTo)} on the text does not fit the grammar; what follows there is a guess.
        </p>
      )}
      {copy.upTo === null && (
        <running.Form method="post" className="flex flex-wrap items-baseline gap-3">
          <Revision />
          <button
            className="press text-sm"
            type="submit"
            name="intent"
            value="run relaid"
            disabled={running.state !== "idle"}
          >
            Does the copy do the same? Run both
          </button>
          <Said reply={settled(running)} />
        </running.Form>
      )}
      <ol
        className="overflow-x-auto border border-rule py-1 font-mono text-sm"
        aria-label="The program by its structure"
        tabIndex={0}
      >
        {copy.lines.map((line, at) => (
          <li key={at} className={line.note ? "bg-slip" : undefined}>
            <span className="inline-block w-10 pr-2 text-right text-steel-deep select-none" aria-hidden="true">
              {copy.lines[at - 1]?.line === line.line ? "" : number(line.line)}
            </span>
            <span className="whitespace-pre">{"    ".repeat(line.depth) + line.text}</span>
            {line.note && (
              <p className="pl-10 font-sans">
                <strong>Line {number(line.line)}</strong>{" "}
                {line.note.replace(/\b(line )(\d+)/g, (_, word, n) => `${word}${number(Number(n))}`)}.
              </p>
            )}
          </li>
        ))}
      </ol>
    </div>
  );
}
