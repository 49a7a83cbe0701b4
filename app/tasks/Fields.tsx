import { type FieldsCompared, type FieldsView, fieldsAnswerSchema } from "../../core/exercises/asked.ts";
import { WritingLines } from "../print/PrintPage.tsx";
import type { FormProps } from "./taskParts.ts";

/** Questions that are answered in words, or in lines of text. */
export function FieldsForm({ view, answer, fixed, change }: FormProps<FieldsView>) {
  const parsed = fieldsAnswerSchema.safeParse(answer);
  const texts: Record<string, string> = parsed.success ? parsed.data.texts : {};
  return (
    <div className="grid gap-2">
      {view.shown !== "" && <pre className="border border-rule px-2 text-sm whitespace-pre-wrap">{view.shown}</pre>}
      {view.fields.map(({ name, says, rows, code }) => (
        <label key={name}>
          {says}
          <textarea
            className={`field ${code ? "font-mono" : ""}`}
            rows={rows}
            spellCheck={!code}
            value={texts[name] ?? ""}
            disabled={fixed}
            onChange={(event) => change({ texts: { ...texts, [name]: event.target.value } })}
          />
        </label>
      ))}
    </div>
  );
}

/** What was written, in the student's words. */
export function FieldsAnswer({ compared }: { compared: FieldsCompared }) {
  return (
    <>
      {compared.fields.map(({ name, says, code }) => (
        <div key={name}>
          <p className="note-small">{says}</p>
          <p className={`whitespace-pre-wrap ${code ? "font-mono" : ""}`}>
            {compared.texts[name] || "nothing written"}
          </p>
        </div>
      ))}
    </>
  );
}

/** Room for the answers on paper. */
export function FieldsPaper({ view }: { view: FieldsView }) {
  return (
    <>
      {view.shown !== "" && <pre className="border border-rule px-2 text-sm whitespace-pre-wrap">{view.shown}</pre>}
      {view.fields.map(({ name, says, rows }) => (
        <div key={name}>
          <p>{says}</p>
          <WritingLines count={rows} />
        </div>
      ))}
    </>
  );
}
