import { wholeQuotients } from "../../edits/wholeQuotients.ts";
import type { Mistake } from "./mistake.ts";

/** A division of whole numbers whose digits behind the point are wanted. */
export const wholeDivision: Mistake = {
  id: "whole-number-division",
  weight: 91,
  find: (context) => wholeQuotients(context).map(({ node, why }) => ({ line: context.lineOf(node.from), why })),
  examples: [
    { language: "java", text: "class M {\n  int f(int a, int b) {\n    return a / b * 100;\n  }\n}\n", line: 3 },
    { language: "c", text: "double f(int a, int b) {\n  return a / b;\n}\n", line: 2 },
    { language: "java", text: "class M {\n  boolean f(int a, int b) {\n    return (a / b) >= 0.5;\n  }\n}\n", line: 3 },
    { language: "csharp", text: "class P {\n  void F(int a, int b) {\n    double c = a / b;\n  }\n}\n", line: 3 },
  ],
};
