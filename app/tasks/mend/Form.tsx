import { useEffect, useRef, useState } from "react";
import { useRevalidator } from "react-router";
import * as z from "zod";
import { Console } from "../../components/Console.tsx";
import { FormAsShown } from "../../components/FormAsShown.tsx";
import { ProgramEditor } from "../../components/ProgramEditor.tsx";
import { Script } from "../../components/Script.tsx";
import { OwnWork } from "../../ownDryRun/OwnWork.tsx";
import { useTries } from "../../ownPython/useTries.ts";
import { RunStrip } from "../../runs/RunStrip.tsx";
import type { FormProps } from "../taskParts.ts";

const answerSchema = z.object({ text: z.string() });

/** A copy of the program to be edited and tried. */
export function Form({ exercise, code, answer, fixed, change, saveNow, note, changeNote }: FormProps<unknown>) {
  const parsed = answerSchema.safeParse(answer);
  const text = parsed.success ? parsed.data.text : exercise.program;
  const [start, setStart] = useState(text);
  /** The text that the editor holds: what comes from another page of the browser, or before a pause, is put into it. */
  const held = useRef(text);
  useEffect(() => {
    if (!fixed && text === held.current) return;
    held.current = text;
    setStart(text);
  }, [fixed, text]);
  const [input, setInput] = useState("");
  const { state, tried, run, stop } = useTries(code, exercise, !fixed);
  const running = state !== "idle";
  const revalidator = useRevalidator();

  const tryIt = async () => {
    await saveNow();
    await run(text, input);
    if (!exercise.tried) void revalidator.revalidate();
  };
  if (fixed) return <Script lines={text.replace(/\n$/, "").split("\n")} label="Your program" />;
  return (
    <div className="grid gap-2">
      <ProgramEditor
        name={`text ${exercise.key}`}
        initial={start}
        label="Program to be mended"
        language={exercise.language}
        onChange={(next) => {
          held.current = next;
          change({ text: next });
        }}
      />
      <div className="flex flex-wrap items-end gap-3">
        <label className="grow text-sm">
          {exercise.actions?.label ?? "Type in, a line for each question"}
          <textarea
            className="field field-code"
            rows={2}
            value={input}
            onChange={(event) => setInput(event.target.value)}
          />
          {exercise.actions && <span className="note-small font-normal">{exercise.actions.note}</span>}
        </label>
        {state === "server" && <RunStrip address={`/s/${code}/runs`} busy />}
        <button type="button" className="press press-main" disabled={running} onClick={() => void tryIt()}>
          {running ? "Running…" : "Try it"}
        </button>
        {state === "here" && (
          <button type="button" className="press" onClick={stop}>
            Stop it
          </button>
        )}
        <button
          type="button"
          className="press press-quiet text-sm"
          onClick={() => {
            setStart(exercise.program === start ? `${exercise.program}` : exercise.program);
            change({ text: exercise.program });
          }}
        >
          Back to the first text
        </button>
      </div>
      <div role="status">
        {state === "fetching" && (
          <p className="note-small">Python is made ready in this browser. That takes a moment, once.</p>
        )}
        {tried?.ok === false && <p className="font-semibold">{tried.message}</p>}
        {tried?.ok && (
          <>
            <Console view={tried.console} label="Console of your run" />
            {tried.forms && <FormAsShown shown={tried.forms} label="your run" />}
            {tried.picture && (
              <img
                className="mt-2 max-w-full border border-rule bg-leaf"
                src={tried.picture}
                alt="What your sketch drew last"
              />
            )}
            <p className="note-small">
              {tried.ended}
              {tried.inputRanOut ? " It asked for more than you typed in: add a line and try again." : ""}
              {tried.where === "here" ? " It ran in this browser." : ""}
            </p>
          </>
        )}
      </div>
      {note && changeNote && (
        <OwnWork {...{ code, exercise, text, input, note }} busy={running} onNote={changeNote} beforeRun={saveNow} />
      )}
    </div>
  );
}
