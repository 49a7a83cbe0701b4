import { elementsForPlaces } from "../../edits/usage.ts";
import type { Mistake } from "./mistake.ts";

/** A name that elements are picked by gets an element itself. */
export const elementForPlace: Mistake = {
  id: "stored-position-stale",
  weight: 95,
  find: (context) =>
    elementsForPlaces(context).map(({ target, value, place }) => ({
      line: context.lineOf(value.from),
      names: [target],
      why: `“${target}” is a place by which elements are picked; here it gets an element, where “${place}” is the place.`,
    })),
  examples: [
    {
      language: "c",
      text: "int f(int a[], int n) {\n  int best = 0;\n  for (int i = 1; i < n; i++)\n    if (a[i] > a[best])\n      best = a[i];\n  return best;\n}\n",
      line: 5,
    },
    {
      language: "python",
      text: "best = 0\nfor i in range(3):\n    if a[i] > a[best]:\n        best = a[i]\nprint(best)\n",
      line: 4,
    },
  ],
};
