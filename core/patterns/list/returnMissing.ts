import { escaped } from "../../source/escaped.ts";
import { example } from "../example.ts";
import { byEdit, byMessage, byNotice, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A function works its result out and does not give it back, on some way or on all. */
export const returnMissing: Pattern = {
  id: "return-missing",
  name: "A result that is not given back",
  says: "A function works its result out and does not give it back, on some way or on all.",
  mends: "Give it back on every way.",
  cause: "Working something out and giving it back are two things.",
  avoid: "Look at every way through the function: does it give something back?",
  fault: true,
  grounds: [
    byEdit("returned", () => true, 3),
    byEdit("result-type", () => true, 2),
    // What a function gives back has a name of its own, and another one got the value.
    byEdit(
      "other-name",
      ({ after, lineAfter }, { message }) =>
        message?.text.includes(`'${escaped(after)}'`) === true &&
        new RegExp(String.raw`^\s*${escaped(after)}\s*=`).test(lineAfter),
      6,
    ),
    byMessage("return missing", { more: sure }),
    byNotice("return-missing", 8),
  ],
  examples: [
    example(
      "python",
      `def double(load):
    result = load * 2
«    return result
¦»
print(double(12))
`,
    ),
    example(
      "java",
      `public class Main {
    static int twice(int load) {
        int result = load * 2;
«        return result;
¦»    }
    public static void main(String[] args) {
        System.out.println(twice(12));
    }
}
`,
    ),
    example(
      "csharp",
      `using System;
class Program
{
    static int Twice(int load)
    {
        int result = load * 2;
«        return result;
¦»    }
    static void Main()
    {
        Console.WriteLine(Twice(12));
    }
}
`,
    ),
    example(
      "octave",
      `1;
function result = twice(load_now)
  «result¦answer» = load_now * 2;
end
printf("%d\\n", twice(12));
`,
    ),
    example(
      "pseudocode",
      `FUNCTION twice(load)
  result <- load * 2
«  RETURN result
¦»ENDFUNCTION
OUTPUT twice(12)
`,
    ),
    example(
      "basic-macro",
      `Sub Main
  MsgBox Twice(4)
End Sub

Function Twice(load)
  «Twice¦result» = load * 2
End Function
`,
    ),
    example(
      "sketch",
      `int twice(int load) {
    int result = load * 2;
«        return result;
¦»    }
void setup() {
    println(twice(12));
}
`,
    ),
    example(
      "sketch",
      `int high(int metres) {
«  return metres * 3;
¦  int pixels = metres * 3;
»}
void setup() {
  size(100, 80);
  rect(10, 10, 20, high(5));
}
`,
    ),
    example(
      "basic-forms",
      `Module Deck
  Function Twice(load As Integer) As Integer
    Dim result As Integer = load * 2
«    Return result
¦»  End Function

  Sub Main()
    Console.WriteLine(Twice(12))
  End Sub
End Module
`,
    ),
  ],
};
