import { useEffect, useRef, useState } from "react";
import { Link } from "react-router";
import { seenAfter } from "../../core/lessons/reveals.ts";
import { Console } from "../components/Console.tsx";
import { ClassMark, useCourseWords } from "../components/marks.tsx";
import { Script } from "../components/Script.tsx";
import { UserSteps } from "../components/UserSteps.tsx";
import type { Presentation } from "./presentation.ts";

/** By how much each key goes on; R goes back to the beginning. Presenters' remote controls press the keys of pages. */
const keys: ReadonlyMap<string, number> = new Map([
  ["ArrowRight", 1],
  ["PageDown", 1],
  ["ArrowLeft", -1],
  ["PageUp", -1],
  ["r", Number.NEGATIVE_INFINITY],
]);

/** A faulty program before a class: large, and nothing is told before it is asked for. */
export function Present({ view }: { view: Presentation }) {
  const [count, setCount] = useState(0);
  const [pen, setPen] = useState<number | null>(null);
  const place = useRef<HTMLElement>(null);
  const last = view.reveals.length;
  const seen = seenAfter(view.reveals, count);
  const fault = seen.fault === null ? undefined : view.faults[seen.fault];
  const looking = seen.faultyLine ? null : (fault?.looks[seen.looks - 1]?.line ?? null);
  const run = seen.run === null ? undefined : view.runs[seen.run];
  const inWords = useCourseWords();
  const slip = seen.fixes.flatMap((number) => view.faults[number]?.hunks ?? []);

  useEffect(() => {
    const element = place.current;
    element?.focus();
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.altKey || event.metaKey || event.defaultPrevented) return;
      if (!keys.has(event.key)) return;
      event.preventDefault();
      setCount((now) => Math.min(last, Math.max(0, now + (keys.get(event.key) ?? 0))));
      if (event.key === "r") setPen(null);
    };
    document.addEventListener("keydown", onKey);
    return () => document.removeEventListener("keydown", onKey);
  }, [last]);

  return (
    <main
      ref={place}
      tabIndex={-1}
      className="grid min-h-screen grid-rows-[auto_1fr_auto] gap-4 p-6 text-[1.5rem] outline-none"
    >
      <header>
        <h1 className="text-[2rem]">{view.title}</h1>
        {view.intro && <p>{view.intro}</p>}
        <UserSteps title="What the user does:" steps={view.userActions} />
      </header>
      <div className="grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,30rem)]">
        <div className="presented-script border border-rule bg-sheet py-3">
          <Script
            lines={view.lines}
            label={`Program ${view.fileName}`}
            faulty={new Set(seen.faultyLine ? (fault?.faultyLines ?? []) : [])}
            reported={seen.namedLine ? (fault?.reportedLine ?? null) : null}
            slip={slip}
            chosen={looking}
            pen={pen}
            onPick={(line) => setPen(line === pen ? null : line)}
            pickHint="Put the pen beside this line"
          />
        </div>
        <div className="grid gap-4" aria-live="polite">
          {seen.question && (
            <div className="border-l-4 border-steel bg-slip p-4">
              <p className="text-base font-semibold text-graphite">Pause and think</p>
              <p>{inWords(seen.question)}</p>
            </div>
          )}
          {seen.class && fault && (
            <p>
              <ClassMark of={fault.class} />
            </p>
          )}
          {seen.looks > 0 && fault && fault.looks.length > 1 && (
            <ol
              aria-label="The way to the mistake"
              className="grid gap-1 border-l-4 border-rule-strong pl-4 text-[1.25rem]"
            >
              {fault.looks.slice(0, seen.looks).map((look, at) => (
                <li key={`${at} ${look.line}`}>
                  <strong>Line {look.line}.</strong> {look.why}
                </li>
              ))}
            </ol>
          )}
          {seen.looks > 0 && !seen.faultyLine && <p>Where would you look next?</p>}
          {seen.faultyLine && fault && (
            <p>
              The mistake is in line {fault.faultyLines.join(", ")}
              {fault.reportedLine !== null && !fault.faultyLines.includes(fault.reportedLine)
                ? `; the message names line ${fault.reportedLine}.`
                : "."}
            </p>
          )}
          {run && (
            <div className="presented-run grid gap-2 text-[1.25rem]">
              {seen.run !== null && seen.run > 0 && (
                <p className="text-base text-graphite">
                  With {seen.run === 1 ? "the first fault" : `the first ${seen.run} faults`} mended
                </p>
              )}
              {view.typed !== "" && (
                <p className="whitespace-pre-wrap">
                  {view.typedLabel}: <code>{view.typed.trimEnd()}</code>
                </p>
              )}
              {"console" in run ? <Console view={run.console} label="What comes out" /> : <p>{run.notRun}</p>}
              {view.intended !== null && (
                <div>
                  <p className="text-base text-graphite">Should come out</p>
                  <pre className="whitespace-pre-wrap">{view.intended}</pre>
                </div>
              )}
            </div>
          )}
        </div>
      </div>
      <nav aria-label="Presentation" className="no-print flex flex-wrap items-center gap-4 text-base">
        <button
          type="button"
          className="press press-main"
          disabled={count === last}
          onClick={() => setCount(count + 1)}
        >
          Go on <kbd>→</kbd>
        </button>
        <button type="button" className="press" disabled={count === 0} onClick={() => setCount(count - 1)}>
          Back <kbd>←</kbd>
        </button>
        <button
          type="button"
          className="press press-quiet"
          onClick={() => {
            setCount(0);
            setPen(null);
          }}
        >
          From the beginning <kbd>R</kbd>
        </button>
        <span className="text-graphite">
          {count} of {last}
        </span>
        <Link className="link ml-auto" to={view.back}>
          Leave
        </Link>
      </nav>
    </main>
  );
}
