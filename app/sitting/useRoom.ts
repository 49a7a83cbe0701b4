import { useEffect, useRef, useState } from "react";
import type { Standing } from "../../server/sittings/access.ts";
import type { BeatReply } from "./replies.ts";

/** Milliseconds between two beats, and after which one that was not answered is given up. */
const between = 3000;
const patience = 6000;

export type Room = Standing & {
  word: string;
  /** How far the server's clock is before this browser's, in milliseconds. */
  ahead: number;
  reached: boolean;
};

/**
 * Tells the server every few seconds that the page is there and where, and hears what is said to the room. `changed` is
 * called when the page has to be read again: it was handed in, closed, opened or released.
 */
export function useRoom(
  code: string,
  standing: Standing,
  word: string,
  task: string | null,
  changed: () => void,
): Room {
  const [room, setRoom] = useState<Room>({ ...standing, word, ahead: 0, reached: true });
  const at = useRef(task);
  at.current = task;
  const tell = useRef(changed);
  tell.current = changed;
  useEffect(() => {
    let over = false;
    let known = "";
    let timer: ReturnType<typeof setTimeout> | undefined;
    const beat = async () => {
      try {
        const response = await fetch(`/s/${code}/beat`, {
          method: "POST",
          headers: { "Content-Type": "application/json" },
          body: JSON.stringify({ task: at.current, behind: document.hidden }),
          signal: AbortSignal.timeout(patience),
        });
        if (!response.ok) throw new Error(String(response.status));
        const reply: BeatReply = await response.json();
        if (over) return;
        if (reply.signedIn) {
          const { now, signedIn: _, released, ...rest } = reply;
          setRoom({ ...rest, ahead: Date.parse(now) - Date.now(), reached: true });
          const shown = JSON.stringify([rest.open, rest.handedIn, released]);
          if (known !== "" && shown !== known) tell.current();
          known = shown;
        } else if (known !== "") tell.current();
      } catch {
        if (!over) setRoom((before) => ({ ...before, reached: false }));
      }
      clearTimeout(timer);
      if (!over) timer = setTimeout(() => void beat(), between);
    };
    void beat();
    // A page behind another window is let do little, so it says at once that it goes there, or comes back.
    const turned = () => {
      clearTimeout(timer);
      void beat();
    };
    document.addEventListener("visibilitychange", turned);
    return () => {
      over = true;
      clearTimeout(timer);
      document.removeEventListener("visibilitychange", turned);
    };
  }, [code]);
  return room;
}
