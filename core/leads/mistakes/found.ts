import type { EditContext } from "../../edits/edit.ts";
import type { Mistake, MistakePlace } from "./mistake.ts";
import { inRefused, mistakes } from "./mistakes.ts";

/** A place where a kind of mistake may be, with the kind's id and weight. */
export type FoundMistake = MistakePlace & Pick<Mistake, "id" | "weight">;

function finder(kinds: readonly Mistake[]): (context: EditContext) => readonly FoundMistake[] {
  // One judgement asks before and after its recording, and once more for the kind of mistake.
  const known = new WeakMap<EditContext, readonly FoundMistake[]>();
  return (context) => {
    const found =
      known.get(context) ??
      kinds.flatMap(({ id, weight, find }) => find(context).map((place) => ({ ...place, id, weight })));
    known.set(context, found);
    return found;
  };
}

/** Everything that looks like a mistake in the text of a program that starts, kind by kind. */
export const foundMistakes = finder(mistakes);

/** The same for a program that is refused: only what makes another text of it before it is translated. */
export const foundInRefused = finder(inRefused);
