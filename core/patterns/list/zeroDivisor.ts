import { example, inMain } from "../example.ts";
import { byEdit, byMessage, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A value by which is divided is zero for some input. */
export const zeroDivisor: Pattern = {
  id: "zero-divisor",
  name: "A divisor that becomes zero",
  says: "A value by which is divided is zero for some input.",
  mends: "Ask whether it is zero before dividing.",
  cause: "Nothing was counted, or a zero was typed in.",
  avoid: "Ask of every division: can what stands below become zero?",
  fault: true,
  grounds: [
    byMessage("division by zero", { more: sure }),
    byEdit("guard-left-out", ({ after }) => /(?:!=|<>|~=) 0\b/.test(after), 3),
  ],
  examples: [
    example(
      "python",
      `trips = int(input())
load = 40
if «trips > 0¦trips >= 0»:
    print(load // trips)
else:
    print("no trips")
`,
      "0\n",
    ),
    inMain(
      "java",
      `Scanner scanner = new Scanner(System.in);
int trips = scanner.nextInt();
if (trips «>¦>=» 0)
    System.out.println(40 / trips);
else
    System.out.println("no trips");
`,
      "0\n",
    ),
    inMain(
      "csharp",
      `int trips = int.Parse(Console.ReadLine());
if (trips «>¦>=» 0)
    Console.WriteLine(40 / trips);
else
    Console.WriteLine("no trips");
`,
      "0\n",
    ),
    inMain(
      "c",
      `int trips;
scanf("%d", &trips);
if (trips «>¦>=» 0)
    printf("%d\\n", 40 / trips);
else
    printf("no trips\\n");
`,
      "0\n",
    ),
    example(
      "pascal",
      `var trips: integer;
begin
  readln(trips);
  if trips «>¦>=» 0 then
    writeln(40 div trips)
  else
    writeln('no trips');
end.
`,
      "0\n",
    ),
    example(
      "python",
      `loads = []
«if loads:
    print(sum(loads) / len(loads))
else:
    print("no loads")¦print(sum(loads) / len(loads))»
`,
    ),
    example(
      "pseudocode",
      `INPUT trips
IF trips >«¦=» 0 THEN
  OUTPUT 40 DIV trips
ELSE
  OUTPUT "no trips"
ENDIF
`,
      "0\n",
    ),
    inMain(
      "basic-macro",
      `decks = «4¦0»
MsgBox 12 / decks
`,
    ),
    example(
      "sketch",
      `int cars = 0;
int weight = 12;
void draw() {
  text(«cars == 0 ? 0 : ¦»weight / cars, 10, 20);
}
`,
    ),
    inMain(
      "basic-forms",
      `Dim decks As Integer = CInt(Console.ReadLine())
«If decks = 0 Then decks = 1
¦»Console.WriteLine(12 \\ decks)
`,
      "0\n",
    ),
  ],
};
