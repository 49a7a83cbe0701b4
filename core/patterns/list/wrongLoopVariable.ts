import { escaped } from "../../source/escaped.ts";
import { example, inMain } from "../example.ts";
import { byEdit, byNotice, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { loopNames } from "../shape.ts";

/** In loops inside each other the variable of the wrong one is used. */
export const wrongLoopVariable: Pattern = {
  id: "wrong-loop-variable",
  name: "The other loop's variable",
  says: "In loops inside each other the variable of the wrong one is used.",
  mends: "Use the one that is meant.",
  cause: "Short names of loops look alike.",
  avoid: "Name loop variables by what they count.",
  fault: true,
  grounds: [
    byNotice("counter-behind-loop", 5),
    byEdit(
      "other-name",
      ({ before, after }, evidence) =>
        /^\w$/.test(before.trim()) &&
        /^\w$/.test(after.trim()) &&
        [before, after].some((name) => loopNames(evidence).has(name.trim())),
      3,
    ),
    byEdit(
      "other-name",
      ({ lineBefore, lineAfter }, evidence) => {
        const names = loopNames(evidence);
        const words = (text: string) => text.match(/[A-Za-z_]\w*/g) ?? [];
        const [before, after] = [words(lineBefore), words(lineAfter)];
        const at = before.findIndex((word, index) => word !== after[index]);
        return names.size > 1 && names.has(before[at] ?? "") && names.has(after[at] ?? "");
      },
      6,
    ),
    byText((evidence) => {
      if (evidence.class !== "logic" || evidence.changes.length > 0) return null;
      const [outer, inner] = [...loopNames(evidence)];
      if (!outer || !inner) return null;
      const header = evidence.lines.findIndex((line) =>
        new RegExp(String.raw`^\s*for\b.*\b${escaped(inner)}\b`, "i").test(line),
      );
      const [, ...rest] =
        (evidence.lines[header] ?? "").match(new RegExp(String.raw`\b${escaped(inner)}\b`, "g")) ?? [];
      // The two are loops inside each other only where one stands further in, and nothing between them further out.
      const depth = (line: string | undefined) => /^\s*/.exec(line ?? "")?.[0].length ?? 0;
      const outside = evidence.lines.findLastIndex(
        (line, at) => at < header && new RegExp(String.raw`^\s*for\b.*\b${escaped(outer)}\b`, "i").test(line),
      );
      const between = evidence.lines.slice(outside + 1, header + 1).filter((line) => line.trim() !== "");
      if (outside < 0 || between.some((line) => depth(line) <= depth(evidence.lines[outside]))) return null;
      const used = evidence.lines.some(
        (line, at) => at > header && new RegExp(String.raw`\b${escaped(inner)}\b`).test(line),
      );
      const moves = new RegExp(String.raw`;\s*${escaped(outer)}(?:\+\+|--|\s*[-+]=)`).test(
        evidence.lines[header] ?? "",
      );
      return (rest.length === 0 && !used) || moves
        ? { line: header + 1, why: `The inner loop counts “${inner}”, and “${outer}” is used in its place.` }
        : null;
    }, 2),
  ],
  examples: [
    example(
      "python",
      `for row in range(2):
    for seat in range(3):
        print(row, «seat¦row»)
`,
    ),
    inMain(
      "java",
      `for (int row = 0; row < 2; row++)
    for (int seat = 0; seat < 3; seat++)
        System.out.println(row + " " + «seat¦row»);
`,
    ),
    inMain(
      "c",
      `for (int row = 0; row < 2; row++)
    for (int seat = 0; seat < 3; «seat¦row»++)
        printf("%d %d\\n", row, seat);
`,
    ),
    inMain(
      "csharp",
      `for (int row = 0; row < 2; row++)
    for (int seat = 0; seat < 3; seat++)
        Console.WriteLine(row + " " + «seat¦row»);
`,
    ),
    example(
      "pascal",
      `var row, seat: integer;
begin
  for row := 0 to 1 do
    for seat := 0 to 2 do
      writeln(row, ' ', «seat¦row»);
end.
`,
    ),
    example(
      "octave",
      `for row = 1:2
  for seat = 1:3
    printf("%d %d\\n", row, «seat¦row»);
  end
end
`,
    ),
    example(
      "pseudocode",
      `FOR row <- 1 TO 2
  FOR seat <- 1 TO 3
    OUTPUT row, " ", «seat¦row»
  NEXT seat
NEXT row
`,
    ),
    inMain(
      "basic-macro",
      `For row = 1 To 2
  For place = 1 To 3
    total = total + «place¦row»
  Next place
Next row
MsgBox total
`,
    ),
    example(
      "sketch",
      `for (int row = 0; row < 2; row++)
    for (int seat = 0; seat < 3; seat++)
        println(row + " " + «seat¦row»);
`,
    ),
    inMain(
      "basic-forms",
      `For row As Integer = 1 To 2
  For place As Integer = 1 To 2
    Console.WriteLine(row & «place¦row»)
  Next
Next
`,
    ),
  ],
};
