import { productsOfZero } from "../../edits/gathered.ts";
import type { Mistake } from "./mistake.ts";

/** A product that begins with 0 stays 0. */
export const productOfZero: Mistake = {
  id: "product-of-zero",
  weight: 95,
  find: (context) =>
    productsOfZero(context).map(({ name, value }) => ({
      line: context.lineOf(value.from),
      names: [name],
      why: `“${name}” begins with 0 here and is only multiplied: it stays 0.`,
    })),
  examples: [
    { language: "python", text: "ways = 0\nfor n in range(1, 4):\n    ways = ways * n\n", line: 1 },
    {
      language: "c",
      text: "int power(int base, int times) {\n  int result = 0;\n  while (times-- > 0)\n    result *= base;\n  return result;\n}\n",
      line: 2,
    },
    { language: "pascal", text: "begin\n  ways := 0;\n  for i := 1 to 4 do\n    ways := ways * i;\nend.\n", line: 2 },
    { language: "octave", text: "ways = 0;\nfor n = 1:4\n  ways *= n;\nend\n", line: 1 },
  ],
};
