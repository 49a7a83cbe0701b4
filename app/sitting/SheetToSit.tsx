import { type FormEvent, useCallback, useEffect, useRef, useState } from "react";
import { Form, useRevalidator } from "react-router";
import type { StudentView } from "../../server/results/studentView.ts";
import { CourseSays } from "../components/CourseSays.tsx";
import { useReadAgainWhile } from "../components/useReadAgainWhile.ts";
import { AfterHandIn } from "./AfterHandIn.tsx";
import { ExerciseToSit } from "./ExerciseToSit.tsx";
import { SheetHead } from "./SheetHead.tsx";
import { clockTime } from "./TimeLeft.tsx";
import { useAnswers } from "./useAnswers.ts";
import { useRoom } from "./useRoom.ts";

/** A sheet as a student sits it, and after release with the marks. */
export function SheetToSit({ view, code, said }: { view: StudentView; code: string; said: string | null }) {
  const page = useAnswers(
    { code, place: view.place, who: `${view.label}, ${view.title}`, isOver: view.handedIn },
    view.answers,
  );
  const [task, setTask] = useState<string | null>(null);
  const [at, setAt] = useState(0);
  const [timeIsOver, setTimeIsOver] = useState(false);
  const [unsent, setUnsent] = useState(false);
  const { revalidate } = useRevalidator();
  const room = useRoom(code, view.standing, view.word, task, () => void revalidate());
  const onEnd = useCallback(() => {
    setTimeIsOver(true);
    void page.saveNow();
  }, [page.saveNow]);
  useReadAgainWhile(view.beingMarked);

  // On which task the student is: the one that holds the focus.
  const main = useRef<HTMLElement>(null);
  useEffect(() => {
    const element = main.current;
    const onFocus = ({ target }: FocusEvent) => {
      const held = target instanceof Element ? target.closest<HTMLElement>("[data-task]") : null;
      if (held?.dataset.task) setTask(held.dataset.task);
    };
    element?.addEventListener("focusin", onFocus);
    return () => element?.removeEventListener("focusin", onFocus);
  }, []);

  const isOver = view.handedIn || view.closed;
  const fixed =
    isOver || room.paused || (timeIsOver && room.endsAt !== null && Date.parse(room.endsAt) <= Date.now() + room.ahead);
  const single = view.rules.oneAtATime && !isOver && view.exercises.length > 1;
  const shown = single ? view.exercises.slice(at, at + 1) : view.exercises;
  const numberOf = (key: string) => view.exercises.findIndex((exercise) => exercise.key === key) + 1;

  /** Hands in, or signs out, only when what was typed is with the server. */
  const afterSaving = (event: FormEvent<HTMLFormElement>) => {
    if (page.isSaved() || unsent) return;
    const form = event.currentTarget;
    const button = event.nativeEvent instanceof SubmitEvent ? event.nativeEvent.submitter : null;
    event.preventDefault();
    void page.saveNow().then(() => {
      if (page.isSaved()) form.requestSubmit(button);
      else setUnsent(true);
    });
  };

  return (
    <>
      <SheetHead view={view} room={room} save={page.save} onEnd={onEnd} />
      <main ref={main} className="mx-auto grid max-w-4xl gap-6 p-4">
        {said && (
          <p role="alert" className="font-semibold">
            {said}
          </p>
        )}
        {view.handedIn && <AfterHandIn view={view} />}
        {!isOver && room.endsAt && (
          <p className="note-small">
            At {clockTime(room.endsAt)} what you have written is handed in by itself, also while you are typing: nothing
            of it is lost, and there is nothing to press.
          </p>
        )}
        {!isOver && view.rules.encouraging && <CalmWords />}
        {view.others.length > 0 && isOver && (
          <Form method="post" className="flex flex-wrap items-baseline gap-3">
            <input type="hidden" name="intent" value="edition" />
            <span>This is edition {view.edition} of the sheet.</span>
            {view.others.map((other) => (
              <button key={other.number} className="press text-sm" type="submit" name="number" value={other.number}>
                {other.state === "not begun"
                  ? `Begin edition ${other.number}`
                  : `Edition ${other.number}, ${other.state}`}
              </button>
            ))}
          </Form>
        )}
        <CourseSays at="students" />
        {shown.map((exercise) => {
          const number = numberOf(exercise.key);
          const before = view.exercises[number - 2];
          const begins = exercise.section !== "" && (single || exercise.section !== before?.section);
          return (
            <div key={exercise.key} className="grid gap-3">
              {begins && <p className="border-b border-rule-strong text-lg font-semibold">{exercise.section}</p>}
              <ExerciseToSit {...{ exercise, number, code, fixed, page }} />
            </div>
          );
        })}
        {single && (
          <nav aria-label="Exercises" className="flex flex-wrap items-center gap-4">
            <button type="button" className="press" disabled={at === 0} onClick={() => setAt(at - 1)}>
              The exercise before
            </button>
            <span>
              Exercise {at + 1} of {view.exercises.length}
            </span>
            <button
              type="button"
              className="press"
              disabled={at === view.exercises.length - 1}
              onClick={() => setAt(at + 1)}
            >
              The next exercise
            </button>
          </nav>
        )}
        <Form
          method="post"
          className="flex flex-wrap items-center gap-4 border-t border-rule-strong pt-4"
          onSubmit={afterSaving}
        >
          {unsent && (
            <p role="alert" className="w-full font-semibold">
              Something that you typed is not with the server yet. It is kept in this browser. Wait for the connection,
              or press again to go on without it; when you sign in here again it is sent.
            </p>
          )}
          {!isOver && (
            <>
              <button className="press press-main" type="submit" name="intent" value="hand in">
                Hand in
              </button>
              <span className="note-small">After that nothing can be changed.</span>
            </>
          )}
          <button className="press press-quiet ml-auto" type="submit" name="intent" value="leave">
            Sign out
          </button>
        </Form>
      </main>
    </>
  );
}

/** Short words for whoever is nervous before a faulty program; a sheet's rules switch them off. */
function CalmWords() {
  return (
    <p className="note-small">
      Errors are a normal part of programming, and finding them takes more time than writing does. Take it as a puzzle:
      read, guess, check, one thing at a time.
    </p>
  );
}
