import { useState } from "react";
import { Form } from "react-router";
import { ownNote, ownNoteName } from "../../core/exercises/ownNote.ts";
import type { StudentView } from "../../server/results/studentView.ts";
import { Script } from "../components/Script.tsx";
import { UserSteps } from "../components/UserSteps.tsx";
import { WayToMistake } from "../components/WayToMistake.tsx";
import { partsOf } from "../tasks/list.ts";
import { Marked } from "./Marked.tsx";
import type { Clash } from "./outbox.ts";
import { clockTime } from "./TimeLeft.tsx";

export type ExerciseView = StudentView["exercises"][number];

/** The hints that were taken, and the next one to be had. */
function Hints({ exercise: { key, title, hints }, fixed }: { exercise: ExerciseView; fixed: boolean }) {
  if (hints.taken.length === 0 && (hints.left === 0 || fixed)) return null;
  return (
    <Form method="post" className="grid gap-1 border-l-2 border-rule-strong pl-3" preventScrollReset>
      {hints.taken.length > 0 && (
        <ol className="grid gap-1" aria-label={`Hints for ${title}`}>
          {hints.taken.map((hint) => (
            <li key={hint}>{hint}</li>
          ))}
        </ol>
      )}
      <input type="hidden" name="exercise" value={key} />
      {hints.left > 0 && !fixed && (
        <p>
          <button className="press text-sm" type="submit" name="intent" value="hint">
            {hints.taken.length === 0 ? "A hint" : "One more hint"}
          </button>{" "}
          <span className="note-small">
            {hints.each === 0 ? "costs nothing" : `costs ${hints.each} of this exercise’s marks`}; {hints.left} left
          </span>
        </p>
      )}
    </Form>
  );
}

/** Two pages wrote the same answer: which one counts. */
function ClashChoice({ clash, choose }: { clash: Clash; choose: (which: "mine" | "theirs") => void }) {
  return (
    <div role="alert" className="flex flex-wrap items-baseline gap-3 border-l-4 border-ochre bg-slip px-3 py-2">
      <p>
        Another window or computer wrote this answer at {clockTime(clash.savedAt)}. Yours is below and not sent yet.
        Which one counts?
      </p>
      <button type="button" className="press" onClick={() => choose("mine")}>
        The one below
      </button>
      <button type="button" className="press" onClick={() => choose("theirs")}>
        The other one
      </button>
    </div>
  );
}

type AnswersOfPage = {
  answers: Readonly<Record<string, unknown>>;
  clashes: Readonly<Record<string, Clash>>;
  change: (task: string, content: unknown) => void;
  choose: (task: string, which: "mine" | "theirs") => void;
  saveNow: () => Promise<undefined>;
};

/** An exercise with its program and the tasks on it, each marked with its key. */
export function ExerciseToSit({
  exercise,
  number,
  code,
  fixed,
  page,
}: {
  exercise: ExerciseView;
  number: number;
  code: string;
  fixed: boolean;
  page: AnswersOfPage;
}) {
  const [pen, setPen] = useState<number | null>(null);
  const noteName = ownNoteName(exercise.key);
  const note = ownNote(page.answers[noteName]);
  const showsOwnScript = exercise.tasks.some((task) => task.onProgram);
  const tasks = [...exercise.tasks].sort((one, other) => Number(other.onProgram) - Number(one.onProgram));
  return (
    <section className="grid gap-3" aria-labelledby={`exercise-${exercise.key}`}>
      <h2 id={`exercise-${exercise.key}`}>
        {number}. {exercise.title} <span className="note-small font-normal">{exercise.total} marks</span>
      </h2>
      {exercise.intro && <p>{exercise.intro}</p>}
      <UserSteps title="What the user does:" steps={exercise.userActions} />
      {!showsOwnScript && (
        <div className="border border-rule bg-sheet py-2">
          <Script
            lines={exercise.lines}
            label={`Program ${exercise.fileName}`}
            pen={pen}
            onPick={(line) => setPen(line === pen ? null : line)}
            pickHint="Put your pen beside this line"
          />
          {exercise.dataFiles.map((file) => (
            <div key={file.name} className="px-3 text-sm">
              <p>
                {file.text === null ? "There is no file " : "Beside the program lies "}
                <code>{file.name}</code>
                {file.text === null ? "." : ":"}
              </p>
              {file.text !== null && (
                <pre className="overflow-x-auto border border-rule px-2" tabIndex={0}>
                  {file.text}
                </pre>
              )}
            </div>
          ))}
        </div>
      )}
      {exercise.shown.map(({ says, text }) => (
        <div key={says}>
          <p className="note-small">{says}</p>
          <pre className="border border-rule bg-leaf px-2 text-sm wrap-anywhere whitespace-pre-wrap">
            {text || "(nothing)"}
          </pre>
        </div>
      ))}
      <Hints exercise={exercise} fixed={fixed} />
      {tasks.map((task) => {
        const { Form: FormOfTask } = partsOf(task.kind);
        const clash = page.clashes[task.key];
        return (
          <div key={task.key} data-task={task.key} className="leaf grid gap-2 p-3">
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
            {clash && <ClashChoice clash={clash} choose={(which) => page.choose(task.key, which)} />}
            <FormOfTask
              taskKey={task.key}
              view={task.view}
              exercise={exercise}
              code={code}
              answer={page.answers[task.key] ?? null}
              fixed={fixed}
              change={(answer) => page.change(task.key, answer)}
              saveNow={page.saveNow}
              note={note}
              changeNote={(changed) => page.change(noteName, changed)}
            />
            {task.onProgram && page.clashes[noteName] && (
              <ClashChoice clash={page.clashes[noteName]} choose={(which) => page.choose(noteName, which)} />
            )}
            <Marked task={task} />
          </div>
        );
      })}
      {exercise.ways.some((looks) => looks.length > 0) && (
        <details className="border-l-2 border-rule-strong pl-3">
          <summary className="cursor-pointer text-steel-deep">How the mistake can be found, line by line</summary>
          <WayToMistake ways={exercise.ways} lines={exercise.lines} />
        </details>
      )}
    </section>
  );
}
