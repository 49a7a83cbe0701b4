import { textKind } from "../textKind.ts";

/** Say what would make a program better. */
export const improve = textKind({
  kind: "improve",
  title: "What would improve it?",
  asks: "What would you improve, beside the mistake, and why?",
  lookFor:
    "one improvement with its reason: names, a check of what is typed in, words around an output, a repeated piece",
});
