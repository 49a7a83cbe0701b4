import type { ReactNode } from "react";

/** A labelled field for a program's text, its input or its output: nothing in it is wrapped or corrected. */
export function CodeField({
  name,
  label,
  note,
  rows = 2,
  ...rest
}: {
  name: string;
  label: ReactNode;
  /** A word beside the label. */
  note?: string;
  rows?: number;
  defaultValue?: string;
  placeholder?: string;
}) {
  return (
    <div>
      <label htmlFor={name}>{label}</label> {note && <span className="note-small">{note}</span>}
      <textarea
        id={name}
        name={name}
        className="field field-code overflow-auto"
        rows={rows}
        spellCheck={false}
        wrap="off"
        {...rest}
      />
    </div>
  );
}
