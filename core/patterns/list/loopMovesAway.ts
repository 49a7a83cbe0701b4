import { change } from "../../edits/edit.ts";
import { ofKind } from "../../edits/places.ts";
import { escaped } from "../../source/escaped.ts";
import { part } from "../../syntax/tree.ts";
import { example, inMain } from "../example.ts";
import { byEdit, byNotice, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isCondition } from "../shape.ts";

/** What the condition waits for moves away from the value that would end the loop. */
export const loopMovesAway: Pattern = {
  id: "loop-moves-away",
  name: "A loop that goes away from its goal",
  says: "What the condition waits for moves away from the value that would end the loop.",
  mends: "Let it move towards it.",
  cause: "It counts up where it must count down, or the condition looks to the other side.",
  avoid: "Write down the first three values by hand.",
  fault: true,
  grounds: [
    byEdit(
      ["direction", "arithmetic", "loop-change", "constant", "accumulation", "by-one"],
      ({ lineBefore, lineAfter }, { symptom }) =>
        /end/.test(symptom) && !isCondition(lineBefore) && /[-+]/.test(lineBefore) && /[-+]/.test(lineAfter),
      5,
    ),
    // Up from a head that waits for less, or down from one that waits for more: also where the run is stopped on the way.
    byEdit(
      ["direction", "accumulation"],
      ({ lineBefore }) => /\bfor\b.*(?:>[^;]*;[^;]*\+\+|<[^;]*;[^;]*--)/.test(lineBefore),
      6,
    ),
    byNotice("moved-away", 5),
    (evidence) => (/end/.test(evidence.symptom) ? byNotice("loop-moves-away", 4)(evidence) : null),
    byText(({ lines, symptom, changes }) => {
      if (!/end/.test(symptom) || changes.length > 0) return null;
      for (const [at, line] of lines.entries()) {
        const [, name, sign] = /\bwhile\s*\(?\s*(\w+)\s*([<>])/i.exec(line) ?? [];
        if (!name) continue;
        const away =
          sign === ">"
            ? String.raw`(?:\+\+|\+=|:?=\s*${escaped(name)}\s*\+)`
            : String.raw`(?:--|-=|:?=\s*${escaped(name)}\s*-)`;
        const body = lines.findIndex(
          (each, index) => index > at && new RegExp(String.raw`\b${escaped(name)}\s*${away}`).test(each),
        );
        if (body >= 0) return { line: body + 1, why: `“${name}” moves away from where the loop ends.` };
      }
      return null;
    }, 5),
  ],
  examples: [
    example(
      "python",
      `seats = 3
while seats > 0:
    print(seats)
    seats = seats «-¦+» 1
`,
    ),
    inMain(
      "c",
      `int seats = 3;
while (seats > 0) {
    printf("%d\\n", seats);
    seats«--¦++»;
}
`,
    ),
    example(
      "pascal",
      `var seats: integer;
begin
  seats := 3;
  while seats > 0 do
  begin
    writeln(seats);
    seats := seats «-¦+» 1;
  end;
end.
`,
    ),
    example(
      "octave",
      `seats = 3;
while seats > 0
  printf("%d\\n", seats);
  seats = seats «-¦+» 1;
end
`,
    ),
    inMain(
      "csharp",
      `int seats = 3;
while (seats > 0)
{
    Console.WriteLine(seats);
    seats = seats «-¦+» 1;
}
`,
    ),
    example(
      "pseudocode",
      `seats <- 3
WHILE seats > 0
  OUTPUT seats
  seats <- seats «-¦+» 1
ENDWHILE
`,
    ),
    inMain(
      "basic-macro",
      `metres = 3
While metres > 0
  metres = metres «-¦+» 1
Wend
MsgBox metres
`,
    ),
    inMain(
      "basic-forms",
      `Dim minutes As Integer = 3
Do While minutes > 0
  Console.WriteLine(minutes)
  minutes «-¦+»= 1
Loop
`,
    ),
  ],
  plants: (context) =>
    ofKind(context, "while").flatMap(({ node }) => {
      const [condition, body] = [part(node, "condition"), part(node, "body")];
      if (!condition || !body) return [];
      const names = new Set(context.sourceOf(condition).match(/[A-Za-z_]\w*/g) ?? []);
      const turns = new Map([
        ["+", "-"],
        ["-", "+"],
        ["+=", "-="],
        ["-=", "+="],
        ["++", "--"],
        ["--", "++"],
      ]);
      return context.code.flatMap((token, at) => {
        const turned = turns.get(token.text);
        const isIn = token.from >= body.from && token.to <= body.to;
        const beside = [context.code[at - 1]?.text ?? "", context.code[at - 3]?.text ?? ""];
        return turned && isIn && beside.some((name) => names.has(name)) ? [change(token, turned)] : [];
      });
    }),
};
