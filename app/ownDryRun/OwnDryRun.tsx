import { useEffect, useMemo, useRef, useState } from "react";
import type { Guess } from "../../core/exercises/ownNote.ts";
import { openCalls } from "../../core/trace/levels.ts";
import { Script } from "../components/Script.tsx";
import { ConsoleNow, spokenRows } from "../dryRun/ConsoleNow.tsx";
import { useValues } from "../dryRun/useValues.ts";
import type { Change } from "../ownPython/recordHere.ts";
import { type GuessOf, judged } from "./guesses.ts";
import type { Recording } from "./useRecording.ts";
import { nameOf, Watches } from "./Watches.tsx";
import { WhatIfHere } from "./WhatIfHere.tsx";

/**
 * A dry run of a student's own text: a line at a time, with two names watched, a guess before each line, and what would
 * be if a value were another one.
 */
export function OwnDryRun({
  run,
  from,
  busy,
  onGuessed,
  onWhatIf,
  onBack,
  onClose,
}: {
  run: Recording;
  /** The row at which it begins. */
  from: number;
  busy: boolean;
  onGuessed: (guesses: readonly Guess[]) => void;
  onWhatIf: (change: Change, done: number) => void;
  /** Back to the real run, where this one was changed. */
  onBack: (() => void) | null;
  onClose: () => void;
}) {
  const { rows, columns } = run;
  const [done, setDone] = useState(from);
  const [watched, setWatched] = useState<readonly string[]>(() => columns.slice(0, 2).map(({ key }) => key));
  const [guesses, setGuesses] = useState<Readonly<Record<string, string>>>({});
  const [said, setSaid] = useState("");
  const calls = useMemo(() => openCalls(rows), [rows]);
  const spoken = useMemo(() => spokenRows(rows), [rows]);
  const values = useValues(rows, calls, columns, done);
  const after = useValues(rows, calls, columns, Math.min(rows.length, done + 1));
  const standing = rows[done];
  const lines = useMemo(() => run.text.replace(/\n$/, "").split("\n"), [run.text]);

  // The line that is next stays in sight inside its box; the page around it stands still.
  const box = useRef<HTMLDivElement>(null);
  const next = standing?.line;
  useEffect(() => {
    const line = box.current?.querySelector<HTMLElement>(`[data-line="${next}"]`);
    if (!box.current || !line) return;
    const { offsetTop, offsetHeight } = line;
    const { scrollTop, clientHeight } = box.current;
    if (offsetTop < scrollTop || offsetTop + offsetHeight > scrollTop + clientHeight)
      box.current.scrollTop = offsetTop - clientHeight / 2;
  }, [next]);

  const go = (to: number) => {
    setDone(Math.max(0, Math.min(rows.length, to)));
    setGuesses({});
  };
  const runLine = () => {
    if (!standing) return;
    const asked = watched.flatMap((key): GuessOf[] => {
      const guess = guesses[key]?.trim() ?? "";
      const now = after.all.find((each) => each.key === key);
      const column = columns.find((each) => each.key === key);
      const name = column ? nameOf(column) : key;
      return guess === "" ? [] : [{ name, guess, became: now ? (now.inside ?? now.text) : "" }];
    });
    const log = asked.map((guess) => judged(standing.line, guess));
    if (log.length > 0) onGuessed(log);
    setSaid(
      log
        .map(({ name, became, right }) => `${right ? "Right" : "Not so"}: ${name} is ${became || "without a value"}.`)
        .join(" "),
    );
    go(done + 1);
  };

  return (
    <section className="grid gap-3 border border-rule-strong bg-slip p-3" aria-label="Dry run of your program">
      <header className="flex flex-wrap items-baseline gap-3">
        <h4 className="font-semibold">
          {run.change
            ? `What if ${run.change.put.name} were ${run.change.put.value} before line ${run.change.line}`
            : "Dry run of your program"}
        </h4>
        {onBack && (
          <button type="button" className="press text-sm" onClick={onBack}>
            Back to the real run
          </button>
        )}
        <button type="button" className="press press-quiet ml-auto text-sm" onClick={onClose}>
          Close it
        </button>
      </header>
      {rows.length === 0 ? (
        <p>No line ran. {run.ended}</p>
      ) : (
        <>
          <div className="flex flex-wrap items-center gap-2">
            <button type="button" className="press" onClick={() => go(done - 1)} disabled={done === 0}>
              Back
            </button>
            <button type="button" className="press press-main" onClick={runLine} disabled={!standing}>
              Run this line
            </button>
            <button type="button" className="press press-quiet" onClick={() => go(0)} disabled={done === 0}>
              To the start
            </button>
            <button type="button" className="press press-quiet" onClick={() => go(rows.length)} disabled={!standing}>
              To the end
            </button>
            <span role="status" className="note-small">
              {said}{" "}
              {standing
                ? `Line ${standing.line} is next${standing.call ? `: ${standing.call} is entered` : ""}.`
                : run.ended}
            </span>
          </div>
          <div className="grid items-start gap-3 md:grid-cols-2">
            <div ref={box} className="relative max-h-80 overflow-auto border border-rule bg-sheet py-2" tabIndex={0}>
              <Script lines={lines} label="Your program in the dry run" next={standing?.line ?? null} />
            </div>
            <div className="grid gap-3">
              <Watches
                {...{ columns, values, watched, guesses }}
                canGuess={standing !== undefined}
                onWatch={setWatched}
                onGuess={(key, guess) => setGuesses({ ...guesses, [key]: guess })}
                onEnter={runLine}
              />
              <ConsoleNow rows={rows} spoken={spoken} done={done} />
              {standing && standing.call === undefined && (
                <WhatIfHere
                  key={standing.step}
                  names={values.names}
                  line={standing.line}
                  busy={busy}
                  onWhatIf={(put) => onWhatIf({ step: standing.step, line: standing.line, put }, done)}
                />
              )}
            </div>
          </div>
        </>
      )}
    </section>
  );
}
