import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import { useAsked } from "../components/useAsked.ts";
import type { CaseView } from "./caseView.ts";
import { Revision } from "./Revision.tsx";
import type { SearchView } from "./searchView.ts";

type Fail = NonNullable<NonNullable<SearchView["further"]>["result"]>["fails"][number];

/** What still gets through: further inputs tried on a program that passes its checks. */
export function FurtherPart({ view }: { view: CaseView }) {
  const shows = view.verdict.class === null && view.runs && !view.onlyRead && view.notRun === null;
  const told = useAsked<SearchView>(
    shows ? `/cases/${view.key}/search?further=${view.revision}` : null,
    (now) => now?.further?.state === "waiting",
  );
  return told?.version === view.version ? <FurtherInputs further={told.further} /> : null;
}

/** The part itself, by what is kept. */
export function FurtherInputs({ further }: { further: SearchView["further"] }) {
  const fetcher = useFetcher<Reply>();
  const tries = further?.state === "waiting";
  const result = tries ? null : (further?.result ?? null);
  const press = (intent: string, words: string) => (
    <fetcher.Form method="post">
      <Revision />
      <button type="submit" name="intent" value={intent} className="press" disabled={fetcher.state !== "idle"}>
        {words}
      </button>
    </fetcher.Form>
  );
  return (
    <section className="grid gap-2 border-t border-rule pt-3" aria-label="What still gets through">
      <header className="flex flex-wrap items-baseline gap-3">
        <h2 className="mr-auto text-base">What still gets through</h2>
        {tries ? press("stop-further", "Stop") : press("try-further", result ? "Try again" : "Try further inputs")}
      </header>
      <p className="note-small" role="status">
        {!further && "All checks passed is not the end: inputs on and beyond every limit are tried, valid and not."}
        {tries && `Trying: ${further.tried} inputs so far.`}
        {further?.state === "stopped" && "Stopped before its end. "}
        {further?.outOfDate && !tries && "The checks or the model were changed since: try again. "}
        {result?.notTried}
        {result && !result.notTried && summary(result)}
      </p>
      <Said reply={settled(fetcher)} />
      {result && result.fails.length > 0 && (
        <ul className="grid gap-3">
          {result.fails.map((fail) => (
            <FailWords key={`${fail.how} ${fail.line} ${fail.says}`} fail={fail} />
          ))}
        </ul>
      )}
    </section>
  );
}

/** The counts in a sentence. */
export function summary(result: { tried: number; well: number; alsoTheModel: number; compared: boolean }): string {
  const stopped = result.alsoTheModel > 0 ? ` ${result.alsoTheModel} stop the model, too.` : "";
  const well = result.compared ? "come out as the model’s" : "come to their end";
  return `${result.tried} inputs were tried; ${result.well} ${well}.${stopped}${result.compared ? "" : " What comes out was compared with nothing: there is no model."}`;
}

const kindWords = { normal: "a valid input", boundary: "an input at a limit", erroneous: "an input that is not valid" };

function FailWords({ fail }: { fail: Fail }) {
  const how = {
    stops: "It stops",
    "does not end": "It does not end",
    "differs from the model": "It differs from the model",
  };
  return (
    <li className="grid gap-1 border-l-4 border-ochre pl-3">
      <p>
        <strong>
          {how[fail.how]}
          {fail.line !== null && ` in line ${fail.line}`}
        </strong>{" "}
        with {kindWords[fail.kind]}
        {fail.more > 0 && ` (and ${fail.more} more in the same way)`}: {fail.purpose}.
      </p>
      <pre className="border border-rule px-2 text-[0.85rem] whitespace-pre-wrap">{fail.input || "(nothing)"}</pre>
      {fail.wanted === null ? (
        fail.says && <p className="font-mono text-sm">{fail.says}</p>
      ) : (
        <p className="note-small">
          It gives “{fail.says.trimEnd()}”, the model “{fail.wanted.trimEnd()}”.
        </p>
      )}
      {fail.guard && (
        <p>
          {fail.guard.says}
          {fail.guard.condition && (
            <>
              {" "}
              What must hold: <code>{fail.guard.condition}</code>
              {fail.guard.holds &&
                " (tried: asked before, this input does not stop it, and a valid one comes out as before)"}
              .
            </>
          )}{" "}
          <span className="note-small">
            {fail.guard.handler.fits ? "A handler fits here. " : "A handler would mask it. "}
            {fail.guard.handler.because}
          </span>
        </p>
      )}
    </li>
  );
}
