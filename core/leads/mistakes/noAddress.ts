import { addressSign } from "../../edits/families/addressSign.ts";
import { namesIn } from "../../edits/places.ts";
import { nodesOf } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** `scanf` without `&` before a plain variable. */
export const noAddress: Mistake = {
  id: "address-sign-missing",
  weight: 97,
  find: (context) => {
    const arrays = new Set(
      nodesOf(context.tree)
        .filter((node) => node.kind === "declaration" || node.kind === "parameter")
        .flatMap((node) => (/[[*]/.test(context.sourceOf(node)) ? [...namesIn(node), node.sign ?? ""] : [])),
    );
    return addressSign
      .mends(context)
      .filter((edit) => edit.text === "&" && !arrays.has(edit.parameters.name ?? ""))
      .map((edit) => ({
        line: context.lineOf(edit.from),
        why: `What is read has no address sign before “${edit.parameters.name}”.`,
      }));
  },
  examples: [{ language: "c", text: 'int f(void) {\n  int n;\n  scanf("%d", n);\n  return n;\n}\n', line: 3 }],
};
