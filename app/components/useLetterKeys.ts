import { type RefObject, useEffect, useRef } from "react";

const storePlace = "bent-nail letter keys off";

/** True while the person has letter keys switched on (they are unless switched off in this browser). */
export function letterKeysOn(): boolean {
  return typeof localStorage === "undefined" || localStorage.getItem(storePlace) === null;
}

/** Switches letter keys on or off in this browser. */
export function switchLetterKeys(on: boolean): void {
  if (on) localStorage.removeItem(storePlace);
  else localStorage.setItem(storePlace, "off");
}

/**
 * Lets single letters act while the focus is inside `place` and nothing is being typed. Keys are given in lower case.
 */
export function useLetterKeys(place: RefObject<HTMLElement | null>, keys: Readonly<Record<string, () => void>>): void {
  const current = useRef(keys);
  current.current = keys;
  useEffect(() => {
    const element = place.current;
    if (!element) return;
    const onKey = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLInputElement ||
        event.target instanceof HTMLSelectElement ||
        event.target instanceof HTMLTextAreaElement;
      if (event.defaultPrevented || event.ctrlKey || event.altKey || event.metaKey || typing || !letterKeysOn()) return;
      const act = current.current[event.key.toLowerCase()];
      if (!act) return;
      event.preventDefault();
      act();
    };
    element.addEventListener("keydown", onKey);
    return () => element.removeEventListener("keydown", onKey);
  }, [place]);
}
