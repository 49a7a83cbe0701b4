import { useEffect } from "react";
import { Form, useFetcher } from "react-router";
import type { TopMistake } from "../../server/casebook/topMistakes.ts";
import { TopMistakes } from "../casebook/TopMistakes.tsx";

/** The mistakes that the programs of an assignment show most; they come after the overview, which waits for nothing of it. */
export function ClassMistakes({ assignment }: { assignment: string }) {
  const { load, data } = useFetcher<{ mistakes: TopMistake[] }>();
  useEffect(() => void load(`/assignments/${assignment}/mistakes`), [assignment, load]);
  if (!data) return <p className="note-small">What this class gets wrong most is being counted…</p>;
  return (
    <>
      <TopMistakes
        mistakes={data.mistakes}
        cases={(id) => `/casebook?${new URLSearchParams({ assignment, pattern: id })}`}
        lesson={{ assignment }}
      />
      {data.mistakes.length > 0 && (
        <Form method="post" action="/plans/new" className="mt-3">
          <input type="hidden" name="assignment" value={assignment} />
          {data.mistakes.map(({ id }) => (
            <input key={id} type="hidden" name="kind" value={id} />
          ))}
          <button className="press" type="submit" name="intent" value="of class">
            Plan an exercise of each, in programs of nobody’s
          </button>
        </Form>
      )}
    </>
  );
}
