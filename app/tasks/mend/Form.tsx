import { useEffect, useRef, useState } from "react";
import { useRevalidator } from "react-router";
import { z } from "zod";
import { Console } from "../../components/Console.tsx";
import { FormAsShown } from "../../components/FormAsShown.tsx";
import { ProgramEditor } from "../../components/ProgramEditor.tsx";
import { Script } from "../../components/Script.tsx";
import { RunStrip } from "../../runs/RunStrip.tsx";
import type { TryReply } from "../../sitting/replies.ts";
import type { FormProps } from "../taskParts.ts";

const answerSchema = z.object({ text: z.string() });

/** A copy of the program to be edited and tried. */
export function Form({ exercise, code, answer, fixed, change, saveNow }: FormProps<unknown>) {
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
  const [reply, setReply] = useState<TryReply | null>(null);
  const [running, setRunning] = useState(false);
  const revalidator = useRevalidator();

  const tryIt = async () => {
    setRunning(true);
    try {
      await saveNow();
      const response = await fetch(`/s/${code}/try`, {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify({ exercise: exercise.key, text, input }),
      });
      const result: TryReply = await response.json();
      setReply(result);
      if (result.ok && !exercise.tried) void revalidator.revalidate();
    } catch {
      setReply({ ok: false, message: "The server is not reached. Your text is kept; try again in a moment." });
    } finally {
      setRunning(false);
    }
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
        <RunStrip address={`/s/${code}/runs`} busy={running} />
        <button type="button" className="press press-main" disabled={running} onClick={() => void tryIt()}>
          {running ? "Running…" : "Try it"}
        </button>
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
        {reply?.ok === false && <p className="font-semibold">{reply.message}</p>}
        {reply?.ok && (
          <>
            <Console view={reply.console} label="Console of your run" />
            {reply.forms && <FormAsShown shown={reply.forms} label="your run" />}
            {reply.picture && (
              <img
                className="mt-2 max-w-full border border-rule bg-leaf"
                src={reply.picture}
                alt="What your sketch drew last"
              />
            )}
            <p className="note-small">
              {reply.ended}
              {reply.inputRanOut ? " It asked for more than you typed in: add a line and try again." : ""}
            </p>
          </>
        )}
      </div>
    </div>
  );
}
