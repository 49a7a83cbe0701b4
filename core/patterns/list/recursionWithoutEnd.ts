import { change } from "../../edits/edit.ts";
import { ofKind } from "../../edits/places.ts";
import { escaped } from "../../source/escaped.ts";
import { part } from "../../syntax/tree.ts";
import { example } from "../example.ts";
import { byEdit, byMessage, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** No call comes to an end without calling itself again. */
export const recursionWithoutEnd: Pattern = {
  id: "recursion-without-end",
  name: "A function that calls itself for ever",
  says: "No call comes to an end without calling itself again.",
  mends: "Write the case that ends it, and come nearer to it with every call.",
  cause: "The call that would end it is missing, or the calls come no nearer to it.",
  avoid: "Write the case that ends it first.",
  fault: true,
  grounds: [
    byMessage("stack exhausted", { more: 25 }),
    byNotice("recursion-without-end", 6),
    byEdit("guard-left-out", ({ after }) => /<=? ?[01]\b|==? 0\b/.test(after), 1),
  ],
  examples: [
    example(
      "python",
      `def down(step):
«    if step == 0:
        return 0
¦»    return 1 + down(step - 1)

print(down(4))
`,
    ),
    example(
      "java",
      `public class Main {
    static int down(int step) {
«        if (step == 0) return 0;
¦»        return 1 + down(step - 1);
    }
    public static void main(String[] args) {
        System.out.println(down(4));
    }
}
`,
    ),
    example(
      "c",
      `#include <stdio.h>
int down(int step) {
«    if (step == 0) return 0;
¦»    return 1 + down(step - 1);
}
int main(void) {
    printf("%d\\n", down(4));
    return 0;
}
`,
    ),
    example(
      "csharp",
      `using System;
class Program
{
    static int Down(int step)
    {
«        if (step == 0) return 0;
¦»        return 1 + Down(step - 1);
    }
    static void Main()
    {
        Console.WriteLine(Down(4));
    }
}
`,
    ),
    example(
      "octave",
      `1;
function count = down(step)
«  if step == 0
    count = 0;
    return;
  end
¦»  count = 1 + down(step - 1);
end
printf("%d\\n", down(4));
`,
    ),
    example(
      "pseudocode",
      `FUNCTION down(metres)
«  IF metres = 0 THEN
    RETURN 0
  ENDIF
¦»  RETURN 1 + down(metres - 1)
ENDFUNCTION
OUTPUT down(4)
`,
    ),
    example(
      "basic-macro",
      `Sub Main
  MsgBox Down(4)
End Sub

Function Down(metres)
«  If metres = 0 Then Exit Function
¦»  Down = 1 + Down(metres - 1)
End Function
`,
    ),
    example(
      "sketch",
      `int down(int step) {
«        if (step == 0) return 0;
¦»        return 1 + down(step - 1);
}
void setup() {
    println(down(4));
}
`,
    ),
    example(
      "basic-forms",
      `Module Deck
  Function Ways(steps As Integer) As Integer
    If steps <= 1 Then Return 1
    Return steps * Ways(steps «-¦+» 1)
  End Function

  Sub Main()
    Console.WriteLine(Ways(4))
  End Sub
End Module
`,
    ),
  ],
  plants: (context) =>
    ofKind(context, "function").flatMap(({ node }) => {
      const name = node.children.find((child) => child.role === "definition")?.sign ?? "";
      const body = part(node, "body");
      const calls = new RegExp(String.raw`\b${escaped(name)}\s*\(`);
      const base = body?.children.find((child) => child.kind === "if" && !calls.test(context.sourceOf(child)));
      if (!name || !body || !base || !calls.test(context.sourceOf(body))) return [];
      return [change(base, "")];
    }),
};
