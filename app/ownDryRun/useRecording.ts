import { useState } from "react";
import { unpackRows } from "../../core/formats/packedTable.ts";
import type { OwnTable } from "../../core/trace/ownTable.ts";
import { askServer, mayRunHere } from "../ownPython/mayRunHere.ts";
import { NoOwnPython } from "../ownPython/ownPython.ts";
import type { Change } from "../ownPython/recordHere.ts";
import type { RecordReply } from "../sitting/replies.ts";
import type { TaskExercise } from "../tasks/taskParts.ts";

/** A recorded run of a text as it was then; `change`: what was changed on its way, null for the real run. */
export type Recording = OwnTable & { text: string; change: Change | null };

const unreached = "The server is not reached. Your text is kept; try again in a moment.";

/** Records runs of a student's text: in this browser where it can, else on the server. */
export function useRecording(code: string, exercise: TaskExercise) {
  const [state, setState] = useState<"idle" | "recording">("idle");
  const [real, setReal] = useState<Recording | null>(null);
  const [changed, setChanged] = useState<Recording | null>(null);
  const [message, setMessage] = useState("");

  async function onServer(text: string, input: string, change: Change | null): Promise<OwnTable | string> {
    const reply = await askServer<RecordReply>(code, "record", exercise, {
      ...{ text, input },
      ...(change ? { change } : {}),
    });
    if (!reply.ok) return reply.message;
    return { columns: reply.columns, rows: unpackRows(reply.packed, reply.columns), ended: reply.ended };
  }

  async function inBrowser(at: string, text: string, input: string, change: Change | null): Promise<OwnTable | string> {
    const message = await mayRunHere(code, exercise, text, input);
    if (message !== null) return message;
    // What reads a recording is fetched when somebody goes through one.
    const { recordHere } = await import("../ownPython/recordHere.ts");
    return recordHere(at, exercise, text, input, change);
  }

  async function record(text: string, input: string, change: Change | null = null): Promise<boolean> {
    setState("recording");
    setMessage("");
    try {
      const made = exercise.runsHere
        ? await inBrowser(exercise.runsHere, text, input, change).catch((problem: unknown) => {
            if (problem instanceof NoOwnPython) return onServer(text, input, change);
            throw problem;
          })
        : await onServer(text, input, change);
      if (typeof made === "string") setMessage(made);
      else {
        if (!change) setReal({ ...made, text, change });
        setChanged(change ? { ...made, text, change } : null);
        return true;
      }
    } catch {
      setMessage(unreached);
    } finally {
      setState("idle");
    }
    return false;
  }
  return {
    ...{ state, real, changed, message, record },
    backToReal: () => setChanged(null),
    close: () => {
      setReal(null);
      setChanged(null);
    },
  };
}
