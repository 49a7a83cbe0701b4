import { useState } from "react";
import { useRevalidator } from "react-router";
import { type OwnNote, withGuesses } from "../../core/exercises/ownNote.ts";
import type { TaskExercise } from "../tasks/taskParts.ts";
import { OwnDryRun } from "./OwnDryRun.tsx";
import { GuessLog, TellIt } from "./OwnNotes.tsx";
import { useRecording } from "./useRecording.ts";

/** What a student does to find a fault beside trying: going through the program, guessing, asking what if, telling it. */
export function OwnWork({
  code,
  exercise,
  text,
  input,
  busy,
  note,
  onNote,
  beforeRun,
}: {
  code: string;
  exercise: TaskExercise;
  /** The text that the editor holds, and what is typed in. */
  text: string;
  input: string;
  busy: boolean;
  note: OwnNote;
  onNote: (note: OwnNote) => void;
  beforeRun: () => Promise<undefined>;
}) {
  const { state, real, changed, message, record, backToReal, close } = useRecording(code, exercise);
  const [from, setFrom] = useState(0);
  const { revalidate } = useRevalidator();
  const run = changed ?? real;
  const recording = state === "recording";
  const begin = async () => {
    await beforeRun();
    setFrom(0);
    const recorded = await record(text, input);
    if (recorded && !exercise.tried) void revalidate();
  };
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap items-baseline gap-3">
        <button type="button" className="press" disabled={busy || recording} onClick={() => void begin()}>
          {recording ? "Recording…" : "Go through it line by line"}
        </button>
        {real && real.text !== text && (
          <span className="note-small">Your text has changed since; what is below is the run from before.</span>
        )}
        {message && <p role="alert">{message}</p>}
      </div>
      {run && (
        <OwnDryRun
          key={`${run.change ? `${run.change.step} ${run.change.put.name} ${run.change.put.value}` : "real"} ${run.text}`}
          run={run}
          from={Math.min(from, run.rows.length)}
          busy={recording}
          onGuessed={(guesses) => onNote(withGuesses(note, guesses))}
          onWhatIf={(change, done) => {
            setFrom(done);
            void record(run.text, input, change);
          }}
          onBack={changed ? backToReal : null}
          onClose={close}
        />
      )}
      <GuessLog guesses={note.guesses} />
      <TellIt told={note.told} onTell={(told) => onNote({ ...note, told })} />
    </div>
  );
}
