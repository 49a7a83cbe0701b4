import { neverReached } from "../../edits/exchanged.ts";
import type { Mistake } from "./mistake.ts";

/** A statement behind one that leaves the function or the loop: it is never carried out. */
export const behindTheEnd: Mistake = {
  id: "behind-the-end",
  weight: 97,
  find: (context) =>
    neverReached(context).map(({ left, statement }) => ({
      line: context.lineOf(statement.from),
      why: `This is never carried out: line ${context.lineOf(left.from)} leaves before it.`,
    })),
  examples: [
    { language: "python", text: "def board(cars, car):\n    return True\n    cars.append(car)\n", line: 3 },
    {
      language: "csharp",
      text: "class P {\n  bool Join(string car) {\n    return true;\n    cars.Add(car);\n  }\n}\n",
      line: 4,
    },
    { language: "c", text: "int f(int a) {\n  while (a > 0) {\n    break;\n    a--;\n  }\n  return a;\n}\n", line: 4 },
  ],
};
