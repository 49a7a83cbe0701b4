import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { ofKind } from "../places.ts";

/** Texts with a name of the program between braces, as one into which values are filled is written. */
function withBraces(context: EditContext): Array<{ from: number; to: number; sign: string; name: string }> {
  return ofKind(context, "text").flatMap(({ node }) => {
    const names = [...context.sourceOf(node).matchAll(/\{([\p{L}_][\p{L}\p{N}_]*)[^{}]*\}/gu)].map((match) => match[1]);
    const name = names.find((each) => each !== undefined && context.names.includes(each));
    return name ? [{ from: node.from, to: node.to, sign: context.sourceOf(node), name }] : [];
  });
}

/** The sign before a text into which values are filled: without it the braces are printed as they stand. */
export const filledIn: EditFamily = {
  id: "filled-in",
  says: "the sign before a text into which values are filled",
  weight: 12,
  reads: "tree",
  mends: (context): Proposal[] => {
    const { filledIn: sign } = context.writing;
    if (!sign) return [];
    return withBraces(context).flatMap((text) =>
      /^["']/.test(text.sign) ? [insert(text.from, sign, { name: text.name, sign }, 1.5)] : [],
    );
  },
  plants: (context): Proposal[] => {
    const { filledIn: sign } = context.writing;
    if (!sign) return [];
    return withBraces(context).flatMap((text) =>
      text.sign.startsWith(sign)
        ? [change({ from: text.from, to: text.from + sign.length }, "", { name: text.name, sign })]
        : [],
    );
  },
  examples: [
    { language: "python", right: 'load = 3\nprint(f"{load} t")\n', faulty: 'load = 3\nprint("{load} t")\n' },
    {
      language: "csharp",
      right: 'class P { void F(int load) { Say($"{load} t"); } }',
      faulty: 'class P { void F(int load) { Say("{load} t"); } }',
    },
  ],
};
