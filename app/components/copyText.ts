/**
 * Puts a text on the clipboard. Over plain HTTP browsers give pages no clipboard of their own; what is selected in a field
 * can be copied there all the same. False where neither works.
 */
export async function copyText(text: string): Promise<boolean> {
  try {
    if (window.isSecureContext && navigator.clipboard) {
      await navigator.clipboard.writeText(text);
      return true;
    }
  } catch {
    // Refused by the person or the browser: the older way may still work.
  }
  const before = document.activeElement;
  const field = document.createElement("textarea");
  field.value = text;
  field.readOnly = true;
  field.className = "fixed -left-[100vw] top-0";
  document.body.append(field);
  field.select();
  const copied = document.execCommand("copy");
  field.remove();
  if (before instanceof HTMLElement) before.focus();
  return copied;
}
