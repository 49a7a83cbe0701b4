import { change } from "../../edits/edit.ts";
import { example } from "../example.ts";
import { byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A default value that can change is made once and kept from call to call. */
export const defaultShared: Pattern = {
  id: "default-shared",
  name: "One default for all calls",
  says: "A default value that can change is made once and kept from call to call.",
  mends: "Make it in the function.",
  cause: "The default is made once, when the function is made.",
  avoid: "Let the default be nothing, and make the list inside.",
  fault: true,
  grounds: [byNotice("default-shared", 6)],
  examples: [
    example(
      "python",
      `def board(name, deck=«None¦[]»):
«    if deck is None:
        deck = []
¦»    deck.append(name)
    return deck

board("K1")
print(board("K2"))
`,
    ),
  ],
  plants: ({ code }) =>
    code.flatMap((token, at) => {
      const [name, sign] = [code[at - 2], code[at - 1]];
      const first = code.find((each) => each.line === token.line);
      return token.text === "None" && sign?.text === "=" && name?.kind === "name" && first?.text === "def"
        ? [change(token, "[]")]
        : [];
    }),
};
