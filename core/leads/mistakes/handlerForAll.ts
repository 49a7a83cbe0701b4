import { ofKind } from "../../edits/places.ts";
import type { Mistake } from "./mistake.ts";

/** What stands before the block of a handler that takes every error, slips of the program itself as well. */
const takesAll =
  /\b(?:except|catch)\s*(?:\(?\s*(?:final\s+)?(?:\w+\.)*(?:(?:Base)?Exception|Throwable|RuntimeException)\b[^|,]*)?$/;

/** A handler for every error: what it says may be about another one than the one that came. */
export const handlerForAll: Mistake = {
  id: "handler-catches-too-much",
  weight: 78,
  find: (context) =>
    ofKind(context, "try").flatMap(({ node }) => {
      const blocks = node.children.filter(({ kind }) => kind === "block");
      return blocks.slice(1).flatMap((block, at) => {
        const head = context.text.slice(blocks[at]?.to ?? node.from, block.from);
        if (!takesAll.test(head.trimEnd())) return [];
        const from = (blocks[at]?.to ?? node.from) + (head.length - head.trimStart().length);
        return [
          {
            line: context.lineOf(from),
            why: "This handler takes every error, also those of slips in the lines above it, which it hides.",
          },
        ];
      });
    }),
  examples: [
    { language: "python", text: "try:\n    print(load[0])\nexcept Exception:\n    print('none')\n", line: 3 },
    { language: "python", text: "try:\n    print(load[0])\nexcept:\n    pass\n", line: 3 },
    {
      language: "java",
      text: "class M {\n  void f() {\n    try {\n      g();\n    } catch (Exception e) {\n      h();\n    }\n  }\n}\n",
      line: 5,
    },
    {
      language: "csharp",
      text: "class M {\n  void F() {\n    try {\n      G();\n    }\n    catch\n    {\n      H();\n    }\n  }\n}\n",
      line: 6,
    },
  ],
};
