import { Form } from "react-router";
import type { StudentView } from "../../server/results/studentView.ts";

const handedInBy = {
  student: "You handed it in",
  teacher: "Your teacher collected it",
  bell: "It was handed in by itself when the time was over",
} as const;

/** That a sheet is handed in, with its receipt; the marks where they are shown; and what can be done next. */
export function AfterHandIn({ view }: { view: StudentView }) {
  const { receipt } = view;
  return (
    <section className="leaf grid gap-2 p-3" aria-label="Handed in">
      {receipt && (
        <p>
          {handedInBy[receipt.by]} on{" "}
          <time dateTime={receipt.at}>
            {new Date(receipt.at).toLocaleString("en-GB", { dateStyle: "long", timeStyle: "short" })}
          </time>
          . Receipt <strong className="font-mono">{receipt.number}</strong>
          <span className="note-small"> (your teacher sees the same number)</span>
        </p>
      )}
      <p role="status">
        {view.beingMarked ? (
          "Your answers are being marked…"
        ) : view.totals ? (
          <Total view={view} totals={view.totals} />
        ) : (
          "Your teacher will release the marks."
        )}
      </p>
      {view.canTryAgain && !view.beingMarked && (
        <Form method="post" className="flex flex-wrap items-baseline gap-3">
          <button className="press press-main" type="submit" name="intent" value="again">
            Do it again
          </button>
          <span className="note-small">You begin with empty answers; this try stays with its marks.</span>
        </Form>
      )}
    </section>
  );
}

function Total({ view, totals }: { view: StudentView; totals: NonNullable<StudentView["totals"]> }) {
  const marks = view.exercises.flatMap((exercise) => exercise.tasks.flatMap((task) => task.marked));
  const possible = view.exercises.reduce((sum, exercise) => sum + exercise.total, 0);
  const waiting = marks.some((mark) => mark.earned === null);
  return (
    <>
      You earned <strong>{totals.earned}</strong> of {possible} marks
      {totals.hintsCost > 0 ? `, with ${totals.hintsCost} taken off for hints` : ""}.
      {waiting ? " Some answers still wait for your teacher." : ""}
    </>
  );
}
