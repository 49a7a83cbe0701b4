import { change } from "../../edits/edit.ts";
import { example } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A method changes its object and gives nothing back, and its result is used. */
export const inPlaceResultUsed: Pattern = {
  id: "in-place-result-used",
  name: "The result of what changes in place",
  says: "A method changes its object and gives nothing back, and its result is used.",
  mends: "Use the object itself.",
  cause: "Some methods change their object and give nothing back.",
  avoid: "Look it up: does it change or does it give back?",
  fault: true,
  grounds: [
    byEdit(
      "result-thrown-away",
      ({ lineBefore }) =>
        /(?:=|[(,]|\breturn\b|\bin\b).*\.(?:sort|append|reverse|add|push|insert|extend)\(/.test(lineBefore),
      6,
    ),
  ],
  examples: [
    example(
      "python",
      `loads = [12, 7, 20]
«loads.sort()¦loads = loads.sort()»
print(loads)
`,
    ),
    example(
      "python",
      `loads = [12, 7]
«loads.append(20)¦loads = loads.append(20)»
print(loads)
`,
    ),
  ],
  plants: ({ lines, writing }) =>
    lines.flatMap(({ from, indent, text }) => {
      const [, name] = /^\s*(\w+)\.(?:sort|append|reverse|insert|extend)\(/.exec(text) ?? [];
      const at = from + indent.length;
      return name && writing.variables === "by assignment" ? [change({ from: at, to: at }, `${name} = `)] : [];
    }),
};
