import { ownObjectFamily } from "../../edits/families/ownObject.ts";
import type { Mistake } from "./mistake.ts";

/** What a function is handed is given to itself, where a part of the object with the same name was meant. */
export const givenToItself: Mistake = {
  id: "variable-shadowed",
  weight: 99,
  find: (context) =>
    context.writing.ownObject?.isHanded === false
      ? ownObjectFamily.mends(context).map((edit) => ({
          line: context.lineOf(edit.from),
          names: [edit.parameters.name ?? ""],
          why: `“${edit.parameters.name}” is given to itself here; the part of the object with this name stays as it was.`,
        }))
      : [],
  examples: [
    { language: "java", text: "class Car {\n  int load;\n  Car(int load) {\n    load = load;\n  }\n}\n", line: 4 },
  ],
};
