import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { translateBasic } from "./translate.ts";

const translate = (text: string, name = "Module1.vb") => translateBasic([{ name, text }]);
const told = (text: string) =>
  translate(text).problems.map(({ place, code }) => `${place.line}:${place.column} ${code}`);
const main = (...lines: string[]) =>
  `Module Deck\n  Sub Main()\n${lines.map((line) => `    ${line}\n`).join("")}  End Sub\nEnd Module\n`;
/** What a line of Main becomes; nothing may be refused. */
function written(...lines: string[]): string[] {
  const { texts, problems } = translate(main(...lines));
  expect(problems).toEqual([]);
  return (texts[0] ?? "").split("\n").slice(2, 2 + lines.length);
}

describe("every line has its number", () => {
  test("whatever is carried on, empty or a comment", () => {
    const text = `' Loads of the crossing\n\nModule Deck\n  Sub Main()\n    Dim total As Integer = 3 + _\n      4\n    ' nothing\n    Console.WriteLine(\n      total)\n  End Sub\nEnd Module\n`;
    const { texts, problems } = translate(text);
    expect(problems).toEqual([]);
    const lines = (texts[0] ?? "").split("\n");
    expect(lines[4]).toBe("int total = (3 + 4);");
    expect(lines[7]).toBe("BentNail.Basic.Screen.WriteLine(total);");
    expect(lines.indexOf("#line hidden")).toBeGreaterThanOrEqual(text.split("\n").length);
  });

  const statement = fc.constantFrom(
    "Dim cars As Integer = 3",
    "cars += 1",
    'Console.WriteLine("Tern" & cars)',
    "If cars > 2 Then",
    "Else",
    "End If",
    "For place As Integer = 1 To 3",
    "Next",
    "Do While cars < 9",
    "Loop",
    "Select Case cars",
    "Case 1 To 3, 5",
    "End Select",
    "Try",
    "Catch problem As Exception",
    "End Try",
    "Exit For",
    "' a note",
    "",
    "Dmi x As",
    'x = "',
    "Return 4",
    "End Sub",
    "Sub More()",
    "{ ( ,",
    "x = 1 +",
  );
  test("no list of statements makes it fall over, and what it takes has a line for each line", () => {
    fc.assert(
      fc.property(fc.array(statement, { maxLength: 14 }), (lines) => {
        const text = main(...lines);
        const { texts, problems } = translate(text);
        for (const { place } of problems) {
          expect(place.line).toBeGreaterThanOrEqual(1);
          expect(place.line).toBeLessThanOrEqual(text.split("\n").length);
          expect(place.column).toBeGreaterThanOrEqual(1);
        }
        if (problems.length > 0) return;
        const body = (texts[0] ?? "").split("\n#line hidden")[0] ?? "";
        expect(body.split("\n").length).toBe(text.split("\n").length);
        // Braces fit together.
        const plain = body.replace(/"(?:\\.|[^"\\])*"/g, "");
        expect(plain.split("{").length).toBe(plain.split("}").length);
      }),
    );
  });

  test("any text is read to its end", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80, unit: "binary" }), (text) => {
        expect(translate(text).texts).toHaveLength(1);
        expect(translate(main(text)).texts).toHaveLength(1);
      }),
      { examples: [["__proto__"], ["x = constructor"], ["End constructor"], ["Dim toString As valueOf"]] },
    );
  });
});

