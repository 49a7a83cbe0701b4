import { ownObjectFamily } from "../../edits/families/ownObject.ts";
import type { Mistake } from "./mistake.ts";

/** What belongs to an object is given to a variable of the function, or the object is not handed in. */
export const ownObjectLeftOut: Mistake = {
  id: "member-misspelt",
  weight: 99,
  find: (context) =>
    (context.writing.ownObject?.isHanded ? ownObjectFamily.mends(context) : [])
      .filter((edit) => edit.odds >= 1.5)
      .map((edit) => ({
        line: context.lineOf(edit.from),
        why: edit.text.endsWith(".")
          ? `“${edit.parameters.name}” is a variable of this function here, and not a part of its object.`
          : `The object itself is handed to this function first, and nothing takes it: “${edit.parameters.name}”.`,
      })),
  examples: [
    {
      language: "python",
      text: "class Crew:\n    def __init__(self):\n        trips = []\n    def count(self):\n        return len(self.trips)\n",
      line: 3,
    },
    { language: "python", text: "class Crew:\n    def add(trip):\n        print(trip)\n", line: 2 },
  ],
};
