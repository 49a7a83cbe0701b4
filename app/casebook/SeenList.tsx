import { Link } from "react-router";
import { findWording } from "../../core/wording/wordings.ts";
import type { Seen } from "../../server/casebook/seen.ts";
import { FixSlip } from "../components/FixSlip.tsx";
import { ClassMark, StraightNail, WordingContext } from "../components/marks.tsx";

const day = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", year: "numeric", timeZone: "UTC" });

/** Earlier faults like one that somebody looks at, with what was done then. */
export function SeenList({ seen }: { seen: readonly Seen[] }) {
  return (
    <ul className="divide-y divide-rule">
      {seen.map((each) => (
        <li key={`${each.case} ${each.reportedLine} ${each.message}`} className="grid gap-1 py-2">
          <p className="flex flex-wrap items-center gap-x-3">
            <WordingContext value={findWording(each.wording)}>
              <ClassMark of={each.class} kind={each.kind} />
            </WordingContext>
            <Link className="link" to={`/cases/${each.case}`}>
              {each.title}
            </Link>
            {each.state === "verified" && (
              <span className="note-small flex items-center gap-1">
                <StraightNail /> verified
              </span>
            )}
          </p>
          <p className="note-small">
            {[
              each.student,
              each.languageName,
              each.course,
              day.format(new Date(each.collected)),
              `same ${each.same.join(", ")}`,
            ]
              .filter((part) => part)
              .join(" · ")}
          </p>
          {each.pattern && (
            <p className="text-sm">
              <Link className="link" to={`/patterns/${each.pattern.id}`}>
                {each.pattern.name}
              </Link>
            </p>
          )}
          {each.message && <p className="font-mono text-sm">{each.message}</p>}
          {each.fix.length > 0 ? (
            <FixSlip hunks={each.fix.slice(0, 4)} />
          ) : (
            <p className="note-small">
              {each.faultyLines.length > 0 ? `Faulty: line ${each.faultyLines.join(", ")}. ` : ""}Not mended yet.
            </p>
          )}
          {each.explanation && <p className="text-sm">{each.explanation}</p>}
        </li>
      ))}
    </ul>
  );
}
