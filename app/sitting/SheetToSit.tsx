import { Form } from "react-router";
import type { StudentView } from "../../server/results/studentView.ts";
import { CourseSays } from "../components/CourseSays.tsx";
import { Script } from "../components/Script.tsx";
import { UserSteps } from "../components/UserSteps.tsx";
import { partsOf } from "../tasks/list.ts";
import { type SaveState, useAnswers } from "./useAnswers.ts";

const saveWords: Record<SaveState["state"], string> = {
  saved: "All answers are saved.",
  saving: "Saving…",
  waiting: "",
  refused: "",
};

/** A sheet as a student sits it, and after release with the marks. */
export function SheetToSit({ view, code }: { view: StudentView; code: string }) {
  const { answers, change, save, saveNow } = useAnswers(code, view.answers);
  const fixed = view.handedIn || view.closed;
  return (
    <>
      <header className="sticky top-0 z-10 border-b-2 border-rule-strong bg-leaf px-4 py-2">
        <div className="mx-auto flex max-w-4xl flex-wrap items-baseline gap-x-4">
          <h1 className="text-lg">{view.title}</h1>
          <span className="note-small">{view.label}</span>
          <p role="status" className={`note-small ml-auto ${save.message ? "font-semibold text-ink" : ""}`}>
            {view.handedIn ? "Handed in." : view.closed ? "Closed." : save.message || saveWords[save.state]}
          </p>
        </div>
      </header>
      <main className="mx-auto grid max-w-4xl gap-6 p-4">
        {view.handedIn && (
          <p className="leaf p-3">
            {view.released ? <Total view={view} /> : "Your answers are handed in. Your teacher will release the marks."}
          </p>
        )}
        {view.others.length > 0 && (view.handedIn || view.closed) && (
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
        {view.exercises.map((exercise, number) => {
          const showsOwnScript = exercise.tasks.some((task) => task.onProgram);
          return (
            <section key={exercise.key} className="grid gap-3" aria-labelledby={`exercise-${exercise.key}`}>
              <h2 id={`exercise-${exercise.key}`}>
                {number + 1}. {exercise.title} <span className="note-small font-normal">{exercise.total} marks</span>
              </h2>
              {exercise.intro && <p>{exercise.intro}</p>}
              <UserSteps title="What the user does:" steps={exercise.userActions} />
              {!showsOwnScript && (
                <div className="border border-rule bg-sheet py-2">
                  <Script lines={exercise.lines} label={`Program ${exercise.fileName}`} />
                  {exercise.dataFiles.map((file) => (
                    <div key={file.name} className="px-3 text-sm">
                      <p>
                        {file.text === null ? "There is no file " : "Beside the program lies "}
                        <code>{file.name}</code>
                        {file.text === null ? "." : ":"}
                      </p>
                      {file.text !== null && <pre className="overflow-x-auto border border-rule px-2">{file.text}</pre>}
                    </div>
                  ))}
                </div>
              )}
              {exercise.shown.map(({ says, text }) => (
                <div key={says}>
                  <p className="note-small">{says}</p>
                  <pre className="overflow-x-auto border border-rule bg-leaf px-2 text-sm whitespace-pre-wrap">
                    {text || "(nothing)"}
                  </pre>
                </div>
              ))}
              {[...exercise.tasks]
                .sort((one, other) => Number(other.onProgram) - Number(one.onProgram))
                .map((task) => {
                  const { Form: FormOfTask } = partsOf(task.kind);
                  return (
                    <div key={task.key} className="leaf grid gap-2 p-3">
                      <h3>
                        {task.title}{" "}
                        <span className="note-small font-normal">
                          {task.marks} {task.marks === 1 ? "mark" : "marks"}
                        </span>
                      </h3>
                      <details className="note-small">
                        <summary className="cursor-pointer">What earns marks</summary>
                        {task.rule}
                      </details>
                      <FormOfTask
                        taskKey={task.key}
                        view={task.view}
                        exercise={exercise}
                        code={code}
                        answer={answers[task.key] ?? null}
                        fixed={fixed}
                        change={(answer) => change(task.key, answer)}
                        saveNow={saveNow}
                      />
                      <Marked task={task} />
                    </div>
                  );
                })}
            </section>
          );
        })}
        <Form
          method="post"
          className="flex flex-wrap items-center gap-4 border-t border-rule-strong pt-4"
          onSubmit={(event) => {
            if (save.state === "saved") return;
            // Hand in only what is saved: wait for the last keystrokes first.
            const form = event.currentTarget;
            const button = (event.nativeEvent as SubmitEvent).submitter;
            event.preventDefault();
            void saveNow().then(() => form.requestSubmit(button));
          }}
        >
          {!fixed && (
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

function Total({ view }: { view: StudentView }) {
  const marks = view.exercises.flatMap((exercise) => exercise.tasks.flatMap((task) => task.marked));
  const earned = marks.reduce((sum, mark) => sum + (mark.earned ?? 0), 0);
  const possible = view.exercises.reduce((sum, exercise) => sum + exercise.total, 0);
  const waiting = marks.some((mark) => mark.earned === null);
  return (
    <>
      You earned <strong>{earned}</strong> of {possible} marks.
      {waiting ? " Some answers still wait for your teacher." : ""}
    </>
  );
}

function Marked({ task }: { task: StudentView["exercises"][number]["tasks"][number] }) {
  if (task.marked.length === 0) return null;
  return (
    <ul className="border-l-2 border-rule-strong pl-3">
      {task.marked.map((mark) => (
        <li key={mark.item}>
          <strong>
            {mark.item}: {mark.earned ?? "waits"} of {mark.possible}
          </strong>{" "}
          {mark.reason}
          {task.right
            .filter(({ item, words }) => item === mark.item && words !== "")
            .map(({ words }) => (
              <span key={words} className="note-small block whitespace-pre-wrap">
                Right is: {words}
              </span>
            ))}
        </li>
      ))}
      {task.compared !== null && (
        <li>
          <details>
            <summary className="cursor-pointer text-sm text-steel-deep">Your answer beside the right one</summary>
            <Beside task={task} />
          </details>
        </li>
      )}
    </ul>
  );
}

/** What was answered with what is not right in it marked, as the kind of task shows it. */
function Beside({ task }: { task: StudentView["exercises"][number]["tasks"][number] }) {
  const { Answer } = partsOf(task.kind);
  return <Answer compared={task.compared} />;
}
