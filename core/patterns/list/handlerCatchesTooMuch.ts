import { change } from "../../edits/edit.ts";
import { example } from "../example.ts";
import type { Pattern } from "../pattern.ts";

/** A handler takes every error, so that a fault of the program is hidden. */
export const handlerCatchesTooMuch: Pattern = {
  id: "handler-catches-too-much",
  name: "A handler that catches too much",
  says: "A handler takes every error, so that a fault of the program is hidden.",
  mends: "Catch only what is expected.",
  cause: "A handler for everything also takes the slips of the program itself.",
  avoid: "Name the one error that is expected.",
  fault: true,
  grounds: [],
  examples: [
    example(
      "python",
      `loads = {"tern": 12}
try:
    print(«loads¦load»["tern"])
except Exception:
    print("no such ferry")
`,
    ),
  ],
  plants: ({ code }) =>
    code.flatMap((token, at) => {
      const named = code[at + 1];
      return token.text === "except" && named?.kind === "name" && named.text !== "Exception"
        ? [change(named, "Exception")]
        : [];
    }),
};
