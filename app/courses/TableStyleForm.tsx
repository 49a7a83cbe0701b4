import type { ReactNode } from "react";
import { Form } from "react-router";
import { type MoreColumn, moreColumnNames, type TableStyle, usualStyle } from "../../core/trace/tableStyle.ts";

/** The choices of a style, in words. */
const choices = [
  {
    name: "rows",
    words: "A row for each",
    options: { line: "line that runs", change: "change", pass: "pass of a loop" },
  },
  {
    name: "unchanged",
    words: "Where nothing changes",
    options: { blank: "the cell is blank", repeated: "the value is repeated" },
  },
  { name: "texts", words: "Texts", options: { quoted: "with their quotes", plain: "without quotes" } },
  {
    name: "truth",
    words: "Truths",
    options: { "as written": "as the language writes them", plain: "true and false everywhere" },
  },
  {
    name: "objects",
    words: "Objects",
    options: { named: "by short names (Ferry 2)", whole: "whole wherever they are" },
  },
  {
    name: "notation",
    words: "Values written in another way, in exercises",
    options: { free: "count as right", counts: "cost one cell, once" },
  },
] as const satisfies ReadonlyArray<{
  name: keyof TableStyle;
  words: string;
  options: Readonly<Record<string, string>>;
}>;

const columnWords: Readonly<Record<MoreColumn, string>> = {
  ...{ condition: "condition", pass: "pass", call: "call", depth: "in (how deep the call lies)" },
  waiting: "waiting (what is left of the typed input)",
};

/** How the course writes trace tables; `styles` are those that it has kept, the one in use first. */
export function TableStyleForm({
  styles,
  said,
  used,
}: {
  styles: readonly TableStyle[];
  said: ReactNode;
  used: ReactNode;
}) {
  const [style = usualStyle, ...others] = styles;
  return (
    <section className="leaf grid gap-3 p-3" aria-label="How tables are written">
      <h2 className="text-base">How tables are written</h2>
      <Form method="post" className="grid gap-3" key={JSON.stringify(style)}>
        <label>
          Name of the style
          <input name="name" className="field" defaultValue={style.name} required maxLength={60} />
        </label>
        <div className="grid gap-3 sm:grid-cols-2">
          {choices.map(({ name, words, options }) => (
            <label key={name}>
              {words}
              <select name={name} className="field" defaultValue={style[name]}>
                {Object.entries(options).map(([value, meaning]) => (
                  <option key={value} value={value}>
                    {meaning}
                  </option>
                ))}
              </select>
            </label>
          ))}
        </div>
        <fieldset className="flex flex-wrap gap-x-4">
          <legend className="text-sm">Columns beside the variables, always</legend>
          {moreColumnNames.map((name) => (
            <label key={name} className="text-sm font-normal">
              <input type="checkbox" name="columns" value={name} defaultChecked={style.columns.includes(name)} />{" "}
              {columnWords[name]}
            </label>
          ))}
        </fieldset>
        <p className="note-small">
          An object that goes by a short name stands whole once, then by what changes in it. A style is for screen,
          paper and new exercises; those that are made keep the style that they were made in. Marking takes a value in
          either way of writing it.
        </p>
        <div>
          <button className="press" type="submit" name="intent" value="table style">
            Keep this style
          </button>
          {said}
        </div>
      </Form>
      {others.length > 0 && (
        <ul className="grid gap-1" aria-label="Other styles of this course">
          {others.map((other) => (
            <li key={other.name}>
              <Form method="post" className="flex items-baseline gap-3">
                <input type="hidden" name="name" value={other.name} />
                <span>{other.name}</span>
                <button className="press press-quiet" type="submit" name="intent" value="use style">
                  Use it
                </button>
              </Form>
            </li>
          ))}
        </ul>
      )}
      {used}
    </section>
  );
}
