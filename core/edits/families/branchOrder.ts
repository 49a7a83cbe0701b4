import { type Branch, chainsOf, coveredBranches } from "../branches.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";

/** Where a branch's body ends; a sign that parts the whole decision from what follows is none of it. */
function endOf({ writing, text }: EditContext, body: Branch["body"]): number {
  const isApart = writing.blocks.by === "two words" && text[body.to - 1] === writing.statementEnd;
  return isApart ? body.to - 1 : body.to;
}

/** Two branches of one decision, with their conditions, in each other's place. */
function exchanged(context: EditContext): Proposal[] {
  const covered = coveredBranches(context);
  return chainsOf(context).flatMap((chain) =>
    chain.flatMap((one, at) =>
      chain.slice(at + 1).flatMap((other) => {
        const [first, second] = [context.sourceOf(one.condition), context.sourceOf(other.condition)];
        const ends = [one, other].map(({ body }) => endOf(context, body));
        const [end = one.body.to, last = other.body.to] = ends;
        const between = context.text.slice(end, other.condition.from);
        const texts = [one, other].map(({ condition, body }, place) => ({
          head: context.sourceOf(condition),
          gap: context.text.slice(condition.to, body.from),
          body: context.text.slice(body.from, ends[place]),
        }));
        const [here, there] = texts;
        if (!here || !there || first === second) return [];
        const text = there.head + here.gap + there.body + between + here.head + there.gap + here.body;
        const isCovered = covered.some(({ earlier, later }) => earlier.node === one.node && later.node === other.node);
        return [change({ from: one.condition.from, to: last }, text, { first, second }, isCovered ? 3 : 0.5)];
      }),
    ),
  );
}

/** Branches are asked in an order in which an earlier one takes what a later one is for. */
export const branchOrder: EditFamily = {
  id: "branch-order",
  says: "the order in which the branches of a decision are asked",
  weight: 6,
  reads: "tree",
  mends: exchanged,
  plants: exchanged,
  examples: [
    {
      language: "python",
      right: "if wind >= 10:\n    say(2)\nelif wind >= 6:\n    say(1)\n",
      faulty: "if wind >= 6:\n    say(1)\nelif wind >= 10:\n    say(2)\n",
    },
    {
      language: "java",
      right: "class Main { void f(int a) { if (a < 6) { g(0); } else if (a < 16) { g(2); } else { g(4); } } }",
      faulty: "class Main { void f(int a) { if (a < 16) { g(2); } else if (a < 6) { g(0); } else { g(4); } } }",
    },
    {
      language: "c",
      right: "void f(int a) { if (a < 6) { g(0); } else if (a < 16) { g(2); } }",
      faulty: "void f(int a) { if (a < 16) { g(2); } else if (a < 6) { g(0); } }",
    },
    {
      language: "csharp",
      right: "class P { void F(int a) { if (a > 9) { G(0); } else if (a > 6) { G(2); } } }",
      faulty: "class P { void F(int a) { if (a > 6) { G(2); } else if (a > 9) { G(0); } } }",
    },
    {
      language: "pascal",
      right: "begin\n  if a > 9 then\n    b := 2\n  else if a > 6 then\n    b := 1;\nend.",
      faulty: "begin\n  if a > 6 then\n    b := 1\n  else if a > 9 then\n    b := 2;\nend.",
    },
    {
      language: "octave",
      right: "if a > 9\n  b = 2;\nelseif a > 6\n  b = 1;\nend\n",
      faulty: "if a > 6\n  b = 1;\nelseif a > 9\n  b = 2;\nend\n",
    },
  ],
};
