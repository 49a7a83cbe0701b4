import { ofKind } from "../../edits/places.ts";
import { part } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** A parameter whose first value is a list that is made once and then shared by all calls. */
export const defaultShared: Mistake = {
  id: "default-shared",
  weight: 97,
  find: (context) => {
    const { sharedDefault } = context.writing;
    return sharedDefault
      ? ofKind(context, "function").flatMap(({ node }) => {
          const body = part(node, "body");
          if (!body) return [];
          const [header, inside] = [context.text.slice(node.from, body.from), context.sourceOf(body)];
          return [...header.matchAll(sharedDefault)].flatMap(([, name]) => {
            const changes = new RegExp(
              String.raw`\b${name}\s*(?:\.(?:append|insert|extend|add|update|pop|remove|clear)\(|\[[^\]]*\]\s*[-+*/]?=(?!=)|\+=)`,
            );
            return changes.test(inside)
              ? [
                  {
                    line: context.lineOf(node.from),
                    why: `The first value of “${name}” is made once, and every call that names none changes the same one.`,
                  },
                ]
              : [];
          });
        })
      : [];
  },
  examples: [
    {
      language: "python",
      text: "def board(name, deck=[]):\n    deck.append(name)\n    return deck\nprint(board(1))\n",
      line: 1,
    },
  ],
};
