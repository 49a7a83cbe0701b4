import { example } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A function changes its own copy of what it was given, and the caller's stays. */
export const valueParameterChanged: Pattern = {
  id: "value-parameter-changed",
  name: "A copy that is changed",
  says: "A function changes its own copy of what it was given, and the caller's stays.",
  mends: "Give the new value back, or hand on the place.",
  cause: "A function gets a copy of a number.",
  avoid: "Give the new value back and keep it.",
  fault: true,
  grounds: [
    byEdit("declaration", ({ after }) => /\bvar\b|\*|&|\bref\b/.test(after), 3),
    byEdit("pointed-at", ({ after }) => !after.startsWith("&"), 3),
    byNotice("value-parameter-changed", 4),
  ],
  examples: [
    example(
      "python",
      `def load_on(load):
    load = load + 5
«    return load
¦»
load = 12
«load = ¦»load_on(load)
print(load)
`,
    ),
    example(
      "c",
      `#include <stdio.h>
void load_on(int «*¦»load) {
    «*¦»load = «*¦»load + 5;
}
int main(void) {
    int load = 12;
    load_on(«&¦»load);
    printf("%d\\n", load);
    return 0;
}
`,
    ),
    example(
      "pascal",
      `procedure load_on(«var ¦»load: integer);
begin
  load := load + 5;
end;
var load: integer;
begin
  load := 12;
  load_on(load);
  writeln(load);
end.
`,
    ),
    example(
      "csharp",
      `using System;
class Program
{
    static void LoadOn(«ref ¦»int load) { load = load + 5; }
    static void Main()
    {
        int load = 12;
        LoadOn(«ref ¦»load);
        Console.WriteLine(load);
    }
}
`,
    ),
    example(
      "pseudocode",
      `PROCEDURE load_on(«BYREF ¦»load)
  load <- load + 5
ENDPROCEDURE
aboard <- 12
CALL load_on(aboard)
OUTPUT aboard
`,
    ),
    example(
      "basic-macro",
      `Sub Main
  weight = 4
  Fill weight
  MsgBox weight
End Sub

Sub Fill(«¦ByVal »amount)
  amount = amount + 1
End Sub
`,
    ),
    example(
      "basic-forms",
      `Module Deck
  Sub Board(By«Ref¦Val» cars As Integer)
    cars += 1
  End Sub

  Sub Main()
    Dim cars As Integer = 3
    Board(cars)
    Console.WriteLine(cars)
  End Sub
End Module
`,
    ),
  ],
};
