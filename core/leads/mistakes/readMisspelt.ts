import type { EditContext, Placed } from "../../edits/edit.ts";
import { usageOf } from "../../edits/usage.ts";
import { areSimilar } from "../../source/spelling.ts";
import type { Mistake } from "./mistake.ts";

/** Where a name is read that nothing gives a value and that is nearly `name`, which nothing reads; undefined where there is none. */
export function misreadOf(context: EditContext, name: string): Placed | undefined {
  const isGiven = (other: string) =>
    context.nodes.some(
      ({ node }) =>
        node.sign === other && (node.kind === "parameter" || node.role === "target" || node.role === "definition"),
    );
  return context.nodes.find(
    ({ node }) =>
      node.kind === "name" &&
      node.role !== "callee" &&
      areSimilar(node.sign ?? "", name) &&
      node.sign !== name &&
      !isGiven(node.sign ?? ""),
  );
}

/** A name that is read and given a value nowhere, nearly one that is given a value and read nowhere. */
export const readMisspelt: Mistake = {
  id: "own-name-misspelt",
  weight: 94,
  find: (context) =>
    [...usageOf(context).unread.keys()].flatMap((name) => {
      const read = misreadOf(context, name)?.node;
      if (!read) return [];
      const why = `“${read.sign}” gets a value nowhere; “${name}”, which nothing reads, is nearly the same name.`;
      return [{ line: context.lineOf(read.from), names: [read.sign ?? "", name], why }];
    }),
  examples: [
    { language: "python", text: "total = 0\nfor x in a:\n    total = total + x\nprint(totl)\n", line: 4 },
    {
      language: "basic-macro",
      text: 'Sub Main\n  total = 4\n  total = total + 3\n  MsgBox "Cars " & totl\nEnd Sub\n',
      line: 4,
    },
  ],
};
