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
};
