import { useCallback, useEffect, useRef, useState } from "react";
import { keepInBrowser } from "./keep.ts";
import { createOutbox, type Outbox, type OutboxState, type Stored, type TabMessage } from "./outbox.ts";
import type { SaveReply } from "./replies.ts";

/** Milliseconds after which a server that says nothing counts as not reached. */
const patience = 15_000;

/** A name for this page among all pages that write answers. */
function newWriter(): string {
  return [...crypto.getRandomValues(new Uint8Array(12))].map((byte) => byte.toString(16).padStart(2, "0")).join("");
}

/**
 * What the answers of a sitting are kept by: its sheet's code, its place, and whom to name while something is unsent.
 * `isOver`: it is handed in, so that nothing has to be kept any more.
 */
export type AnswerPlace = { code: string; place: string; who: string; isOver: boolean };

/**
 * A student's answers: changed on the page at once, saved on every pause in typing, kept in the browser until the server
 * has them, and the same in all pages of the browser.
 */
export function useAnswers({ code, place, who, isOver }: AnswerPlace, initial: Readonly<Record<string, Stored>>) {
  const [state, setState] = useState<OutboxState>(() => ({
    answers: Object.fromEntries(Object.entries(initial).map(([task, { content }]) => [task, content])),
    save: { state: "saved", message: "", at: null },
    clashes: {},
  }));
  const outbox = useRef<Outbox | null>(null);
  const first = useRef(initial);

  useEffect(() => {
    const others = typeof BroadcastChannel === "undefined" ? null : new BroadcastChannel(`bent-nail ${place}`);
    const own = createOutbox(first.current, {
      writer: newWriter(),
      send: async (task, { content, base, writer, count, typedAt }): Promise<SaveReply> => {
        const response = await fetch(`/s/${code}/save`, {
          method: "POST",
          headers: { "Content-Type": "application/json" },
          body: JSON.stringify({ task, content, base, writer, count, typedAt }),
          signal: AbortSignal.timeout(patience),
        });
        if (!response.ok) throw new Error(String(response.status));
        return response.json();
      },
      keep: keepInBrowser(place, who),
      tell: (message) => others?.postMessage(message),
      changed: setState,
      now: Date.now,
      chance: Math.random,
      after: (milliseconds, does) => {
        const timer = setTimeout(does, milliseconds);
        return () => clearTimeout(timer);
      },
    });
    outbox.current = own;
    others?.addEventListener("message", (event: MessageEvent<TabMessage>) => own.hear(event.data));
    void own.begin();
    const reached = () => void own.flush();
    window.addEventListener("online", reached);
    return () => {
      window.removeEventListener("online", reached);
      others?.close();
      void own.flush();
    };
  }, [code, place, who]);

  useEffect(() => {
    if (isOver) void outbox.current?.finish();
  }, [isOver]);

  const change = useCallback((task: string, content: unknown) => outbox.current?.change(task, content), []);
  const saveNow = useCallback(async () => {
    await outbox.current?.flush();
    return undefined;
  }, []);
  const choose = useCallback((task: string, which: "mine" | "theirs") => void outbox.current?.choose(task, which), []);
  const isSaved = useCallback(() => outbox.current?.isSaved() ?? true, []);
  return { ...state, change, saveNow, choose, isSaved };
}
