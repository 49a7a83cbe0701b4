import * as z from "zod";
import { pythonResultSchema } from "../../core/languages/python/runnerResult.ts";
import { createFrameReader, type ToldRun } from "../../core/outcome/readFrames.ts";
import type { RunOrder, ToFrame } from "./inside/messages.ts";

/** What the frame may say; what it says comes from beside a student's program, so it is read and never trusted. */
const fromFrame = z.discriminatedUnion("told", [
  z.object({ told: z.literal("loaded") }),
  z.object({ told: z.literal("trouble"), words: z.string() }),
  z.object({
    told: z.literal("frames"),
    id: z.number(),
    frames: z.array(z.tuple([z.string(), z.number(), z.number(), z.instanceof(Uint8Array)])),
  }),
  z.object({ told: z.literal("over"), id: z.number(), how: z.enum(["ended", "time", "person", "broken"]) }),
]);

export type OwnResult = z.infer<typeof pythonResultSchema>;

/** A run in the student's own browser. `how`: by what it ended. */
export type OwnRun = ToldRun<OwnResult> & { how: "ended" | "time" | "person" | "broken" };

/** Raised where the browser cannot run Python; the server can. */
export class NoOwnPython extends Error {}

export type OwnPythonHere = {
  /** Fetches the interpreter and starts it; done when it is ready. Rejects with NoOwnPython. */
  load: () => Promise<void>;
  /** Runs one program after the one that runs; `seconds`: after which it is ended. Rejects with NoOwnPython. */
  run: (order: RunOrder, seconds: number) => Promise<OwnRun>;
  /** Ends the program that runs. */
  stop: () => void;
};

/** Milliseconds in which the interpreter has to be there, over a slow network on a slow computer; then the server runs. */
const patience = 90_000;

/** More frames than a run with its full output and recording has: a program that floods the page is ended. */
const mostFrames = 400_000;

/**
 * The Python of this browser. The page fetches the pack once (afterwards the browser has it) and hands its bytes to a
 * frame of an origin of its own, in which nothing of the page can be reached and no address can be asked.
 */
function startHere(address: string): OwnPythonHere {
  let loading: Promise<void> | null = null;
  let frame: HTMLIFrameElement | null = null;
  let number = 0;
  let inTurn: Promise<unknown> = Promise.resolve();

  const tell = (message: ToFrame, given: Transferable[] = []) => frame?.contentWindow?.postMessage(message, "*", given);

  /** Listens to the frame until `hear` gives true. */
  function listen(hear: (told: z.infer<typeof fromFrame>) => boolean): () => void {
    const onMessage = ({ source, data }: MessageEvent<unknown>) => {
      if (!frame || source !== frame.contentWindow) return;
      const read = fromFrame.safeParse(data);
      if (read.success && hear(read.data)) removeEventListener("message", onMessage);
    };
    addEventListener("message", onMessage);
    return () => removeEventListener("message", onMessage);
  }

  async function begin(): Promise<void> {
    if (typeof WebAssembly === "undefined") throw new NoOwnPython("This browser cannot run it.");
    const fetched = fetch(`${address}/python.pack`).then((response) => {
      if (!response.ok) throw new NoOwnPython("Python could not be fetched.");
      return response.arrayBuffer();
    });
    const element = document.createElement("iframe");
    element.hidden = true;
    element.title = "Python";
    element.setAttribute("sandbox", "allow-scripts");
    element.src = `${address}/frame.html`;
    const framed = new Promise<void>((resolve, reject) => {
      element.onload = () => resolve();
      element.onerror = () => reject(new NoOwnPython("Python could not be fetched."));
    });
    document.body.append(element);
    frame = element;
    const [pack] = await Promise.all([fetched, framed]);
    await new Promise<void>((resolve, reject) => {
      setTimeout(() => reject(new NoOwnPython("Python did not start.")), patience);
      listen((told) => {
        if (told.told === "loaded") resolve();
        else if (told.told === "trouble") reject(new NoOwnPython(told.words));
        return told.told === "loaded" || told.told === "trouble";
      });
      tell({ do: "load", pack }, [pack]);
    });
  }

  function load(): Promise<void> {
    loading ??= begin().catch((problem: unknown) => {
      // The next one may try it again.
      frame?.remove();
      [frame, loading] = [null, null];
      throw problem instanceof NoOwnPython ? problem : new NoOwnPython("Python could not be fetched.");
    });
    return loading;
  }

  async function perform(order: RunOrder, seconds: number): Promise<OwnRun> {
    await load();
    number += 1;
    const id = number;
    const reader = createFrameReader(pythonResultSchema);
    let frames = 0;
    return new Promise((resolve, reject) => {
      listen((told) => {
        if (told.told === "trouble") {
          reject(new NoOwnPython(told.words));
          return true;
        }
        if (told.told === "loaded" || told.id !== id) return false;
        if (told.told === "over") {
          resolve({ ...reader.whole(), how: told.how });
          return true;
        }
        frames += told.frames.length;
        if (frames > mostFrames) tell({ do: "stop", id });
        else for (const [kind, line, step, bytes] of told.frames) reader.add(kind, line, step, bytes);
        return false;
      });
      tell({ do: "run", id, order, seconds });
    });
  }

  return {
    load,
    run: (order, seconds) => {
      const done = inTurn.then(() => perform(order, seconds));
      inTurn = done.catch(() => undefined);
      return done;
    },
    stop: () => tell({ do: "stop", id: number }),
  };
}

const started = new Map<string, OwnPythonHere>();

/** The Python of this browser by the address of its files: one for all exercises of a page. */
export function ownPythonAt(address: string): OwnPythonHere {
  const here = started.get(address) ?? startHere(address);
  started.set(address, here);
  return here;
}
