import { areSimilar } from "../../source/spelling.ts";
import type { Mistake } from "./mistake.ts";

/** A name that gets a value and is never used, nearly another one. */
export const nameAlmostNew: Mistake = {
  id: "misspelt-name-is-new",
  weight: 94,
  find: (context) => {
    if (context.writing.variables !== "by assignment") return [];
    const written = new Map<string, number>();
    const used = new Set<string>();
    for (const { node, around } of context.nodes) {
      // What a function gives back by its name is used by whoever calls it.
      if (node.kind === "parameter") used.add(node.sign ?? "");
      if (node.kind !== "name") continue;
      const name = node.sign ?? "";
      const only =
        node.role === "target" &&
        around.at(-1)?.kind === "assignment" &&
        around.at(-1)?.sign === context.writing.assign;
      if (only) written.set(name, context.lineOf(node.from));
      else used.add(name);
    }
    return [...written].flatMap(([name, line]) => {
      if (used.has(name) || name.length < 3) return [];
      const other = context.names.find((each) => areSimilar(each, name));
      return other ? [{ line, why: `“${name}” is used nowhere; “${other}” is nearly the same name.` }] : [];
    });
  },
  examples: [{ language: "python", text: "total = 0\nfor x in a:\n    totl = total + x\nprint(total)\n", line: 3 }],
};
