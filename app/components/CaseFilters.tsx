import { Form, useSubmit } from "react-router";
import type { NamedLanguage } from "../../core/languages/named.ts";
import { causes, moments } from "../../core/verdict/fields.ts";
import { findWording, inCourseWords } from "../../core/wording/wordings.ts";
import type { CaseFilter } from "../../server/cases/recordFilterStore.ts";

export type FilterChoices = {
  courses: Array<{
    key: string;
    name: string;
    wording: string;
    students: Array<{ key: string; label: string }>;
    assignments: Array<{ key: string; title: string }>;
  }>;
  languages: NamedLanguage[];
  states: Choice[];
  distances: Choice[];
  advice: Choice[];
  patterns: Choice[];
};
type Choice = { value: string; words: string };

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
  keep = {},
}: {
  filter: CaseFilter;
  choices: FilterChoices;
  withState: boolean;
  /** What else of the address stays. */
  keep?: Readonly<Record<string, string>>;
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
  const momentChoices = moments.map((value) => ({ value, words: `noticed ${value}` }));
  const causeChoices = causes.map((value) => ({ value, words: inCourseWords(wording, `comes from ${value} errors`) }));
  const classChoices = classes.map(({ value, words }) => ({ value, words: inCourseWords(wording, words) }));
  const narrowed = Object.values(filter).some((value) => value);
  const further = ["assignment", "cause", "moment", "pattern", "distance", "advice", "since", "until"] as const;
  const furtherNarrowed = further.some((name) => filter[name]);
  const assignments = choices.courses.filter((course) => !filter.course || course.key === filter.course);
  const date = (name: "since" | "until", label: string) => (
    <label className="flex items-baseline gap-1.5 text-sm">
      {label}
      <input
        key={filter[name] ?? ""}
        type="date"
        className="field w-auto"
        name={name}
        defaultValue={filter[name] ?? ""}
        onChange={(event) => void submit(event.target.form)}
      />
    </label>
  );
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
        choices.languages.map(({ id, name }) => ({ value: id, words: name })),
      )}
      {withState && choose("class", "Which class", "all classes", classChoices)}
      {withState && choose("state", "Which state", "any state", choices.states)}
      <button className="press" type="submit">
        Find
      </button>
      {withState && (
        <details open={furtherNarrowed} className="basis-full">
          <summary className="cursor-pointer text-sm font-semibold text-steel-deep">Narrow further</summary>
          <div className="mt-1 flex flex-wrap items-center gap-2">
            {choose(
              "assignment",
              "Which assignment",
              "all assignments",
              assignments.flatMap((course) =>
                course.assignments.map(({ key, title }) => ({ value: key, words: title })),
              ),
            )}
            {choose("pattern", "Which kind of mistake", "all kinds of mistake", choices.patterns)}
            {choose("cause", "Which cause", "whatever causes it", causeChoices)}
            {choose("moment", "When it is noticed", "whenever noticed", momentChoices)}
            {choose("distance", "Where the line is reported", "wherever reported", choices.distances)}
            {choose("advice", "What the message is worth", "whatever the message is worth", choices.advice)}
            {date("since", "from")}
            {date("until", "to")}
          </div>
        </details>
      )}
      {Object.entries(keep).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      {filter.signature && (
        <p className="note-small basis-full">
          Only this message: <code>{filter.signature}</code>
          <input type="hidden" name="signature" value={filter.signature} />
        </p>
      )}
      {narrowed && (
        <a className="link" href={`?${new URLSearchParams(keep)}`}>
          show all
        </a>
      )}
    </Form>
  );
}
