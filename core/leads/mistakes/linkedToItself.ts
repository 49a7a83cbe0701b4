import { ownLinks } from "../../edits/links.ts";
import type { Mistake } from "./mistake.ts";

/** A part of an object gets the object itself, since the name that held another one was given the object just before. */
export const linkedToItself: Mistake = {
  id: "linked-to-itself",
  weight: 97,
  find: (context) =>
    ownLinks(context).flatMap(({ first, second, part, object, held }) =>
      [first, second].map((each) => ({
        line: context.lineOf(each.from),
        why: `“${held}” is “${object}” already when “${part}” gets it: it points to itself. These two lines belong the other way round.`,
      })),
    ),
  examples: [
    {
      language: "c",
      text: "void f(struct boat *made) {\n  first = made;\n  made->next = first;\n}\n",
      line: 2,
    },
    {
      language: "java",
      text: "class M {\n  void f(Boat made) {\n    first = made;\n    made.next = first;\n  }\n}\n",
      line: 3,
    },
    { language: "python", text: "def add(made):\n    deck.first = made\n    made.next = deck.first\n", line: 2 },
  ],
};
