import { example, inMain } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

const byOrder = /^OrderBy/;

/** Values are put in order the wrong way round. */
export const sortedWrongWay: Pattern = {
  id: "sorted-wrong-way",
  name: "Sorted the wrong way round",
  says: "Values are sorted from the least up where the greatest is to come first, or the other way round.",
  mends: "Say the order where the values are sorted.",
  cause: "Who says nothing gets the least first, and that is easily forgotten.",
  avoid: "Write down the first and the last line that you expect before you sort.",
  fault: true,
  grounds: [
    byEdit("sort-order", () => true, 8),
    byEdit("counterpart", ({ before, after }) => byOrder.test(before) && byOrder.test(after), 8),
  ],
  examples: [
    example(
      "python",
      `loads = [12, 31, 8]
loads.sort(«reverse=True¦»)
for load in loads:
    print(load)
`,
    ),
    inMain(
      "java",
      `        List<Integer> loads = Arrays.asList(12, 31, 8);
        Collections.sort(loads«, Collections.reverseOrder()¦»);
        System.out.println(loads);
`,
    ),
    example(
      "csharp",
      `using System;
using System.Linq;
class Program
{
    static void Main()
    {
        int[] loads = { 12, 31, 8 };
        foreach (int load in loads.OrderBy«Descending¦»(each => each)) Console.WriteLine(load);
    }
}
`,
    ),
    example(
      "octave",
      `loads = [12 31 8];
disp(sort(loads«, "descend"¦»))
`,
    ),
  ],
};
