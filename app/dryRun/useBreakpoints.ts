import { useCallback, useEffect, useState } from "react";

const none: ReadonlySet<number> = new Set();

/** Breakpoints of a version's text, by line from 1; they are kept in this window until it is closed, over a reload as well. */
export function useBreakpoints(version: string): [ReadonlySet<number>, (lines: ReadonlySet<number>) => void] {
  const place = `breakpoints ${version}`;
  const [kept, setKept] = useState({ place: "", lines: none });
  useEffect(() => {
    const read: unknown = JSON.parse(sessionStorage.getItem(place) ?? "[]");
    setKept({ place, lines: new Set(Array.isArray(read) ? read.map(Number) : []) });
  }, [place]);
  const change = useCallback(
    (lines: ReadonlySet<number>) => {
      sessionStorage.setItem(place, JSON.stringify([...lines]));
      setKept({ place, lines });
    },
    [place],
  );
  return [kept.place === place ? kept.lines : none, change];
}
