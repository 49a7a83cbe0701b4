import { useState } from "react";
import type { Seen } from "../../core/lessons/reveals.ts";
import { Console } from "../components/Console.tsx";
import { ClassMark, useCourseWords } from "../components/marks.tsx";
import { Script } from "../components/Script.tsx";
import type { Presentation } from "./presentation.ts";

/** A faulty program before a class, with as much told of it as is to be seen now. */
export function PresentedProgram({ view, seen }: { view: Omit<Presentation, "back">; seen: Seen }) {
  const [pen, setPen] = useState<number | null>(null);
  const fault = seen.fault === null ? undefined : view.faults[seen.fault];
  const looking = seen.faultyLine ? null : (fault?.looks[seen.looks - 1]?.line ?? null);
  const run = seen.run === null ? undefined : view.runs[seen.run];
  const inWords = useCourseWords();
  const slip = seen.fixes.flatMap((number) => view.faults[number]?.hunks ?? []);
  return (
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
  );
}
