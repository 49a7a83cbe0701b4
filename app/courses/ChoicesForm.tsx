import type { ReactNode } from "react";
import { Form } from "react-router";
import { courseChoices, courseTerms } from "../../core/wording/choices.ts";
import type { Wording } from "../../core/wording/wordings.ts";

/** The course's own words for terms, and where it stands in what courses differ. None of it changes what is stored. */
export function ChoicesForm({ wording, said }: { wording: Wording; said: ReactNode }) {
  const { terms = {}, choices = {} } = wording.chosen ?? {};
  return (
    <Form method="post" className="leaf grid gap-3 p-3">
      <details open={wording.chosen !== undefined}>
        <summary className="cursor-pointer font-semibold text-steel-deep">
          Its own words, and where courses differ
        </summary>
        <div className="mt-2 grid gap-3">
          <fieldset className="grid gap-1.5">
            <legend>In this course it is called</legend>
            {courseTerms.map(({ id, usual, means }) => (
              <label key={id} className="grid grid-cols-[minmax(0,1fr)_11rem] items-baseline gap-2 font-normal">
                <span>
                  {usual} <span className="note-small">{means}</span>
                </span>
                <input
                  name={`term ${id}`}
                  className="field"
                  maxLength={80}
                  defaultValue={terms[id] ?? ""}
                  placeholder={usual}
                />
              </label>
            ))}
          </fieldset>
          {courseChoices.map(({ id, asks, options, limits }) => (
            <label key={id}>
              {asks}
              <select name={`choice ${id}`} className="field" defaultValue={choices[id] ?? options[0]?.value}>
                {options.map(({ value, words }) => (
                  <option key={value} value={value}>
                    {words}
                  </option>
                ))}
              </select>
              {limits && <span className="note-small block font-normal">{limits}</span>}
            </label>
          ))}
          <div>
            <button className="press" type="submit" name="intent" value="choices">
              Keep these
            </button>
            {said}
          </div>
        </div>
      </details>
    </Form>
  );
}
