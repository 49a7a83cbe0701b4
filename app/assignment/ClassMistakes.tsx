import { useEffect } from "react";
import { useFetcher } from "react-router";
import type { TopMistake } from "../../server/casebook/topMistakes.ts";
import { TopMistakes } from "../casebook/TopMistakes.tsx";

/** The mistakes that the programs of an assignment show most; they come after the overview, which waits for nothing of it. */
export function ClassMistakes({ assignment }: { assignment: string }) {
  const { load, data } = useFetcher<{ mistakes: TopMistake[] }>();
  useEffect(() => void load(`/assignments/${assignment}/mistakes`), [assignment, load]);
  if (!data) return <p className="note-small">What this class gets wrong most is being counted…</p>;
  return (
    <TopMistakes
      mistakes={data.mistakes}
      cases={(id) => `/casebook?${new URLSearchParams({ assignment, pattern: id })}`}
      lesson={{ assignment }}
    />
  );
}
