import { example } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A function is given its values in another order than it takes them. */
export const argumentsSwapped: Pattern = {
  id: "arguments-swapped",
  name: "Values given in the wrong order",
  says: "A function is given its values in another order than it takes them.",
  mends: "Give them in its order.",
  cause: "The order of a call's values is the order of its header, not of one's thoughts.",
  avoid: "Look at the header while writing the call.",
  fault: true,
  grounds: [
    byNotice("arguments-swapped", 7),
    byEdit("swapped", ({ before, lineBefore }) => before.includes(",") && !/\breturn\b/.test(lineBefore), 4),
    byEdit("swapped", () => true, 1),
  ],
  examples: [
    example(
      "python",
      `def minutes(leaves, arrives):
    return arrives - leaves

print(minutes(«480, 510¦510, 480»))
`,
    ),
    example(
      "java",
      `public class Main {
    static int minutes(int leaves, int arrives) {
        return arrives - leaves;
    }
    public static void main(String[] args) {
        System.out.println(minutes(«480, 510¦510, 480»));
    }
}
`,
    ),
    example(
      "c",
      `#include <stdio.h>
int minutes(int leaves, int arrives) { return arrives - leaves; }
int main(void) {
    printf("%d\\n", minutes(«480, 510¦510, 480»));
    return 0;
}
`,
    ),
    example(
      "csharp",
      `using System;
class Program
{
    static int Minutes(int leaves, int arrives) { return arrives - leaves; }
    static void Main()
    {
        Console.WriteLine(Minutes(«480, 510¦510, 480»));
    }
}
`,
    ),
    example(
      "pascal",
      `function minutes(leaves, arrives: integer): integer;
begin
  minutes := arrives - leaves;
end;
begin
  writeln(minutes(«480, 510¦510, 480»));
end.
`,
    ),
    example(
      "octave",
      `minutes = @(leaves, arrives) arrives - leaves;
printf("%d\\n", minutes(«480, 510¦510, 480»));
`,
    ),
    example(
      "pseudocode",
      `FUNCTION minutes(leaves, arrives)
  RETURN arrives - leaves
ENDFUNCTION
OUTPUT minutes(«480, 510¦510, 480»)
`,
    ),
    example(
      "basic-macro",
      `Sub Main
  MsgBox Minutes(«480, 510¦510, 480»)
End Sub

Function Minutes(leaves, arrives)
  Minutes = arrives - leaves
End Function
`,
    ),
    example(
      "sketch",
      `int minutes(int leaves, int arrives) {
    return arrives - leaves;
}
void setup() {
    println(minutes(«480, 510¦510, 480»));
}
`,
    ),
    example(
      "sketch",
      `void setup() {
  size(200, 100);
  mast(«20, 60¦60, 20»);
}
void mast(int x, int high) {
  line(x, 90, x, 90 - high);
}
`,
    ),
    example(
      "basic-forms",
      `Module Deck
  Function Rest(places As Integer, cars As Integer) As Integer
    Return places - cars
  End Function

  Sub Main()
    Console.WriteLine(Rest(«40, 12¦12, 40»))
  End Sub
End Module
`,
    ),
  ],
};
