import type { ShownControl, ShownForms } from "../../core/outcome/forms.ts";

const kindWords: Readonly<Record<ShownControl["kind"], string>> = {
  ...{ box: "box", label: "label", button: "button", check: "to tick", option: "one of several", list: "list" },
  ...{ choice: "choice", number: "number", timer: "clock", form: "form" },
};

/** What a thing on a form shows, in words: what can be seen of it and nothing else. */
function shownText({ kind, text, checked, items, chosen }: ShownControl): string {
  if (checked !== undefined) return `${checked ? "ticked" : "not ticked"}${text === "" ? "" : `: ${text}`}`;
  if (kind !== "list") return text;
  return (items ?? []).map((item, at) => (at === chosen ? `▸ ${item}` : item)).join("\n");
}

/** The forms of a program as they stand when its run is over: what stands on each and what it shows; which presses nobody answered. */
export function FormAsShown({ shown, label }: { shown: ShownForms; label: string }) {
  return (
    <div className="grid gap-2">
      {shown.forms.map((form) => (
        <table key={form.name} className="w-full max-w-xl border-collapse border border-rule bg-leaf text-sm">
          <caption className="note-small pb-1 text-left">
            Form <strong className="font-mono">{form.name}</strong> after {label}
            {form.closed && ", closed by then"}
          </caption>
          <thead>
            <tr className="border-b border-rule text-left">
              <th className="px-2 py-1 font-semibold">Name</th>
              <th className="px-2 py-1 font-semibold">What it is</th>
              <th className="px-2 py-1 font-semibold">What it shows</th>
            </tr>
          </thead>
          <tbody>
            {form.controls.map((control) => (
              <tr key={control.name} className="border-b border-rule align-top">
                <th className="px-2 py-1 text-left font-mono font-normal">{control.name}</th>
                <td className="px-2 py-1">
                  {kindWords[control.kind]}
                  {!control.enabled && control.kind !== "timer" && ", cannot be used"}
                  {!control.visible && ", hidden"}
                </td>
                <td className="whitespace-pre-wrap px-2 py-1 font-mono">
                  {shownText(control) || <span className="note-small font-sans">nothing</span>}
                  {control.colour !== undefined && (
                    <span className="note-small font-sans"> (written in {control.colour})</span>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ))}
      {shown.unheard.map((name) => (
        <p key={name} className="border-l-4 border-ochre pl-2">
          <strong className="font-mono">{name}</strong> was pressed, and no routine answers to it: nothing happened.
        </p>
      ))}
      {shown.missed.map((line, at) => (
        <p key={`${at} ${line}`} className="border-l-4 border-ochre pl-2">
          Nobody could do <strong className="font-mono">{line}</strong>: what it names is not on the form, hidden, or of
          another kind.
        </p>
      ))}
    </div>
  );
}
