import { classesSchema } from "../../../core/lessons/parts/classesPart.ts";
import { useClassWords } from "../../components/marks.tsx";
import type { PartParts } from "./partParts.ts";
import { ClassExplained } from "./shared.tsx";

const all = ["syntax", "runtime", "logic"] as const;

export const classes: PartParts<"classes"> = {
  kind: "classes",
  steps: ({ shows }) => shows.length,
  Before: ({ part, count }) => (
    <div className="grid gap-4" aria-live="polite">
      {count === 0 && <p>Which kinds of error do you know, and how does each one show?</p>}
      {/* One at a time: what was shown before is a key back, and nothing is below the edge of the screen. */}
      {part.shows.slice(Math.max(0, count - 1), count).map((each) => (
        <ClassExplained key={each.of} {...each} />
      ))}
    </div>
  ),
  Read: ({ part }) => part.shows.map((each) => <ClassExplained key={each.of} {...each} />),
  Plan: ({ part }) => {
    const classWords = useClassWords();
    return part.shows.map(({ of }) => classWords(of)).join(", ");
  },
  Fields: ({ content }) => {
    const classWords = useClassWords();
    const read = classesSchema.safeParse(content);
    return (
      <fieldset className="flex flex-wrap gap-4">
        <legend>Kinds of error</legend>
        {all.map((of) => (
          <label key={of}>
            <input
              type="checkbox"
              name="class"
              value={of}
              defaultChecked={read.success ? read.data.classes.includes(of) : true}
            />{" "}
            {classWords(of)}
          </label>
        ))}
      </fieldset>
    );
  },
  contentOf: (given) => ({ classes: given.getAll("class") }),
};
