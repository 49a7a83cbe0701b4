import * as z from "zod";
import { ClassMark } from "../../components/marks.tsx";
import type { FormProps } from "../taskParts.ts";

const answerSchema = z
  .object({ class: z.enum(["syntax", "runtime", "logic"]).optional(), reason: z.string().default("") })
  .catch({ reason: "" });

/** The three classes to choose from, and a reason in words. */
export function Form({ taskKey, answer, fixed, change }: FormProps<unknown>) {
  const own = answerSchema.parse(answer ?? {});
  return (
    <div className="grid gap-2">
      <fieldset className="flex flex-wrap gap-2" disabled={fixed}>
        <legend className="sr-only">Kind of error</legend>
        {(["syntax", "runtime", "logic"] as const).map((each) => (
          <label
            key={each}
            className={`flex cursor-pointer items-center gap-2 rounded-[3px] border px-2 py-1.5 ${own.class === each ? "border-ink bg-slip" : "border-rule-strong"}`}
          >
            <input
              type="radio"
              name={`class ${taskKey}`}
              checked={own.class === each}
              onChange={() => change({ ...own, class: each })}
            />
            <ClassMark of={each} />
          </label>
        ))}
      </fieldset>
      <label>
        Why is it that kind?
        <textarea
          className="field"
          rows={2}
          value={own.reason}
          disabled={fixed}
          onChange={(event) => change({ ...own, reason: event.target.value })}
        />
      </label>
    </div>
  );
}
