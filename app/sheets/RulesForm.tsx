import { Form } from "react-router";
import { type SittingMode, type SittingRules, sittingModes } from "../../core/sittings/sittingRules.ts";

/** What a mode means, for the teacher who chooses it. */
const modeWords: Readonly<Record<SittingMode, { name: string; means: string }>> = {
  test: { name: "Test", means: "Students see their marks when you release them." },
  practice: { name: "Practice", means: "Students see their marks as soon as they hand in, and can do it again." },
  paper: { name: "On paper", means: "The sheet is printed; nothing is typed in." },
};

/** How a sheet is sat. */
export function RulesForm({
  rules,
  isSet,
  scenes,
  said,
}: {
  rules: SittingRules;
  isSet: boolean;
  /** In how many other scenes its newest edition is there. */
  scenes: number;
  said: string;
}) {
  return (
    <Form method="post" className="leaf grid gap-2 p-3">
      <h2>How it is sat</h2>
      <fieldset className="grid gap-1">
        <legend className="sr-only">Kind of sitting</legend>
        {sittingModes.map((mode) => (
          <label key={mode} className="font-normal">
            <input type="radio" name="mode" value={mode} defaultChecked={rules.mode === mode} />{" "}
            <strong>{modeWords[mode].name}.</strong> {modeWords[mode].means}
          </label>
        ))}
      </fieldset>
      <label className="font-normal">
        Minutes for each student{" "}
        <input
          name="minutes"
          type="number"
          min={0}
          max={600}
          defaultValue={rules.minutes ?? 0}
          className="w-20 border border-rule-strong bg-sheet px-1"
        />{" "}
        <span className="note-small">0: as long as it is open</span>
      </label>
      <label className="font-normal">
        <input type="checkbox" name="oneAtATime" defaultChecked={rules.oneAtATime} /> one exercise at a time
      </label>
      <label className="font-normal">
        <input type="checkbox" name="bySeat" defaultChecked={rules.bySeat} /> neighbours have other names and numbers
      </label>
      <label className="font-normal">
        <input type="checkbox" name="otherScenes" defaultChecked={rules.otherScenes} /> for practice: done again, it has
        other names and numbers
      </label>
      {(rules.bySeat || rules.otherScenes) && isSet && (
        <p className="note-small" role="status">
          {scenes === 0
            ? "Other names and numbers are being made behind this page. Who begins before has those that were set."
            : `Made in ${scenes} other ${scenes === 1 ? "way" : "ways"}, with the same faults on the same lines.`}
        </p>
      )}
      <p>
        <label className="font-normal">
          <input type="checkbox" name="hints" defaultChecked={rules.hintCost !== null} /> hints,
        </label>{" "}
        <label className="font-normal">
          each for{" "}
          <input
            name="hintCost"
            type="number"
            min={0}
            max={20}
            step={0.5}
            defaultValue={rules.hintCost ?? 0}
            className="w-16 border border-rule-strong bg-sheet px-1"
          />{" "}
          marks
        </label>
      </p>
      <label className="font-normal">
        <input type="checkbox" name="encouraging" defaultChecked={rules.encouraging} /> short encouraging words
      </label>
      <div>
        <button className="press" type="submit" name="intent" value="rules">
          Keep
        </button>
        {said && (
          <span role="status" className="ml-3">
            {said}
          </span>
        )}
      </div>
    </Form>
  );
}
