import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import type { WorkedLine } from "../../core/expressions/evaluate.ts";
import type { TakenApart as Expression } from "../../core/expressions/takenApart.ts";

const uses = {
  ...{
    asked: "what is asked",
    assigned: "what is assigned",
    back: "what is given back",
    given: "what a call is given",
    wanted: "what you ask",
  },
} as const;

/** Time in which a next press is expected, in milliseconds. */
const steppingOn = 100;

/** A line of an expression: the newest value marked, what is not looked at faint. */
function Worked({ line }: { line: WorkedLine }) {
  const marks = [
    ...line.skipped.map((each) => ({ ...each, kind: "skipped" })),
    ...(line.mark ? [{ ...line.mark, kind: "new" }] : []),
  ]
    .filter((each) => each.to > each.from)
    .sort((one, other) => one.from - other.from);
  const pieces: Array<{ text: string; kind: string; from: number }> = [];
  let at = 0;
  for (const mark of marks) {
    if (mark.from < at) continue;
    pieces.push({ text: line.text.slice(at, mark.from), kind: "", from: at });
    pieces.push({ text: line.text.slice(mark.from, mark.to), kind: mark.kind, from: mark.from });
    at = mark.to;
  }
  pieces.push({ text: line.text.slice(at), kind: "", from: at });
  return (
    <tr>
      <td className="pr-4 align-top font-mono text-[0.9rem] whitespace-pre">
        {pieces.map((piece) =>
          piece.text === "" ? null : (
            <span
              key={piece.from}
              className={
                piece.kind === "new"
                  ? "border-b-2 border-ink font-semibold"
                  : piece.kind === "skipped"
                    ? "text-graphite line-through decoration-dotted"
                    : undefined
              }
            >
              {piece.text}
            </span>
          ),
        )}
      </td>
      <td className="align-top text-sm text-graphite">{line.says}</td>
    </tr>
  );
}

/**
 * The expressions of the line that is about to run, taken apart with the values of the run: one operation a line, as the machine goes
 * about it (with what it does not look at), or as on paper, with every part worked out.
 */
export function TakenApart({
  caseKey,
  version,
  check,
  step,
}: {
  caseKey: string;
  version: string;
  check: string;
  step: number;
}) {
  const fetcher = useFetcher<Expression[]>();
  const [way, setWay] = useState<"machine" | "paper">("machine");
  const [asked, setAsked] = useState("");
  const { load } = fetcher;
  useEffect(() => {
    const expression = asked === "" ? "" : `&expression=${encodeURIComponent(asked)}`;
    // Whoever steps on quickly asks for the line where they stop.
    const waiting = setTimeout(
      () => void load(`/cases/${caseKey}/expressions?version=${version}&check=${check}&step=${step}${expression}`),
      steppingOn,
    );
    return () => clearTimeout(waiting);
  }, [load, caseKey, version, check, step, asked]);
  const found = fetcher.data;
  return (
    <section className="leaf grid gap-2 p-3" aria-label="Expressions taken apart">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="mr-auto text-base">One operation at a time</h2>
        <fieldset className="flex gap-3 text-sm">
          <legend className="sr-only">Way of working it out</legend>
          {(["machine", "paper"] as const).map((each) => (
            <label key={each} className="font-normal">
              <input type="radio" name="way" checked={way === each} onChange={() => setWay(each)} />{" "}
              {each === "machine" ? "machine" : "on paper: every part"}
            </label>
          ))}
        </fieldset>
      </div>
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          setAsked(String(new FormData(event.currentTarget).get("expression") ?? "").trim());
        }}
      >
        <label className="grow text-sm">
          Work out here, with the values that there are
          <input name="expression" className="field w-full font-mono" maxLength={400} autoComplete="off" />
        </label>
        <button type="submit" className="press press-quiet">
          Work out
        </button>
      </form>
      {found?.length === 0 && <p className="note-small">This line holds nothing to work out.</p>}
      {found?.map((expression) => (
        <div
          key={`${expression.use} ${expression.text}`}
          className="overflow-x-auto"
          data-expression={expression.text}
          tabIndex={0}
        >
          <h3 className="text-sm font-semibold">{uses[expression.use]}</h3>
          <table>
            <caption className="sr-only">
              {uses[expression.use]}: {expression.text}
            </caption>
            <tbody>
              {expression[way].map((line, at) => (
                <Worked key={at} line={line} />
              ))}
            </tbody>
          </table>
          {expression.use === "wanted" && expression.why === "" && (
            <p className="text-sm">
              It comes to <b className="font-mono">{expression.value}</b>
              {expression.type !== "" && `, ${expression.type}`}. Nothing was run for it.
            </p>
          )}
          {expression.why !== "" && (
            <p className="note-small">{expression.raised ? `Here it stops: ${expression.why}` : expression.why}</p>
          )}
        </div>
      ))}
    </section>
  );
}
