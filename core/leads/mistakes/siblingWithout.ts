import { blocksOf } from "../../edits/places.ts";
import type { SyntaxNode } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** What ends a statement by moving a value on by a number: "- 1;", "+ 1". */
const moved = /^(.*\S)\s*([-+*/])\s*(\d+)$/;

/** A statement without what its neighbours of the same form have: "row = read() - 1" beside "seat = read()". */
export const siblingWithout: Mistake = {
  id: "copied-line-not-adapted",
  weight: 78,
  find: (context) => {
    const formOf = (statement: SyntaxNode) => {
      const text = context.sourceOf(statement).trim().replace(/;$/, "").trim();
      const [, whole = text, sign, number] = moved.exec(text) ?? [];
      // Names alone may differ, and something has to be called: two plain values have no form.
      const form = whole.replace(/^((?:[\w<>[\]]+\s+)?)[\p{L}_][\p{L}\p{N}_]*(\s*:?=)/u, "$1name$2");
      return { form, step: sign === undefined ? "" : `${sign} ${number}`, isCall: /=.*\(/.test(whole) };
    };
    return blocksOf(context).flatMap(({ statements }) =>
      statements.flatMap((statement, at) => {
        const own = formOf(statement);
        if (!own.isCall || own.step !== "" || !/name\s*:?=/.test(own.form)) return [];
        const beside = [statements[at - 1], statements[at + 1]].flatMap((each) => (each ? [formOf(each)] : []));
        const other = beside.find((each) => each.form === own.form && each.step !== "");
        return other
          ? [{ line: context.lineOf(statement.from), why: `The line beside it is the same but for “${other.step}”.` }]
          : [];
      }),
    );
  },
  examples: [
    {
      language: "java",
      text: "class M {\n  void f(Scanner in) {\n    int row = in.nextInt() - 1;\n    int seat = in.nextInt();\n  }\n}\n",
      line: 4,
    },
    { language: "python", text: "row = int(input()) - 1\nseat = int(input())\n", line: 2 },
  ],
};
