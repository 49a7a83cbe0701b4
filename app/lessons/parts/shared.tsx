import { Link } from "react-router";
import type { Block } from "../../../core/lessons/readingTime.ts";
import type { FaultClass } from "../../../core/verdict/verdict.ts";
import { ClassMark, useClassWords, useCourseWords } from "../../components/marks.tsx";
import { formText } from "../../forms.ts";
import type { PartChoices } from "./partParts.ts";

/** A text in paragraphs, programs and numbered tasks; `firstTask` is the number of the first one. */
export function Blocks({ blocks, firstTask }: { blocks: readonly Block[]; firstTask: number }) {
  return blocks.map(({ of, text }, at) => {
    const task = firstTask + blocks.slice(0, at).filter((each) => each.of === "task").length;
    if (of === "program")
      return (
        <pre key={at} className="overflow-x-auto border border-rule bg-sheet px-3 py-2" tabIndex={0}>
          {text}
        </pre>
      );
    return (
      <p key={at} className={of === "task" ? "border-l-4 border-steel pl-3" : ""}>
        {of === "task" && <strong>Task {task}. </strong>}
        {text}
      </p>
    );
  });
}

/** A teacher's own words beside what is explained. */
export function OwnWordsBeside({ words }: { words: ReadonlyArray<{ title: string; words: string }> }) {
  return words.map(({ title, words: own }) => (
    <p key={title} className="border-l-4 border-plum bg-slip px-3 py-1">
      <span className="block text-[0.8em] font-semibold text-graphite">{title}</span>
      {own}
    </p>
  ));
}

/** A class of error explained. */
export function ClassExplained({
  of,
  is,
  shows,
  find,
  words,
}: {
  of: FaultClass;
  is: string;
  shows: string;
  find: readonly string[];
  words: ReadonlyArray<{ title: string; words: string }>;
}) {
  const inWords = useCourseWords();
  return (
    <section className="grid gap-2">
      <h3 className="text-[1.1em]">
        <ClassMark of={of} />
      </h3>
      <p>
        {inWords(is)} {inWords(shows)}
      </p>
      <ul className="list-disc pl-[1.2em]" aria-label="How it is found">
        {find.map((each) => (
          <li key={each}>{inWords(each)}</li>
        ))}
      </ul>
      <OwnWordsBeside words={words} />
    </section>
  );
}

/** Said where what a part is about is not there any more. */
export const gone = "The exercise of this part is not there any more.";

/** A choice of exercises; those that are not mended are left out where `mended`. */
export function ExerciseChoice({
  chosen,
  choices,
  mended = false,
}: {
  chosen: string;
  choices: PartChoices["exercises"];
  mended?: boolean;
}) {
  const classWords = useClassWords();
  return (
    <label>
      Exercise
      <select name="exercise" className="field" defaultValue={chosen}>
        {choices
          .filter((each) => each.mended || !mended)
          .map(({ key, title, classes }) => (
            <option key={key} value={key}>
              {title} ({classes.map((of) => classWords(of)).join(", ") || "no fault"})
            </option>
          ))}
      </select>
    </label>
  );
}

/** Leads to an exercise, in a plan. */
export function ToExercise({ exercise, title }: { exercise: string; title: string }) {
  return (
    <Link className="link" to={`/exercises/${exercise}`}>
      {title}
    </Link>
  );
}

/** A text of a part, to be written. */
export function TextField({ content, says }: { content: unknown; says: string }) {
  const { text } = Object(content) as { text?: unknown };
  return (
    <label className="grid gap-1">
      {says}
      <textarea name="text" rows={8} className="field" defaultValue={typeof text === "string" ? text : ""} />
    </label>
  );
}

/** The text of such a part, from its form. */
export const textContent = (given: FormData) => ({ text: formText(given, "text") });

/** How a text begins, in a plan: some words of its first block. */
export function beginningOf([first]: readonly Block[]): string {
  if (!first) return "nothing is written yet";
  const words = first.text.split(/\s+/);
  const shown = words.slice(0, 14);
  return shown.join(" ") + (shown.length < words.length ? " …" : "");
}
