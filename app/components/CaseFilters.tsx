import { Form, useSubmit } from "react-router";
import { languages } from "../../core/languages/languages.ts";
import { findWording, inCourseWords } from "../../core/wording/wordings.ts";
import type { CaseFilter } from "../../server/cases/recordFilter.ts";

export type FilterChoices = {
  courses: Array<{ key: string; name: string; wording: string; students: Array<{ key: string; label: string }> }>;
  states: Array<{ value: string; words: string }>;
};

const classes = [
  { value: "syntax", words: "syntax errors" },
  { value: "runtime", words: "runtime errors" },
  { value: "logic", words: "logic errors" },
];

/**
 * Narrows a list of cases; what is chosen stands in the address, so that it can be gone back to. `withState`: also by
 * class and state.
 */
export function CaseFilters({
  filter,
  choices,
  withState,
}: {
  filter: CaseFilter;
  choices: FilterChoices;
  withState: boolean;
}) {
  const submit = useSubmit();
  const students = choices.courses.filter((course) => !filter.course || course.key === filter.course);
  const choose = (
    name: keyof CaseFilter,
    label: string,
    all: string,
    options: ReadonlyArray<{ value: string; words: string }>,
  ) => (
    <label>
      <span className="sr-only">{label}</span>
      <select
        // Each by itself, so that what is typed or chosen meanwhile stays when the list comes.
        key={filter[name] ?? ""}
        className="field w-auto max-w-48"
        name={name}
        aria-label={label}
        defaultValue={filter[name] ?? ""}
        onChange={(event) => void submit(event.target.form)}
      >
        <option value="">{all}</option>
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.words}
          </option>
        ))}
      </select>
    </label>
  );
  // The words of the chosen course; of all together the plain ones.
  const wording = findWording(choices.courses.find((course) => course.key === filter.course)?.wording);
  const classChoices = classes.map(({ value, words }) => ({ value, words: inCourseWords(wording, words) }));
  const narrowed = Object.values(filter).some((value) => value);
  return (
    <Form className="mb-3 flex flex-wrap items-center gap-2" role="search" aria-label="Find cases">
      <input
        key={filter.text ?? ""}
        type="search"
        className="field min-w-52 flex-1"
        name="text"
        aria-label="Words in programs, messages and notes"
        placeholder="find in programs, messages, notes"
        defaultValue={filter.text ?? ""}
      />
      {choose(
        "course",
        "Which course",
        "all courses",
        choices.courses.map((course) => ({ value: course.key, words: course.name })),
      )}
      {choose(
        "student",
        "Which student",
        "all students",
        students.flatMap((course) => course.students.map((student) => ({ value: student.key, words: student.label }))),
      )}
      {choose(
        "language",
        "Which language",
        "all languages",
        languages.map((language) => ({ value: language.id, words: language.name })),
      )}
      {withState && choose("class", "Which class", "all classes", classChoices)}
      {withState && choose("state", "Which state", "any state", choices.states)}
      <button className="press" type="submit">
        Find
      </button>
      {narrowed && (
        <a className="link" href="?">
          show all
        </a>
      )}
    </Form>
  );
}
