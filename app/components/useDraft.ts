import { type RefObject, useEffect } from "react";

/**
 * Keeps what is typed into a form in this browser until it is handed over, so that a reload or a crash loses nothing.
 * Fields are remembered by name; files are not (their text goes into a field). Returns how to forget the draft.
 */
export function useDraft(form: RefObject<HTMLFormElement | null>, name: string): () => void {
  const place = `bent-nail draft ${name}`;
  useEffect(() => {
    const element = form.current;
    if (!element) return;
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(place) ?? "{}");
      if (typeof kept === "object" && kept !== null) {
        for (const [field, value] of Object.entries(kept)) {
          const control = element.elements.namedItem(field);
          if (
            control instanceof HTMLTextAreaElement ||
            control instanceof HTMLSelectElement ||
            (control instanceof HTMLInputElement &&
              control.type !== "checkbox" &&
              control.type !== "radio" &&
              control.type !== "hidden")
          ) {
            if (!control.value && typeof value === "string") {
              control.value = value;
              control.dispatchEvent(new Event("input", { bubbles: true }));
            }
          }
        }
      }
    } catch {
      localStorage.removeItem(place);
    }
    const save = () => {
      const fields: Record<string, string> = {};
      for (const [field, value] of new FormData(element))
        if (typeof value === "string" && value !== "") fields[field] = value;
      localStorage.setItem(place, JSON.stringify(fields));
    };
    element.addEventListener("input", save);
    return () => element.removeEventListener("input", save);
  }, [form, place]);
  return () => localStorage.removeItem(place);
}
