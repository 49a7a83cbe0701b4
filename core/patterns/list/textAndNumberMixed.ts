import { example, inMain } from "../example.ts";
import { byEdit, byMessage, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A text and a number are put together by an operator that cannot take both. */
export const textAndNumberMixed: Pattern = {
  id: "text-and-number-mixed",
  name: "Text and number in one calculation",
  says: "A text and a number are put together by an operator that cannot take both.",
  mends: "Make one of them the kind of the other.",
  cause: "For the language “12” in quotes is a text, and it will not guess which of the two is meant.",
  avoid: "Know of each name whether it holds a text or a number.",
  fault: true,
  grounds: [
    byEdit("conversion", (_, { class: of, message }) => of !== "logic" && message?.kind === "type mismatch", 2),
    byMessage("type mismatch", { words: /str|text|char/i, more: sure - 1 }),
    byMessage("type mismatch", { words: /str|text|String|char/ }),
    byEdit("declaration", () => true, -4),
    byEdit(["conversion", "text-or-number"], () => true, -4),
  ],
  examples: [
    example(
      "python",
      `load = 12
print("Load " + «str(load)¦load»)
`,
    ),
    example(
      "python",
      `bags = "3"
print(9 + «int(bags)¦bags»)
`,
    ),
    inMain(
      "java",
      `int load = «12¦"12"»;
System.out.println(load + 1);
`,
    ),
    inMain(
      "csharp",
      `int load = «12¦"12"»;
Console.WriteLine(load + 1);
`,
    ),
    example(
      "pascal",
      `var load: integer;
begin
  load := «12¦'12'»;
  writeln(load + 1);
end.
`,
    ),
    example(
      "pseudocode",
      `load <- «12¦"12"»
OUTPUT load + 1
`,
    ),
    inMain(
      "basic-macro",
      `deck = "lower"
MsgBox deck «&¦*» 2
`,
    ),
    example(
      "sketch",
      `int load = «12¦"12"»;
println(load + 1);
`,
    ),
    inMain(
      "basic-forms",
      `Dim cars As Integer = 3
Console.WriteLine("Cars: " «&¦+» cars)
`,
    ),
  ],
};
