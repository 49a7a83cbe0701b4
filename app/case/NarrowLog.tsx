import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Console } from "../components/Console.tsx";
import type { NarrowView } from "./narrowView.ts";
import { Revision } from "./Revision.tsx";

/** Typed text with its line ends seen. */
function Typed({ text }: { text: string }) {
  if (text === "") return <span className="note-small">nothing</span>;
  return <code>{text.replaceAll("\n", "↵").replaceAll(" ", "·")}</code>;
}

/** What was waiting before each read, what that took, and what it left. */
export function Reads({ narrow, number }: { narrow: NarrowView; number: (line: number) => number }) {
  if (narrow.reads.length === 0) return null;
  const skipped = narrow.reads.filter((read) => read.note !== "");
  return (
    <details open={skipped.length > 0}>
      <summary className="cursor-pointer font-semibold text-steel-deep">
        What each read took ({narrow.reads.length}
        {skipped.length > 0 && `, ${skipped.length} got only what another left`})
      </summary>
      <section className="overflow-x-auto" tabIndex={0} aria-label="What each read took">
        <table className="trace-table">
          <thead>
            <tr>
              <th>Line</th>
              <th>Read</th>
              <th>Waiting</th>
              <th>Took</th>
              <th>Left</th>
            </tr>
          </thead>
          <tbody>
            {narrow.reads.map((read, at) => (
              <tr key={at} className={read.note ? "bg-slip" : undefined}>
                <td>{number(read.line)}</td>
                <td>{read.read}</td>
                <td>
                  <Typed text={read.before} />
                </td>
                <td>
                  <Typed text={read.took} />
                  {read.note && (
                    <p>{read.note.replace(/(line )(\d+)/, (_, word, line) => `${word}${number(Number(line))}`)}</p>
                  )}
                </td>
                <td>
                  <Typed text={read.left} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </details>
  );
}

const passWords = (passes: boolean | null) =>
  passes === null ? "not decided" : passes ? "the result is as intended" : "not as intended";

/** A printed value with the words of its probe. */
function shown({ kind, probe, text }: NarrowView["tries"][number]["pieces"][number], words: readonly string[]) {
  if (kind !== "probe") return { kind, text };
  return { kind: "marked" as const, text: `${words[(probe ?? 1) - 1]?.replace(/^print /, "") ?? "a value"}: ${text}` };
}

/** What was tried, the newest first. */
export function Log({ narrow }: { narrow: NarrowView }) {
  const fetcher = useFetcher<Reply>();
  if (narrow.tries.length === 0) return null;
  return (
    <section aria-labelledby="tries-title">
      <h2 id="tries-title" className="text-base">
        Tried ({narrow.tries.length})
      </h2>
      <ol className="grid gap-2">
        {narrow.tries.map((each, at) => (
          <li key={each.key} className="border-t border-rule pt-1">
            <p>
              <strong>{each.words.join("; ")}</strong>: {passWords(each.passes)}.{" "}
              <span className="note-small">
                {each.ended} With the input of {each.checkName}, version {each.version}, {each.milliseconds.toFixed(0)}{" "}
                ms.
              </span>
            </p>
            {each.belief && <p>Believed: {each.belief}</p>}
            <Console
              label={`What came out, try ${at + 1}`}
              view={{ pieces: each.pieces.map((piece) => shown(piece, each.words)), cut: 0 }}
            />
            <fetcher.Form method="post">
              <Revision />
              <input type="hidden" name="key" value={each.key} />
              <button className="press press-quiet text-sm" name="intent" value="drop try" type="submit">
                Take it out of the log
              </button>
            </fetcher.Form>
          </li>
        ))}
      </ol>
    </section>
  );
}
