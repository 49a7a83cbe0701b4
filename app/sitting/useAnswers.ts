import { useCallback, useEffect, useRef, useState } from "react";
import type { SaveReply } from "./replies.ts";

export type SaveState = { state: "saved" | "saving" | "waiting" | "refused"; message: string };
type Stored = { revision: number; content: unknown };

/**
 * Time without typing after which an answer is saved, and between tries while the server is not reached, in
 * milliseconds.
 */
const pause = 500;
const retryAfter = 3000;

/**
 * A student's answers: changed on the page at once, saved as they are typed. While the server is not reached they are
 * tried again; they are also kept in the browser until saved, so that a reload loses nothing.
 */
export function useAnswers(code: string, initial: Readonly<Record<string, Stored>>) {
  const [answers, setAnswers] = useState<Record<string, unknown>>(() =>
    Object.fromEntries(Object.entries(initial).map(([task, stored]) => [task, stored.content])),
  );
  const [save, setSave] = useState<SaveState>({ state: "saved", message: "" });
  const revisions = useRef<Record<string, number>>(
    Object.fromEntries(Object.entries(initial).map(([task, stored]) => [task, stored.revision])),
  );
  const unsaved = useRef(new Map<string, unknown>());
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const busy = useRef<Promise<void> | null>(null);
  const place = `bent-nail answers ${code}`;

  const sendAll = useCallback(async () => {
    for (const [task, content] of [...unsaved.current]) {
      const revision = (revisions.current[task] ?? 0) + 1;
      setSave({ state: "saving", message: "" });
      let reply: SaveReply;
      let full = false;
      try {
        const response = await fetch(`/s/${code}/save`, {
          method: "POST",
          headers: { "Content-Type": "application/json" },
          body: JSON.stringify({ task, revision, content }),
        });
        if (response.status === 507) full = true;
        if (!response.ok) throw new Error(String(response.status));
        reply = await response.json();
      } catch {
        const why = full ? "the server has no room at the moment. Tell your teacher" : "the server is not reached";
        setSave({ state: "waiting", message: `Not saved yet: ${why}. It is tried again; do not close this page.` });
        timer.current = setTimeout(() => void flush.current(), retryAfter);
        return;
      }
      if (reply.result === "saved") revisions.current[task] = revision;
      if (unsaved.current.get(task) === content) unsaved.current.delete(task);
      if (reply.result !== "saved") {
        setSave({ state: "refused", message: reply.message });
        return;
      }
    }
    if (unsaved.current.size === 0) {
      localStorage.removeItem(place);
      setSave({ state: "saved", message: "" });
    }
  }, [code, place]);

  /** Saves what is not saved yet; resolves when the server has answered. */
  const flush = useRef(async () => undefined as undefined);
  flush.current = async () => {
    if (timer.current) clearTimeout(timer.current);
    await busy.current;
    busy.current = sendAll();
    await busy.current;
    busy.current = null;
    return undefined;
  };

  const change = useCallback(
    (task: string, content: unknown) => {
      setAnswers((before) => ({ ...before, [task]: content }));
      unsaved.current.set(task, content);
      localStorage.setItem(place, JSON.stringify(Object.fromEntries(unsaved.current)));
      setSave({ state: "saving", message: "" });
      if (timer.current) clearTimeout(timer.current);
      timer.current = setTimeout(() => void flush.current(), pause);
    },
    [place],
  );

  // What a reload interrupted is taken up again.
  useEffect(() => {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(place) ?? "{}");
      if (typeof kept === "object" && kept !== null)
        for (const [task, content] of Object.entries(kept)) change(task, content);
    } catch {
      localStorage.removeItem(place);
    }
  }, [place, change]);

  return { answers, change, save, saveNow: () => flush.current() };
}
