import { example, inMain } from "../example.ts";
import { byEdit, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { firstLineWith, namedLines } from "../shape.ts";

/** Multiplication is written as on paper: with an x, or with nothing between. */
export const letterForMultiplication: Pattern = {
  id: "letter-for-multiplication",
  name: "A letter or nothing for times",
  says: "Multiplication is written as on paper: with an x, or with nothing between.",
  mends: "Write the language's own sign for times.",
  cause: "On paper a cross, a point or nothing at all stands for times.",
  avoid: "Write the sign for times each time, also before a bracket.",
  fault: true,
  grounds: [
    byEdit("sign", ({ before, after }) => after.trim() === "*" && /^\s*[xX×]?\s*$/.test(before), 3),
    byEdit("sign", ({ after }) => /^\s*\*\s*$/.test(after)),
    byText(
      (evidence) =>
        // A change that mends it in another way says that nothing was to be multiplied.
        evidence.class === "syntax" && evidence.changes.every(({ family }) => family === "sign")
          ? firstLineWith(
              evidence,
              namedLines(evidence),
              /(?<!\bfor)(?<=[\w)\]])\s+[xX×]\s+(?!in\b)[\w(]|[=(,+*/-]\s*\d+\s*\(?\s+(?!and\b|or\b|if\b|else\b|in\b|to\b|do\b|downto\b|then\b|mod\b|div\b|for\b|is\b|not\b|of\b|xor\b|end\b)[A-Za-z_]\w*\s*(?:[;)]|$)/i,
              "A letter, or nothing, stands for times.",
            )
          : null,
      6,
    ),
  ],
  examples: [
    example(
      "pascal",
      `var fare: integer;
begin
  fare := 4 «*¦x» 3;
  writeln(fare);
end.
`,
    ),
    example(
      "python",
      `seats = 4
fare = 3 «*¦x» seats
print(fare)
`,
    ),
    inMain(
      "java",
      `int seats = 4;
int fare = 3 «* ¦»seats;
System.out.println(fare);
`,
    ),
    inMain(
      "c",
      `int seats = 4;
int fare = 3 «*¦x» seats;
printf("%d\\n", fare);
`,
    ),
    example(
      "octave",
      `seats = 4;
fare = 3 «*¦x» seats;
printf("%d\\n", fare);
`,
    ),
    example(
      "pseudocode",
      `seats <- 4
fare <- 3 «*¦x» seats
OUTPUT fare
`,
    ),
    inMain(
      "basic-macro",
      `cars = 4
MsgBox cars «*¦x» 3
`,
    ),
    example(
      "sketch",
      `int seats = 4;
int fare = 3 «* ¦»seats;
println(fare);
`,
    ),
  ],
};
