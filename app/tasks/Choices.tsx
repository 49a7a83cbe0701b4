import { type ChoicesCompared, type ChoicesView, choicesAnswerSchema } from "../../core/exercises/asked.ts";
import { useCourseWords } from "../components/marks.tsx";
import type { FormProps } from "./taskParts.ts";

/** Questions that are answered by choosing, each of them once. */
export function ChoicesForm({ view, answer, fixed, change, taskKey, exercise }: FormProps<ChoicesView>) {
  const parsed = choicesAnswerSchema.safeParse(answer);
  const choices: Record<string, string> = parsed.success ? parsed.data.choices : {};
  const inWords = useCourseWords();
  const many = view.questions.some(({ options }) => options.length > 4);
  return (
    <div className="grid gap-3">
      {view.shown !== "" && <pre className="border border-rule px-2 text-sm whitespace-pre-wrap">{view.shown}</pre>}
      {view.questions.map(({ name, says, options }) => (
        <fieldset key={name} className={many ? "flex items-baseline gap-3" : "grid gap-1"} disabled={fixed}>
          <legend className={many ? "sr-only" : "font-semibold"}>{says}</legend>
          {many ? (
            <label className="flex items-baseline gap-3 font-normal">
              <select
                className="field w-16"
                value={choices[name] ?? ""}
                onChange={(event) => change({ choices: { ...choices, [name]: event.target.value } })}
              >
                <option value="">-</option>
                {options.map(({ value, words }) => (
                  <option key={value} value={value}>
                    {words}
                  </option>
                ))}
              </select>
              {says}
            </label>
          ) : (
            <div className="flex flex-wrap gap-x-5 gap-y-1">
              {options.map(({ value, words }) => (
                <label key={value} className="inline-flex min-h-8 items-center gap-2 font-normal">
                  <input
                    type="radio"
                    name={`${exercise.key} ${taskKey} ${name}`}
                    value={value}
                    checked={choices[name] === value}
                    onChange={() => change({ choices: { ...choices, [name]: value } })}
                  />
                  {inWords(words)}
                </label>
              ))}
            </div>
          )}
        </fieldset>
      ))}
    </div>
  );
}

/** What was chosen, with what is right beside what is not. */
export function ChoicesAnswer({ compared }: { compared: ChoicesCompared }) {
  const inWords = useCourseWords();
  return (
    <ul className="grid gap-1">
      {compared.questions.map(({ name, says, options }) => {
        const wordsOf = (value: string | undefined) =>
          inWords(options.find((option) => option.value === value)?.words ?? value ?? "nothing");
        const [own, right] = [compared.choices[name], compared.right[name]];
        return (
          <li key={name}>
            {says}{" "}
            {own === right ? (
              <strong>{wordsOf(own)}</strong>
            ) : (
              <>
                <del>{wordsOf(own)}</del> <strong>{wordsOf(right)}</strong>
              </>
            )}
          </li>
        );
      })}
    </ul>
  );
}

/** The same on paper: boxes to be ticked, or numbers to be written. */
export function ChoicesPaper({ view }: { view: ChoicesView }) {
  const inWords = useCourseWords();
  return (
    <>
      {view.shown !== "" && <pre className="border border-rule px-2 text-sm whitespace-pre-wrap">{view.shown}</pre>}
      <ul className="grid gap-1">
        {view.questions.map(({ name, says, options }) =>
          options.length > 4 ? (
            <li key={name}>____ {says}</li>
          ) : (
            <li key={name}>
              {says} {options.map(({ words }) => `☐ ${inWords(words)}`).join("  ")}
            </li>
          ),
        )}
      </ul>
    </>
  );
}
