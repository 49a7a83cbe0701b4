import type { EditContext } from "../../edits/edit.ts";
import { ofKind } from "../../edits/places.ts";
import type { Mistake } from "./mistake.ts";

/** Names with a colon in a `switch` to which nothing jumps: words that were to be one of its own. */
function labelsInSwitch(context: EditContext): Array<{ from: number; to: number; name: string }> {
  if (context.writing.blocks.by !== "braces") return [];
  return ofKind(context, "switch").flatMap(({ node }) => {
    const code = context.code.filter((token) => token.from > node.from && token.to <= node.to);
    return code.flatMap((token, at) => {
      const [before, next] = [code[at - 1], code[at + 1]];
      if (token.kind !== "name" || next?.text !== ":" || !/^[;{}]$/.test(before?.text ?? "")) return [];
      const isGoal = context.code.some(
        (each, place) => each.text === "goto" && context.code[place + 1]?.text === token.text,
      );
      return isGoal ? [] : [{ from: token.from, to: token.to, name: token.text }];
    });
  });
}

/** A misspelt word in a `switch` is read as a place to jump to, and nothing jumps there. */
export const labelInSwitch: Mistake = {
  id: "label-in-switch",
  weight: 98,
  find: (context) =>
    labelsInSwitch(context).map(({ from, name }) => ({
      line: context.lineOf(from),
      names: [name],
      why: `“${name}:” is read as a place to jump to, and nothing jumps there: it is no case of this switch.`,
    })),
  examples: [
    {
      language: "c",
      text: "int f(int z) {\n  switch (z) {\n  case 1:\n    return 4;\n  defualt:\n    return 10;\n  }\n  return 0;\n}\n",
      line: 5,
    },
    {
      language: "java",
      text: "class Main { int f(int z) {\n  switch (z) {\n  case 1:\n    return 4;\n  Default:\n    return 10;\n  }\n  return 0;\n} }\n",
      line: 5,
    },
  ],
};
