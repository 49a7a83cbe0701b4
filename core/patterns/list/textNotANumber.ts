import { example, inMain } from "../example.ts";
import { byMessage, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A text is to be made a number and holds something else. */
export const textNotANumber: Pattern = {
  id: "text-not-a-number",
  name: "A text that is no number",
  says: "A text is to be made a number and holds something else.",
  mends: "Look at the text before, or handle what is none.",
  cause: "What is typed in can be anything: a decimal, a word, nothing at all.",
  avoid: "Try a program with what people really type.",
  fault: true,
  grounds: [
    // Where a change in another line mends it, what is typed in was right, and something else was read or left out.
    byMessage("conversion", {
      more: sure + 2,
      of: "runtime",
      test: ({ changes, message }) => changes.every(({ line }) => line === message?.line),
    }),
    byMessage("conversion", { more: 2 }),
  ],
  examples: [
    example(
      "python",
      `load = «float¦int»(input())
print(load * 2)
`,
      "2.5\n",
    ),
    inMain(
      "java",
      `Scanner scanner = new Scanner(System.in);
double load = «Double.parseDouble¦Integer.parseInt»(scanner.nextLine());
System.out.println(load * 2);
`,
      "2.5\n",
    ),
    inMain(
      "csharp",
      `double load = «double¦int».Parse(Console.ReadLine());
Console.WriteLine(load * 2);
`,
      "2.5\n",
    ),
    example(
      "pascal",
      `var load: «real¦integer»;
begin
  readln(load);
  writeln(load * 2:0:1);
end.
`,
      "2.5\n",
    ),
    example(
      "pseudocode",
      `INPUT words
load <- TO_«NUMBER¦WHOLE»(words)
OUTPUT load * 2
`,
      "2.5\n",
    ),
    inMain(
      "basic-macro",
      `weight = «Val¦CDbl»(InputBox("Load?"))
MsgBox weight * 2
`,
      "4 tonnes\n",
    ),
    inMain(
      "basic-forms",
      `Dim typed As String = "«12¦twelve»"
Console.WriteLine(CInt(typed) * 2)
`,
    ),
  ],
};