describe("statements", () => {
  test("letter case does not count, and a name has the letters of its declaration", () => {
    expect(written("DIM Cars as INTEGER = 3", "cARS = CARS + 1", "console.writeline(cars)").slice(1)).toEqual([
      "Cars = (Cars + 1);",
      "BentNail.Basic.Screen.WriteLine(Cars);",
    ]);
  });

  test("a last value of a counter that may change is worked out once", () => {
    const [, header] = written("Dim cars As Integer = 3", "For at As Integer = 1 To cars", "cars = 9", "Next");
    expect(header).toMatch(/^for \(int at = 1, (__bnTo\d+) = cars; at <= \1; at \+= 1\) \{$/);
  });

  test("one who leaves a loop from inside of another jumps behind it", () => {
    const lines = written("Do", "For at As Integer = 1 To 3", "Exit Do", "Next", "Loop");
    expect(lines[2]).toMatch(/^goto (__bnExit\d+);$/);
    expect(lines[4]).toBe(`} ${/goto (\w+)/.exec(lines[2] ?? "")?.[1]}:;`);
  });

  test("numbers, texts and conversions", () => {
    expect(
      written(
        "Dim a As Double = 7 / 2",
        "Dim b As Integer = 7 \\ 2",
        'Dim c As String = "a" & 1',
        'Dim d As Integer = "4"',
        "Dim e As Decimal = 2.5",
        "Dim f As Long = &HFF",
      ),
    ).toEqual([
      "double a = (7d / 2d);",
      "int b = (7 / 2);",
      'string c = ("a" + BentNail.Basic.To.Text(1));',
      'int d = BentNail.Basic.To.Integer("4");',
      "decimal e = 2.5m;",
      "long f = (long)(unchecked((int)255));",
    ]);
  });

  test("And, Or and Not by their strength", () => {
    expect(written("Dim a As Boolean = Not True And False Or 3 > 2 AndAlso 1 < 2")[0]).toBe(
      "bool a = ((!true & false) | ((3 > 2) && (1 < 2)));",
    );
  });
});

describe("refusals, each with its place and the code of the documentation", () => {
  test.each([
    ["a name that nothing declares", main("Dim cars As Integer", "crs = 3"), "4:5 BC30451"],
    ["a member that is not there", main("Console.Writ(3)"), "3:13 BC30456"],
    ["a type that is not known", main("Dim cars As Intger"), "3:17 BC30002"],
    ["a bracket", main("Console.WriteLine(3"), "3:24 BC30198"],
    ["a quote", main('Console.WriteLine("3)'), "3:23 BC30648"],
    ["an If without its end", main("If 3 > 2 Then"), "3:5 BC30081"],
    ["a Next without its For", main("Next"), "3:5 BC30092"],
    ["a value too many", main("Console.WriteLine(Len(3, 4))"), "3:30 BC30057"],
    ["strict rules", `Option Strict On\n${main('Dim cars As Integer = "3"')}`, "4:27 BC30512"],
    ["strict rules and a type that is left out", `Option Strict On\n${main("Dim cars")}`, "4:9 BC30209"],
    ["a constant that is changed", main("Const Most = 3", "Most = 4"), "4:5 BC30074"],
    [
      "what is private",
      "Class Boat\n  Private cars As Integer\nEnd Class\nModule Deck\n  Sub Main()\n    Dim tern As New Boat\n    tern.cars = 3\n  End Sub\nEnd Module\n",
      "7:5 BC30389",
    ],
    [
      "a statement outside of routines",
      "Module Deck\n  cars = 3\n  Sub Main()\n  End Sub\nEnd Module\n",
      "2:3 BC30689",
    ],
    [
      "a routine without its end",
      "Module Deck\n  Sub Main()\n    Dim cars As Integer\n  Sub More()\n  End Sub\nEnd Module\n",
      "2:3 BC30026",
    ],
  ])("%s", (_what, text, expected) => {
    expect(told(text)).toEqual([expected]);
  });

  test("a fault on one line hides none on another", () => {
    expect(told(main("crs = 3", "Dim x As Intger", "Console.Writ(3)"))).toEqual([
      "3:5 BC30451",
      "4:14 BC30002",
      "5:13 BC30456",
    ]);
  });

  test("what the language knows and this translator does not is told apart from a refusal", () => {
    expect(told(main("On Error Resume Next"))).toEqual(["3:5 BN30001"]);
  });

  test("without explicit declarations a misspelt name is a new empty variable", () => {
    expect(told(`Option Explicit Off\n${main("cars = 3", "Console.WriteLine(crs)")}`)).toEqual([]);
  });
});
