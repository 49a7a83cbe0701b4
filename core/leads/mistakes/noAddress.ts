import { addressSign } from "../../edits/families/addressSign.ts";
import type { Mistake } from "./mistake.ts";

/** `scanf` without `&` before a plain variable. */
export const noAddress: Mistake = {
  id: "address-sign-missing",
  weight: 97,
  find: (context) => {
    return addressSign
      .mends(context)
      .filter((edit) => edit.text === "&" && edit.odds >= 1)
      .map((edit) => ({
        line: context.lineOf(edit.from),
        why: `No address sign stands before “${edit.parameters.name}”, and its place is what is wanted here.`,
      }));
  },
  examples: [{ language: "c", text: 'int f(void) {\n  int n;\n  scanf("%d", n);\n  return n;\n}\n', line: 3 }],
};
