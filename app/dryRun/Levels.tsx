import { useMemo } from "react";
import { type LevelRow, type OpenCalls, recursionsIn } from "../../core/trace/levels.ts";

/** Open calls that are listed before the middle ones fold away. */
const shownEnds = 8;

/** The calls that are open where the dry run stands, one below the other, with what they were given; and whether a recursion has reached its base case. */
export function Levels({
  rows,
  calls,
  done,
  onGo,
}: {
  rows: ReadonlyArray<LevelRow & { line: number }>;
  calls: OpenCalls;
  done: number;
  onGo: (done: number) => void;
}) {
  const recursions = useMemo(() => recursionsIn(rows), [rows]);
  const open = calls.at(done);
  if (open.length < 2 && recursions.length === 0) return null;
  const left = open.length - 2 * shownEnds;
  const shown = left > 1 ? [...open.slice(0, shownEnds), ...open.slice(-shownEnds)] : open;
  return (
    <section className="leaf p-3" aria-label="Calls that are open">
      <h2 className="text-lg">Calls, one inside the other</h2>
      {open.length === 0 && <p className="note-small">No call is open here.</p>}
      <ol className="grid gap-0.5">
        {shown.map((level, at) => (
          <li key={level.at} className="flex items-baseline gap-2 font-mono text-[0.9rem]">
            {left > 1 && at === shownEnds && <span className="note-small">{left} more between, then</span>}
            <span aria-hidden="true" className="text-rule-strong">
              {"│ ".repeat(Math.min(level.depth, 8))}
            </span>
            <span>{level.call}</span>
            {level.level > 1 && <span className="font-sans text-sm text-graphite">level {level.level}</span>}
            <button
              type="button"
              className="link ml-auto font-sans text-sm whitespace-nowrap"
              onClick={() => onGo(level.at)}
              aria-label={`To where ${level.call} is entered`}
            >
              line {rows[level.at]?.line}
            </button>
          </li>
        ))}
      </ol>
      {recursions.map(({ name, levels, base }) => (
        <p key={name} className="note-small">
          {name} calls itself, {levels} levels at most.{" "}
          {base === null
            ? "No call of it comes to an end without another one: the base case is never reached."
            : base.ended <= done
              ? `The base case was reached at level ${base.level}: ${base.call}.`
              : "The base case is not reached yet."}
        </p>
      ))}
    </section>
  );
}
