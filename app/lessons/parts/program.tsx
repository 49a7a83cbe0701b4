import { programSchema, programSteps } from "../../../core/lessons/parts/programPart.ts";
import { revealsOf, seenAfter } from "../../../core/lessons/reveals.ts";
import { Script } from "../../components/Script.tsx";
import { UserSteps } from "../../components/UserSteps.tsx";
import { PresentedProgram } from "../../present/PresentedProgram.tsx";
import type { Presentation } from "../../present/presentation.ts";
import type { PartOf, PartParts } from "./partParts.ts";
import { ExerciseChoice, gone, ToExercise } from "./shared.tsx";

const stepWords: Readonly<Record<(typeof programSteps)[number], string>> = {
  class: "name the kind of error",
  line: "find the line",
  fix: "mend it, and run it again",
};

const revealsIn = ({ shows }: PartOf<"program">, loaded: Presentation) =>
  revealsOf(loaded.faults, shows?.without ?? []);

export const program: PartParts<"program"> = {
  kind: "program",
  steps: (part, loaded) => (loaded ? revealsIn(part, loaded).length : 0),
  runs: ({ shows }) => shows?.exercise ?? null,
  Before: ({ part, count, loaded }) => {
    if (!part.shows) return <p>{gone}</p>;
    if (!loaded) return <p role="status">The program is being run …</p>;
    return (
      <div className="grid gap-3">
        <p className="font-semibold">{loaded.title}</p>
        {loaded.intro && <p>{loaded.intro}</p>}
        <UserSteps title="What the user does:" steps={loaded.userActions} />
        <PresentedProgram view={loaded} seen={seenAfter(revealsIn(part, loaded), count)} />
      </div>
    );
  },
  Read: ({ part }) => {
    if (!part.shows) return <p>{gone}</p>;
    const { title, intro, fileName, lines, typed, userActions, without } = part.shows;
    return (
      <>
        <p className="font-semibold">{title}</p>
        {intro && <p>{intro}</p>}
        <UserSteps title="What the user does:" steps={userActions} />
        <div className="border border-rule bg-sheet py-2">
          <Script lines={lines} label={`Program ${fileName}`} />
        </div>
        {typed !== "" && (
          <p>
            Typed in: <code className="whitespace-pre-wrap">{typed.trimEnd()}</code>
          </p>
        )}
        <p className="border-l-4 border-steel pl-3">
          <strong>Task {part.firstTask}.</strong> Read it. What should it do, and what will happen when it is run?
          {!without.includes("class") && " Which kind of error is it?"}
          {!without.includes("line") && " In which line is the mistake?"}
          {!without.includes("fix") && " How would you mend it?"}
        </p>
      </>
    );
  },
  Plan: ({ part }) => {
    if (!part.shows) return gone;
    const { exercise, title, without } = part.shows;
    const done = programSteps.filter((step) => !without.includes(step)).map((step) => stepWords[step]);
    return (
      <>
        <ToExercise exercise={exercise} title={title} />: {["guess", "run it", ...done].join(", ")}
      </>
    );
  },
  Fields: ({ content, choices }) => {
    const read = programSchema.safeParse(content);
    return (
      <>
        <ExerciseChoice chosen={read.success ? read.data.exercise : ""} choices={choices.exercises} />
        <fieldset className="flex flex-wrap gap-4">
          <legend>After guessing and running it</legend>
          {programSteps.map((step) => (
            <label key={step}>
              <input
                type="checkbox"
                name="step"
                value={step}
                defaultChecked={!read.success || !read.data.without.includes(step)}
              />{" "}
              {stepWords[step]}
            </label>
          ))}
        </fieldset>
      </>
    );
  },
  contentOf: (given) => ({
    exercise: given.get("exercise"),
    without: programSteps.filter((step) => !given.getAll("step").includes(step)),
  }),
};
