import { useCallback, useEffect, useState } from "react";
import type { Only } from "../../core/trace/moves.ts";

/** Lines with a breakpoint, from 1, and the conditions of those that have one, by the line. */
export type Breakpoints = { lines: ReadonlySet<number>; conditions: ReadonlyMap<number, string> };

const none: Breakpoints = { lines: new Set(), conditions: new Map() };

function readKept(text: string | null): Breakpoints {
  const read: unknown = JSON.parse(text ?? "[]");
  if (!Array.isArray(read)) return none;
  // A line, or a line with its condition.
  const pairs = read.map((each: unknown): [number, string] =>
    Array.isArray(each) ? [Number(each[0]), String(each[1])] : [Number(each), ""],
  );
  return {
    lines: new Set(pairs.map(([line]) => line)),
    conditions: new Map(pairs.filter(([, condition]) => condition !== "")),
  };
}

/** Breakpoints of a version's text; they are kept in this window until it is closed, over a reload as well. */
export function useBreakpoints(version: string): [Breakpoints, (breakpoints: Breakpoints) => void] {
  const place = `breakpoints ${version}`;
  const [kept, setKept] = useState({ place: "", breakpoints: none });
  useEffect(() => {
    setKept({ place, breakpoints: readKept(sessionStorage.getItem(place)) });
  }, [place]);
  const change = useCallback(
    (breakpoints: Breakpoints) => {
      const { lines, conditions } = breakpoints;
      const pairs = [...lines].map((line) => (conditions.has(line) ? [line, conditions.get(line)] : line));
      sessionStorage.setItem(place, JSON.stringify(pairs));
      setKept({ place, breakpoints });
    },
    [place],
  );
  return [kept.place === place ? kept.breakpoints : none, change];
}

/** Steps at which breakpoints with a condition count, by their line, and how they are told; a line with null always counts. */
export function useOnly(): [Only, (line: number, steps: ReadonlySet<number> | null) => void] {
  const [only, setOnly] = useState<Only>(new Map());
  const told = useCallback(
    (line: number, steps: ReadonlySet<number> | null) =>
      setOnly((former) => {
        const rest = [...former].filter(([each]) => each !== line);
        return new Map(steps ? [...rest, [line, steps]] : rest);
      }),
    [],
  );
  return [only, told];
}

/** Breakpoints with a line's set or taken away; a condition goes with its line. */
export function toggled({ lines, conditions }: Breakpoints, line: number): Breakpoints {
  if (!lines.has(line)) return { lines: new Set([...lines, line]), conditions };
  return {
    lines: new Set([...lines].filter((each) => each !== line)),
    conditions: new Map([...conditions].filter(([each]) => each !== line)),
  };
}
