import * as z from "zod";
import type { DefineView } from "../../../core/exercises/tasks/define.ts";
import { useClassWords } from "../../components/marks.tsx";
import type { FormProps } from "../taskParts.ts";

const answerSchema = z
  .object({ what: z.string().default(""), effect: z.string().default("") })
  .catch({ what: "", effect: "" });

/** What such an error is, and what it brings about: two fields for words of one's own. */
export function Form({ view, answer, fixed, change }: FormProps<DefineView>) {
  const own = answerSchema.parse(answer ?? {});
  const classWords = useClassWords();
  return (
    <div className="grid gap-2">
      <p>
        Say it of a <strong>{classWords(view.class)}</strong>, whatever the fault in this program is.
      </p>
      {(
        [
          ["what", "What is it?"],
          ["effect", "What does it bring about?"],
        ] as const
      ).map(([part, title]) => (
        <label key={part}>
          {title}
          <textarea
            className="field"
            rows={2}
            value={own[part]}
            disabled={fixed}
            onChange={(event) => change({ ...own, [part]: event.target.value })}
          />
        </label>
      ))}
    </div>
  );
}
