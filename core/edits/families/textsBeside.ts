import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";

/** Texts that stand beside each other on a line: two tokens of code with nothing between them. */
function besideEachOther(context: EditContext) {
  // Elsewhere such texts are refused, or parts of a row.
  if (context.writing.blocks.by !== "indentation") return [];
  return context.lines.flatMap(({ code }) =>
    code.slice(1).flatMap((second, at) => {
      const first = code[at];
      return first?.kind === "text" && second.kind === "text" ? [{ first, second }] : [];
    }),
  );
}

/** Two texts without a comma between them, which are read as one. */
export const textsBeside: EditFamily = {
  id: "texts-beside",
  says: "two texts without a comma between them, which are read as one",
  weight: 9,
  reads: "both",
  mends: (context): Proposal[] => besideEachOther(context).map(({ first }) => insert(first.to, ",", { sign: "," }, 2)),
  plants: (context): Proposal[] => {
    if (context.writing.blocks.by !== "indentation") return [];
    return context.lines.flatMap(({ code }) =>
      code.flatMap((token, at) => {
        const isBetween = code[at - 1]?.kind === "text" && code[at + 1]?.kind === "text";
        return token.text === "," && isBetween ? [change(token, "", { sign: "," })] : [];
      }),
    );
  },
  examples: [
    { language: "python", right: 'print("Order:", ", ".join(a))\n', faulty: 'print("Order:" ", ".join(a))\n' },
    { language: "python", right: 'ports = ["Ness", "Holm"]\n', faulty: 'ports = ["Ness" "Holm"]\n' },
  ],
};
