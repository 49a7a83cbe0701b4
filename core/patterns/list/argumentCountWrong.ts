import { change } from "../../edits/edit.ts";
import { ofKind } from "../../edits/places.ts";
import { part } from "../../syntax/tree.ts";
import { example } from "../example.ts";
import { byEdit, byMessage, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A function is given more or fewer values than it takes. */
export const argumentCountWrong: Pattern = {
  id: "argument-count-wrong",
  name: "Too many or too few values for a call",
  says: "A function is given more or fewer values than it takes.",
  mends: "Give it what it asks for.",
  cause: "The function was changed and its call was not, or one value was forgotten.",
  avoid: "Look at the header of the function while writing its call.",
  fault: true,
  grounds: [
    byEdit("own-object", ({ after }) => !after.endsWith("."), 3),
    byEdit("argument-left-out", () => true, 4),
    byMessage("wrong arguments", {
      more: sure,
      test: ({ message }) => !/nonconformant|method group/i.test(message?.text ?? ""),
    }),
  ],
  examples: [
    example(
      "python",
      `def fare(age, bags):
    return 9 + bags

print(fare(30«, 2¦»))
`,
    ),
    example(
      "java",
      `public class Main {
    static int fare(int age, int bags) {
        return 9 + bags;
    }
    public static void main(String[] args) {
        System.out.println(fare(30«, 2¦»));
    }
}
`,
    ),
    example(
      "c",
      `#include <stdio.h>
int fare(int age, int bags) { return 9 + bags; }
int main(void) {
    printf("%d\\n", fare(30«, 2¦»));
    return 0;
}
`,
    ),
    example(
      "csharp",
      `using System;
class Program
{
    static int Fare(int age, int bags) { return 9 + bags; }
    static void Main()
    {
        Console.WriteLine(Fare(30«, 2¦»));
    }
}
`,
    ),
    example(
      "pascal",
      `function fare(age, bags: integer): integer;
begin
  fare := 9 + bags;
end;
begin
  writeln(fare(30«, 2¦»));
end.
`,
    ),
    example(
      "octave",
      `fare = @(age, bags) 9 + bags;
printf("%d\\n", fare(30, 2«¦, 1»));
`,
    ),
    example(
      "pseudocode",
      `FUNCTION fare(age, bags)
  RETURN 9 + bags
ENDFUNCTION
OUTPUT fare(30, 2«¦, 1»)
`,
    ),
    example(
      "basic-macro",
      `Sub Main
  MsgBox Minutes(480«, 510¦»)
End Sub

Function Minutes(leaves, arrives)
  Minutes = arrives - leaves
End Function
`,
    ),
    example(
      "sketch",
      `int fare(int age, int bags) {
    return 9 + bags;
}
void setup() {
    println(fare(30«, 2¦»));
}
`,
    ),
    example(
      "sketch",
      `void setup() {
  size(100, 80);
  rect(10, 10, 40«, 30¦»);
}
`,
    ),
    example(
      "basic-forms",
      `Module Deck
  Function Bill(cars As Integer, fare As Integer) As Integer
    Return cars * fare
  End Function

  Sub Main()
    Console.WriteLine(Bill(3«, 12¦»))
  End Sub
End Module
`,
    ),
  ],
  plants: (context) =>
    ofKind(context, "call").flatMap(({ node }) => {
      const given = node.children.filter((child) => child.role === "argument");
      const [last, before] = [given.at(-1), given.at(-2)];
      const isOwn = context.functions.includes(part(node, "callee")?.sign ?? "");
      return isOwn && last && before ? [change({ from: before.to, to: last.to }, "")] : [];
    }),
};
