import * as z from "zod";
import type { PredictView } from "../../../core/exercises/tasks/predict.ts";
import { MendedProgram, TypedIn } from "../shown.tsx";
import type { FormProps } from "../taskParts.ts";

const answerSchema = z
  .object({ output: z.string().default(""), ending: z.string().optional(), givenUp: z.boolean().optional() })
  .catch({ output: "" });

/** Output and ending, written down before the program is tried. */
export function Form({ taskKey, view, answer, fixed, change, exercise }: FormProps<PredictView>) {
  const own = answerSchema.parse(answer ?? {});
  const locked = fixed || exercise.tried;
  return (
    <div className="grid gap-2">
      <MendedProgram text={view.text} />
      <TypedIn input={view.input} label={exercise.actions?.label} />
      <label>
        What does it print?
        <textarea
          className="field field-code overflow-auto"
          rows={4}
          spellCheck={false}
          wrap="off"
          value={own.output}
          disabled={locked}
          onChange={(event) => change({ ...own, output: event.target.value })}
        />
      </label>
      <fieldset className="flex flex-wrap gap-x-5" disabled={locked}>
        <legend className="text-sm">And how does the run end?</legend>
        {view.endings.map((ending) => (
          <label key={ending} className="font-normal">
            <input
              type="radio"
              name={`ending ${taskKey}`}
              checked={own.ending === ending}
              onChange={() => change({ ...own, ending })}
            />{" "}
            It {ending}
          </label>
        ))}
      </fieldset>
      {!locked && own.output === "" && own.ending === undefined && !own.givenUp && (
        <div>
          <button
            type="button"
            className="press press-quiet text-sm"
            onClick={() => change({ output: "", givenUp: true })}
          >
            I give this up
          </button>
        </div>
      )}
      {own.givenUp && <p className="note-small">Given up.</p>}
    </div>
  );
}
