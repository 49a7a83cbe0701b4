import { isLoop, part } from "../../syntax/tree.ts";
import { beside } from "../beside.ts";
import type { EditContext, EditFamily, Proposal } from "../edit.ts";
import { gatherings, missingStarts, startsOf } from "../gathered.ts";
import { functionAround, wholeLines } from "../places.ts";

/** What is gathered begins anew where it is to: in each pass, in each part of a list, in each call. */
function mends(context: EditContext): Proposal[] {
  const { assign } = context.writing;
  return missingStarts(context).flatMap(({ name, start, statement, where, odds }) =>
    beside(context, statement, `${name} ${assign} ${start}`, where, odds),
  );
}

/** Such a beginning taken out, in a loop or a function that gathers the name behind it. */
function plants(context: EditContext): Proposal[] {
  const all = gatherings(context);
  return [...new Set(all.map(({ name }) => name))].flatMap((name) =>
    startsOf(context, name).flatMap(({ placed }) => {
      const statement = placed.around.at(-1);
      const inside = placed.around.some(isLoop) || functionAround(placed.around) !== undefined;
      const lines =
        statement?.kind === "statement" && part(placed.node, "target") ? wholeLines(context, statement) : null;
      const block = placed.around.at(-2);
      if (!lines || !inside || (block?.children.length ?? 0) < 2) return [];
      const text = context.sourceOf(placed.node);
      return [{ from: lines.from, to: lines.to, text: "", parameters: { text }, odds: 0.7 }];
    }),
  );
}

/** A count, a sum or a text that is to begin anew, and keeps what was gathered before. */
export const begunAnew: EditFamily = {
  id: "begun-anew",
  says: "what is gathered, and is to begin anew",
  weight: 7,
  reads: "tree",
  mends,
  plants,
  examples: [
    {
      language: "python",
      right: "for row in rows:\n    total = 0\n    for load in row:\n        total += load\n    print(total)\n",
      faulty: "for row in rows:\n    for load in row:\n        total += load\n    print(total)\n",
    },
    {
      language: "octave",
      right: "w = 0;\nfor k = 1:n\n  if w + a(k) > 9\n    d = d + 1;\n    w = 0;\n  end\n  w = w + a(k);\nend\n",
      faulty: "w = 0;\nfor k = 1:n\n  if w + a(k) > 9\n    d = d + 1;\n  end\n  w = w + a(k);\nend\n",
    },
    {
      language: "pascal",
      right:
        "procedure Count(s: string; var n: integer);\nvar k: integer;\nbegin\n  k := 1;\n  n := 0;\n  while k < 9 do\n  begin\n    n := n + 1;\n    k := k + 1;\n  end;\nend;\nbegin\nend.\n",
      faulty:
        "procedure Count(s: string; var n: integer);\nvar k: integer;\nbegin\n  k := 1;\n  while k < 9 do\n  begin\n    n := n + 1;\n    k := k + 1;\n  end;\nend;\nbegin\nend.\n",
    },
    {
      language: "java",
      right:
        'class Main {\n  void f(String s) {\n    String w = "";\n    for (char c : s.toCharArray()) {\n      if (c == 32) {\n        g(w);\n        w = "";\n      } else {\n        w += c;\n      }\n    }\n  }\n}\n',
      faulty:
        'class Main {\n  void f(String s) {\n    String w = "";\n    for (char c : s.toCharArray()) {\n      if (c == 32) {\n        g(w);\n      } else {\n        w += c;\n      }\n    }\n  }\n}\n',
    },
    {
      language: "csharp",
      right:
        "class P {\n  void F(int[][] rows) {\n    int total = 0;\n    foreach (int[] row in rows) {\n      total = 0;\n      foreach (int load in row) {\n        total += load;\n      }\n      Say(total);\n    }\n  }\n}\n",
      faulty:
        "class P {\n  void F(int[][] rows) {\n    int total = 0;\n    foreach (int[] row in rows) {\n      foreach (int load in row) {\n        total += load;\n      }\n      Say(total);\n    }\n  }\n}\n",
    },
    {
      language: "c",
      right: "int n;\nvoid f(void) {\n  n = 0;\n  for (int i = 0; i < 4; i++) {\n    n += i;\n  }\n}\n",
      faulty: "int n;\nvoid f(void) {\n  for (int i = 0; i < 4; i++) {\n    n += i;\n  }\n}\n",
    },
  ],
};
