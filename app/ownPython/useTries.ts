import { useEffect, useState } from "react";
import type { ShownTry, TryReply } from "../sitting/replies.ts";
import type { TaskExercise } from "../tasks/taskParts.ts";
import { askServer, mayRunHere } from "./mayRunHere.ts";
import { NoOwnPython, ownPythonAt } from "./ownPython.ts";
import { orderOf, secondsHere, shownOf } from "./tryHere.ts";

/** What is shown of the last try, or words why there was none. `where`: the school's server or this browser. */
export type Tried = ({ ok: true; where: "server" | "here" } & ShownTry) | { ok: false; message: string };

/** The interpreter is fetched a while after the page is there, not by a whole room in the same moment. */
const fetchWithin = 15_000;
const unreached = "The server is not reached. Your text is kept; try again in a moment.";

/**
 * Runs a student's text as the program of an exercise: in this browser where it can (`exercise.runsHere`), else on the
 * server. What is to be foretold first is asked of the server before either. `stop` ends what runs here.
 */
export function useTries(code: string, exercise: TaskExercise, wanted: boolean) {
  const [state, setState] = useState<"idle" | "fetching" | "here" | "server">("idle");
  const [tried, setTried] = useState<Tried | null>(null);
  const address = exercise.runsHere;
  useEffect(() => {
    if (!address || !wanted) return;
    const fetchIt = () =>
      void ownPythonAt(address)
        .load()
        .catch(() => undefined);
    const timer = setTimeout(fetchIt, Math.random() * fetchWithin);
    return () => clearTimeout(timer);
  }, [address, wanted]);

  async function onServer(text: string, input: string): Promise<Tried> {
    setState("server");
    const reply = await askServer<TryReply>(code, "try", exercise, { text, input });
    if (!reply.ok) return reply;
    return reply.here ? { ok: false, message: unreached } : { where: "server", ...reply };
  }

  async function inBrowser(at: string, text: string, input: string): Promise<Tried> {
    const message = await mayRunHere(code, exercise, text, input);
    if (message !== null) return { ok: false, message };
    const python = ownPythonAt(at);
    setState("fetching");
    await python.load();
    setState("here");
    const { shown, told } = shownOf(await python.run(orderOf(exercise, text, input), secondsHere));
    void askServer(code, "try", exercise, { text, input, here: told }).catch(() => undefined);
    return { ok: true, where: "here", ...shown };
  }

  async function run(text: string, input: string): Promise<void> {
    setState("server");
    try {
      const gave = address
        ? await inBrowser(address, text, input).catch((problem: unknown) => {
            if (problem instanceof NoOwnPython) return onServer(text, input);
            throw problem;
          })
        : await onServer(text, input);
      setTried(gave);
    } catch {
      setTried({ ok: false, message: unreached });
    } finally {
      setState("idle");
    }
  }
  return { state, tried, run, stop: () => address && ownPythonAt(address).stop() };
}
