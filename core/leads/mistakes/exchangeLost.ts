import { lostExchanges } from "../../edits/exchanged.ts";
import type { Mistake } from "./mistake.ts";

/** Two values that were to be exchanged, both of which are the second then. */
export const exchangeLost: Mistake = {
  id: "exchange-lost",
  weight: 97,
  find: (context) =>
    lostExchanges(context).map(({ value, kept }) => ({
      line: context.lineOf(value.from),
      ...(kept ? { names: [kept] } : {}),
      why: kept
        ? `“${context.sourceOf(value)}” has another value by now; the one that it had is kept in “${kept}”.`
        : `“${context.sourceOf(value)}” got its new value in the line above: the old one is lost, and nothing is exchanged.`,
    })),
  examples: [
    { language: "python", text: "def turn(a, b):\n    a = b\n    b = a\n    return a, b\n", line: 3 },
    {
      language: "c",
      text: "void f(int a[], int i) {\n  int keep = a[i];\n  a[i] = a[i + 1];\n  a[i + 1] = a[i];\n}\n",
      line: 4,
    },
    { language: "pascal", text: "var a, b: integer;\nbegin\n  a := b;\n  b := a;\nend.\n", line: 4 },
    { language: "octave", text: "a = 1;\nb = 2;\na = b;\nb = a;\n", line: 4 },
  ],
};
