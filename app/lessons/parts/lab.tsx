import { labSchema } from "../../../core/lessons/parts/labPart.ts";
import { Script } from "../../components/Script.tsx";
import { LabToDo } from "../../readLesson/LabToDo.tsx";
import { CameWords } from "../CameWords.tsx";
import { ChangeOfSign } from "../ChangeOfSign.tsx";
import { LabChanges } from "../LabChanges.tsx";
import type { PartParts } from "./partParts.ts";
import { ExerciseChoice, gone, ToExercise } from "./shared.tsx";

/** Changes that stand beside one another before a class; former ones are a key back. */
const mostBeside = 3;

export const lab: PartParts<"lab"> = {
  kind: "lab",
  // For each change: what is changed, then what comes of it.
  steps: ({ shows }) => (shows?.changes.length ?? 0) * 2,
  Before: ({ part, count }) => {
    if (!part.shows) return <p>{gone}</p>;
    const { lines, fileName, changes, title } = part.shows;
    const told = Math.ceil(count / 2);
    const from = Math.max(0, told - mostBeside);
    const now = changes[told - 1];
    return (
      <div className="grid items-start gap-6 lg:grid-cols-2">
        <div className="grid gap-2">
          <p>{title}: it is right as it stands here. Each time one sign of it is changed.</p>
          <div className="presented-script border border-rule bg-sheet py-3">
            <Script
              lines={lines}
              label={`Program ${fileName}`}
              slip={now ? [{ start: now.line, before: [now.before], after: [now.after] }] : []}
            />
          </div>
        </div>
        <ol className="grid gap-3" aria-live="polite" aria-label="Changes" start={from + 1}>
          {changes.slice(from, told).map((change, at) => (
            <li key={change.number} className="grid gap-1">
              <p>
                <ChangeOfSign change={change} />
              </p>
              {(from + at + 1) * 2 <= count ? (
                change.came && <CameWords came={change.came} />
              ) : (
                <p className="border-l-4 border-steel bg-slip p-3">
                  Guess: is it refused, does it stop, or does something else come out? Which words will the message
                  have?
                </p>
              )}
            </li>
          ))}
        </ol>
      </div>
    );
  },
  Read: ({ part, code }) => (part.shows ? <LabToDo part={part} lab={part.shows} code={code} /> : <p>{gone}</p>),
  Plan: ({ part }) => {
    if (!part.shows) return gone;
    const { exercise, title, changes } = part.shows;
    return (
      <>
        <ToExercise exercise={exercise} title={title} />, {changes.length} {changes.length === 1 ? "change" : "changes"}
        <ol className="list-decimal pl-5">
          {changes.map((change) => (
            <li key={change.number}>
              <ChangeOfSign change={change} />
              {change.came && <CameWords came={change.came} />}
            </li>
          ))}
        </ol>
      </>
    );
  },
  Fields: ({ content, choices }) => {
    const read = labSchema.safeParse(content);
    return (
      <>
        <ExerciseChoice chosen={read.success ? read.data.exercise : ""} choices={choices.exercises} mended />
        <p className="note-small">With another exercise its changes are looked for anew.</p>
      </>
    );
  },
  More: ({ part, revision, busy }) =>
    part.shows && <LabChanges part={part.key} lab={part.shows} revision={revision} busy={busy} />,
  contentOf: (given, before) => {
    const read = labSchema.safeParse(before);
    const exercise = given.get("exercise");
    return { exercise, changes: read.success && read.data.exercise === exercise ? read.data.changes : [] };
  },
};
