import { useEffect } from "react";
import { useFetcher } from "react-router";
import type { Holds } from "../../core/expressions/holdsAt.ts";
import type { Breakpoints } from "./useBreakpoints.ts";

type Asked = { caseKey: string; version: string; check: string };

/** The breakpoints, each with a condition if it has one: where it does not hold, the dry run goes on. */
export function BreakpointList({
  asked,
  breakpoints,
  onBreakpoints,
  onOnly,
}: {
  asked: Asked;
  breakpoints: Breakpoints;
  onBreakpoints: (breakpoints: Breakpoints) => void;
  /** Takes the steps at which a line's condition holds; null where it has none. */
  onOnly: (line: number, steps: ReadonlySet<number> | null) => void;
}) {
  const lines = [...breakpoints.lines].sort((one, other) => one - other);
  if (lines.length === 0) return null;
  return (
    <ul className="grid gap-1 px-3 pt-2" aria-label="Breakpoints">
      {lines.map((line) => (
        <Breakpoint
          key={line}
          asked={asked}
          line={line}
          condition={breakpoints.conditions.get(line) ?? ""}
          onCondition={(condition) => {
            const conditions = new Map(breakpoints.conditions);
            if (condition === "") conditions.delete(line);
            else conditions.set(line, condition);
            onBreakpoints({ lines: breakpoints.lines, conditions });
          }}
          onOnly={onOnly}
        />
      ))}
    </ul>
  );
}

function Breakpoint({
  asked,
  line,
  condition,
  onCondition,
  onOnly,
}: {
  asked: Asked;
  line: number;
  condition: string;
  onCondition: (condition: string) => void;
  onOnly: (line: number, steps: ReadonlySet<number> | null) => void;
}) {
  const fetcher = useFetcher<Holds>();
  const { load } = fetcher;
  const { caseKey, version, check } = asked;
  useEffect(() => {
    if (condition === "") return onOnly(line, null);
    const given = `line=${line}&condition=${encodeURIComponent(condition)}`;
    void load(`/cases/${caseKey}/holds?version=${version}&check=${check}&${given}`);
  }, [load, onOnly, caseKey, version, check, line, condition]);
  const found = condition === "" ? undefined : fetcher.data;
  useEffect(() => {
    if (found) onOnly(line, new Set(found.steps));
  }, [found, line, onOnly]);
  return (
    <li>
      <form
        className="flex flex-wrap items-center gap-2 text-sm"
        onSubmit={(event) => {
          event.preventDefault();
          onCondition(String(new FormData(event.currentTarget).get("condition") ?? "").trim());
        }}
      >
        <label className="inline-flex flex-row items-center gap-2 text-sm font-normal">
          <span className="whitespace-nowrap">Line {line}, only when</span>
          <input
            name="condition"
            className="field w-36 font-mono"
            defaultValue={condition}
            maxLength={400}
            autoComplete="off"
          />
        </label>
        <button type="submit" className="press press-quiet">
          Keep
        </button>
        {found && (
          <span className="note-small" role="status">
            {found.why === "" || found.steps.length > 0
              ? `holds ${found.steps.length} of ${found.ran} times${found.why === "" ? "" : `; else: ${found.why}`}`
              : found.why}
          </span>
        )}
      </form>
    </li>
  );
}
