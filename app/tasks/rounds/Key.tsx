import type { RoundsKey } from "../../../core/exercises/tasks/rounds.ts";
import { stepParts } from "./stepParts.ts";

/** The filled tables of the steps that have one. */
export function Key({ ownKey }: { ownKey: RoundsKey }) {
  return ownKey.steps.map(({ title, key }, at) => {
    const StepKey = stepParts[at]?.Key;
    return key === null || !StepKey ? null : (
      <div key={title}>
        <p className="note-small">
          Step {at + 1}: {title}
        </p>
        <StepKey ownKey={key} />
      </div>
    );
  });
}
