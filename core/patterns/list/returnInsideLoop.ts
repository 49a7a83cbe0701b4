import { example } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isInLoop } from "../shape.ts";

/** A function gives its result back inside of the loop, after the first pass. */
export const returnInsideLoop: Pattern = {
  id: "return-inside-loop",
  name: "Left in the first pass",
  says: "A function gives its result back inside of the loop, after the first pass.",
  mends: "Give it back behind the loop.",
  cause: "Giving back ends the function at once, also in the middle of a loop.",
  avoid: "Give back only when all passes are done.",
  fault: true,
  grounds: [
    byEdit(
      ["moved", "indentation"],
      ({ line, lineBefore }, evidence) => /^\s*return\b/m.test(lineBefore) && isInLoop(evidence, line),
      6,
    ),
    // The header above it is put elsewhere, and what stands in it goes along.
    byEdit(
      ["moved", "indentation", "chain"],
      ({ line }, { noticed }) =>
        noticed.some((place) => place.id === "return-inside-loop" && Math.abs(place.line - line) <= 1),
      6,
    ),
    byNotice("return-inside-loop", 5),
  ],
  examples: [
    example(
      "python",
      `def total(loads):
    gathered = 0
    for load in loads:
        gathered = gathered + load
«    return gathered¦        return gathered»

print(total([12, 7]))
`,
    ),
    example(
      "java",
      `public class Main {
    static boolean allFit(int[] loads) {
        for (int load : loads) {
            if (load > 40)
                return false;
«        }
        return true;¦            return true;
        }
        return false;»
    }
    public static void main(String[] args) {
        System.out.println(allFit(new int[] {12, 50}));
    }
}
`,
    ),
    example(
      "c",
      `#include <stdio.h>
int total(int loads[], int count) {
    int gathered = 0;
    for (int at = 0; at < count; at++) {
        gathered += loads[at];
«    }
    return gathered;¦        return gathered;
    }
    return 0;»
}
int main(void) {
    int loads[2] = {12, 7};
    printf("%d\\n", total(loads, 2));
    return 0;
}
`,
    ),
    example(
      "pseudocode",
      `FUNCTION total(loads)
  gathered <- 0
  FOR EACH load IN loads
    gathered <- gathered + load
«  NEXT
  RETURN gathered¦    RETURN gathered
  NEXT»
ENDFUNCTION
OUTPUT total([12, 7])
`,
    ),
    example(
      "sketch",
      `boolean allFit(int[] loads) {
    for (int load : loads) {
        if (load > 40)
            return false;
«        }
    return true;¦            return true;
    }
    return false;»
}
void setup() {
    println(allFit(new int[] {12, 50}));
}
`,
    ),
    example(
      "basic-forms",
      `Module Deck
  Function Total(loads() As Integer) As Integer
    Dim sum As Integer = 0
    For Each load As Integer In loads
      sum += load
«    Next
    Return sum
¦      Return sum
    Next
»  End Function

  Sub Main()
    Console.WriteLine(Total({4, 9, 7}))
  End Sub
End Module
`,
    ),
  ],
};
